import {
  COLUMN_WIDTH,
  isFieldKey,
  USUAL_COLUMNS,
  type Arrangement,
  type Column,
  type FieldKey,
  type Reader,
  type Sorting,
  type TableColumn,
} from '@kotiva/core';
import { t } from '@/words';
import { nameOfField } from '@/words/fields.ts';

export type ColumnId = Column | 'title';

/** What a tap on a column’s head sorts by; null: by nothing. */
const SORT_OF: Record<Exclude<ColumnId, FieldKey>, Exclude<Sorting, 'usual'> | null> = {
  title: 'title',
  person: 'person',
  due: 'due',
  plan: 'plan',
  list: 'list',
  tag: 'tag',
  importance: 'importance',
  minutes: 'minutes',
  start: 'start',
  steps: null,
  made: 'made',
  done: null,
};

export const sortOf = (id: ColumnId): Exclude<Sorting, 'usual'> | null => (isFieldKey(id) ? id : SORT_OF[id]);

/** What a column is called. */
export const nameOfColumn = (id: ColumnId, rows: Reader): string => (isFieldKey(id) ? nameOfField(id, rows) : t(`column.${id}`));

export const columnsOf = ({ columns }: Pick<Arrangement, 'columns'>): readonly TableColumn[] => columns ?? USUAL_COLUMNS;

/** A whole number of pixels a column may have. */
export const fitting = (width: number): number => Math.round(Math.min(COLUMN_WIDTH.most, Math.max(COLUMN_WIDTH.least, width)));

/** The columns with one put where another stands; onto the title: at the front. */
export function movedOnto(columns: readonly TableColumn[], moved: Column, onto: ColumnId): TableColumn[] {
  const from = columns.findIndex(({ column }) => column === moved);
  const to = onto === 'title' ? 0 : columns.findIndex(({ column }) => column === onto);
  if (from < 0 || to < 0 || from === to) return [...columns];
  const rest = columns.toSpliced(from, 1);
  return rest.toSpliced(to, 0, columns[from]!);
}
