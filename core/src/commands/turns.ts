import * as z from 'zod/mini';
import { Id, Moment } from '../model/row.ts';
import { itemsOf } from '../recurrence/chores.ts';
import { LONGEST_OFF } from '../recurrence/off-days.ts';
import { choresAhead, holderOf } from '../recurrence/whose-turn.ts';
import { addDays } from '../time/clock.ts';
import { assignNow, houseOf, override, reassign } from './appearing.ts';
import { askToChange, needOpen, ONE } from './chores.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import type { Ask } from './may.ts';
import { needPerson } from './parts.ts';
import { refuse } from './reasons.ts';

/** Turns that go otherwise than the chore has it, once. */

/** Of a chore somebody shares in, they give away or swap their own turn without asking who made it. */
export const asksForTurns = (turns: readonly { series: string; recurrenceId: string }[], d: Deciding): Ask[] =>
  turns.some((one) => whoHas(one, d) === d.actorOrNull?.id)
    ? [{ deed: 'self', is: turns.every(({ series }) => d.need('series', series).personIds.includes(d.actorOrNull?.id ?? '')) }]
    : [...new Set(turns.map(({ series }) => series))].map((series) => askToChange(d.need('series', series), d));

function whoHas({ series: seriesId, recurrenceId }: { series: string; recurrenceId: string }, d: Deciding): string | null {
  const item = itemsOf(seriesId, d).find((one) => one.recurrenceId === recurrenceId);
  if (item) return holderOf(item, d);
  const until = addDays(recurrenceId.slice(0, 10), LONGEST_OFF);
  return (
    choresAhead(until, d, houseOf(d)).find((one) => one.series.id === seriesId && one.occurrence.recurrenceId === recurrenceId)?.assigned.personIds[0] ?? null
  );
}

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
