import { locale } from './index.ts';

/** Making one takes a browser as long as a hundred uses of it. */
const made = new Map<string, Intl.DateTimeFormat>();

/** A date or local date-time as the options want it, in the reader's language. */
export function formatDate(date: string, options: Intl.DateTimeFormatOptions): string {
  const key = `${locale()} ${JSON.stringify(options)}`;
  let format = made.get(key);
  if (!format) made.set(key, (format = new Intl.DateTimeFormat(locale(), { timeZone: 'UTC', ...options })));
  return format.format(new Date(`${date.slice(0, 10)}T00:00:00Z`));
}
