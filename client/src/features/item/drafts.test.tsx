import { screen } from '@testing-library/react';
import { idOf, World } from '@kotiva/core/testing/world';
import { ChorePanel } from '@/features/rule';
import { SlotForm } from '@/features/slot';
import { ItemSheet } from './item-sheet.tsx';
import { tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { carry } from '@/testing/router.ts';
import { draftsOf, forgetDrafts } from '@/store/drafts.ts';
import { t } from '@/words';

/** Nothing typed is lost: closed, left, reloaded or signed out elsewhere, it is there again for whoever typed it. */

function house() {
  const w = new World();
  w.join('Leila', 'member');
  const list = w.list('Aino', 'Boathouse', [['Leila', 'edit']]);
  return { w, oars: w.item('Aino', 'Oars', { list }) };
}
const open = (w: World, who: string, item: string) => {
  carry({ item });
  return inHouse(w, who, <ItemSheet />);
};
const valueOf = (label: string) => screen.getByLabelText<HTMLInputElement>(label).value;
beforeEach(() => localStorage.clear());
afterEach(() => carry({}));

test('a remark begun is found again by whoever began it, and by nobody else; said, it is gone', () => {
  const { w, oars } = house();
  const first = open(w, 'Leila', oars);
  type(t('item.saySomething'), 'The long ones are');
  first.unmount();
  const others = open(w, 'Aino', oars);
  expect(valueOf(t('item.saySomething'))).toBe('');
  others.unmount();
  const second = open(w, 'Leila', oars);
  expect(valueOf(t('item.saySomething'))).toBe('The long ones are');
  tap(t('item.say'));
  second.unmount();
  open(w, 'Leila', oars);
  expect(valueOf(t('item.saySomething'))).toBe('');
  expect(w.rows.by('comment', 'itemId', oars).map(({ text }) => text)).toEqual(['The long ones are']);
});

test('a handover half made is there again as it was; cancelled, it begins anew', () => {
  const { w, oars } = house();
  const first = open(w, 'Aino', oars);
  tap(t('hand.over'));
  tap(/^Leila/, 'checkbox');
  type(t('nudge.words'), 'Before the ice');
  first.unmount();
  const second = open(w, 'Aino', oars);
  tap(t('hand.over'));
  expect(valueOf(t('nudge.words'))).toBe('Before the ice');
  expect(screen.getByRole('checkbox', { name: /^Leila/ }).getAttribute('aria-checked')).toBe('true');
  tap(t('common.cancel'));
  second.unmount();
  open(w, 'Aino', oars);
  tap(t('hand.over'));
  expect(valueOf(t('nudge.words'))).toBe('');
});

test('notes begun are open again with what they were based on', () => {
  localStorage.setItem('kotiva/notes-plain', 'yes');
  const { w, oars } = house();
  const first = open(w, 'Aino', oars);
  tap(t('item.writeNotes'));
  type(t('item.notes'), 'Two are cracked');
  first.unmount();
  w.must('Leila', 'item.change', { item: oars, notes: 'Ask Petri', notesBase: '' });
  open(w, 'Aino', oars);
  expect(valueOf(t('item.notes'))).toBe('Two are cracked');
  tap(t('common.save'));
  // both are in
  expect(w.row(oars).notes).toContain('Ask Petri');
  expect(w.row(oars).notes).toContain('Two are cracked');
});

test('signing out here leaves nothing of one’s own, and of others all', () => {
  const { w, oars } = house();
  for (const who of ['Aino', 'Leila']) {
    const shown = open(w, who, oars);
    type(t('item.saySomething'), `${who} began`);
    shown.unmount();
  }
  forgetDrafts(idOf('account Aino'));
  expect([draftsOf(idOf('account Aino')), draftsOf(idOf('account Leila'))]).toEqual([0, 1]);
});

describe('a form half made is there again as it was; saved or cancelled, it begins anew', () => {
  test('a rule', () => {
    const { w, oars } = house();
    const rule = () => inHouse(w, 'Aino', <ChorePanel item={w.row(oars)} onClose={() => undefined} />);
    const first = rule();
    type(t('rule.howMany.weeks'), '3');
    first.unmount();
    const second = rule();
    expect(valueOf(t('rule.howMany.weeks'))).toBe('3');
    tap(t('common.cancel'));
    second.unmount();
    rule();
    expect(valueOf(t('rule.howMany.weeks'))).toBe('1');
  });

  test('booked time', () => {
    const { w, oars } = house();
    const form = () => inHouse(w, 'Aino', <SlotForm slot={null} itemIds={[oars]} date="2026-11-24" onDone={() => undefined} />);
    const first = form();
    type(t('slot.length'), '50');
    first.unmount();
    form();
    expect(valueOf(t('slot.length'))).toBe('50');
  });
});
