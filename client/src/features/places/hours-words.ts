import { DAY_CODES, plainHours, type DayCode } from '@kotiva/core';
import { t } from '@/words';
import { sayHour } from '@/words/customs.ts';
import { sayWeekday } from '@/words/dates.ts';

/** A day of the week as it is called. */
export const sayDayCode = (code: DayCode): string => sayWeekday(DAY_CODES.indexOf(code) + 1);

/** Opening hours as lines; what says more than plain ones stands as it was written. */
export function sayHours(text: string): string[] {
  const rows = plainHours(text);
  if (rows === null) return text.split(';').map((rule) => rule.trim());
  return rows.map(({ days, from, to }) => t('hours.line', { days: sayDays(days), from: sayHour(from), to: sayHour(to) }));
}

function sayDays(days: readonly DayCode[]): string {
  const first = DAY_CODES.indexOf(days[0]!);
  const isRun = days.length > 2 && days.every((day, nth) => DAY_CODES.indexOf(day) === first + nth);
  return isRun ? t('hours.run', { from: sayDayCode(days[0]!), to: sayDayCode(days.at(-1)!) }) : days.map(sayDayCode).join(', ');
}
