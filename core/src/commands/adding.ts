import * as z from 'zod/mini';
import { countingParts } from '../followup/standing.ts';
import { MOST_ALARMS } from '../model/alarm.ts';
import { Trigger } from '../model/alarm-schema.ts';
import type { Item } from '../model/item.ts';
import { Policy } from '../model/nature-schema.ts';
import { SaidRule } from '../model/series-schema.ts';
import { Id, Moment, Text, Title } from '../model/row-schema.ts';
import { addAlarm } from './alarms.ts';
import { completePart } from './checking.ts';
import type { Deciding } from './deciding.ts';
import { contextOf, DATES, NATURE, noteIfPast, refuseBadDates } from './item-fields.ts';
import { insertItem } from './inserting.ts';
import { notifyOfNew } from './following.ts';
import { commandKind } from './kind.ts';
import { givePart, needPerson, settleNobody } from './parts.ts';
import { refuse } from './reasons.ts';
import { appearFirst, insertSeries, refuseBadRule } from './appearing.ts';
import { CHORE_STEPS } from '../recurrence/chore-bounds.ts';
import { occurrences } from '../recurrence/occurrences.ts';
import { formatRRule, isOfClock, parseRRule } from '../recurrence/rrule.ts';
import { inEveryMonth } from '../recurrence/short-months.ts';
import { addDays, wallClockOf } from '../time/clock.ts';
import { askForContainer, NEIGHBOURS, putBeside, CONTAINER, containerOf, type Container } from './container.ts';

const NEW_ITEM = {
  title: Title,
  notes: z.optional(Text),
  /** Handed over in the same action. */
  persons: z._default(z.array(Id).check(z.maxLength(60)), []),
  policy: z.optional(Policy),
  confirm: z.optional(z.boolean()),
  message: z._default(Text, ''),
  /** The note of one's own it comes of. */
  note: z.optional(z.nullable(Id)),
  /** Reminders, for who it is handed to, else for its maker. */
  alarms: z._default(z.array(Trigger).check(z.maxLength(MOST_ALARMS)), []),
  /** The day the next step is meant to be taken: by who it is handed to, else by its maker. */
  plan: z.optional(z.nullable(Moment)),
  /** It comes back: the item is the first of a chore. */
  rule: z.optional(z.nullable(SaidRule)),
  ...DATES,
  ...NATURE,
};
type NewItem = z.infer<z.ZodMiniObject<typeof NEW_ITEM>>;

function addOne({ rule, ...fields }: NewItem, spot: Container, d: Deciding): Item {
  return rule ? addFirst({ ...fields, rule }, spot, d) : addPlain(fields, spot, d);
}

/** What is said to come back: a chore, and the first of it. */
function addFirst({ rule, persons, tags, situations, place, plan, ...fields }: NewItem & { rule: SaidRule }, spot: Container, d: Deciding): Item {
  if (spot.parentId !== null) refuse('step-recurs', { title: fields.title }, 'rule');
  const now = wallClockOf(d.now, d.house.zone);
  const day = fields.start ?? fields.due ?? plan ?? null;
  const time = rule.time ?? (day !== null && day.length > 10 ? day.slice(11) : null);
  const from = `${(day ?? now).slice(0, 10)}${time === null ? '' : `T${time}`}`;
  const rrule = asMeant(rule, from, d);
  const dtstart = day === null && time !== null && from < now ? firstToCome(rrule, from, now, d) : from;
  const context = contextOf({ tags, situations, place }, d);
  const series = insertSeries(d, {
    ...spot,
    ...context,
    title: fields.title,
    notes: fields.notes,
    importance: fields.importance,
    effort: fields.effort,
    energy: fields.energy,
    dayPart: fields.dayPart,
    policy: fields.policy,
    confirm: fields.confirm,
    wanted: fields.wanted,
    alarms: fields.alarms,
    rrule,
    afterDone: rule.afterDone,
    dtstart,
    personIds: persons.map((id) => needPerson(id, d).id),
  });
  const item = appearFirst(series, d);
  if (series.missed === 'keep') d.note('each-is-kept', { title: series.title });
  d.enter('chore.make', { itemId: item.id }, {});
  return d.need('item', item.id);
}

