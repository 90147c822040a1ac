import { isFromAnother, openParts } from '../followup/standing.ts';
import type { Item } from '../model/item.ts';
import { withBelow } from '../reader/tree.ts';
import { giversOf } from './completion.ts';
import type { Deciding } from './deciding.ts';

/** So many entries in the calendar of one person are called off by one command. */
const MOST_CALLED_OFF = 50;

/**
 * Whoever was handed something, and whoever waits for it, hears that it is gone: once for all that goes at once. Somebody outside hears of
 * each, since each is an entry in their calendar.
 */
export function notifyRemoved(items: readonly Item[], d: Deciding): void {
  const gone = new Map<string, Item[]>();
  d.willAsk('part', 'itemId', items.map(({ id }) => id)); // prettier-ignore
  for (const item of items)
    for (const personId of concernedBy(item, d)) {
      const theirs = gone.get(personId);
      if (theirs) theirs.push(item);
      else gone.set(personId, [item]);
    }
  for (const [personId, theirs] of gone) {
    if (d.find('person', personId)?.accountId === null) {
      for (const { id, title } of theirs.slice(0, MOST_CALLED_OFF)) d.notify(personId, 'removed', id, { title });
    } else d.notify(personId, 'removed', null, { title: theirs[0]!.title, count: theirs.length - 1 });
  }
}

/** With everything under them. */
export const allWithBelow = (ids: readonly string[], d: Deciding): Item[] =>
  [...new Set(ids.flatMap((id) => [...withBelow(id, d)]))].map((id) => d.need('item', id));

/** Those who have it from another, and who gave it: nobody waits for what somebody took upon themselves. */
function concernedBy(item: Item, d: Deciding): Set<string> {
  const handed = openParts(d.by('part', 'itemId', item.id)).filter(isFromAnother);
  return handed.length === 0 ? new Set() : new Set([...handed.map(({ personId }) => personId!), ...giversOf(item, d)]);
}
