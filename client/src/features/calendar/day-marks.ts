import { daysOffOf, isAwayOn, isHere, weekdayOf, type House, type Reader, type Person } from '@kotiva/core';
import { t, together } from '@/words';

/** What makes a day other than the rest. */
export interface DayMarks {
  /** A weekend, a public holiday or an own day off: drawn on another ground. */
  off: boolean;
  /** What the holiday is called; '' for one without a name, null for none. */
  holiday: string | null;
  away: Person[];
  /** Minutes there are: of one person, or of all whose hours are known here. Null: nobody said. */
  capacity: number | null;
}

export function marksOf(date: string, personId: string | null, rows: Reader, house: House): DayMarks {
  const holiday = daysOffOf(house).get(date) ?? null;
  const people = rows.all('person').filter((person) => isHere(person) && (personId === null || person.id === personId));
  const away = people.filter(({ id }) => isAwayOn(id, date, rows));
  const known = people.flatMap(({ id }) => rows.by('capacity', 'personId', id));
  const present = known.filter((one) => away.every(({ id }) => id !== one.personId));
  const capacity = known.length === 0 ? null : present.reduce((sum, one) => sum + one.minutes[weekdayOf(date) - 1]!, 0);
  return { off: weekdayOf(date) > 5 || holiday !== null, holiday, away, capacity };
}

/** Its holiday and who is away, in words. */
export const sayMarks = ({ holiday, away }: DayMarks): string[] => [
  ...(holiday === null ? [] : [holiday || t('calendar.dayOff')]),
  ...(away.length > 0 ? [t('calendar.away', { count: away.length, names: together(away.map(({ name }) => name)) })] : []),
];
