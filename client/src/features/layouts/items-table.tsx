import type { Arrangeable, Column, Sorting, TableColumn } from '@kotiva/core';
import { columnResizingFeature, columnSizingFeature, tableFeatures, useTable } from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import type { FieldChoice } from '@/features/fields';
import type { Arranging } from '@/store/arrangement.ts';
import { useOpenHouse } from '@/store/store.ts';
import { Button, useSheet, useWide } from '@/ui';
import { DragBetween } from '@/ui/drag-between.tsx';
import { t } from '@/words';
import { sayDragOfRows } from '@/words/dragging.ts';
import { ColumnsSheet } from './columns-sheet.tsx';
import { columnsOf, fitting, movedOnto, nameOfColumn, type ColumnId } from './table-columns.ts';
import { TableHead } from './table-head.tsx';
import { TableLines } from './table-lines.tsx';

interface ItemsTableProps {
  /** Sorted as `arranged` says. */
  entries: readonly Arrangeable[];
  arranged: Arranging;
  arrange: (some: Partial<Arranging>) => void;
  /** Those of its lists, which can be columns too. */
  fields: readonly FieldChoice[];
}

const features = tableFeatures({ columnSizingFeature, columnResizingFeature });
/** Pixels. */
const ROW = { phone: 56, wide: 44 };
/** On a phone a title leaves room for something beside it: pixels, and of the width there is. */
const PHONE_TITLE = { most: 200, share: 0.55 };

/** Items as lines of a table in columns one chooses, in their order and as wide as one likes. Only the lines in sight are drawn. */
export function ItemsTable({ entries, arranged, arrange, fields }: ItemsTableProps) {
  const { rows } = useOpenHouse();
  const [box, setBox] = useState<HTMLDivElement | null>(null);
  const wide = useWide();
  const { width } = useWindowDimensions();
  const height = wide ? ROW.wide : ROW.phone;
  const [choosing, setChoosing] = useSheet('columns');
  const columns = useMemo(() => columnsOf(arranged), [arranged]);
  const table = useColumnTable(
    entries,
    columns,
    wide ? arranged.titleWidth : Math.min(arranged.titleWidth, PHONE_TITLE.most, Math.round(width * PHONE_TITLE.share)),
    (id, width) => arrange(widened(columns, id, width)),
  );
  const { columnResizing } = table.state;
  const widthOf = (id: string) => (table.getColumn(id)?.getSize() ?? 0) + (columnResizing.isResizingColumn === id ? (columnResizing.deltaOffset ?? 0) : 0);
  const order: ColumnId[] = ['title', ...columns.map(({ column }) => column)];
  const sortBy = (sort: Sorting, isDescending: boolean) => arrange({ sort, isDescending });
  return (
    <>
      <View className="items-end px-4">
        <Button kind="quiet" onPress={() => setChoosing(true)}>
          {t('column.choose')}
        </Button>
      </View>
      <DragBetween<{ id: Column }>
        words={sayDragOfRows()}
        nameOf={(id) => nameOfColumn(id as ColumnId, rows)}
        titleOf={({ id }) => nameOfColumn(id, rows)}
        onDrop={({ id }, onto) => arrange({ columns: movedOnto(columns, id, onto as ColumnId) })}
      >
        {() => (
          <div ref={setBox} className="table-box" tabIndex={0} role="group" aria-label={t('table.label')}>
            <table aria-rowcount={entries.length + 1} style={{ width: order.reduce((sum, id) => sum + fitting(widthOf(id)), 0) }}>
              <colgroup>
                {order.map((id) => (
                  <col key={id} style={{ width: fitting(widthOf(id)) }} />
                ))}
              </colgroup>
              <thead>
                <tr aria-rowindex={1}>
                  {table.getFlatHeaders().map((header) => (
                    <TableHead
                      key={header.id}
                      id={header.column.id as ColumnId}
                      width={fitting(widthOf(header.column.id))}
                      sort={arranged.sort}
                      isDescending={arranged.isDescending}
                      onSort={sortBy}
                      onResizeStart={header.getResizeHandler()}
                      onWidth={(px) => arrange(widened(columns, header.column.id as ColumnId, px))}
                    />
                  ))}
                </tr>
              </thead>
              <TableLines entries={entries} columns={columns} height={height} box={box} />
            </table>
          </div>
        )}
      </DragBetween>
      {choosing ? <ColumnsSheet fields={fields} columns={columns} onChange={(next) => arrange({ columns: next })} onClose={() => setChoosing(false)} /> : null}
    </>
  );
}

/** One column with another width. */
const widened = (columns: readonly TableColumn[], id: ColumnId, width: number): Partial<Arranging> =>
  id === 'title' ? { titleWidth: fitting(width) } : { columns: columns.map((one) => (one.column === id ? { ...one, width: fitting(width) } : one)) };

/** The library’s table: it knows widths and their changing. `onWidth` once a width was let go. */
function useColumnTable(entries: readonly Arrangeable[], columns: readonly TableColumn[], titleWidth: number, onWidth: (id: ColumnId, width: number) => void) {
  const defs = useMemo(() => [{ id: 'title' }, ...columns.map(({ column }) => ({ id: column }))], [columns]);
  const columnSizing = useMemo(
    () => ({ title: titleWidth, ...Object.fromEntries(columns.map(({ column, width }) => [column, width])) }),
    [columns, titleWidth],
  );
  return useTable({
    features,
    columns: defs,
    data: entries as Arrangeable[],
    columnResizeMode: 'onEnd',
    state: { columnSizing },
    onColumnSizingChange: (updater) => {
      const next: Record<string, number> = typeof updater === 'function' ? updater(columnSizing) : updater;
      const changed = Object.keys(next).find((id) => next[id] !== columnSizing[id as 'title']);
      if (changed) onWidth(changed as ColumnId, next[changed]!);
    },
  });
}
