import * as z from 'zod/mini';
import { NUDGES_BEFORE_ASKING } from '../followup/groups.ts';
import { afterQuiet, quietOf } from '../followup/quiet.ts';
import { WINDOW_MS } from '../followup/nudging.ts';
import { nudgeOf } from '../followup/nudge-batches.ts';
import { openParts } from '../followup/standing.ts';
import type { Part } from '../model/part.ts';
import { Rest } from '../model/person-schema.ts';
import { Id, Instant, Text } from '../model/row-schema.ts';
import { epochOf, instantOf } from '../time/clock.ts';
import { actsAsGiver } from './standing-in.ts';
import { say } from './thread.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { needPerson, partId } from './parts.ts';
import { refuse } from './reasons.ts';

/** By hand, once an hour for each part. */
const HOUR_MS = 3_600_000;

/** The clocks of a device and the server differ by less: what was asked that little later was asked just now. */
const CLOCKS_MS = 60_000;

/** Asks people kindly how it is going, with a word if wanted. In their quiet hours it waits for the end of them, and that is said. */
export const nudge = commandKind({
  name: 'part.nudge',
  payload: z.object({ item: Id, persons: z.array(Id).check(z.minLength(1), z.maxLength(60)), words: z._default(Text, '') }),
  asks: ({ item, persons }, d) => {
    const parts = persons.map((person) => d.find('part', partId(item, person)));
    // who stands in for the giver asks in their place
    const stands = d.actorOrNull !== null && parts.every((part) => ![part?.giverId, part?.originId].includes(d.actorOrNull!.id) && actsAsGiver(part, d));
    return [stands ? { permission: 'self', is: true } : { permission: 'change', item }];
  },
  decide({ item: itemId, persons, words }, d) {
    const item = d.need('item', itemId);
    const open = openParts(d.by('part', 'itemId', itemId));
    for (const personId of persons) {
      const person = needPerson(personId, d);
      const part = open.find((one) => one.personId === personId);
      if (!part || personId === d.actor.id) refuse('nothing-to-nudge', { name: person.name }, 'persons');
      const asked = part.nudgedByHandAt;
      const ago = asked === null ? HOUR_MS : epochOf(d.now) - epochOf(asked);
      // asked already, and waiting for the person's quiet to end: it waits on
      if (asked !== null && ago < -CLOCKS_MS) {
        d.note('nudge-waits', { name: person.name, until: asked });
        continue;
      }
      if (ago < HOUR_MS) refuse('nudged-already', { name: person.name, minutes: Math.ceil((HOUR_MS - Math.max(0, ago)) / 60_000) }, 'persons');
      const at = afterQuiet(d.now, quietOf(person, d.by('timeAway', 'personId', personId)), d.house.zone) ?? d.now;
      d.set('part', part.id, { nudgedByHandAt: at });
      if (words.trim()) say(item, part, words.trim(), 'comment', 'pair', d);
      if (at > d.now) d.note('nudge-waits', { name: person.name, until: at });
      else {
        countNudge(part, d);
        d.notify(personId, 'nudge', itemId, { title: item.title, text: words.trim(), late: false });
      }
    }
    d.enter('part.nudge', { itemId }, { to: persons.map((id) => d.find('person', id)?.name ?? '') });
  },
});

/**
 * One round of nudges to one person, by the clock of the house. What has been answered meanwhile is left out, so that a round may be
 * tried again at any time; several things are told as one.
 */
export const sendNudges = commandKind({
  name: 'nudge.send',
  payload: z.object({ person: Id, parts: z.array(Id).check(z.minLength(1), z.maxLength(500)), at: Instant }),
  asks: () => [{ permission: 'system' }],
  decide({ person: personId, parts, at }, d) {
    const house = d.house;
    const until = instantOf(epochOf(d.now) + WINDOW_MS);
    const due = parts
      .map((id) => d.find('part', id))
      .filter((part): part is Part => {
        const next = part ? nudgeOf(part, house, d) : null;
        return next !== null && next.at <= until;
      });
    if (due.length === 0) return;
    const titles = due.map((part) => d.need('item', part.itemId).title);
    // so much after its time that it would seem odd without a word
    const late = epochOf(d.now) - epochOf(at) > HOUR_MS;
    for (const part of due) {
      countNudge(part, d);
      d.enter('nudge.send', { itemId: part.itemId }, { to: [d.find('person', personId)?.name ?? ''] });
    }
    if (due.length === 1) d.notify(personId, 'nudge', due[0]!.itemId, { title: titles[0]!, text: '', late });
    else d.notify(personId, 'nudges', null, { titles, count: titles.length, late });
    for (const part of due) tellGiverInVain(part, d);
  },
});

const countNudge = (part: Part, d: Deciding): void => void d.set('part', part.id, { nudgedAt: d.now, unanswered: part.unanswered + 1 });

/** After the third in vain nudging stops, and the giver is asked. */
function tellGiverInVain(part: Part, d: Deciding): void {
  if (part.unanswered + 1 < NUDGES_BEFORE_ASKING) return;
  const item = d.need('item', part.itemId);
  d.notify(part.giverId, 'no-answer', item.id, { title: item.title, who: d.find('person', part.personId!)?.name ?? '' });
}

/** When somebody is left in peace: their own to say, or a manager's. */
export const setRest = commandKind({
  name: 'person.setRest',
  payload: z.object({ person: Id, rest: Rest }),
  asks: ({ person }, d) => [person === d.actorOrNull?.id ? { permission: 'self', is: true } : { permission: 'manage' }],
  decide({ person, rest }, d) {
    needPerson(person, d, 'person');
    d.set('person', person, { rest: { ...rest, daysOff: [...new Set(rest.daysOff)].sort() } });
  },
});
