import { openOn, readsHours } from './open-on.ts';

// 24 November 2026 is a Tuesday
const TUESDAY = '2026-11-24';
const SATURDAY = '2026-11-28';
const span = (from: number, to: number) => ({ from: from * 60, to: to * 60 });

test.each([
  ['Mo-Fr 08:00-15:00', TUESDAY, false, [span(8, 15)]],
  ['Mo-Fr 08:00-15:00', SATURDAY, false, []],
  ['Mo-Fr 09:00-12:00,13:00-17:00; Sa 10:00-14:00', TUESDAY, false, [span(9, 12), span(13, 17)]],
  ['24/7', SATURDAY, false, [span(0, 24)]],
  ['Tu 22:00-02:00', '2026-11-25', false, [span(0, 2)]],
  // a holiday of the house is what counts as one
  ['Mo-Fr 08:00-15:00; PH off', TUESDAY, true, []],
  ['Mo-Fr 08:00-15:00; PH off', TUESDAY, false, [span(8, 15)]],
  ['Mo-Fr 08:00-15:00; PH 10:00-12:00', TUESDAY, true, [span(10, 12)]],
  ['Mo-Fr 08:00-15:00', TUESDAY, true, [span(8, 15)]],
])('%s on %s (holiday: %p)', (text, date, dayOff, expected) => expect(openOn(text, date, dayOff)).toEqual(expected));

test.each([
  ['', true],
  ['Mo-Fr 08:00-15:00', true],
  ['Mo-Fr around nine', false],
])('whether %p can be read: %p', (text, can) => expect(text === '' || readsHours(text)).toBe(can));

test('hours that can’t be read are not known', () => expect(openOn('whenever', TUESDAY, false)).toBeNull());
