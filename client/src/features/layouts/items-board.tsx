import { boardOf, type Arrangeable, type BoardBy, type BoardColumn, type Detail, type Item } from '@kotiva/core';
import { createElement, useState } from 'react';
import { View } from 'react-native';
import { useCaptureIntoPart } from '@/features/capture';
import { useItemFace } from '@/features/item';
import { useOpenHouse } from '@/store/store.ts';
import { Button, LongRows, Menu, Txt } from '@/ui';
import { DragBetween, DragPiece, DropSpot } from '@/ui/drag-between.tsx';
import { Tile } from '@/ui/tile.tsx';
import { t } from '@/words';
import { sayDragOfRows } from '@/words/dragging.ts';
import { captureOfColumn } from './add-to-column.ts';
import { columnsOf, sayColumn } from './board-columns.ts';
import { useBoardMoves, type BoardMove } from './use-board-moves.tsx';

interface ItemsBoardProps {
  entries: readonly Arrangeable[];
  by: BoardBy;
  detail: Detail;
  /** Said of an item before anything else: the name of its list. */
  subOf: (entry: Arrangeable) => string | undefined;
}

/** Names of columns as places to drop on: none is a place too. */
const NONE = 'none';
const spotOf = (key: string | null): string => key ?? NONE;

/** Items in columns, between which they are moved: dragged by pointer, touch or keyboard, or by each one’s menu. */
export function ItemsBoard({ entries, by, detail, subOf }: ItemsBoardProps) {
  const { rows, me } = useOpenHouse();
  const { move, mayMove, question } = useBoardMoves(by);
  const [addingTo, setAddingTo] = useState<string | null>(null);
  useCaptureIntoPart(captureOfColumn(by, addingTo, me, rows));
  const columns = boardOf(entries, by, columnsOf(by, entries, rows), rows);
  const nameOf = (spot: string) => sayColumn({ key: spot === NONE ? null : spot }, by, rows);
  const drop = ({ item, from }: Omit<BoardMove, 'to'>, spot: string) => move({ item, from, to: spot === NONE ? null : spot });
  const waysFrom = (item: Item, from: string | null) =>
    columns
      .filter(({ key }) => key !== from)
      .map(({ key }) => ({ key: spotOf(key), words: t('board.moveTo', { column: nameOf(spotOf(key)) }), onPress: () => move({ item, from, to: key }) }));
  return (
    <DragBetween<Omit<BoardMove, 'to'>> words={sayDragOfRows()} nameOf={nameOf} titleOf={({ item }) => item.title} onDrop={drop}>
      {() => (
        <>
          {createElement(
            'div',
            { className: 'board', tabIndex: 0, role: 'group', 'aria-label': t('board.label') },
            columns.map((column) => (
              <Column
                key={spotOf(column.key)}
                name={nameOf(spotOf(column.key))}
                column={column}
                isAddedTo={addingTo !== null && addingTo === column.key}
                onAdd={captureOfColumn(by, column.key, me, rows) ? () => setAddingTo(addingTo === column.key ? null : column.key) : null}
              >
                {({ item, part }) => (
                  <DragPiece
                    id={`${spotOf(column.key)} ${item.id}`}
                    data={{ item, from: column.key }}
                    disabled={!mayMove(item)}
                    handle={t('board.drag', { title: item.title })}
                    className="row flex-row"
                  >
                    <Card
                      item={item}
                      detail={detail}
                      sub={subOf({ item, part })}
                      tools={mayMove(item) ? <Menu label={t('row.more', { title: item.title })} entries={waysFrom(item, column.key)} /> : undefined}
                    />
                  </DragPiece>
                )}
              </Column>
            )),
          )}
          {question}
        </>
      )}
    </DragBetween>
  );
}

/** A long press takes hold of it here, and chooses nothing. */
const Card = (props: Parameters<typeof useItemFace>[0]) => <Tile isLined {...useItemFace(props)} onLongPress={undefined} />;

interface ColumnProps {
  name: string;
  column: BoardColumn<Arrangeable>;
  /** What is typed goes here. */
  isAddedTo: boolean;
  /** Null: nothing can be typed into it. */
  onAdd: (() => void) | null;
  children: (entry: Arrangeable) => React.ReactNode;
}

function Column({ name, column, isAddedTo, onAdd, children }: ColumnProps) {
  return (
    <DropSpot id={spotOf(column.key)} className="board-column">
      <View className="min-h-11 flex-row items-center gap-2">
        <Txt role="heading" aria-level={3} face="head" numberOfLines={1} className="shrink">
          {name}
        </Txt>
        <Txt size={13} tone="muted">
          {column.entries.length}
        </Txt>
        {onAdd ? (
          <View className="ml-auto">
            <Button
              kind="quiet"
              tone={isAddedTo ? 'ink' : 'plan'}
              label={t('board.addTo', { words: t(isAddedTo ? 'board.adding' : 'board.add'), name })}
              onPress={onAdd}
            >
              {t(isAddedTo ? 'board.adding' : 'board.add')}
            </Button>
          </View>
        ) : null}
      </View>
      <View className="min-h-24 border-l-2 border-line">
        <LongRows rows={column.entries} keyOf={({ item }) => item.id}>
          {children}
        </LongRows>
      </View>
    </DropSpot>
  );
}
