import { NOUNS, type IndexOf, type Noun, type RecordedCommand, type Row } from '@kotiva/core';
import {
  HouseMoved,
  RESET,
  type BeginningKey,
  type ChangedKey,
  type Fault,
  type HouseStorage,
  type HouseWriter,
  type LoggedCommand,
} from '../houses/house-storage.ts';
import { BeginningKeys } from './beginning-keys.ts';
import { isNotUnique, isOfStorage } from './faults.ts';
import { conditionOf } from './lookups.ts';
import type { Raw } from './open.ts';
import { AS_JSON, fieldsOf, fromDriver, ofEachNoun, toDriver, type Json } from './row-json.ts';
import { rowPages } from './row-pages.ts';
import { namedStatement, prepared } from './statements.ts';

interface Statement {
  get(...values: unknown[]): unknown;
  all(...values: unknown[]): unknown[];
  run(...values: unknown[]): { changes: number };
}

/** Put together once: a row is written thousands of times. */
const INSERTS = ofEachNoun(
  (noun) => `INSERT INTO "${noun}" (${fieldsOf[noun].map((field) => `"${field}"`).join(', ')}) VALUES (${fieldsOf[noun].map(() => '?').join(', ')})`,
);

const CHANGED = `${NOUNS.map(
  (noun) => `SELECT '${noun}' AS noun, id, seq, 0 AS sighted FROM "${noun}" WHERE "houseId" = :house AND seq > :since AND seq <= :until`,
).join(
  ' UNION ALL ',
)} UNION ALL SELECT noun, "rowId" AS id, seq, 1 AS sighted FROM sight WHERE "houseId" = :house AND "personId" = :person AND seq > :since AND seq <= :until AND noun <> '${RESET}' ORDER BY seq LIMIT :limit`;

/** Houses in one file of SQLite. */
export class SqliteHouses implements HouseStorage {
  private readonly statements;
  private readonly beginnings;

  constructor(private readonly raw: Raw) {
    this.beginnings = new BeginningKeys(raw);
    this.statements = {
      begin: raw.prepare('BEGIN IMMEDIATE'),
      commit: raw.prepare('COMMIT'),
      rollback: raw.prepare('ROLLBACK'),
      last: raw.prepare('SELECT seq FROM sequence WHERE "houseId" = ?'),
      first: raw.prepare('INSERT OR IGNORE INTO sequence (seq, "houseId") VALUES (?, ?)'),
      step: raw.prepare('UPDATE sequence SET seq = ? WHERE "houseId" = ? AND seq = ?'),
      outcomes: raw.prepare('SELECT "accountId", outcome FROM command WHERE id = ?'),
      command: raw.prepare('SELECT id, name, payload, "actorId", changes FROM command WHERE id = ? AND "houseId" = ? AND seq IS NOT NULL'),
      log: raw.prepare(
        'INSERT INTO command ("accountId", id, "houseId", name, payload, "actorId", seq, changes, outcome, at) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
      ),
      sight: raw.prepare('INSERT INTO sight ("houseId", "personId", seq, noun, "rowId") VALUES (?, ?, ?, ?, ?)'),
      reset: raw.prepare('SELECT seq FROM sight WHERE "houseId" = ? AND "personId" = ? AND seq > ? AND noun = ? LIMIT 1'),
      beginDay: raw.prepare('INSERT OR IGNORE INTO house_day ("houseId", day, seq) VALUES (?, ?, ?)'),
      firstSince: raw.prepare('SELECT MIN(seq) AS seq FROM house_day WHERE "houseId" = ? AND day >= ?'),
      hasDays: raw.prepare('SELECT 1 FROM house_day WHERE "houseId" = ? LIMIT 1'),
      lives: raw.prepare('INSERT OR IGNORE INTO living ("houseId", "itemId") VALUES (?, ?)'),
      rests: raw.prepare('DELETE FROM living WHERE "houseId" = ? AND "itemId" = ?'),
      changed: namedStatement<ChangedKey>(raw, CHANGED),
    };
  }

  seqOf(houseId: string): number {
    return (this.statements.last.get(houseId) as { seq: number } | undefined)?.seq ?? 0;
  }

  find<N extends Noun>(houseId: string, noun: N, id: string): Row<N> | undefined {
    const values = this.prepared(`SELECT ${AS_JSON[noun]} FROM "${noun}" WHERE id = ? AND "houseId" = ?`).get(id, houseId) as Json | undefined;
    return values && (fromDriver(noun, values) as Row<N>);
  }

  by<N extends Noun>(houseId: string, noun: N, index: IndexOf<N>, value: string): Row<N>[] {
    const condition = conditionOf(noun, String(index), value);
    if (!condition) return [];
    const { where, values } = condition;
    return read(noun, this.prepared(`SELECT ${AS_JSON[noun]} FROM "${noun}" WHERE ${where} AND "houseId" = ?`).all(...values, houseId));
  }

