import { v5 } from 'uuid';
import { isDone } from '../followup/standing.ts';
import type { Trigger } from '../model/alarm.ts';
import type { Item, Turn } from '../model/item.ts';
import { USUAL_NATURE } from '../model/nature.ts';
import { natureOf } from '../model/nature-schema.ts';
import { isHere, type Person } from '../model/person.ts';
import { seesPlace } from '../model/place.ts';
import type { Standing } from '../model/part.ts';
import { occurrenceItemId, overrideId, type Override, type Series } from '../model/series.ts';
import { beginningOf, isWithdrawn, itemsOf, madeOf, nextToMake, standsElsewhere } from '../recurrence/chores.ts';
import { CHORE_STEPS, choreFault, LONGEST_GAP_DAYS, MOST_TIMES } from '../recurrence/chore-bounds.ts';
import { neverOccurs, type Occurrence } from '../recurrence/occurrences.ts';
import { BadRule } from '../recurrence/rrule.ts';
import { TooCostly } from '../recurrence/steps.ts';
import { eachCounts } from '../recurrence/must-each.ts';
import { chainOf } from '../recurrence/keeping.ts';
import { Presence } from '../recurrence/presence.ts';
import { assign, carriedSoFar, queueOf, type Assigned } from '../recurrence/whose-turn.ts';
import { choreFileId } from '../model/attachment.ts';
import { addAlarm } from './alarms.ts';
import { layOutTemplate } from './laying-templates.ts';
import { insertCopy } from './copied-files.ts';
import type { Deciding } from './deciding.ts';
import { copyFieldValues } from './fields.ts';
import { insertItem } from './inserting.ts';
import { relationsToItem } from '../access/relations.ts';
import { addDays } from '../time/clock.ts';
import { FRESH, makePart, notifyTakenBack, partId, settleNobody } from './parts.ts';
import { refuse } from './reasons.ts';
import { removeWhole } from './removing.ts';

/** How the occurrences of a chore become items, and cease to be. */

/** A chore as it is when it is made; what is left out is as usual. Refuses a rule that can't be, or never occurs. */
export function insertSeries(
  d: Deciding,
  fields: Pick<Series, 'listId' | 'sectionId' | 'title' | 'rrule' | 'afterDone' | 'dtstart'> & Partial<Series>,
): Series {
  const given = Object.fromEntries(Object.entries(fields).filter(([field, value]) => value !== undefined && field !== 'parentId')) as typeof fields;
  refuseBadRule(given, d);
  return d.insert('series', d.newId(), {
    ...USUAL_NATURE,
    makerId: d.actor.id,
    policy: (fields.personIds?.length ?? 0) > 1 ? 'each' : 'any',
    steps: [],
    fileIds: [],
    templateId: null,
    filling: null,
    alarms: [],
    offDay: 'keep',
    missed: eachCounts(given.title, tagNames(given.tagIds ?? [], d)) ? 'keep' : 'roll',
    whenDone: false,
    turn: 'fixed',
    personIds: [],
    followsId: null,
    endsBefore: null,
    createdAt: d.now,
    ...given,
  });
}

const tagNames = (ids: readonly string[], d: Deciding): string[] => ids.map((id) => d.find('tag', id)?.name ?? '');

export function refuseBadRule({ rrule, afterDone, dtstart }: Pick<Series, 'rrule' | 'afterDone' | 'dtstart'>, d: Deciding): void {
  if ((rrule === null) === (afterDone === null)) refuse('malformed', { field: 'rrule' }, 'rrule');
  try {
    const fault = choreFault({ rrule, afterDone });
    if (fault) refuse(fault, { max: MOST_TIMES }, rrule === null ? 'afterDone' : 'rrule');
    const window = { before: addDays(dtstart.slice(0, 10), LONGEST_GAP_DAYS), maxSteps: CHORE_STEPS };
    if (rrule !== null && neverOccurs({ rrule, dtstart, zone: d.house.zone }, window)) refuse('never-occurs', {}, 'rrule');
  } catch (error) {
    if (error instanceof BadRule) refuse('bad-rule', { says: error.message }, 'rrule');
    if (error instanceof TooCostly) refuse('rule-too-costly', {}, 'rrule');
    throw error;
  }
}

/** The one a chore begins with. */
export const firstOf = (series: Series, d: Deciding): Occurrence => beginningOf(series, d.now, d.house, d) ?? refuse('never-occurs', {}, 'rrule');

/** The first one, at once: there is nothing before it to wait for. */
export const appearFirst = (series: Series, d: Deciding): Item => appear(series, firstOf(series, d), d);

