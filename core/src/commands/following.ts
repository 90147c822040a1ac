import * as z from 'zod/mini';
import { ITEM_TOPICS, LIST_TOPICS, GIVER_TOPICS, listWatchId, watchId } from '../model/following.ts';
import type { Item } from '../model/item.ts';
import type { Topic } from '../model/notice-choices.ts';
import type { Person } from '../model/person.ts';
import { isHere } from '../model/person.ts';
import type { NoticeKind } from '../model/notice-schema.ts';
import type { Params } from '../model/params-schema.ts';
import { Id } from '../model/row-schema.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { relationToList, relationsToItem } from '../access/relations.ts';
import { needPerson } from './parts.ts';
import { refuse } from './reasons.ts';

const FOLLOWING = {
  person: Id,
  on: z.boolean(),
  topics: z.optional(z.array(z.enum(LIST_TOPICS)).check(z.maxLength(LIST_TOPICS.length))),
};

/** Follows an item, or stops following; for somebody else, only what they can see. */
export const setWatch = commandKind({
  name: 'watch.set',
  payload: z.object({ item: Id, ...FOLLOWING, each: z._default(z.boolean(), false) }),
  asks: ({ item, person }, d) => {
    const me = d.actorOrNull?.id;
    if (person === me) return [{ permission: 'see', item }];
    const gave = d.by('part', 'itemId', item).some(({ giverId, originId, takenBackAt }) => takenBackAt === null && [giverId, originId].includes(me ?? ''));
    return [gave ? { permission: 'self', is: true } : { permission: 'change', item }];
  },
  decide({ item: itemId, person: personId, on, each, topics }, d) {
    const item = d.need('item', itemId);
    const person = on ? needPerson(personId, d, 'person') : d.need('person', personId);
    if (on && !sees(person, item, d)) refuse('cannot-open-list', { name: person.name }, 'person');
    const id = watchId(itemId, personId);
    const before = d.find('watch', id);
    const byId = on && !before?.on ? byOf(personId, d) : (before?.byId ?? null);
    if (before) d.set('watch', id, { on, each, topics, byId });
    else d.insert('watch', id, { itemId, personId, on, each, topics: topics ?? [...ITEM_TOPICS], byId });
    if (on && !before?.on) d.notify(personId, 'following', itemId, { title: item.title });
  },
});

/** Follows everything in a list, or stops; who may change things there may ask it of others who can open it. */
export const setListWatch = commandKind({
  name: 'listWatch.set',
  payload: z.object({ list: Id, ...FOLLOWING }),
  asks: ({ list, person }, d) => [{ permission: person === d.actorOrNull?.id ? 'see' : 'change', list }],
  decide({ list: listId, person: personId, on, topics }, d) {
    const list = d.need('list', listId);
    const person = on ? needPerson(personId, d, 'person') : d.need('person', personId);
    if (on && relationToList(listId, person, d) === null) refuse('cannot-open-list', { name: person.name }, 'person');
    const id = listWatchId(listId, personId);
    const before = d.find('listWatch', id);
    const byId = on && !before?.on ? byOf(personId, d) : (before?.byId ?? null);
    if (before) d.set('listWatch', id, { on, topics, byId });
    else d.insert('listWatch', id, { listId, personId, on, topics: topics ?? [...LIST_TOPICS], byId });
    if (on && !before?.on) d.notify(personId, 'following', null, { title: list.name, list: listId });
  },
});

const byOf = (personId: string, d: Deciding): string | null => (personId === d.actor.id ? null : d.actor.id);

const sees = (person: Person, item: Item, d: Deciding): boolean => relationsToItem(item, person, d).length > 0;

/** Whoever hears of that about an item: `usual`, who do so without following, unless they chose otherwise; and who follow it or its list. */
export function listeners(item: Item, topic: Topic, usual: Iterable<string>, d: Deciding): Set<string> {
  const chosen = new Map(d.by('watch', 'itemId', item.id).map(({ personId, on, topics }) => [personId, on ? topics : []]));
  const hear = new Set<string>();
  for (const personId of usual) if ((chosen.get(personId) ?? GIVER_TOPICS).includes(topic)) hear.add(personId);
  for (const [personId, topics] of chosen) if (topics.includes(topic) && stillSees(personId, item, d)) hear.add(personId);
  for (const { personId, topics } of listWatches(item.listId, d)) {
    // what was chosen of the one item goes before what was of its list
    if (!chosen.has(personId) && topics.includes(topic) && stillSees(personId, item, d)) hear.add(personId);
  }
  return hear;
}

const listWatches = (listId: string | null, d: Deciding) => (listId === null ? [] : d.by('listWatch', 'listId', listId).filter(({ on }) => on));

function stillSees(personId: string, item: Item, d: Deciding): boolean {
  const person = d.find('person', personId);
  return person !== undefined && isHere(person) && sees(person, item, d);
}

/** Tells those who follow of something, if this command hasn't told them of it in another way. */
export function notifyFollowers(item: Item, topic: Topic, kind: NoticeKind, params: Params, d: Deciding): void {
  for (const personId of listeners(item, topic, [], d)) if (!d.hasNotified(personId, item.id)) d.notify(personId, kind, item.id, params);
}

/** What came into a list, by one command and so into one: of several, one notice. Steps come with what they are steps of. */
export function notifyOfNew(items: readonly Item[], d: Deciding): void {
  const came = items.filter(({ parentId }) => parentId === null);
  const [any] = came;
  for (const { personId, topics } of listWatches(any?.listId ?? null, d)) {
    if (!topics.includes('new') || !stillSees(personId, any!, d)) continue;
    const news = came.filter(({ id }) => !d.hasNotified(personId, id));
    if (news.length > 0) d.notify(personId, 'added', ...saidOfNew(news, d));
  }
}

function saidOfNew([first, ...more]: Item[], d: Deciding): [itemId: string | null, Params] {
  const { id: list, name } = d.need('list', first!.listId!);
  if (more.length === 0) return [first!.id, { title: first!.title, in: name, count: 1 }];
  const titles = [first!, ...more].slice(0, 20).map(({ title }) => title);
  return [null, { title: name, in: name, list, count: 1 + more.length, titles }];
}
