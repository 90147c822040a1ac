import { COLUMN_WIDTH, type Sorting } from '@kotiva/core';
import { Pressable } from 'react-native';
import { useOpenHouse } from '@/store/store.ts';
import { Icon, Txt } from '@/ui';
import { DragPiece, DropSpot } from '@/ui/drag-between.tsx';
import { t } from '@/words';
import { nameOfColumn, sortOf, type ColumnId } from './table-columns.ts';

interface TableHeadProps {
  id: ColumnId;
  width: number;
  sort: Sorting;
  isDescending: boolean;
  onSort: (sort: Sorting, isDescending: boolean) => void;
  /** Begins changing its width by pointer. */
  onResizeStart: (event: unknown) => void;
  onWidth: (width: number) => void;
}

/** So many pixels an arrow key makes a column wider or narrower. */
const KEY_STEP = 20;

/** The head of a column: a tap sorts by it, and back the other way; dragged it moves; at its edge its width changes. */
export function TableHead({ id, width, sort, isDescending, onSort, onResizeStart, onWidth }: TableHeadProps) {
  const { rows } = useOpenHouse();
  const sorting = sortOf(id);
  const isSorted = sorting !== null && sorting === sort;
  const name = nameOfColumn(id, rows);
  const label = (
    <>
      <Txt size={13} face="medium" tone={isSorted ? 'ink' : 'muted'} numberOfLines={1} className="min-w-0 shrink">
        {name}
      </Txt>
      {isSorted ? <Icon name={isDescending ? 'down' : 'up'} size={14} /> : null}
    </>
  );
  const button = sorting ? (
    <Pressable role="button" onPress={() => onSort(sorting, isSorted && !isDescending)} className="min-h-11 min-w-0 flex-row items-center gap-1">
      {label}
    </Pressable>
  ) : (
    label
  );
  const key = ({ key: pressed, preventDefault }: { key: string; preventDefault: () => void }) => {
    const by = pressed === 'ArrowRight' ? KEY_STEP : pressed === 'ArrowLeft' ? -KEY_STEP : 0;
    if (by === 0) return;
    preventDefault();
    onWidth(width + by);
  };
  return (
    <th scope="col" aria-sort={isSorted ? (isDescending ? 'descending' : 'ascending') : undefined}>
      <DropSpot id={id} className="min-h-11 justify-center pr-2">
        {id === 'title' ? (
          button
        ) : (
          <DragPiece id={`head ${id}`} data={{ id }} handle={t('column.drag', { name })} className="row min-h-11 flex-row items-center">
            {button}
          </DragPiece>
        )}
      </DropSpot>
      <div
        role="separator"
        aria-orientation="vertical"
        aria-label={t('column.width', { name })}
        aria-valuenow={Math.round(width)}
        aria-valuemin={COLUMN_WIDTH.least}
        aria-valuemax={COLUMN_WIDTH.most}
        tabIndex={0}
        className="column-edge"
        onMouseDown={onResizeStart}
        onTouchStart={onResizeStart}
        onKeyDown={(event) => key({ key: event.key, preventDefault: () => event.preventDefault() })}
      />
    </th>
  );
}
