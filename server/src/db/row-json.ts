import { NOUNS, type Noun, type Row } from '@kotiva/core';
import { getTableColumns, type Column } from 'drizzle-orm';
import { nounTables } from './schema.ts';

type Values = Record<string, unknown>;
/** A row as it is read: its fields in their order, as JSON. */
export interface Json {
  row: string;
}

const columnsOf = Object.fromEntries(NOUNS.map((noun) => [noun, getTableColumns(nounTables[noun])])) as unknown as Record<Noun, Record<string, Column>>;

export const ofEachNoun = <T>(make: (noun: Noun) => T) => Object.fromEntries(NOUNS.map((noun) => [noun, make(noun)])) as Record<Noun, T>;
export const fieldsOf = ofEachNoun((noun) => Object.keys(columnsOf[noun]));
const REALS = ofEachNoun((noun) => new Set(fieldsOf[noun].filter((field) => columnsOf[noun][field]!.getSQLType() === 'real')));
const isOfJson = (noun: Noun, field: string): boolean => columnsOf[noun][field]!.dataType === 'json';
const isReal = (noun: Noun, field: string): boolean => REALS[noun].has(field);

/** How a field is read; null: as it stands. */
const READ = ofEachNoun((noun) =>
  fieldsOf[noun].map((field) => {
    const column = columnsOf[noun][field]!;
    const asItStands = column.dataType === 'string' || column.dataType === 'json' || (column.dataType === 'number' && !isReal(noun, field));
    const read = (value: unknown): unknown => (isReal(noun, field) ? Number(value) : column.mapFromDriverValue(value as never));
    return { field, read: asItStands ? null : read };
  }),
);

/** A row as one text: handed over column by column it takes nearly three times as long. */
export const AS_JSON = ofEachNoun((noun) => `json_array(${fieldsOf[noun].map((field) => asJson(noun, field)).join(', ')}) AS row`);

/** What is JSON already is put in as it stands. JSON of SQLite has fifteen digits of a real; as text it has all of them. */
function asJson(noun: Noun, field: string): string {
  if (isOfJson(noun, field)) return `json("${field}")`;
  return isReal(noun, field) ? `CASE WHEN "${field}" IS NULL THEN NULL ELSE printf('%!.17g', "${field}") END` : `"${field}"`;
}

/** A row that was selected {@link AS_JSON}. */
export function fromDriver(noun: Noun, { row: text }: Json): Row {
  const values = JSON.parse(text) as unknown[];
  const row: Values = {};
  const fields = READ[noun];
  for (let nth = 0; nth < fields.length; nth++) {
    const { field, read } = fields[nth]!;
    const value = values[nth];
    row[field] = value === null || read === null ? value : read(value);
  }
  return row as unknown as Row;
}

/** The values of some fields as the database holds them, in their order. */
export const toDriver = (noun: Noun, row: Row, fields: readonly string[]): unknown[] =>
  fields.map((field) => {
    const value = (row as unknown as Values)[field];
    return value === null || value === undefined ? null : columnsOf[noun][field]!.mapToDriverValue(value as never);
  });