/** The item an occurrence is: made now, unless it has been. */
export function appear(series: Series, occurrence: Occurrence, d: Deciding): Item {
  const elsewhere = standsElsewhere(series, occurrence.recurrenceId, d);
  if (elsewhere) return elsewhere;
  const known = itemsOf(series.id, d).find((item) => item.recurrenceId === occurrence.recurrenceId);
  if (known && !isWithdrawn(known, d)) return known;
  const { personIds, turn } = assignNow(series, occurrence, d);
  const item = layOut(series, occurrence, turn, known, d);
  for (const personId of personIds) giveTurn(item.id, personId, turn, series, d);
  settleNobody(item.id, d);
  layOutSteps(item, series, d);
  layOutFiles(item, series, d);
  layOutTemplate(item, series, d);
  if (!known) layOutFields(item, series, d);
  if (!known) setAlarms(item, personIds, series, d);
  if (series.missed === 'roll') missEarlier(item, d);
  return item;
}

/** `carried`: as it stands, of whoever assigns many and keeps count. */
export const assignNow = (series: Series, occurrence: Occurrence, d: Deciding, carried = () => carriedSoFar(d)): Assigned =>
  assign(series, occurrence, queueOf(series, d, occurrence.recurrenceId), carried, new Presence(d, d.house), d.by('override', 'seriesId', series.id));

function layOut(series: Series, { recurrenceId, at }: Occurrence, turn: Turn, withdrawn: Item | undefined, d: Deciding): Item {
  const { id: seriesId, listId, sectionId, makerId, title } = series;
  const fields = { ...natureOf(series), title, listId, sectionId, parentId: null, makerId, due: at, seriesId, recurrenceId, turn };
  if (!withdrawn) return insertItem(d, fields, occurrenceItemId(series.id, recurrenceId));
  for (const part of d.by('part', 'itemId', withdrawn.id)) d.set('part', part.id, { ...FRESH, takenBackAt: part.personId === null ? null : d.now });
  return d.set('item', withdrawn.id, { ...fields, removedAt: null, missedAt: null, purgedAt: null, start: null, createdAt: d.now });
}

/** Its own, since it came to be theirs by the chore; the giver is who made that. A chore is taken once: a turn given by hand is asked anew. */
function giveTurn(itemId: string, personId: string, turn: Turn, series: Series, d: Deciding): void {
  const own = personId === series.makerId;
  const taken = own || (turn.kind !== 'given' && hasTaken(personId, series, d));
  const given = {
    ...FRESH,
    standing: taken ? ('accepted' as const) : FRESH.standing,
    seenAt: own ? d.now : null,
    giverId: series.makerId,
    originId: series.makerId,
    givenAt: d.now,
  };
  const id = partId(itemId, personId);
  if (d.find('part', id)) d.set('part', id, given);
  else makePart(itemId, personId, d, given);
}

/** Their last answer to one of this chore, or of one it goes on from, was yes. */
function hasTaken(personId: string, series: Series, d: Deciding): boolean {
  const items = chainOf(series, d).flatMap((one) => itemsOf(one.id, d));
  for (const item of items.slice(-LOOKED_BACK).reverse()) {
    const standing = d.find('part', partId(item.id, personId))?.standing ?? 'needs-action';
    if (standing !== 'needs-action') return TAKEN.has(standing);
  }
  return false;
}

/** A year of every day: who has not answered in as long is asked anew. */
const LOOKED_BACK = 366;

const TAKEN: ReadonlySet<Standing> = new Set<Standing>(['accepted', 'in-process', 'completed']);

function layOutSteps(item: Item, series: Series, d: Deciding): void {
  for (const [nth, title] of series.steps.entries()) {
    const id = v5(`step:${nth}`, item.id);
    const { listId, sectionId } = item;
    if (!d.find('item', id)) insertItem(d, { listId, sectionId, parentId: item.id, makerId: series.makerId, title }, id);
    else {
      d.set('item', id, { title, removedAt: null });
      for (const part of d.by('part', 'itemId', id)) d.set('part', part.id, { ...FRESH, takenBackAt: part.personId === null ? null : d.now });
    }
  }
}

/** The files that go along, as far as they have come and are here: a device may not hold them, the server does. */
function layOutFiles(item: Item, series: Series, d: Deciding): void {
  // a row from before there were any has none
  for (const fileId of series.fileIds ?? []) {
    const file = d.find('attachment', fileId);
    if (!file || file.arrivedAt === null || file.itemId === item.id) continue;
    const id = choreFileId(item.id, fileId);
    if (d.find('attachment', id)) d.set('attachment', id, { removedAt: null });
    else insertCopy(file, item.id, id, file.authorId, d);
  }
}

/** What the one before said in its fields it says too, until somebody says something else. */
function layOutFields(item: Item, series: Series, d: Deciding): void {
  const before = chainOf(series, d)
    .flatMap((one) => itemsOf(one.id, d))
    .findLast(({ id, purgedAt }) => id !== item.id && purgedAt === null);
  if (before) copyFieldValues(before.id, item.id, d);
}

