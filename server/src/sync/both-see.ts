import type { Noun, Person, Reader, Row } from '@kotiva/core';
import { Visibility } from './visibility.ts';

/**
 * What a manager is shown who looks at what somebody else sees: what both of them may read, as both of them may read it. Nouns that are
 * not here are nobody's but their person's (notices, slots, order, reminders, talks), or say nothing of what stands before them.
 */
const OF_HOUSE = ['house', 'person', 'list', 'share', 'section', 'tag', 'place'] as const satisfies readonly Noun[];
const OF_ITEM = ['part', 'wait'] as const satisfies readonly Noun[];

/** Open items looked at; of more it is said that there are. */
export const MOST_LOOKED_AT = 5_000;

interface BothSeen {
  put: { noun: Noun; row: Row }[];
  /** There are more open items than were looked at. */
  more: boolean;
}

/** `openItems`: ids of what somebody has still to do with. Pauses after each, so that others have their turn. */
export function* bothSee(rows: Reader, manager: Person, person: Person, openItems: readonly string[]): Generator<void, BothSeen> {
  const [ofManager, ofPerson] = [new Visibility(rows, manager), new Visibility(rows, person)];
  const put: BothSeen['put'] = [];
  const take = <N extends Noun>(noun: N, row: Row<N>): boolean => {
    if (!ofManager.sees(noun, row) || !ofPerson.sees(noun, row)) return false;
    put.push({ noun, row: ofPerson.shown(noun, ofManager.shown(noun, row)) });
    return true;
  };
  for (const noun of OF_HOUSE) {
    for (const row of rows.all(noun)) take(noun, row);
    yield;
  }
  for (const itemId of openItems.slice(0, MOST_LOOKED_AT)) {
    const item = rows.find('item', itemId);
    if (item !== undefined && take('item', item)) for (const noun of OF_ITEM) for (const row of rows.by(noun, 'itemId', itemId)) take(noun, row);
    yield;
  }
  return { put, more: openItems.length > MOST_LOOKED_AT };
}
