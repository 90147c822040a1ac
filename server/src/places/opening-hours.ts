import OpeningHours from 'opening_hours';

/** Whether opening hours of the OpenStreetMap syntax can be read. */
export function readsHours(text: string): boolean {
  return silently(() => {
    try {
      return new OpeningHours(text, null) !== null;
    } catch {
      return false;
    }
  });
}

/** The library prints what it thinks of what it reads: whoever types it would write into the log. */
function silently<T>(task: () => T): T {
  const { log, warn, error } = console;
  Object.assign(console, { log: quiet, warn: quiet, error: quiet });
  try {
    return task();
  } finally {
    Object.assign(console, { log, warn, error });
  }
}
const quiet = (): void => undefined;
