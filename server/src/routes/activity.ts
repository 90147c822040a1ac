import { ACTIVITY_GROUPS, activityGroupOf, type Activity, type Person } from '@kotiva/core';
import { meeting, type Filter } from '@kotiva/core/filtering';
import { Hono } from 'hono';
import * as z from 'zod';
import type { Env, Services } from '../context.ts';
import { AS_JSON, fromDriver } from '../db/row-json.ts';
import type { HouseRows } from '../houses/house-rows.ts';
import { Problem } from '../problem.ts';
import { SeenRows } from '../sync/seen-rows.ts';
import { Visibility } from '../sync/visibility.ts';
import { filterOf, MOST_FILTER_LETTERS } from './filter-of.ts';
import { memberOf } from './house.ts';
import { signedIn } from './session.ts';

const PAGE = 50;
/** So many are looked through for one page; a search that finds little goes on from there. */
const MOST_READ = 2_000;

const Query = z.object({
  item: z.uuid().optional(),
  list: z.uuid().optional(),
  person: z.uuid().optional(),
  group: z.enum(ACTIVITY_GROUPS).optional(),
  /** Only of items that meet it, done or not. */
  filter: z.string().max(MOST_FILTER_LETTERS).optional(),
  /** `seq:id` of the last entry of the page before. */
  before: z
    .string()
    .regex(/^\d{1,15}:[0-9a-f-]{36}$/)
    .optional(),
});

/** What happened, newest first, by page: of the house, or of an item, a list or a person. Everyone reads what they may see. */
export function activityRoutes(services: Services): Hono<Env> {
  const { storage, ledger } = services;
  const app = new Hono<Env>();

  app.get('/houses/:house/activity', signedIn(services), (c) => {
    const person = memberOf(c, services);
    const parsed = Query.safeParse(c.req.query());
    if (!parsed.success) throw new Problem(422, 'malformed', 'This page can’t be asked for so.', { field: String(parsed.error.issues[0]!.path[0] ?? '') });
    const { group, before, filter, ...about } = parsed.data;
    const rows = ledger.rows(person.houseId);
    const sight = new Visibility(rows, person);
    const isMet = filter === undefined ? () => true : aboutMeeting(filterOf(filter), person, rows, services.clock.now());
    const entries: Activity[] = [];
    let last: string | null = before ?? null;
    let more = true;
    for (let read = 0; more && entries.length < PAGE && read < MOST_READ;) {
      const found = page(person.houseId, about, last);
      more = found.length === PAGE;
      read += found.length;
      for (const entry of found) {
        if (entries.length === PAGE) break;
        last = `${entry.seq}:${entry.id}`;
        if ((group === undefined || activityGroupOf(entry.kind) === group) && sight.sees('activity', entry) && isMet(entry)) entries.push(entry);
      }
      more ||= entries.length === PAGE && last !== `${found.at(-1)?.seq}:${found.at(-1)?.id}`;
    }
    const titles = Object.fromEntries(
      entries.flatMap(({ itemId }) => {
        const item = itemId ? rows.find('item', itemId) : undefined;
        return item === undefined || item.purgedAt !== null ? [] : [[item.id, item.title]];
      }),
    );
    return c.json({ entries, titles, next: more ? last : null });
  });

  function page(houseId: string, { item, list, person }: { item?: string; list?: string; person?: string }, before: string | null): Activity[] {
    const where = ['"houseId" = ?'];
    const values: unknown[] = [houseId];
    const add = (sql: string, ...more: unknown[]) => {
      where.push(sql);
      values.push(...more);
    };
    if (item) add('"itemId" = ?', item);
    if (list) add('("listId" = ? OR "itemId" IN (SELECT id FROM item WHERE "listId" = ?))', list, list);
    if (person) add('"actorId" = ?', person);
    if (before) {
      const [seq, id] = before.split(':') as [string, string];
      add('(seq < ? OR (seq = ? AND id < ?))', Number(seq), Number(seq), id);
    }
    const found = storage.raw
      .prepare(`SELECT ${AS_JSON.activity} FROM activity WHERE ${where.join(' AND ')} ORDER BY seq DESC, id DESC LIMIT ${PAGE}`)
      .all(...values);
    return found.map((row) => fromDriver('activity', row as { row: string }) as Activity);
  }

  return app;
}

/** Whether what happened is about an item that meets a filter, as its reader sees it; each item is judged once. */
function aboutMeeting(filter: Filter, person: Person, rows: HouseRows, now: string): (entry: Activity) => boolean {
  const seen = new SeenRows(rows, person);
  const [house] = seen.all('house');
  const meets = meeting({ ...filter, state: 'both' }, { personId: person.id, now, house: house! }, seen);
  const known = new Map<string, boolean>();
  return ({ itemId }) => {
    if (itemId === null) return false;
    const before = known.get(itemId);
    if (before !== undefined) return before;
    const item = seen.find('item', itemId);
    const isMet = item !== undefined && meets(item);
    known.set(itemId, isMet);
    return isMet;
  };
}
