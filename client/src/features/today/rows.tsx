import type { AgendaEntry, Detail } from '@kotiva/core';
import { LongRows } from '@/ui';
import { TodayRow } from './today-row.tsx';

/** Things of a day, one below the other. */
export const Rows = ({ entries, detail }: { entries: readonly AgendaEntry[]; detail?: Detail }) => (
  <LongRows rows={entries} keyOf={({ item }) => item.id}>
    {(entry) => <TodayRow entry={entry} detail={detail} />}
  </LongRows>
);
