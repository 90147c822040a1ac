import { screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { HandOverPanel } from '@/features/item/hand-over-panel.tsx';
import { RemarkField } from '@/features/item/remark-field.tsx';
import { SharingSheet } from '@/features/lists/sharing-sheet.tsx';
import { GroupsPart } from '@/features/settings/groups-part.tsx';
import { tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { t } from '@/words';

function house() {
  const w = new World();
  for (const name of ['Tapio', 'Leila', 'Eetu']) w.join(name, name === 'Leila' ? 'helper' : 'member');
  const ids = (...names: string[]) => names.map((name) => w.person(name));
  w.must('Aino', 'group.make', { name: 'Drivers', persons: ids('Tapio', 'Leila', 'Eetu') } as never);
  const list = w.list('Aino', 'Boathouse');
  const item = w.item('Aino', 'Fetch the guests', { list });
  return { w, ids, list, item };
}

test('handed to a group: who is away is left out and named, and whoever gets to it first does it', () => {
  const { w, ids, item } = house();
  w.must('Tapio', 'away.add', { person: w.person('Tapio'), from: '2026-11-20', to: '2026-12-20' } as never);
  inHouse(w, 'Aino', <HandOverPanel item={w.row(item)} onDone={() => undefined} />);
  tap(t('groups.count', { name: 'Drivers', count: 2 }));
  expect(screen.getByText(t('groups.away', { names: 'Tapio', count: 1 }))).toBeTruthy();
  tap(t('ways.item'), 'radio');
  tap(t('hand.over'));
  expect(w.parts(item).flatMap(({ personId }) => personId ?? []).sort()).toEqual(ids('Leila', 'Eetu').sort()); // prettier-ignore
  expect(w.row(item).policy).toBe('any');
});

test('shared with a group, each gets what their role may have, as one action', () => {
  const { w, list } = house();
  inHouse(w, 'Aino', <SharingSheet list={w.rows.get('list', list) as never} onClose={() => undefined} />);
  const choice = screen.getByRole('radiogroup', { name: t('share.accessOf', { name: 'Drivers' }) });
  (choice.querySelectorAll('[role=radio]')[3] as HTMLElement).click();
  const access = (name: string) => w.rows.by('share', 'listId', list).find(({ personId }) => personId === w.person(name))?.access;
  expect([access('Tapio'), access('Leila'), access('Eetu')]).toEqual(['edit', 'check', 'edit']);
});

test('addressed by @ and its name, everybody in it is', () => {
  const { w, ids, item } = house();
  w.must('Aino', 'part.handOver', { items: [item], persons: ids('Tapio', 'Leila', 'Eetu') } as never);
  inHouse(w, 'Aino', <RemarkField item={w.row(item)} answering="" onAnswered={() => undefined} />);
  type(t('item.saySomething'), '@dri');
  tap('Drivers');
  type(t('item.saySomething'), '@Drivers who is free at six?');
  tap(t('item.say'));
  expect([...w.rows.all('comment')[0]!.mentions].sort()).toEqual(ids('Tapio', 'Leila', 'Eetu').sort());
});

test('a manager makes a group, sees what is missing beside it, and members only read it', () => {
  const { w } = house();
  const aino = inHouse(w, 'Aino', <GroupsPart />);
  tap(t('groups.make'));
  type(t('groups.name'), 'drivers');
  tap('Eetu', 'checkbox');
  tap(t('common.save'));
  expect(screen.getByText(t('reason.name-taken', { name: 'Drivers' }))).toBeTruthy();
  type(t('groups.name'), 'Cooks');
  tap(t('common.save'));
  expect(w.rows.all('peopleGroup').map(({ name }) => name).sort()).toEqual(['Cooks', 'Drivers']); // prettier-ignore
  aino.unmount();
  inHouse(w, 'Tapio', <GroupsPart />);
  expect(screen.getByText('Cooks')).toBeTruthy();
  expect(screen.queryByRole('button', { name: t('groups.make') })).toBeNull();
});
