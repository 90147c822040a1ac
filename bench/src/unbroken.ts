import { COLOURS, PATTERNS, type Noun, type Row } from '@kotiva/core';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v5, v7 } from 'uuid';
import { openStorage } from '../../server/src/db/open.ts';
import { Timers } from '../../server/src/jobs/timers.ts';
import { SqliteHouses } from '../../server/src/db/sqlite-houses.ts';
import { Ledger, type How } from '../../server/src/sync/apply.ts';
import { ChangeFeed } from '../../server/src/sync/changes.ts';
import { report } from './report.ts';
import { ROOT } from './server.ts';

const NAMES = '6ba7b811-9dad-11d1-80b4-00c04fd430c8';
/** What is aimed at: one command of up to 100 rows, and anything else, in a house of 10,000 items. */
const SMALL_MS = 50;
const LARGE_MS = 250;
const ROUNDS = 5;

/** The longest unbroken work of a house of 10,000 items and 120 chores, beside what is aimed at. */
export function unbrokenMs(): void {
  const folder = mkdtempSync(join(tmpdir(), 'kotiva-bench-'));
  const storage = openStorage(join(folder, 'kotiva.sqlite'), join(ROOT, 'server/drizzle'));
  let now = Date.parse('2026-11-24T10:00:00.000Z');
  const clock = { now: () => new Date(now).toISOString() };
  const ledger = new Ledger(new SqliteHouses(storage.raw), clock);
  const timers = new Timers(storage.raw, ledger, clock);
  const houseId = v7();
  const apply = (by: string, name: string, payload: unknown, id: string, how: How = {}): string => {
    const outcome = ledger.apply({ id, houseId, name: name as never, payload, at: clock.now(), seen: 1e9 }, { id: v5(by, NAMES), name: by }, how);
    if (outcome.outcome === 'refused') throw new Error(`${name}: ${JSON.stringify(outcome.reason)}`);
    return id;
  };
  const give = (by: string, name: string, payload: unknown): string => apply(by, name, payload, v7());
  /** The longest stretch of what is done in slices, and what comes before the first: all as over the wire. */
  const longestSlice = (by: string, name: string, payload: unknown): number => {
    const id = v7();
    let [longest, from] = [0, performance.now()];
    const rest = () => ([longest, from] = [Math.max(longest, performance.now() - from), performance.now()]);
    const slices = ledger.slicesOf({ id, houseId, name: name as never, payload, at: clock.now(), seen: 1e9 }, { id: v5(by, NAMES), name: by });
    for (const slice of slices) {
      apply(by, name, slice.payload, slice.id, { slice: true });
      rest();
    }
    apply(by, name, payload, id, { ahead: slices.length });
    rest();
    return longest;
  };
  const rows = <N extends Noun>(noun: N): Row<N>[] => ledger.rows(houseId).all(noun);
  const person = (name: string): string => rows('person').find((one) => one.name === name)!.id;
  const median = (values: number[]): number => values.sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
  const timed = (name: string, aim: number, task: (round: number) => unknown) => {
    const took = Array.from({ length: ROUNDS }, (_, round) => {
      const from = performance.now();
      task(round);
      return performance.now() - from;
    });
    report(`unbroken_${name}_ms`, median(took), 'ms', aim);
  };
  const looks = (nth: number, name: string) => ({ name, mark: name.slice(0, 2), colour: COLOURS[nth]!, pattern: PATTERNS[nth]! });
  give('Aino', 'house.make', { name: 'Bench', zone: 'Europe/Helsinki', person: looks(0, 'Aino') });
  for (const [nth, name] of ['Leila', 'Noor', 'Tapio'].entries()) {
    const token = name.padEnd(40, 'x');
    give('Aino', 'invitation.make', { role: 'member', uses: 'one', token });
    give(name, 'person.join', { token, ...looks(nth + 1, name) });
  }
  const shares = [{ person: person('Leila'), access: 'edit' }];
  for (let nth = 0; nth < 10; nth++) give('Aino', 'list.make', { name: `List ${nth}`, colour: 'moss', icon: 'leaf', shares });
  const lists = rows('list').map(({ id }) => id);
  const lines = (nth: number) => Array.from({ length: 500 }, (_, line) => ({ title: `Thing ${nth} ${line}`, due: line % 3 ? `2026-12-${String(1 + (line % 28)).padStart(2, '0')}` : undefined, persons: line % 8 ? [] : [person('Leila')], tags: line % 5 ? [] : ['wood'] })); // prettier-ignore
  for (let nth = 0; nth < 15; nth++) give('Aino', 'item.addMany', { list: lists[nth % 10], items: lines(nth) });
  timed('add_500', LARGE_MS, (nth) => give('Aino', 'item.addMany', { list: lists[nth], items: lines(nth) }));
  for (let nth = 0; nth < 120; nth++) give('Aino', 'chore.make', { title: `Chore ${nth}`, list: lists[nth % 10], rrule: nth % 3 ? 'FREQ=WEEKLY' : 'FREQ=DAILY;COUNT=1000', dtstart: '2026-11-01', turn: nth % 2 ? 'fair' : 'turns', persons: [person('Leila'), person('Noor')] }); // prettier-ignore
  const items = rows('item').filter(({ seriesId }) => seriesId === null);
  const some = (from: number, many: number) => items.slice(from, from + many).map(({ id }) => id);
  const tick = (): number => {
    const steps = (timers as unknown as { steps(): Generator<void> }).steps();
    let longest = 0;
    for (let done: boolean | undefined = false; !done;) {
      const from = performance.now();
      ({ done } = steps.next());
      longest = Math.max(longest, performance.now() - from);
    }
    return longest;
  };
  tick();
  now += 86_400_000;
  report('unbroken_tick_ms', tick(), 'ms', SMALL_MS);
  timed('add', SMALL_MS, () => give('Leila', 'item.add', { title: 'One more', list: lists[0], tags: ['wood'] }));
  timed('check', SMALL_MS, (nth) => give('Aino', 'part.checkOff', { item: items[nth + 1]!.id, person: null }));
  timed('hand_over', SMALL_MS, (nth) => give('Aino', 'part.handOver', { items: some(100 + nth * 20, 20), persons: [person('Noor')] }));
  report('unbroken_hand_over_500_ms', longestSlice('Aino', 'part.handOver', { items: some(5_000, 500), persons: [person('Tapio')] }), 'ms', LARGE_MS);
  timed('copy_500', LARGE_MS, (nth) => give('Aino', 'item.copy', { items: some(1_500, 500), list: lists[nth] }));
  timed('chores_100', LARGE_MS, (nth) => give('Aino', 'item.addMany', { list: lists[nth], items: Array.from({ length: 100 }, (_, line) => ({ title: `Round ${line}`, due: '2026-11-27T09:00', rule: { rrule: `FREQ=HOURLY;BYMONTH=10;BYMONTHDAY=${1 + (line % 31)}`, afterDone: null, time: '09:00' } })) })); // prettier-ignore
  timed('move_500', LARGE_MS, (nth) => give('Aino', 'item.move', { items: some(1_000, 500), list: lists[nth] }));
  timed('share', LARGE_MS, (nth) => give('Aino', 'list.share', { list: lists[8], person: person('Tapio'), access: nth % 2 ? null : 'view' }));
  timed('remove_500', LARGE_MS, (nth) => give('Aino', 'item.remove', { items: some(2_000 + 500 * nth, 500) }));
  const turns = (nth: number) => rows('series').flatMap(({ id, rrule, turn }) => (turn === 'fair' && rrule === 'FREQ=WEEKLY' ? [{ series: id, recurrenceId: `2026-12-${13 + 7 * nth}`, person: person(nth % 2 ? 'Leila' : 'Noor') }] : [])); // prettier-ignore
  timed('share_out', LARGE_MS, (nth) => give('Aino', 'week.shareOut', { items: [], turns: turns(nth % 2) }));
  timed('away', LARGE_MS, (nth) => give('Leila', 'away.add', { person: person('Leila'), from: '2026-11-01', to: `2026-12-${10 + nth}` }));
  give('Aino', 'person.setRole', { person: person('Tapio'), role: 'manager' });
  report('unbroken_end_person_ms', longestSlice('Tapio', 'person.end', { person: person('Aino'), parts: [] }), 'ms', LARGE_MS);
  const feed = new ChangeFeed(new SqliteHouses(storage.raw));
  const reader = rows('person').find(({ name }) => name === 'Leila')!;
  let [since, more, longest] = [0, true, 0];
  while (more) {
    const from = performance.now();
    ({ seq: since, more } = feed.page(ledger.rows(houseId), reader, {
      since,
      until: ledger.seq(houseId),
      from: ledger.from(houseId),
      now: ledger.now(),
      begins: true,
    }));
    longest = Math.max(longest, performance.now() - from);
  }
  report('unbroken_page_ms', longest, 'ms', SMALL_MS);
  storage.close();
  rmSync(folder, { recursive: true, force: true });
}
