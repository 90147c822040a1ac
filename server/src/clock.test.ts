import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SimulatedClock } from './clock.ts';
import type { Storage } from './db/open.ts';
import { openIn } from './testing/empty-storage.ts';

describe('the simulated clock', () => {
  const folder = mkdtempSync(join(tmpdir(), 'kotiva-clock-'));
  let storage: Storage;
  const open = () => (storage = openIn(folder));
  beforeEach(() => void open());
  afterEach(() => {
    storage.raw.exec('DELETE FROM setting');
    storage.close();
  });
  afterAll(() => rmSync(folder, { recursive: true, force: true }));
  const ahead = (clock: SimulatedClock) => Math.round((Date.parse(clock.now()) - Date.now()) / 60_000);

  test('goes forward by what is said, days as days of UTC', () => {
    const clock = new SimulatedClock(storage.db);
    expect(clock.moveTo(clock.after('P1DT2H'))).toBe(true);
    expect(ahead(clock)).toBe(26 * 60);
  });

  test('never goes back', () => {
    const clock = new SimulatedClock(storage.db);
    clock.moveTo(clock.after('P2D'));
    expect(clock.moveTo(new Date().toISOString())).toBe(false);
    expect(clock.moveTo(clock.after('-P1D'))).toBe(false);
    expect(ahead(clock)).toBe(48 * 60);
  });

  test('keeps its lead over a restart', () => {
    const clock = new SimulatedClock(storage.db);
    clock.moveTo(clock.after('P3D'));
    storage.close();
    open();
    expect(ahead(new SimulatedClock(storage.db))).toBe(72 * 60);
  });
});
