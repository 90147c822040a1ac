import { screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { t } from '@/words';
import { HandOverPanel } from './hand-over-panel.tsx';
import { RemarkField } from './remark-field.tsx';

function house() {
  const w = new World();
  for (const name of ['Tapio', 'Leila', 'Eetu']) w.join(name, name === 'Leila' ? 'helper' : 'member');
  const ids = (...names: string[]) => names.map((name) => w.person(name));
  w.must('Aino', 'group.make', { name: 'Drivers', persons: ids('Tapio', 'Leila', 'Eetu') } as never);
  const list = w.list('Aino', 'Boathouse');
  const item = w.item('Aino', 'Fetch the guests', { list });
  return { w, ids, item };
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
