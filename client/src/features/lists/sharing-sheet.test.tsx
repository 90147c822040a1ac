import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { shareId } from '@kotiva/core';
import { World } from '@kotiva/core/testing/world';
import { choose } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { SharingSheet } from './sharing-sheet.tsx';
import { t } from '@/words';

/** Aino's house, with a second manager, a member, a helper and somebody outside. */
function house() {
  const w = new World();
  w.join('Petri', 'manager');
  w.join('Tapio', 'member');
  w.join('Leila', 'helper');
  w.must('Aino', 'person.add', { name: 'Carpenter', mark: 'CP', colour: 'moss', pattern: 'weft', email: 'carpenter@example.org' });
  const list = w.list('Aino', 'Boathouse');
  const row = () => w.rows.find('list', list) as never;
  return { w, list, open: () => inHouse(w, 'Aino', <SharingSheet list={row()} onClose={() => undefined} />) };
}
const access = (name: string) => screen.getByRole('radiogroup', { name: new RegExp(name) });
const offered = (name: string) =>
  within(access(name))
    .getAllByRole('radio')
    .map((one) => one.textContent);

test('offers each only what their role may be given, and nobody outside', () => {
  const { open } = house();
  open();
  expect(offered('Tapio')).toEqual(['No access', 'Can view', 'Can check off', 'Can edit']);
  expect(offered('Leila')).toEqual(['No access', 'Can view', 'Can check off']);
  expect(screen.queryByText('Carpenter')).toBeNull();
  expect(screen.queryByRole('radiogroup', { name: /Aino/ })).toBeNull();
});

test('names everyone who will see it, managers by their office, as soon as it is shared', () => {
  const { w, list, open } = house();
  const { said } = open();
  expect(screen.getByText(t('share.onlyOwner'))).toBeTruthy();
  fireEvent.click(within(access('Leila')).getByRole('radio', { name: t('access.check') }));
  const shared = w.rows.find('share', shareId(list, w.person('Leila')));
  expect(shared).toMatchObject({ access: 'check' });
  expect(said()).toContain('Leila');
  expect(screen.getByText(/^Aino, Leila and Petri \(manager\) can open it/)).toBeTruthy();
});

test('makes somebody else the owner', async () => {
  const { w, list, open } = house();
  open();
  choose(/Tapio/, /owner/);
  await waitFor(() => expect(w.rows.find('list', list)).toMatchObject({ ownerId: w.person('Tapio') }));
  expect(w.told('Tapio')).toEqual(['list-given']);
});

test('shared with a group, each gets what their role may have, as one action', () => {
  const { w, list, open } = house();
  w.join('Eetu', 'member');
  w.must('Aino', 'group.make', { name: 'Drivers', persons: ['Tapio', 'Leila', 'Eetu'].map((name) => w.person(name)) } as never);
  open();
  const choice = screen.getByRole('radiogroup', { name: t('share.accessOf', { name: 'Drivers' }) });
  fireEvent.click(within(choice).getByRole('radio', { name: t('access.edit') }));
  const access = (name: string) => w.rows.by('share', 'listId', list).find(({ personId }) => personId === w.person(name))?.access;
  expect([access('Tapio'), access('Leila'), access('Eetu')]).toEqual(['edit', 'check', 'edit']);
});