/** Its reminders, for who has it, else for who made the chore. What was said of one moment, or one device, does not come back. */
function setAlarms(item: Item, personIds: readonly string[], series: Series, d: Deciding): void {
  const people = (personIds.length > 0 ? personIds : [series.makerId]).map((id) => d.need('person', id));
  // who made it may have left, or may no longer open its list
  const reached = people.filter((person) => isHere(person) && relationsToItem(item, person, d).length > 0);
  for (const trigger of series.alarms) {
    for (const person of reached) {
      const today = asItIsNow(trigger, item, person, d);
      if (today) addAlarm(item.id, person.id, today, d, series.makerId);
    }
  }
}

/** What can still ring: people leave, places are no longer seen. */
function asItIsNow(trigger: Trigger, item: Item, person: Person, d: Deciding): Trigger | null {
  if (trigger.kind === 'relative') return trigger;
  if (trigger.kind === 'situation') return d.find('situation', trigger.situation)?.removedAt === null ? trigger : null;
  if (trigger.kind !== 'place') return null;
  const place = d.find('place', trigger.place);
  if (!place || place.removedAt !== null) return null;
  if (trigger.who === 'own') return seesPlace(place, person.id) ? trigger : null;
  const among = trigger.among.filter((id) => {
    const one = d.find('person', id);
    return one !== undefined && isHere(one) && seesPlace(place, id) && relationsToItem(item, one, d).length > 0;
  });
  return among.length > 0 ? { ...trigger, among } : null;
}

/** Only the newest stays open. */
function missEarlier(item: Item, d: Deciding): void {
  for (const earlier of itemsOf(item.seriesId!, d)) {
    if (earlier.recurrenceId! >= item.recurrenceId! || earlier.removedAt !== null || isDone(earlier, d.by('part', 'itemId', earlier.id))) continue;
    d.set('item', earlier.id, { missedAt: d.now, removedAt: d.now });
    d.enter('chore.miss', { itemId: earlier.id });
  }
}

/**
 * What comes after an item of a chore that is done with stands there at once. Whose turn that is by fairness is known only where the
 * whole house is: a device leaves it to the server.
 */
export function bringNext(item: Item, d: Deciding): void {
  const series = item.seriesId === null ? undefined : d.find('series', item.seriesId);
  if (!series || (series.turn === 'fair' && !d.whole)) return;
  const occurrence = nextToMake(series, item.recurrenceId, d.house, d);
  if (occurrence) appear(series, occurrence, d);
}

/** Opened again, the next goes as it came, unless somebody has begun with it. */
export function takeNextBack(item: Item, d: Deciding): void {
  const next = nextMade(item, d);
  if (next && isUntouched(next, d)) withdraw(next, d);
}

/** The item that came of this one being done: open, and later in the rule. */
export function nextMade(item: Item, d: Deciding): Item | null {
  if (item.seriesId === null) return null;
  return madeOf(item.seriesId, d).find((one) => one.recurrenceId! > item.recurrenceId! && one.removedAt === null) ?? null;
}

export const withdraw = (item: Item, d: Deciding): void => removeWhole(item.id, d);

/** What looking at it leaves behind. */
const SEEING = ['', 'seenAt', 'nudgedAt', 'unanswered'];

/** Nobody has done anything with it since it came. */
export function isUntouched(item: Item, d: Deciding): boolean {
  const rows = [item, ...d.by('item', 'parentId', item.id)];
  const parts = rows.flatMap((one) => d.by('part', 'itemId', one.id));
  if (rows.some((one) => d.by('comment', 'itemId', one.id).length > 0)) return false;
  // laid out once, and maybe again after it was withdrawn
  const layers = [item.stamps['']?.c, item.stamps.removedAt?.c];
  const fresh = (stamps: Item['stamps']) => Object.entries(stamps).every(([field, { c }]) => SEEING.includes(field) || layers.includes(c));
  return [...rows, ...parts].every(({ stamps }) => fresh(stamps));
}

/** Says of an occurrence that it differs; what is not said stays. */
export function override(
  series: Series,
  recurrenceId: string,
  fields: Partial<Pick<Override, 'at' | 'skipped' | 'personId' | 'countsFor'>>,
  d: Deciding,
): void {
  const id = overrideId(series.id, recurrenceId);
  if (d.find('override', id)) d.set('override', id, fields);
  else d.insert('override', id, { seriesId: series.id, recurrenceId, at: null, skipped: false, personId: null, countsFor: null, ...fields });
}

/** The item passes to who has the turn now. */
export function reassign(item: Item, { personIds, turn }: Assigned, d: Deciding): void {
  const series = d.need('series', item.seriesId!);
  for (const part of d.by('part', 'itemId', item.id)) {
    if (part.personId === null || part.takenBackAt !== null || personIds.includes(part.personId)) continue;
    d.set('part', part.id, { takenBackAt: d.now });
    notifyTakenBack(part, item, d);
  }
  for (const personId of personIds) {
    const part = d.find('part', partId(item.id, personId));
    if (part && part.takenBackAt === null) continue;
    giveTurn(item.id, personId, turn, series, d);
    d.notify(personId, 'handed', item.id, { title: item.title, message: '' });
  }
  settleNobody(item.id, d);
  d.set('item', item.id, { turn });
}
