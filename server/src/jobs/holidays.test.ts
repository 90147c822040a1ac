import { holidaysToLookUp, lookUpHolidays, regions } from './holidays.ts';

const NOW = '2026-11-24T10:00:00.000Z';
const house = (region: string | null, known: { region: string; until: number } | null = null) => ({ region, holidays: known && { ...known, days: [] } });

test('looked up for a region that was chosen, anew for another, and again when a year has passed', () => {
  expect(holidaysToLookUp(house(null), NOW)).toBeNull();
  expect(holidaysToLookUp(house('FI'), NOW)).toEqual({ region: 'FI', until: 2031 });
  expect(holidaysToLookUp(house('FI', { region: 'FI', until: 2031 }), NOW)).toBeNull();
  expect(holidaysToLookUp(house('SE', { region: 'FI', until: 2031 }), NOW)).toEqual({ region: 'SE', until: 2031 });
  expect(holidaysToLookUp(house('FI', { region: 'FI', until: 2031 }), '2027-01-01T00:00:00.000Z')).toEqual({ region: 'FI', until: 2032 });
});

test('public holidays by their known days, moving feasts among them; a part of a country has its own', () => {
  const finland = new Map(lookUpHolidays('FI', 2031).days.map(({ date, name }) => [date, name]));
  expect(['2026-12-06', '2026-12-25', '2027-03-26', '2031-01-01'].map((date) => finland.get(date))).toEqual([
    'Independence Day',
    'Christmas Day',
    'Good Friday',
    'New Year’s Day'.replace('’', "'"),
  ]);
  expect(finland.has('2026-12-07')).toBe(false);
  const datesOf = (region: string) => lookUpHolidays(region, 2031).days.map(({ date }) => date);
  // Epiphany is one in Bavaria, not in all of Germany
  expect([datesOf('DE').includes('2027-01-06'), datesOf('DE-BY').includes('2027-01-06')]).toEqual([false, true]);
  expect(lookUpHolidays('QQ', 2031).days).toEqual([]);
});

test('every country there are tables of is offered by name, with its parts after it', () => {
  const all = regions();
  expect(all).toContainEqual({ region: 'FI', name: 'Finland' });
  const bavaria = all.findIndex(({ region }) => region === 'DE-BY');
  expect(all[bavaria]!.name).toBe('Germany, Bayern');
  expect(all.findIndex(({ region }) => region === 'DE')).toBeLessThan(bavaria);
});
