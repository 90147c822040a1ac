/** "Friday 4 December, 17:00": a date for somebody who does not have the application. */
export function sayMomentPlainly(moment: string): string {
  const day = new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', weekday: 'long', day: 'numeric', month: 'long' }).format(
    new Date(`${moment.slice(0, 10)}T00:00:00Z`),
  );
  return moment.length > 10 ? `${day}, ${moment.slice(11, 16)}` : day;
}
