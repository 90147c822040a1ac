import { byPosition, dropped, indented, outdented, outlineOf, shifted, type Detail, type Item, type OutlineRow, type OutlineSpot } from '@kotiva/core';
import { memo } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { LongRows, Menu, useWide, type MenuEntry } from '@/ui';
import { Sortable, SortableRow } from '@/ui/sortable.tsx';
import { useSteady } from '@/ui/steady.ts';
import { t } from '@/words';
import { sayDragOfRows } from '@/words/dragging.ts';
import { ItemRow } from './item-row.tsx';

/** Items that stand together: those of a section, or the steps of an item. */
export interface OutlineGroup {
  key: string;
  top: readonly Item[];
  /** What names this place in a command: a list and section, or an item. */
  spot: { list?: string | null; section?: string | null; parent?: string };
}

const STEP_PX = 22;

export type OutlineRows = OutlineRow<ItemNode>[];
interface ItemNode {
  id: string;
  parentId: string | null;
  item: Item;
}

/** Rows of a group with the steps under them, each further in. */
function useOutline(withSteps: boolean): (top: readonly Item[]) => OutlineRows {
  const { rows } = useOpenHouse();
  const nodeOf = (item: Item): ItemNode => ({ id: item.id, parentId: item.parentId, item });
  const stepsOf = (id: string): ItemNode[] =>
    withSteps
      ? rows
          .by('item', 'parentId', id)
          .filter((step) => !step.removedAt)
          .sort(byPosition)
          .map(nodeOf)
      : [];
  return (top) => outlineOf(top.map(nodeOf), stepsOf);
}

interface OutlineProps {
  groups: readonly OutlineGroup[];
  withSteps: boolean;
  detail?: Detail;
  canMove: boolean;
  /** Further words of a row's menu. */
  moreOf?: (item: Item) => MenuEntry[];
  children: (draw: (group: OutlineGroup) => React.ReactNode) => React.ReactNode;
}

/** Items and steps at any depth, put in order and indented by dragging, by keyboard and by menu. */
export function Outline({ groups, withSteps, detail, canMove, moreOf = () => [], children }: OutlineProps) {
  const submit = useSubmit();
  const outline = useOutline(withSteps);
  const rowsOf = new Map(groups.map((group) => [group.key, outline(group.top)]));
  const groupOf = (id: string) => groups.find(({ key }) => rowsOf.get(key)!.some(({ node }) => node.id === id));

  const titleOf = (id: string) => [...rowsOf.values()].flat().find(({ node }) => node.id === id)?.node.item.title ?? '';
  const put = (id: string, group: OutlineGroup, spot: OutlineSpot | null) => {
    if (!spot) return;
    const isTop = spot.parentId === (group.spot.parent ?? null);
    const place = isTop ? group.spot : { parent: spot.parentId };
    submit('item.move', { items: [id], ...place, after: spot.after }, { words: t('said.reordered'), undo: true });
  };
  const drop = ({ id, over, aside }: { id: string; over: string; aside: number }) => {
    const [from, to] = [groupOf(id), groupOf(over)];
    if (!from || !to) return;
    const rows = rowsOf.get(to.key)!;
    const moved = from === to ? rows : [...rows, ...subtreeOf(rowsOf.get(from.key)!, id)];
    const levels = withSteps ? Math.round(aside / STEP_PX) : 0;
    if (id !== over || levels !== 0) put(id, to, dropped(moved, id, over, levels));
  };

  const draw = (group: OutlineGroup) => {
    const rows = rowsOf.get(group.key)!;
    return (
      <LongRows rows={rows} keyOf={({ node }) => node.id}>
        {({ node: { item }, depth }) => (
          <OutlinedItem
            item={item}
            detail={detail}
            depth={depth}
            canMove={canMove}
            isStep={depth > 0 || group.spot.parent !== undefined}
            rows={rows}
            more={moreOf(item)}
            onPut={(spot) => put(item.id, group, spot)}
          />
        )}
      </LongRows>
    );
  };
  if (!canMove) return children(draw);
  return (
    <Sortable ids={groups.flatMap(({ key }) => rowsOf.get(key)!.map(({ node }) => node.id))} onDrop={drop} words={sayDragOfRows()} nameOf={titleOf}>
      {children(draw)}
    </Sortable>
  );
}

