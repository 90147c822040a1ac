import {
  countingParts,
  relationToList,
  relationsToItem,
  GIVER_TOPICS,
  isHere,
  ITEM_TOPICS,
  LIST_TOPICS,
  listWatchId,
  watchId,
  type Item,
  type List,
  type ListWatch,
  type Person,
  type Topic,
  type Watch,
} from '@kotiva/core';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';

/** What is followed: one item, or everything in a list. */
export type Followed = { item: Item; list?: undefined } | { list: List; item?: undefined };

export interface Following {
  /** What can be heard of it. */
  topics: readonly Topic[];
  /** What I hear of; empty: I don't follow it. */
  mine: readonly Topic[];
  /** Of each part, too. */
  each: boolean;
  /** Who else follows it. */
  others: (Watch | ListWatch)[];
  /** Who could be asked to. */
  askable: Person[];
  /** Whoever made me follow it, if I still do. */
  askedBy: string | null;
  follow: (personId: string, topics: readonly Topic[], words: string, each?: boolean) => void;
}

/** Who follows something, and the ways to change it. */
export function useFollowing({ item, list }: Followed): Following {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const watches = item ? rows.by('watch', 'itemId', item.id) : rows.by('listWatch', 'listId', list.id);
  const own = item ? rows.find('watch', watchId(item.id, me.id)) : rows.find('listWatch', listWatchId(list.id, me.id));
  const mineIs = own ?? null;
  const isStillHere = (id: string) => {
    const person = rows.find('person', id);
    return person !== undefined && isHere(person);
  };
  const others = watches.filter(({ on, personId }) => on && personId !== me.id && isStillHere(personId));
  const canSee = (person: Person) => (item ? relationsToItem(item, person, rows).length > 0 : relationToList(list.id, person, rows) !== null);
  // who has it hears of it
  const has = (id: string) => item !== undefined && countingParts(rows.by('part', 'itemId', item.id)).some(({ personId }) => personId === id);
  const askable = rows
    .all('person')
    .filter((person) => isHere(person) && person.id !== me.id && (person.accountId ?? person.email) && canSee(person))
    .filter(({ id }) => !others.some(({ personId }) => personId === id) && !has(id));
  return {
    topics: item ? ITEM_TOPICS : LIST_TOPICS,
    mine: mineIs ? (mineIs.on ? mineIs.topics : []) : item && gaveAway(item) ? GIVER_TOPICS : [],
    each: mineIs !== null && 'each' in mineIs && mineIs.on && mineIs.each,
    others,
    askable,
    askedBy: mineIs?.on ? mineIs.byId : null,
    follow(personId, topics, words, each = false) {
      const chosen = { person: personId, on: topics.length > 0, ...(topics.length > 0 ? { topics: [...topics] as (typeof LIST_TOPICS)[number][] } : {}) };
      if (item) submit('watch.set', { item: item.id, ...chosen, each }, { words, undo: true });
      else submit('listWatch.set', { list: list.id, ...chosen }, { words, undo: true });
    },
  };

  function gaveAway({ id }: Item): boolean {
    return rows.by('part', 'itemId', id).some((part) => part.takenBackAt === null && part.personId !== me.id && [part.giverId, part.originId].includes(me.id));
  }
}
