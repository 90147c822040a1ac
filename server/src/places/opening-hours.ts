import OpeningHours from 'opening_hours';

/** Whether opening hours of the OpenStreetMap syntax can be read. */
export function readsHours(text: string): boolean {
  try {
    return new OpeningHours(text, null) !== null;
  } catch {
    return false;
  }
}
