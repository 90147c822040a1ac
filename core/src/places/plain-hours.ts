/** Opening hours in plain choices, as a part of what the `opening_hours` syntax of OpenStreetMap can say. */

export const DAY_CODES = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'] as const;
export type DayCode = (typeof DAY_CODES)[number];

/** On these days from one hour to another, wall-clock. */
export interface HoursRow {
  days: readonly DayCode[];
  from: string;
  to: string;
}

/** `Mo-Fr 08:00-15:00; Sa 10:00-14:00`. A day that stands in several rows is open several times. */
export function hoursText(rows: readonly HoursRow[]): string {
  const timesOf = (day: DayCode): string =>
    rows
      .filter(({ days }) => days.includes(day))
      .map(({ from, to }) => `${from}-${to}`)
      .sort()
      .join(',');
  const groups: { days: DayCode[]; times: string }[] = [];
  for (const day of DAY_CODES) {
    const times = timesOf(day);
    const same = groups.find((group) => group.times === times);
    if (same) same.days.push(day);
    else if (times) groups.push({ days: [day], times });
  }
  return groups.map(({ days, times }) => `${daysText(days)} ${times}`).join('; ');
}

function daysText(days: readonly DayCode[]): string {
  const runs: DayCode[][] = [];
  for (const day of days) {
    const last = runs.at(-1);
    if (last && DAY_CODES.indexOf(last.at(-1)!) === DAY_CODES.indexOf(day) - 1) last.push(day);
    else runs.push([day]);
  }
  return runs.map((run) => (run.length < 3 ? run.join(',') : `${run[0]}-${run.at(-1)}`)).join(',');
}

const TIME = '(?:[01]\\d|2[0-3]):[0-5]\\d';
const RULE = new RegExp(`^([A-Za-z,-]+) (${TIME}-${TIME}(?:,${TIME}-${TIME})*)$`);

/** The rows a text says; null: it says more than plain choices can. An empty text has none. */
export function plainHours(text: string): HoursRow[] | null {
  const rows: HoursRow[] = [];
  for (const rule of text.split(';').map((one) => one.trim())) {
    if (rule === '') continue;
    const [, said, times] = RULE.exec(rule) ?? [];
    const days = said === undefined ? null : daysOfText(said);
    if (!days) return null;
    // a later rule for a day replaces an earlier one
    for (const row of rows) row.days = row.days.filter((day) => !days.includes(day));
    for (const time of times!.split(',')) rows.push({ days, from: time.slice(0, 5), to: time.slice(6) });
  }
  return rows.filter(({ days }) => days.length > 0);
}

function daysOfText(said: string): DayCode[] | null {
  const days: DayCode[] = [];
  for (const run of said.split(',')) {
    const [first, last = first] = run.split('-').map((code) => DAY_CODES.indexOf(code as DayCode)) as [number, number?];
    if (first < 0 || last! < first) return null;
    days.push(...DAY_CODES.slice(first, last! + 1));
  }
  return days;
}
