import { memo } from 'react';
import { Row } from '@/ui';
import { useItemFace, type ItemRowProps } from './item-face.tsx';

/** An item in a list or a day. */
export const ItemRow = memo(function ItemRow(props: ItemRowProps) {
  return <Row {...useItemFace(props)} />;
});