/** Where no day was said and today's hour has passed, the next after it, as an hour alone means tomorrow's: nothing is late as it is made. */
function firstToCome(rrule: string | null, from: string, now: string, d: Deciding): string {
  if (rrule === null) return `${addDays(from.slice(0, 10), 1)}${from.slice(10)}`;
  // “every 3 days” counts from its first, which is the next day that fits, not the third
  const rule = parseRRule(rrule);
  const closest = isOfClock(rule.freq) ? rrule : formatRRule({ ...rule, interval: 1 });
  const [next] = occurrences({ rrule: closest, dtstart: from, zone: d.house.zone }, { after: now, limit: 1, maxSteps: CHORE_STEPS });
  return next?.recurrenceId ?? from;
}

function asMeant({ rrule, afterDone }: SaidRule, dtstart: string, d: Deciding): string | null {
  if (rrule === null) return null;
  refuseBadRule({ rrule, afterDone, dtstart }, d);
  return inEveryMonth(rrule, dtstart);
}

function addPlain({ persons, message, plan, alarms, note, tags, situations, place, ...fields }: Omit<NewItem, 'rule'>, spot: Container, d: Deciding): Item {
  refuseBadDates(fields.due ?? null, fields.start ?? null, plan ?? null);
  const people = persons.map((id) => needPerson(id, d));
  if (note && d.need('meetingNote', note).makerId !== d.actor.id) refuse('not-yours');
  const item = insertItem(d, { ...fields, noteId: note ?? null, ...contextOf({ tags, situations, place }, d), ...spot, makerId: d.actor.id });
  // planned at once, it is the maker's; handed over, the day goes along as a proposal
  const holders = plan && people.length === 0 ? [d.actor] : people;
  for (const person of holders) {
    const part = givePart(item.id, person, d, message.trim(), d.actor.id);
    if (plan) d.set('part', part.id, { plan, planGiverId: person.id === d.actor.id ? null : d.actor.id });
    d.notify(person.id, 'handed', item.id, { title: item.title, message: message.trim() });
  }
  settleNobody(item.id, d);
  for (const trigger of alarms) for (const person of people.length > 0 ? people : [d.actor]) addAlarm(item.id, person.id, trigger, d);
  noteIfPast(fields.due, d);
  if (plan && fields.due && plan.slice(0, 10) > fields.due.slice(0, 10)) d.note('plan-after-due', { plan, due: fields.due });
  d.enter('item.add', { itemId: item.id }, people.length > 0 ? { to: people.map((person) => person.name) } : {});
  return item;
}

export const addItem = commandKind({
  name: 'item.add',
  payload: z.object({ ...NEW_ITEM, ...CONTAINER, ...NEIGHBOURS }),
  asks: (payload) => [askForContainer(payload)],
  decide({ list, section, parent, after, before, ...fields }, d) {
    const spot = containerOf({ list, section, parent }, d);
    const item = addOne(fields, spot, d);
    if (after !== undefined || before !== undefined) putBeside(item.id, spot, { after, before }, d);
    notifyOfNew([item], d);
  },
});

/** Lines that come back, at once. */
const MOST_RULES = 100;

/** Several at once, with their steps: one action, one undo. `under` names an earlier one of the same command by its place, from 0. */
export const addItems = commandKind({
  name: 'item.addMany',
  payload: z.object({
    ...CONTAINER,
    items: z
      .array(z.object({ ...NEW_ITEM, under: z.optional(z.nullable(z.int().check(z.gte(0)))), ticked: z._default(z.boolean(), false) }))
      .check(z.minLength(1), z.maxLength(500)),
  }),
  asks: (payload) => [askForContainer(payload)],
  decide({ list, section, parent, items }, d) {
    // each is worked out by its rule before it is made
    if (items.filter(({ rule }) => rule).length > MOST_RULES) refuse('too-many-chores', { max: MOST_RULES }, 'items');
    const spot = containerOf({ list, section, parent }, d);
    const made: Item[] = [];
    for (const [nth, { under, ticked, ...fields }] of items.entries()) {
      const above = under === undefined || under === null ? null : (made[under] ?? refuse('malformed', { field: 'under' }, `items.${nth}.under`));
      const item = addOne(fields, above ? { ...spot, parentId: above.id } : spot, d);
      made.push(item);
      if (ticked) for (const part of countingParts(d.by('part', 'itemId', item.id))) completePart(item, part, d);
    }
    notifyOfNew(made, d);
  },
});
