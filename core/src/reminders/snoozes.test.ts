import { USUAL_DAY_PARTS } from '../model/house.ts';
import { snoozes } from './snoozes.ts';

const HOUSE = { zone: 'Europe/Helsinki', dayParts: USUAL_DAY_PARTS };

test('ten minutes and an hour are exact, the evening and the morning are the house’s', () => {
  expect(snoozes('2026-11-24T10:00:30.000Z', HOUSE)).toEqual([
    { key: 'ten', until: '2026-11-24T10:10:30.000Z' },
    { key: 'hour', until: '2026-11-24T11:00:30.000Z' },
    { key: 'evening', until: '2026-11-24T15:00:00.000Z' },
    { key: 'morning', until: '2026-11-25T06:00:00.000Z' },
  ]);
});

test('in the evening it is no longer offered', () => {
  expect(snoozes('2026-11-24T15:00:00.000Z', HOUSE).map(({ key }) => key)).toEqual(['ten', 'hour', 'morning']);
});
