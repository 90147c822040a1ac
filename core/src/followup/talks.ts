import type { Matter, MeetingNote, Talk } from '../model/talk.ts';
import { addDays, wallClockOf, weekdayOf } from '../time/clock.ts';

/** The next time of a regular talk, wall-clock: today's as long as its hour has not passed. */
export function nextTalk({ weekday, time }: Pick<Talk, 'weekday' | 'time'>, now: string, zone: string): string {
  const [today, hour] = wallClockOf(now, zone).split('T') as [string, string];
  const ahead = (weekday - weekdayOf(today) + 7) % 7;
  const days = ahead === 0 && hour > time ? 7 : ahead;
  return `${addDays(today, days)}T${time}`;
}

/** What one has to talk about with somebody, the oldest first; what the other shared with one comes along. */
export function agendaWith(me: string, person: string, matters: readonly Matter[]): Matter[] {
  return matters
    .filter(({ settledAt, removedAt }) => settledAt === null && removedAt === null)
    .filter(({ makerId, personId, shared }) => (makerId === me && personId === person) || (shared && makerId === person && personId === me))
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1));
}

/** The notes of talks somebody was in, the newest first. */
export const notesWith = (person: string, notes: readonly MeetingNote[]): MeetingNote[] =>
  notes
    .filter((note) => note.removedAt === null && (note.personIds.includes(person) || note.makerId === person))
    .sort((a, b) => (a.date < b.date ? 1 : a.date > b.date ? -1 : a.id < b.id ? 1 : -1));
