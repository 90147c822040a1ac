import type { Raw } from './open.ts';

type Statement = ReturnType<Raw['prepare']>;

/** Statements kept ready, at most: what is updated is named field by field, so there is one for each set of fields. */
const MOST = 400;

const ofDatabase = new WeakMap<Raw, Map<string, Statement>>();

/** A statement of a database, made ready once for all houses. The ones used longest ago are let go. */
export function prepared(raw: Raw, sql: string): Statement {
  const statements = ofDatabase.get(raw) ?? new Map<string, Statement>();
  ofDatabase.set(raw, statements);
  const statement = statements.get(sql) ?? raw.prepare(sql);
  statements.delete(sql);
  statements.set(sql, statement);
  if (statements.size > MOST) statements.delete(statements.keys().next().value!);
  return statement;
}

/** A statement with values by name, which the driver takes by their place only. */
export function namedStatement<T>(raw: Raw, sql: string): (values: Readonly<Record<string, unknown>>) => T[] {
  const statement = raw.prepare(sql.replace(/:[a-z]+/gi, '?'));
  const order = [...sql.matchAll(/:([a-z]+)/gi)].map(([, name]) => name!);
  return (values) => statement.all(...order.map((name) => values[name])) as T[];
}
