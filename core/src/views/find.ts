import type { Item } from '../model/item.ts';
import type { Place } from '../model/place.ts';

/** Small letters without marks: "Ääni" is found by "aani", and by "ÄÄNI". */
export const folded = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/**
 * Items in which every word occurs, in title or notes; those whose title begins with what was typed first, then by title.
 * Nothing typed finds nothing.
 */
export function findItems(typed: string, items: readonly Item[]): Item[] {
  const whole = folded(typed.trim());
  const words = whole.split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const found = items.flatMap((item) => {
    const title = folded(item.title);
    const text = `${title} ${folded(item.notes)}`;
    return !item.removedAt && words.every((word) => text.includes(word)) ? [{ item, title, begins: title.startsWith(whole) }] : [];
  });
  found.sort((a, b) => Number(b.begins) - Number(a.begins) || (a.title < b.title ? -1 : a.title > b.title ? 1 : 0));
  return found.map(({ item }) => item);
}

/** Places in whose name or address every word occurs, by name. */
export function findPlaces(typed: string, places: readonly Place[]): Place[] {
  const words = folded(typed.trim()).split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const fits = ({ name, address, removedAt }: Place) => removedAt === null && words.every((word) => folded(`${name} ${address}`).includes(word));
  return places.filter(fits).sort((a, b) => a.name.localeCompare(b.name));
}
