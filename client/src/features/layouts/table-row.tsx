import type { Arrangeable, TableColumn } from '@kotiva/core';
import { useItemFace } from '@/features/item';
import { memo } from 'react';
import { Pressable, View } from 'react-native';
import { Txt, useWide } from '@/ui';
import { TableCell } from './table-cells.tsx';

interface TableRowProps {
  entry: Arrangeable;
  columns: readonly TableColumn[];
  /** Of all there are, from 1 with the heads. */
  nth: number;
  height: number;
}

/** An item as a line of a table: its knot and title stay in sight while the rest is scrolled aside. */
export const TableRow = memo(function TableRow({ entry: { item, part }, columns, nth, height }: TableRowProps) {
  const face = useItemFace({ item, detail: 'bare' });
  const wide = useWide();
  return (
    <tr aria-rowindex={nth} className={`row ${face.chosen ? 'is-chosen' : ''}`} style={{ height }}>
      <th scope="row">
        <View className="flex-row items-center">
          <View className="w-11 shrink-0 items-center">{face.lead}</View>
          <Pressable
            role={face.chosen === undefined ? 'button' : 'checkbox'}
            aria-checked={face.chosen}
            {...({ dataSet: { row: item.id } } as object)}
            onPress={face.onPress}
            onLongPress={face.onLongPress}
            className="min-w-0 grow shrink basis-0 justify-center"
            style={{ height: height - 1 }}
          >
            <Txt
              face={face.isStrong && !face.done ? 'bold' : 'medium'}
              tone={face.done ? 'muted' : 'ink'}
              size={wide ? 17 : 15}
              numberOfLines={wide ? 1 : 2}
              className={face.done ? 'line-through' : ''}
            >
              {face.title}
            </Txt>
            {face.state ? <Txt className="sr-only">{face.state}</Txt> : null}
          </Pressable>
        </View>
      </th>
      {columns.map(({ column }) => (
        <td key={column}>
          <TableCell item={item} part={part} column={column} />
        </td>
      ))}
    </tr>
  );
});