  all<N extends Noun>(houseId: string, noun: N): Row<N>[] {
    return read(noun, this.prepared(`SELECT ${AS_JSON[noun]} FROM "${noun}" WHERE "houseId" = ?`).all(houseId));
  }

  /** The plus keeps SQLite from walking over all of the house instead. */
  among<N extends Noun>(houseId: string, noun: N, field: string, values: readonly string[]): Row<N>[] {
    const sql = `SELECT ${AS_JSON[noun]} FROM "${noun}" WHERE "${field}" IN (SELECT value FROM json_each(?)) AND +"houseId" = ?`;
    return read(noun, this.prepared(sql).all(JSON.stringify(values), houseId));
  }

  pages<N extends Noun>(houseId: string, noun: N): Iterable<Row<N>[]> {
    return rowPages(this.raw, noun, houseId);
  }

  command(houseId: string, id: string): RecordedCommand | undefined {
    const values = this.statements.command.get(id, houseId) as
      { id: string; name: string; payload: string; actorId: string | null; changes: string } | undefined;
    if (!values) return undefined;
    return { id: values.id, name: values.name, actorId: values.actorId, payload: JSON.parse(values.payload), changes: JSON.parse(values.changes) };
  }

  outcomesOf(id: string): Pick<LoggedCommand, 'accountId' | 'outcome'>[] {
    return this.statements.outcomes.all(id) as Pick<LoggedCommand, 'accountId' | 'outcome'>[];
  }

  firstSince(houseId: string, day: string): number | null {
    return (this.statements.firstSince.get(houseId, day) as { seq: number | null }).seq;
  }

  hasDays(houseId: string): boolean {
    return this.statements.hasDays.get(houseId) !== undefined;
  }

  changedKeys({ houseId, personId, since, until, limit }: Parameters<HouseStorage['changedKeys']>[0]): ChangedKey[] {
    return this.statements.changed({ house: houseId, person: personId, since, until, limit });
  }

  isReset(houseId: string, personId: string, since: number): boolean {
    return this.statements.reset.get(houseId, personId, since, RESET) !== undefined;
  }

  beginningKeys(houseId: string, from: number, today: string): BeginningKey[] {
    return this.beginnings.of(houseId, from, today);
  }

  unreadUntil(personId: string, from: number, limit: number): BeginningKey[] {
    return this.beginnings.unread(personId, from, limit);
  }

  commit<T>(task: (writer: HouseWriter) => T): T {
    const { begin, commit, rollback } = this.statements;
    begin.run();
    try {
      const done = task(this.writer);
      commit.run();
      return done;
    } catch (error) {
      if (this.raw.inTransaction) rollback.run();
      throw error;
    }
  }

  faultOf(error: unknown): Fault | null {
    return isOfStorage(error) ? 'storage' : isNotUnique(error) ? 'taken' : null;
  }

  private readonly writer: HouseWriter = {
    insert: (noun, row) => insertRow(this.raw, noun, row),
    update: (noun, row, fields) => {
      const names = fields.map((field) => `"${field}" = ?`).join(', ');
      this.prepared(`UPDATE "${noun}" SET ${names} WHERE id = ?`).run(...toDriver(noun, row, fields), row.id);
    },
    log: ({ accountId, id, houseId, name, payload, actorId, seq, changes, outcome, at }) =>
      void this.statements.log.run(accountId, id, houseId, name, JSON.stringify(payload ?? null), actorId, seq, JSON.stringify(changes), outcome, at),
    sight: (houseId, seq, { personId, noun, rowId }) => void this.statements.sight.run(houseId, personId, seq, noun, rowId),
    beginDay: (houseId, day, seq) => void this.statements.beginDay.run(houseId, day, seq),
    setLiving: (houseId, itemId, lives) => void this.statements[lives ? 'lives' : 'rests'].run(houseId, itemId),
    stand: (houseId, since, seq) => {
      if (!this.stood(houseId, since, seq)) throw new HouseMoved(houseId, since);
    },
  };

  private stood(houseId: string, since: number, seq: number): boolean {
    if (since === seq) return this.seqOf(houseId) === since;
    const { changes } = since === 0 ? this.statements.first.run(seq, houseId) : this.statements.step.run(seq, houseId, since);
    return changes === 1;
  }

  private prepared(sql: string): Statement {
    return prepared(this.raw, sql) as unknown as Statement;
  }
}

const read = <N extends Noun>(noun: N, values: unknown[]): Row<N>[] => values.map((one) => fromDriver(noun, one as Json) as Row<N>);

/** Writes a row nobody decided on: what is filled for a test or a measurement. */
export function insertRow(raw: Raw, noun: Noun, row: Row): void {
  const statement = prepared(raw, INSERTS[noun]) as unknown as Statement;
  statement.run(...toDriver(noun, row, fieldsOf[noun]));
}
