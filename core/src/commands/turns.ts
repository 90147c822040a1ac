import * as z from 'zod/mini';
import { Id, Moment } from '../model/row-schema.ts';
import type { Series } from '../model/series.ts';
import { itemsOf } from '../recurrence/chores.ts';
import { LONGEST_OFF } from '../recurrence/off-days.ts';
import { choresAhead, holderOf, type Ahead } from '../recurrence/whose-turn.ts';
import { addDays, calendarDateOf } from '../time/clock.ts';
import { assignNow, override, reassign } from './appearing.ts';
import { askToChange } from './chore-fields.ts';
import { needOpen, ONE } from './chores.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import type { CommandRequest } from './required-permissions.ts';
import { needPerson } from './parts.ts';
import { refuse } from './reasons.ts';

/** Turns that go otherwise than the chore has it, once. */

/** Of a chore somebody shares in, they give away or swap their own turn without asking who made it. */
export const asksForTurns = (turns: readonly { series: string; recurrenceId: string }[], d: Deciding): CommandRequest[] =>
  turns.some((one) => whoHas(one, d) === d.actorOrNull?.id)
    ? [{ permission: 'self', is: turns.every(({ series }) => d.need('series', series).personIds.includes(d.actorOrNull?.id ?? '')) }]
    : [...new Set(turns.map(({ series }) => series))].map((series) => askToChange(d.need('series', series), d));

/** Nobody says whose turn it is longer before. */
const MOST_DAYS_AHEAD = 400;

function whoHas({ series: seriesId, recurrenceId }: { series: string; recurrenceId: string }, d: Deciding): string | null {
  const item = itemsOf(seriesId, d).find((one) => one.recurrenceId === recurrenceId);
  if (item) return holderOf(item, d);
  const day = recurrenceId.slice(0, 10);
  const series = d.need('series', seriesId);
  const [today, begins] = [calendarDateOf(d.now, d.house.zone), series.dtstart.slice(0, 10)];
  if (day > addDays(begins > today ? begins : today, MOST_DAYS_AHEAD)) return null;
  const found = aheadWith(series, addDays(day, LONGEST_OFF), d).find((one) => one.series.id === seriesId && one.occurrence.recurrenceId === recurrenceId);
  return found?.assigned.personIds[0] ?? null;
}

/** What a chore's turns follow from: where they are fair, all that is fair; else its own. */
const aheadWith = (series: Series, until: string, d: Deciding): Ahead[] => {
  const fair = series.turn === 'fair';
  return d.once(`ahead ${fair ? 'fair' : series.id} ${until}`, () =>
    choresAhead(until, d, d.house, fair ? d.all('series').filter(({ turn }) => turn === 'fair') : [series]),
  );
};

/** Somebody else has this one. */
export function setTurn(one: { series: string; recurrenceId: string }, personId: string, countsFor: string | null, d: Deciding): void {
  const { series, occurrence, item } = needOpen(one, d);
  override(series, one.recurrenceId, { personId, countsFor }, d);
  if (item) reassign(item, assignNow(series, occurrence, d), d);
}

/** Gives one occurrence to somebody, once: it is their turn, and the queue goes on from there. */
export const giveTurnTo = commandKind({
  name: 'chore.giveTurn',
  payload: z.object({ ...ONE.shape, person: Id }),
  asks: (one, d) => asksForTurns([one], d),
  decide({ person, ...one }, d) {
    needPerson(person, d, 'person');
    setTurn(one, person, null, d);
  },
});

/** Two change places, once: the queue goes on as if they had not. */
export const swapTurns = commandKind({
  name: 'chore.swap',
  payload: z.object({ series: Id, one: Moment, other: Moment }),
  asks: ({ series, one, other }, d) =>
    asksForTurns(
      [one, other].map((recurrenceId) => ({ series, recurrenceId })),
      d,
    ),
  decide({ series, one, other }, d) {
    const [first, second] = [one, other].map((recurrenceId) => ({ series, recurrenceId })) as [z.infer<typeof ONE>, z.infer<typeof ONE>];
    const [mine, theirs] = [whoHas(first, d), whoHas(second, d)];
    if (mine === null || theirs === null || mine === theirs) refuse('not-to-come', { title: d.need('series', series).title });
    setTurn(first, theirs, mine, d);
    setTurn(second, mine, theirs, d);
  },
});
