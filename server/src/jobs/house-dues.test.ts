import { SqliteHouses } from '../db/sqlite-houses.ts';
import { Ledger } from '../sync/apply.ts';
import { LedgerHouse } from '../testing/ledger-house.ts';
import { PLANNERS } from './planners.ts';
import { Setbacks } from './setbacks.ts';
import { Timers } from './timers.ts';

/** A server over the house, as one that was started anew would have it. */
function started(house: LedgerHouse, build = 'one') {
  const ledger = new Ledger(new SqliteHouses(house.storage.raw), house.clock);
  return { ledger, timers: new Timers(house.storage.raw, ledger, house.clock, new Setbacks(house.clock), PLANNERS, build) };
}

/** Something handed over that is answered by nobody: a nudge comes of it by itself. */
function waited(): LedgerHouse {
  const house = new LedgerHouse('Aino', 'Leila');
  house.item('Aino', 'Oars', { persons: [house.person('Leila')], due: '2026-11-27' });
  return house;
}

const nudges = (house: LedgerHouse) => (house.storage.raw.prepare("SELECT count(*) AS many FROM notice WHERE kind = 'nudge'").get() as { many: number }).many;

test('a server that starts opens no house where nothing is due yet, and does what is due in its time', () => {
  const house = waited();
  const first = started(house);
  first.timers.run();
  const next = first.timers.nextAt()!;
  const second = started(house);
  expect(second.timers.nextAt()).toBe(next);
  second.timers.run();
  expect([second.ledger.held.rows, nudges(house)]).toEqual([0, 0]);
  house.nowMs = Date.parse(next);
  second.timers.run();
  expect(nudges(house)).toBe(1);
});

test('what is due soon is worked out a little before its time', () => {
  const house = waited();
  started(house).timers.run();
  const { ledger, timers } = started(house);
  house.nowMs = Date.parse(timers.nextAt()!) - 5 * 60_000;
  timers.run();
  expect([ledger.held.rows > 0, nudges(house)]).toEqual([true, 0]);
});

test.each([
  ['one that changed since', (house: LedgerHouse) => void house.item('Aino', 'Rope'), 'one'],
  ['where another build worked it out', () => undefined, 'two'],
])('%s is looked into', (_words, change, build) => {
  const house = waited();
  started(house).timers.run();
  change(house);
  const { ledger, timers } = started(house, build);
  timers.run();
  expect(ledger.held.rows).toBeGreaterThan(0);
});

test('where it can’t be written, it is worked out all the same and written later', () => {
  const house = waited();
  const { raw } = house.storage;
  const { timers } = started(house);
  raw.exec("CREATE TRIGGER full BEFORE INSERT ON house_due BEGIN SELECT RAISE(ABORT, 'full'); END");
  expect(() => timers.run()).toThrow('full');
  raw.exec('DROP TRIGGER full');
  timers.run();
  const { ledger, timers: after } = started(house);
  after.run();
  expect(ledger.held.rows).toBe(0);
});
