import { COLUMN_WIDTH, COLUMNS, type Column, type TableColumn } from '@kotiva/core';
import { View } from 'react-native';
import type { FieldChoice } from '@/features/fields';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Foot, Heading, IconButton, Sheet, Switch } from '@/ui';
import { Sortable, SortableRow } from '@/ui/sortable.tsx';
import { t } from '@/words';
import { sayDragOfRows } from '@/words/dragging.ts';
import { fitting, movedOnto, nameOfColumn } from './table-columns.ts';

interface ColumnsSheetProps {
  columns: readonly TableColumn[];
  fields: readonly FieldChoice[];
  onChange: (columns: TableColumn[]) => void;
  onClose: () => void;
}

/** So many pixels a tap makes a column wider or narrower. */
const TAP_STEP = 40;

/** Which columns a table has, in which order and how wide: those chosen first, then what else there is. */
export function ColumnsSheet({ columns, fields, onChange, onClose }: ColumnsSheetProps) {
  const title = t('column.choose');
  const { rows } = useOpenHouse();
  const all: readonly Column[] = [...COLUMNS, ...fields.map(({ key }) => key)];
  const others = all.filter((column) => columns.every((one) => one.column !== column));
  const nameOf = (id: string) => fields.find(({ key }) => key === id)?.words ?? nameOfColumn(id as Column, rows);
  const leaveOut = (column: Column) => onChange(columns.filter((one) => one.column !== column));
  const widen = (column: Column, by: number) => onChange(columns.map((one) => (one.column === column ? { ...one, width: fitting(one.width + by) } : one)));
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="pt-2">
        <Sortable
          ids={columns.map(({ column }) => column)}
          words={sayDragOfRows()}
          nameOf={nameOf}
          onDrop={({ id, over }) => onChange(movedOnto(columns, id as Column, over as Column))}
        >
          {columns.map(({ column, width }) => (
            <SortableRow key={column} id={column} label={t('column.drag', { name: nameOf(column) })}>
              {(handle) => (
                <View className="flex-row items-center gap-1 border-b border-line">
                  {handle}
                  <View className="min-w-0 grow shrink basis-0">
                    <Switch words={nameOf(column)} on onChange={() => leaveOut(column)} />
                  </View>
                  <IconButton icon="minus" label={t('column.narrower', { name: nameOf(column) })} onPress={() => widen(column, -TAP_STEP)} />
                  <IconButton icon="plus" label={t('column.wider', { name: nameOf(column) })} onPress={() => widen(column, TAP_STEP)} />
                </View>
              )}
            </SortableRow>
          ))}
        </Sortable>
        {others.map((column) => (
          <View key={column} className="border-b border-line pl-7">
            <Switch words={nameOf(column)} on={false} onChange={() => onChange([...columns, { column, width: COLUMN_WIDTH.usual }])} />
          </View>
        ))}
        <Foot>
          <Button kind="main" onPress={onClose}>
            {t('common.done')}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}
