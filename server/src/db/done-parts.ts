import type { DoneItem, DonePart } from '@kotiva/core/views/looking-back';
import type { Raw } from './open.ts';
import { prepared } from './statements.ts';

/** A part that was checked off, with its item, as far as looking back reads them. */
export interface Done {
  part: DonePart;
  item: DoneItem;
  /** Several parts of the item were checked off. */
  isOneOfSeveral: boolean;
}

const AT_ONCE = 1_000;

/** A page as one text: the driver takes its time over each row and each column. */
const SQL = `
  SELECT json_group_array(json_array(
    id, standing, "personId", "completedAt", "completedBy", "excusedAt", "takenBackAt", "passedTo",
    "itemId", title, "listId", "parentId", json("tagIds"), due, effort, policy, "removedAt", "purgedAt", "missedAt", several)) AS page
  FROM (
    SELECT p.id, p.standing, p."personId", p."completedAt", p."completedBy", p."excusedAt", p."takenBackAt", p."passedTo",
      p."itemId", i.title, i."listId", i."parentId", i."tagIds", i.due, i.effort, i.policy, i."removedAt", i."purgedAt", i."missedAt",
      (SELECT count(*) FROM part o WHERE o."itemId" = i.id AND o."completedAt" IS NOT NULL) > 1 AS several
    FROM part p JOIN item i ON i.id = p."itemId"
    WHERE p."houseId" = ? AND p."completedAt" IS NOT NULL AND p."completedAt" >= ? AND (p."completedAt", p.id) < (?, ?)
    ORDER BY p."completedAt" DESC, p.id DESC LIMIT ${AT_ONCE})`;

type Values = [
  id: string, standing: DonePart['standing'], personId: string | null, completedAt: string, completedBy: string | null, excusedAt: string | null, takenBackAt: string | null, passedTo: string | null,
  itemId: string, title: string, listId: string | null, parentId: string | null, tagIds: string[], due: string | null, effort: number | null, policy: DoneItem['policy'], removedAt: string | null, purgedAt: string | null, missedAt: string | null, several: 0 | 1,
]; // prettier-ignore

/** Parts checked off between two instants, the second excluded, a page at a time, the last first. */
export function* donePages(raw: Raw, houseId: string, from: string, before: string): Generator<Done[]> {
  const statement = prepared(raw, SQL) as unknown as { get(...values: unknown[]): { page: string } };
  let at: [completedAt: string, id: string] = [before, ''];
  for (;;) {
    const page = (JSON.parse(statement.get(houseId, from, ...at).page) as Values[]).map(read);
    if (page.length > 0) yield page;
    if (page.length < AT_ONCE) return;
    const { part } = page.at(-1)!;
    at = [part.completedAt!, part.id];
  }
}

function read(values: Values): Done {
  const [id, standing, personId, completedAt, completedBy, excusedAt, takenBackAt, passedTo, itemId, ...ofItem] = values;
  const [title, listId, parentId, tagIds, due, effort, policy, removedAt, purgedAt, missedAt, several] = ofItem;
  return {
    part: { id, standing, personId, completedAt, completedBy, excusedAt, takenBackAt, passedTo },
    item: { id: itemId, title, listId, parentId, tagIds, due, effort, policy, removedAt, purgedAt, missedAt },
    isOneOfSeveral: several === 1,
  };
}