function subtreeOf(rows: OutlineRows, id: string): OutlineRows {
  const at = rows.findIndex(({ node }) => node.id === id);
  let end = at + 1;
  while (end < rows.length && rows[end]!.depth > rows[at]!.depth) end += 1;
  const root = rows[at]!;
  // it comes as something at the top of where it is dropped
  return rows.slice(at, end).map(({ node, depth }, nth) => ({ node: nth === 0 ? { ...node, parentId: null } : node, depth: depth - root.depth }));
}

interface OutlinedItemProps {
  item: Item;
  detail?: Detail;
  depth: number;
  canMove: boolean;
  /** On a phone an item of a list has its menu in its own sheet. */
  isStep: boolean;
  rows: OutlineRows;
  more: readonly MenuEntry[];
  onPut: (spot: OutlineSpot | null) => void;
}

/** Alt and an arrow do by keyboard what dragging does: in, out, up, down. */
function OutlinedItem({ rows, more, onPut, ...rest }: OutlinedItemProps) {
  const { item } = rest;
  const entries = useSteady((): MenuEntry[] => [
    ...waysFor(item.id, rows).flatMap(({ key, spot }) => (spot ? [{ key, words: t(`move.${key}`), onPress: () => onPut(spot) }] : [])),
    ...more,
  ]);
  const byKey = useSteady((event: { nativeEvent: KeyboardEvent; preventDefault: () => void }) => {
    if (!event.nativeEvent.altKey) return;
    const way = waysFor(item.id, rows).find(({ arrow }) => arrow === event.nativeEvent.key);
    if (!way) return;
    event.preventDefault();
    onPut(way.spot);
  });
  return <SteadyItem {...rest} entries={entries} byKey={byKey} />;
}

interface SteadyItemProps extends Omit<OutlinedItemProps, 'rows' | 'more' | 'onPut'> {
  entries: () => MenuEntry[];
  byKey: (event: { nativeEvent: KeyboardEvent; preventDefault: () => void }) => void;
}

/** Drawn anew when the item is another one: where it could go is asked when somebody wants to move it. */
const SteadyItem = memo(function SteadyItem({ item, detail, depth, canMove, isStep, entries, byKey }: SteadyItemProps) {
  const wide = useWide();
  const inset = { paddingLeft: depth * STEP_PX };
  if (!canMove)
    return (
      <View style={inset}>
        <ItemRow item={item} detail={detail} />
      </View>
    );
  return (
    <View style={inset} {...({ onKeyDown: byKey } as object)}>
      <SortableRow id={item.id} label={t('move.drag', { title: item.title })}>
        {(handle) => <HandledItem item={item} detail={detail} handle={handle} entries={wide || isStep ? entries : null} />}
      </SortableRow>
    </View>
  );
});

interface HandledItemProps {
  item: Item;
  detail?: Detail;
  handle: React.ReactNode;
  /** What its menu offers; null: it has none. */
  entries: (() => MenuEntry[]) | null;
}

/** While another row is dragged past it, it is moved and stays as it was drawn. */
const HandledItem = memo(function HandledItem({ item, detail, handle, entries }: HandledItemProps) {
  const tools = (
    <>
      {entries ? <Menu label={t('row.more', { title: item.title })} entries={entries} /> : null}
      {handle}
    </>
  );
  return <ItemRow item={item} detail={detail} tools={tools} />;
});

/** What dragging does, in words and by keyboard. */
function waysFor(id: string, rows: OutlineRows) {
  const up = shifted(rows, id, -1);
  return [
    { key: 'indent', arrow: 'ArrowRight', spot: indented(rows, id) },
    { key: 'outdent', arrow: 'ArrowLeft', spot: outdented(rows, id) },
    { key: 'top', arrow: 'Home', spot: up ? { parentId: up.parentId, after: null } : null },
    { key: 'up', arrow: 'ArrowUp', spot: up },
    { key: 'down', arrow: 'ArrowDown', spot: shifted(rows, id, 1) },
  ] as const;
}
