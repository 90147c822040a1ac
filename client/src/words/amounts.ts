import { locale } from './index.ts';

/** Minutes as hours people read at a glance: "3.5", "0.7". */
export const sayHours = (minutes: number): string => new Intl.NumberFormat(locale(), { maximumFractionDigits: 1 }).format(minutes / 60);

/** Hours as people type them, with a point or a comma, nothing for none: in minutes, or null if that is no number of hours of a day. */
export function readHours(typed: string): number | null {
  const plain = typed.trim().replace(',', '.');
  if (plain === '') return 0;
  if (!/^\d{1,2}(\.\d{1,2})?$/.test(plain)) return null;
  const minutes = Math.round(Number(plain) * 60);
  return minutes <= 24 * 60 ? minutes : null;
}
