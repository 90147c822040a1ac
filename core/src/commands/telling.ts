import * as z from 'zod/mini';
import { noticeChoicesId, TOPICS, USUAL_CHOICES, type NoticeChoices } from '../model/notice-choices.ts';
import { Topic } from '../model/notice-choices-schema.ts';
import { CalendarDate, Id, WallTime } from '../model/row-schema.ts';
import { agendaOf } from '../planning/agenda.ts';
import { calendarDateOf, wallClockOf } from '../time/clock.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';

const TOPIC_LIST = z.optional(z.array(Topic).check(z.maxLength(TOPICS.length)));

/** What one wants to be told of, and how; for oneself alone. What is left out stays as it was. */
export const chooseNotices = commandKind({
  name: 'notice.choose',
  payload: z.object({ bell: TOPIC_LIST, push: TOPIC_LIST, mail: TOPIC_LIST, lastCall: z.optional(z.nullable(WallTime)) }),
  asks: (_payload, d) => [{ permission: 'self', is: d.actorOrNull !== null }],
  decide({ bell, push, mail, lastCall }, d) {
    const choices = choicesOf(d.actor.id, d);
    // an hour that has passed today calls tomorrow for the first time
    const called = lastCall && lastCall <= hourOf(d) ? { calledOn: todayOf(d) } : {};
    d.set('noticeChoices', choices.id, { bell, push, mail, lastCall, ...called });
  },
});

function choicesOf(personId: string, d: Deciding): NoticeChoices {
  const id = noticeChoicesId(personId);
  return d.find('noticeChoices', id) ?? d.insert('noticeChoices', id, { personId, ...USUAL_CHOICES, calledOn: null });
}

/** The last call of a day: what is still open today, told once; nothing if all is done. */
export const callLast = commandKind({
  name: 'day.call',
  payload: z.object({ person: Id, date: CalendarDate }),
  asks: () => [{ permission: 'system' }],
  decide({ person: personId, date }, d) {
    const choices = d.find('noticeChoices', noticeChoicesId(personId));
    if (!choices || choices.lastCall === null || choices.calledOn === date) return;
    d.set('noticeChoices', choices.id, { calledOn: date });
    // a day that is over has nothing open any more: it was carried over
    if (date !== todayOf(d)) return;
    const open = agendaOf({ personId, now: d.now, house: d.house }, d).filter(({ where }) => where === 'today');
    if (open.length > 0) d.notify(personId, 'last-call', null, { count: open.length, titles: open.slice(0, 20).map(({ item }) => item.title) });
  },
});

const zoneOf = (d: Deciding): string => d.house.zone;
const todayOf = (d: Deciding): string => calendarDateOf(d.now, zoneOf(d));
const hourOf = (d: Deciding): string => wallClockOf(d.now, zoneOf(d)).slice(11, 16);
