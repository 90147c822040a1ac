import { above, wordsIn, withBelow, type Attachment, type Change, type Comment, type Item, type Reader, type Row } from '@kotiva/core';
import type { Raw } from '../db/open.ts';

/** A house as one word among those of each of its documents: what is looked for is looked for there alone. */
export const wordOfHouse = (houseId: string): string => `h${houseId.replaceAll('-', '')}`;

const asWords = (text: string): string => wordsIn(text).join(' ');

/** What is read of an item, of what was said of it, and of its files. */
const SEARCHED = { item: ['title', 'notes', 'parentId', 'purgedAt'], comment: ['text', 'removedAt'], attachment: ['name', 'removedAt'] } as const;
export type Searched = keyof typeof SEARCHED;
export const SEARCHED_NOUNS = Object.keys(SEARCHED) as Searched[];
const isSearched = (noun: string): noun is Searched => noun in SEARCHED;

/**
 * The words of items and of what was said of them, in SQLite's FTS5: a document a row, its words taken apart as the device takes them apart.
 * Each says to which item it belongs and at the top of which cluster that stands. Kept in the transaction of each command.
 */
export class SearchIndex {
  private readonly statements;

  constructor(raw: Raw) {
    this.statements = {
      idOf: raw.prepare('SELECT id FROM "searchDoc" WHERE "rowId" = ?'),
      addDoc: raw.prepare('INSERT INTO "searchDoc" ("rowId", "itemId", "topId") VALUES (?, ?, ?)'),
      addText: raw.prepare('INSERT INTO "searchText" (rowid, house, title, notes, said) VALUES (?, ?, ?, ?, ?)'),
      dropDoc: raw.prepare('DELETE FROM "searchDoc" WHERE id = ?'),
      dropText: raw.prepare('DELETE FROM "searchText" WHERE rowid = ?'),
      under: raw.prepare('UPDATE "searchDoc" SET "topId" = ? WHERE "itemId" = ?'),
      isFilled: raw.prepare('SELECT 1 FROM "searchHouse" WHERE "houseId" = ?'),
      fill: raw.prepare('INSERT OR IGNORE INTO "searchHouse" ("houseId") VALUES (?)'),
    };
  }

  /** Whether everything of a house can be found: of one from before there was an index, once it has been gone through. */
  isFilled(houseId: string): boolean {
    return this.statements.isFilled.get(houseId) !== undefined;
  }

  /** From now on everything of it can be found. */
  isWhole(houseId: string): void {
    this.statements.fill.run(houseId);
  }

  /** Keeps up with what a command wrote. */
  follow(houseId: string, changes: readonly Change[], rows: Reader): void {
    for (const { noun, id, made, fields } of changes) {
      if (noun === 'house' && made) this.isWhole(houseId);
      if (!isSearched(noun)) continue;
      if (!made && !SEARCHED[noun].some((field) => field in fields)) continue;
      const row = rows.find(noun, id);
      if (row === undefined) continue;
      this.keep(noun, row, rows);
      if (noun === 'item' && !made && 'parentId' in fields) this.moveBelow(row as Item, rows);
    }
  }

  /** Has a row in the index as it is now, or not at all once it is gone. */
  keep(noun: Searched, row: Row, rows: Reader): void {
    this.drop(row.id);
    if (noun === 'item') this.keepItem(row as Item, rows);
    else if (noun === 'comment') this.keepBeside(row as Comment, (row as Comment).text, rows);
    else this.keepBeside(row as Attachment, (row as Attachment).name, rows);
  }

  private keepItem(item: Item, rows: Reader): void {
    if (item.purgedAt === null) this.add(item, item.id, { title: item.title, notes: item.notes, said: '' }, rows);
  }

  /** Of an item alone: what is with a project or a template is not looked for among items. */
  private keepBeside(row: Comment | Attachment, said: string, rows: Reader): void {
    if (row.removedAt === null && rows.find('item', row.itemId) !== undefined) this.add(row, row.itemId, { title: '', notes: '', said }, rows);
  }

  holds(rowId: string): boolean {
    return this.statements.idOf.get(rowId) !== undefined;
  }

  private add(
    { id: rowId, houseId }: { id: string; houseId: string },
    itemId: string,
    text: { title: string; notes: string; said: string },
    rows: Reader,
  ): void {
    const { lastInsertRowid } = this.statements.addDoc.run(rowId, itemId, topOf(itemId, rows));
    this.statements.addText.run(lastInsertRowid, wordOfHouse(houseId), asWords(text.title), asWords(text.notes), asWords(text.said));
  }

  private drop(rowId: string): void {
    const doc = this.statements.idOf.get(rowId) as { id: number } | undefined;
    if (!doc) return;
    this.statements.dropText.run(doc.id);
    this.statements.dropDoc.run(doc.id);
  }

  /** Under another item everything below it stands at the top of another cluster. */
  private moveBelow(item: Item, rows: Reader): void {
    const top = topOf(item.id, rows);
    const moved = new Set<string>();
    withBelow(item.id, rows, moved);
    for (const id of moved) this.statements.under.run(top, id);
  }
}

/** The item its cluster is called after. */
function topOf(itemId: string, rows: Reader): string {
  const item = rows.find('item', itemId);
  let top = itemId;
  if (item !== undefined) for (const { id } of above(item, rows)) top = id;
  return top;
}
