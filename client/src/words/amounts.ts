import { locale, t } from './index.ts';

/** Minutes as hours people read at a glance: "3.5", "0.7". */
export const sayHours = (minutes: number): string => new Intl.NumberFormat(locale(), { maximumFractionDigits: 1 }).format(minutes / 60);

/** Minutes as people say them: "45 min", "2 h", "1 h 15". */
export function sayDuration(minutes: number): string {
  const whole = Math.round(minutes);
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  if (hours === 0) return t('chip.effort', { minutes: rest });
  return rest === 0 ? t('amount.hours', { hours }) : t('amount.hoursMinutes', { hours, minutes: String(rest).padStart(2, '0') });
}

/** "3 of 7", "1 h 15 of 28 h": figure and band use the same measure. */
export const sayMeasure = ({ done, of, unit }: { done: number; of: number; unit: 'minutes' | 'count' }): string =>
  unit === 'minutes' ? t('common.of', { done: sayDuration(done), of: sayDuration(of) }) : t('common.of', { done, of });

/** Hours as people type them, with a point or a comma, nothing for none: in minutes, or null if that is no number of hours of a day. */
export function readHours(typed: string): number | null {
  const plain = typed.trim().replace(',', '.');
  if (plain === '') return 0;
  if (!/^\d{1,2}(\.\d{1,2})?$/.test(plain)) return null;
  const minutes = Math.round(Number(plain) * 60);
  return minutes <= 24 * 60 ? minutes : null;
}
