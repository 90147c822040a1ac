import type { Arrangeable, TableColumn } from '@kotiva/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { memo } from 'react';
import { TableRow } from './table-row.tsx';

interface TableLinesProps {
  entries: readonly Arrangeable[];
  columns: readonly TableColumn[];
  /** Pixels. */
  height: number;
  /** What they are scrolled in. */
  box: HTMLElement | null;
}

/** So many beyond what is in sight, either way. */
const OVERSCAN = 12;

/** The lines in sight, with as much room before and after them as the others take. Apart from the heads, which a scroll doesn’t concern. */
export const TableLines = memo(function TableLines({ entries, columns, height, box }: TableLinesProps) {
  const lines = useVirtualizer({ count: entries.length, getScrollElement: () => box, estimateSize: () => height, overscan: OVERSCAN });
  const drawn = lines.getVirtualItems();
  const [above, below] = [drawn[0]?.start ?? 0, lines.getTotalSize() - (drawn.at(-1)?.end ?? 0)];
  return (
    <tbody>
      {above > 0 ? <tr aria-hidden style={{ height: above }} /> : null}
      {drawn.map(({ index }) => (
        <TableRow key={entries[index]!.item.id} entry={entries[index]!} columns={columns} nth={index + 2} height={height} />
      ))}
      {below > 0 ? <tr aria-hidden style={{ height: below }} /> : null}
    </tbody>
  );
});
