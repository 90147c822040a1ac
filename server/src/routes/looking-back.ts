import { firstCompleted, type Person, type Row } from '@kotiva/core';
import { meeting } from '@kotiva/core/filtering';
import { isCalendarDate } from '@kotiva/core/model/calendar-date';
import { addDays } from '@kotiva/core/time/clock';
import { zoneMinutes } from '@kotiva/core/time/zone-minutes';
import { deedOf, isDeed, spanOfDays, type BackSpan, type Deed, type DoneItem, type DonePart } from '@kotiva/core/views/looking-back';
import { Hono } from 'hono';
import * as z from 'zod';
import type { Env, Services } from '../context.ts';
import { donePages } from '../db/done-parts.ts';
import type { Raw } from '../db/open.ts';
import type { HouseRows } from '../houses/house-rows.ts';
import { Problem } from '../problem.ts';
import { inSlices } from '../slices.ts';
import { SeenRows } from '../sync/seen-rows.ts';
import { Visibility } from '../sync/visibility.ts';
import { filterOf, MOST_FILTER_LETTERS } from './filter-of.ts';
import { memberOf } from './house.ts';
import { signedIn } from './session.ts';

/** So many of what was done are told at once, the newest: a large house does as much in some years. */
const MOST_DEEDS = 30_000;

const date = z.string().refine(isCalendarDate);
const Query = z.strictObject({
  from: date,
  to: date,
  /** Only of items that meet it, done or not. */
  filter: z.string().max(MOST_FILTER_LETTERS).optional(),
});

/** What was done between two days, further back than devices hold it: as its reader sees it, only what looking back says of it. */
export function lookingBackRoutes(services: Services): Hono<Env> {
  const app = new Hono<Env>();
  app.get('/houses/:house/looking-back', signedIn(services), async (c) => {
    const person = memberOf(c, services);
    const parsed = Query.safeParse(c.req.query());
    if (!parsed.success) throw new Problem(422, 'malformed', 'Say between which two days: from and to, as YYYY-MM-DD.', { field: String(parsed.error.issues[0]!.path[0] ?? '') }); // prettier-ignore
    const { from, to, filter } = parsed.data;
    const deeds = await inSlices(
      deedsFor(spanOfDays(from, to), filter, person, { rows: services.ledger.rows(person.houseId), raw: services.storage.raw, now: services.clock.now() }),
    );
    return c.json({ deeds: deeds.slice(0, MOST_DEEDS).map(told), more: deeds.length > MOST_DEEDS });
  });
  return app;
}

interface Asked {
  rows: HouseRows;
  raw: Raw;
  /** UTC instant. */
  now: string;
}

/** A piece at a time. Items are asked for whole only where who sees them, or a filter, depends on more than the list they lie in. */
export function* deedsFor({ from, to }: BackSpan, filter: string | undefined, person: Person, { rows, raw, now }: Asked): Generator<void, Deed[]> {
  const [house] = rows.all('house');
  const { zone } = house!;
  const seen = new SeenRows(rows, person);
  const sight = new Visibility(rows, person);
  const meets = filter === undefined ? null : meeting({ ...filterOf(filter), state: 'both' }, { personId: person.id, now, house: house! }, seen);
  const minutes = zoneMinutes(zone);
  const deeds: Deed[] = [];
  const isInSeenList = ({ listId }: DoneItem) => listId !== null && sight.sees('list', { id: listId } as Row<'list'>);
  /** What is about to be asked of items one by one is read for a page of them. */
  const readyFor = (itemIds: readonly string[]) => {
    rows.many('item', itemIds);
    rows.lookUp('part', 'itemId', itemIds);
  };
  const isFirst = (part: DonePart, { id }: DoneItem) => firstCompleted(rows.by('part', 'itemId', id))?.id === part.id;
  // a day of the house reaches into two of UTC
  for (const page of donePages(raw, person.houseId, addDays(from, -1), addDays(to, 2))) {
    readyFor(page.flatMap(({ item }) => (meets === null && isInSeenList(item) ? [] : [item.id])));
    for (const { part, item, isOneOfSeveral } of page) {
      if (!isDeed(part, item) || (isOneOfSeveral && item.policy === 'any' && !isFirst(part, item))) continue;
      const deed = deedOf(part, item, zone, minutes);
      if (deed.day < from || deed.day > to) continue;
      if (meets === null && isInSeenList(item)) {
        deeds.push(deed);
        continue;
      }
      const whole = seen.find('item', item.id);
      if (whole !== undefined && (meets === null || meets(whole))) deeds.push(deed);
    }
    yield;
  }
  return deeds;
}

/** Nothing of a row but what is shown of it. */
const told = ({ item: { id, title, listId, tagIds }, part, ...more }: Deed): Deed => ({
  ...more,
  item: { id, title, listId, tagIds },
  part: { id: part.id, completedAt: part.completedAt },
});
