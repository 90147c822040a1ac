import type { Arrangeable, Detail } from '@kotiva/core';
import { createElement } from 'react';
import { useItemFace } from '@/features/item';
import { LongRows } from '@/ui';
import { Tile } from '@/ui/tile.tsx';

interface ItemsTilesProps {
  entries: readonly Arrangeable[];
  detail: Detail;
  /** Said of an item before anything else: the name of its list. */
  subOf: (entry: Arrangeable) => string | undefined;
}

/** About so high is a tile. */
const TILE_PX = 110;

/** Items side by side, as many as there is room for. */
export function ItemsTiles({ entries, detail, subOf }: ItemsTilesProps) {
  return (
    <LongRows rows={entries} keyOf={({ item }) => item.id} rowPx={TILE_PX} laidOut={(some) => createElement('div', { className: 'tiles' }, some)}>
      {(entry) => <ItemTile entry={entry} detail={detail} sub={subOf(entry)} />}
    </LongRows>
  );
}

const ItemTile = ({ entry, detail, sub }: { entry: Arrangeable; detail: Detail; sub?: string }) => <Tile {...useItemFace({ item: entry.item, detail, sub })} />;
