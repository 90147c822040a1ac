/** Minutes since midnight as an hour: 13:07. Beyond midnight it begins anew. */
export function sayMinute(minute: number): string {
  const whole = Math.round(minute);
  return `${String(Math.floor(whole / 60) % 24).padStart(2, '0')}:${String(whole % 60).padStart(2, '0')}`;
}
