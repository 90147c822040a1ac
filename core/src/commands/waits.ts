import * as z from 'zod/mini';
import { isDone } from '../followup/standing.ts';
import { dependsOn } from '../followup/waiting.ts';
import { CalendarDate, Id, oneLine } from '../model/row-schema.ts';
import { calendarDateOf, isMoment } from '../time/clock.ts';
import type { CommandRequest } from './required-permissions.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { isEdge, MOST_DEPENDENCIES, MOST_DEPENDENTS } from './dependencies.ts';
import { needPerson } from './parts.ts';
import { refuse } from './reasons.ts';

const asksToMark = (item: string): CommandRequest[] => [{ permission: 'check', item }];
const itemOf = (wait: string, d: Deciding): string => d.need('wait', wait).itemId;

const todayOf = (d: Deciding): string => calendarDateOf(d.now, d.house.zone);

function refuseBadDay(askOn: string | null | undefined, d: Deciding): void {
  if (!askOn) return;
  if (!isMoment(askOn)) refuse('malformed', { value: askOn }, 'askOn');
  if (askOn < todayOf(d)) refuse('alarm-past', { at: askOn }, 'askOn');
}

/** Marks an item or a step as waiting, for somebody or something, with a day to ask again. */
export const setWait = commandKind({
  name: 'wait.set',
  payload: z.object({
    item: Id,
    /** What has to be done first; without it, words say what for. */
    on: z._default(z.nullable(Id), null),
    person: z._default(z.nullable(Id), null),
    words: z.optional(oneLine(200)),
    askOn: z._default(z.nullable(CalendarDate), null),
  }),
  asks: ({ item, on }, d) => [
    ...(hasOwnPart(item, d) ? [{ permission: 'self' as const, is: true }] : asksToMark(item)),
    ...(on === null ? [] : [{ permission: 'see' as const, item: on }]),
  ],
  decide({ item, on, person, words: given, askOn }, d) {
    d.need('item', item);
    const words = on === null ? (given ?? refuse('title-empty', {}, 'words')) : wordsOf(on, item, d);
    if (person !== null) needPerson(person, d, 'person');
    refuseBadDay(askOn, d);
    d.insert('wait', d.newId(), {
      itemId: item,
      makerId: d.actor.id,
      personId: person,
      onItemId: on,
      words,
      askOn,
      toldOn: null,
      since: d.now,
      endedAt: null,
      isFollowed: false,
    });
    d.enter('wait.set', { itemId: item }, { words });
  },
});

/** What it is called now; it can't be waited for twice, nor once it is done. */
function wordsOf(on: string, item: string, d: Deciding): string {
  const first = d.need('item', on);
  const held = d.by('wait', 'itemId', item).filter((wait) => wait.endedAt === null && dependsOn(wait) !== null);
  if (held.some((wait) => wait.onItemId === on)) refuse('waits-already', { title: first.title }, 'on');
  if (held.length >= MOST_DEPENDENCIES) refuse('too-many', { max: MOST_DEPENDENCIES }, 'on');
  if (d.by('wait', 'onItemId', on).filter(isEdge).length >= MOST_DEPENDENTS) refuse('too-many', { max: MOST_DEPENDENTS }, 'on');
  if (first.removedAt !== null || isDone(first, d.by('part', 'itemId', on))) refuse('wait-over', { title: first.title }, 'on');
  return first.title.slice(0, 200);
}

const hasOwnPart = (item: string, d: Deciding): boolean =>
  d.by('part', 'itemId', item).some((part) => part.personId === (d.actorOrNull?.id ?? '') && part.takenBackAt === null);

const mayChange = (wait: string, d: Deciding): CommandRequest[] =>
  d.find('wait', wait)?.makerId === d.actorOrNull?.id ? [{ permission: 'self', is: true }] : asksToMark(itemOf(wait, d));

/** Another day to ask again, or none. */
export const changeWait = commandKind({
  name: 'wait.change',
  payload: z.object({ wait: Id, askOn: z.nullable(CalendarDate) }),
  asks: ({ wait }, d) => mayChange(wait, d),
  decide({ wait, askOn }, d) {
    refuseBadDay(askOn, d);
    d.set('wait', wait, { askOn });
  },
});

/** It has come: the item goes on. */
export const endWait = commandKind({
  name: 'wait.end',
  payload: z.object({ wait: Id }),
  asks: ({ wait }, d) => mayChange(wait, d),
  decide({ wait: waitId }, d) {
    const wait = d.need('wait', waitId);
    if (wait.endedAt !== null) return;
    d.set('wait', waitId, { endedAt: d.now, isFollowed: false });
    d.enter('wait.end', { itemId: wait.itemId }, { words: wait.words });
  },
});

/** The day to ask again has come: told once to who set it. */
export const askAgain = commandKind({
  name: 'wait.askAgain',
  payload: z.object({ wait: Id }),
  asks: () => [{ permission: 'system' }],
  decide({ wait: waitId }, d) {
    const wait = d.find('wait', waitId);
    if (!wait || wait.endedAt !== null || wait.askOn === null || wait.toldOn === wait.askOn || wait.askOn > todayOf(d)) return;
    const item = d.need('item', wait.itemId);
    d.set('wait', waitId, { toldOn: wait.askOn });
    if (item.removedAt === null)
      d.notify(wait.makerId, 'ask-again', item.id, {
        title: item.title,
        words: wait.words,
        who: wait.personId ? (d.find('person', wait.personId)?.name ?? '') : '',
      });
  },
});
