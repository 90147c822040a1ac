import { screen, within } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { tap } from '@/testing/hands.ts';
import { Sheet } from '@/ui';
import { inHouse } from '@/testing/in-house.tsx';
import { carry } from '@/testing/router.ts';
import { RingBar } from './ring-bar.tsx';
import { t } from '@/words';

/** Two reminders of Aino's that ring at noon. */
function house() {
  const w = new World();
  const [oars, rope] = ['Oars', 'Rope'].map((title) => w.item('Aino', title)) as [string, string];
  for (const item of [oars, rope]) w.must('Aino', 'alarm.set', { item, trigger: { kind: 'absolute', at: '2026-11-24T12:30' } });
  const ring = () => {
    w.later(30);
    for (const { id } of w.rows.all('alarm')) w.system('alarm.ring', { alarm: id, at: w.now });
  };
  return { w, oars, rope, ring };
}
const unread = (w: World) => w.rows.by('notice', 'personId', w.person('Aino')).filter(({ readAt }) => readAt === null).length;
afterEach(() => carry({}));

test('a ring stays in sight until it is answered, one after the other', () => {
  const { w, ring } = house();
  const { meanwhile } = inHouse(w, 'Aino', <RingBar />);
  expect(screen.queryByRole('region', { name: t('ring.label') })).toBeNull();
  meanwhile(ring);
  expect(screen.getByText(/and 1 more/)).toBeTruthy();
  tap(t('common.done'));
  expect(unread(w)).toBe(1);
  tap(t('alarm.snooze'));
  tap(t('alarm.snooze.hour'));
  expect(unread(w)).toBe(0);
  expect(screen.queryByRole('region', { name: t('ring.label') })).toBeNull();
  expect(w.rows.all('alarm').filter(({ snoozedUntil }) => snoozedUntil !== null)).toHaveLength(1);
});

test('opened, it is read', () => {
  const { w, ring } = house();
  ring();
  inHouse(w, 'Aino', <RingBar />);
  tap(t('chores.open'));
  expect(unread(w)).toBe(1);
});

test('what was removed since does not stand there', () => {
  const { w, oars, rope, ring } = house();
  ring();
  w.must('Aino', 'item.remove', { items: [oars, rope] });
  inHouse(w, 'Aino', <RingBar />);
  expect(screen.queryByRole('region', { name: t('ring.label') })).toBeNull();
});

const over = (title: string) => (
  <>
    <Sheet open title={title} closeLabel={t('common.close')} onClose={() => undefined}>
      {null}
    </Sheet>
    <RingBar />
  </>
);

test('over the list of all that rang it stands nowhere twice', () => {
  const { w, ring } = house();
  const { meanwhile } = inHouse(w, 'Aino', over(t('notices.title')));
  meanwhile(ring);
  expect(screen.queryByRole('region', { name: t('ring.label') })).toBeNull();
});

test('while a sheet is open it rings on the sheet, and can be answered there', () => {
  const { w, oars, ring } = house();
  const { meanwhile } = inHouse(w, 'Aino', over('A sheet'));
  meanwhile(ring);
  const onSheet = within(screen.getByRole('dialog', { name: 'A sheet' }));
  expect(onSheet.getByRole('region', { name: t('ring.label') })).toBeTruthy();
  const first = w.rows.all('notice').find(({ itemId }) => itemId === oars)!;
  const before = unread(w);
  tap(t('alarm.done'));
  expect(unread(w)).toBe(before - 1);
  expect(w.rows.by('part', 'itemId', first.itemId!).some(({ standing }) => standing === 'completed')).toBe(true);
});
