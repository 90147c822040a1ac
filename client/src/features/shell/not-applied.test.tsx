import { screen } from '@testing-library/react';
import type { Command } from '@kotiva/core';
import { World } from '@kotiva/core/testing/world';
import { ItemSheet } from '@/features/item';
import { tap } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { carry, went } from '@/testing/router.ts';
import { NotApplied } from './not-applied.tsx';
import { t } from '@/words';

/** What the server refused later, made without a network: what was typed for it is offered again where it belongs. */

beforeEach(() => localStorage.clear());
afterEach(() => carry({}));

function refused(name: string, payload: object, w: World) {
  const shown = inHouse(w, 'Aino', <NotApplied />);
  const command = { id: 'c', houseId: w.houseId, name, payload, at: w.now, seen: 0 } as unknown as Command;
  shown.refuse({ command, reason: { code: 'not-allowed', params: {} } });
  return shown;
}

test('the word of a handover, with whom it was for', () => {
  const w = new World();
  w.join('Leila', 'member');
  const oars = w.item('Aino', 'Oars');
  const shown = refused('part.handOver', { items: [oars], persons: [w.person('Leila')], message: 'Before the ice' }, w);
  expect(screen.getByText(/“Oars” wasn’t handed over.*You wrote: “Before the ice”/)).toBeTruthy();
  tap(t('tried.putBack'));
  expect(screen.queryByText(/You wrote/)).toBeNull();
  expect(went.at(-1)).toEqual({ item: oars, at: 'hand' });
  shown.unmount();
  carry({ item: oars, at: 'hand' });
  inHouse(w, 'Aino', <ItemSheet />);
  expect(screen.getByLabelText<HTMLTextAreaElement>(t('nudge.words')).value).toBe('Before the ice');
  expect(screen.getByRole('checkbox', { name: /^Leila/ }).getAttribute('aria-checked')).toBe('true');
});

test('a remark; what was not typed is not offered', () => {
  const w = new World();
  const oars = w.item('Aino', 'Oars');
  const shown = refused('comment.say', { item: oars, text: 'The long ones' }, w);
  tap(t('tried.putBack'));
  shown.unmount();
  carry({ item: oars });
  const sheet = inHouse(w, 'Aino', <ItemSheet />);
  expect(screen.getByLabelText<HTMLInputElement>(t('item.saySomething')).value).toBe('The long ones');
  sheet.unmount();
  refused('part.checkOff', { item: oars, person: null }, w);
  expect(screen.queryByRole('button', { name: t('tried.putBack') })).toBeNull();
});
