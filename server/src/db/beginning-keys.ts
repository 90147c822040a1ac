import { CLUSTERED, NEWEST_OF_LIST, NEWEST_OF_SERIES, NOUNS, type Noun } from '@kotiva/core';
import type { BeginningKey } from '../houses/house-storage.ts';
import { UNREAD } from './conditions.ts';
import type { Raw } from './open.ts';
import { namedStatement } from './statements.ts';

const touchedSince = CLUSTERED.map((noun) => `UNION SELECT "itemId" FROM "${noun}" WHERE "houseId" = :house AND seq > :from AND "itemId" IS NOT NULL`).join(
  ' ',
);

/** All items of the clusters that some belong to. */
const clustersOf = (wanted: string) => `
  WITH RECURSIVE wanted(id) AS (${wanted}),
  up(id, parent) AS (
    SELECT item.id, "parentId" FROM wanted JOIN item ON item.id = wanted.id
    UNION SELECT item.id, "parentId" FROM up JOIN item ON item.id = up.parent
  ), cluster(id) AS (SELECT id FROM up UNION SELECT item.id FROM cluster JOIN item ON "parentId" = cluster.id)
  SELECT id FROM cluster`;

/** What somebody has still to do with, and what happened within the window. */
const NEAR = clustersOf(
  `SELECT "itemId" FROM living WHERE "houseId" = :house UNION SELECT id FROM item WHERE "houseId" = :house AND seq > :from ${touchedSince}`,
);
const GIVEN = clustersOf('SELECT value FROM json_each(:items)');

const NEWEST = {
  list: `SELECT id FROM item WHERE "listId" = ? AND "parentId" IS NULL AND "removedAt" IS NULL ORDER BY seq DESC LIMIT ${NEWEST_OF_LIST}`,
  series: `SELECT id FROM item WHERE "seriesId" = ? ORDER BY seq DESC LIMIT ${NEWEST_OF_SERIES}`,
};

const IN_HOUSE = '"houseId" = :house';
/** With a plus: SQLite would walk over all of the house instead of looking up the items. */
const OF_ITEMS = (field: string, which = 'items') => `"${field}" IN (SELECT value FROM json_each(:${which})) AND +"houseId" = :house`;
/** Which rows of a noun, each in a statement of its own; of all others every one. */
const ONLY: Partial<Record<Noun, readonly string[]>> = {
  item: [`${OF_ITEMS('id')} AND "purgedAt" IS NULL`],
  ...Object.fromEntries(CLUSTERED.map((noun) => [noun, [OF_ITEMS('itemId')]])),
  // what is with a template, a project or notes of a talk as well
  attachment: [OF_ITEMS('itemId'), `${IN_HOUSE} AND NOT EXISTS (SELECT 1 FROM item WHERE item.id = attachment."itemId")`],
  // what happened to the others long ago comes when one of them is opened
  activity: [OF_ITEMS('itemId', 'near'), `${IN_HOUSE} AND "itemId" IS NULL AND seq > :from`],
  notice: [`${IN_HOUSE} AND seq > :from`],
  slot: [`${IN_HOUSE} AND (seq > :from OR ("removedAt" IS NULL AND start >= :today))`],
  errandRound: [`${IN_HOUSE} AND (seq > :from OR "endedAt" IS NULL)`],
  stretch: [`${IN_HOUSE} AND (seq > :from OR "endedAt" IS NULL)`],
};
const OWN: readonly Noun[] = ['notice', 'slot', 'stretch'];
const KEYS = `${NOUNS.flatMap((noun) => {
  const whose = OWN.includes(noun) ? '"personId"' : 'NULL';
  return (ONLY[noun] ?? [IN_HOUSE]).map((where) => `SELECT '${noun}' AS noun, id, seq, 0 AS sighted, ${whose} AS "personId" FROM "${noun}" WHERE ${where}`);
}).join(' UNION ALL ')} ORDER BY seq`;
const UNREAD_UNTIL = `SELECT 'notice' AS noun, id, seq, 0 AS sighted, "personId" FROM notice WHERE "personId" = :person AND ${UNREAD} AND seq <= :from ORDER BY seq DESC LIMIT :most`;

/** What a device that begins is to hold, asked of SQLite. */
export class BeginningKeys {
  private readonly statements;

  constructor(raw: Raw) {
    this.statements = {
      near: namedStatement<{ id: string }>(raw, NEAR),
      given: namedStatement<{ id: string }>(raw, GIVEN),
      lists: raw.prepare('SELECT id FROM list WHERE "houseId" = ? AND "removedAt" IS NULL AND "filedAt" IS NULL'),
      series: raw.prepare('SELECT id FROM series WHERE "houseId" = ?'),
      newestOfList: raw.prepare(NEWEST.list),
      newestOfSeries: raw.prepare(NEWEST.series),
      keys: namedStatement<BeginningKey>(raw, KEYS),
      unread: namedStatement<BeginningKey>(raw, UNREAD_UNTIL),
    };
  }

  of(houseId: string, from: number, today: string): BeginningKey[] {
    const near = idsOf(this.statements.near({ house: houseId, from }));
    const items = [...new Set([...near, ...this.newest(houseId)])];
    return this.statements.keys({ house: houseId, from, today, near: JSON.stringify(near), items: JSON.stringify(items) });
  }

  unread(person: string, from: number, most: number): BeginningKey[] {
    return this.statements.unread({ person, from, most });
  }

  /** The newest of each list and chore, however old they are, with their clusters. */
  private newest(houseId: string): string[] {
    const { lists, series, newestOfList, newestOfSeries, given } = this.statements;
    const items = [
      ...idsOf(lists.all(houseId)).flatMap((id) => idsOf(newestOfList.all(id))),
      ...idsOf(series.all(houseId)).flatMap((id) => idsOf(newestOfSeries.all(id))),
    ];
    return idsOf(given({ items: JSON.stringify(items) }));
  }
}

const idsOf = (found: readonly unknown[]): string[] => (found as { id: string }[]).map(({ id }) => id);
