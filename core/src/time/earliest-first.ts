/** Earliest first; of several at once, the one whose id comes first: so that every side has them in the same order. */
export function earliestFirst<T extends { at: string }>(found: T[], idOf: (one: T) => string): T[] {
  return found.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : idOf(a) < idOf(b) ? -1 : 1));
}
