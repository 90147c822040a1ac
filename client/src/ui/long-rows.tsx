import { createContext, Fragment, useContext, useState } from 'react';
import { View } from 'react-native';
import { useInView } from 'react-intersection-observer';
import { useScrollRoot } from './scroll-root.tsx';
import { useWide } from './wide.ts';

/** Rows are drawn by so many at a time. */
const CHUNK = 24;
/** As far before and after what is in sight, so that scrolling never meets an empty place. */
const NEAR = '1000px 0px';
const ROW_PX = { phone: 57, wide: 45 };

/** While something is being dragged nothing that was drawn is taken away: it may be what is dragged. */
export const Dragging = createContext(false);

interface LongRowsProps<T> {
  rows: readonly T[];
  keyOf: (row: T) => string;
  children: (row: T) => React.ReactNode;
  /** How high a row is, where that is not the usual. */
  rowPx?: number;
  /** What some rows are laid out by, where they don't stand one below the other. */
  laidOut?: (some: React.ReactNode) => React.ReactNode;
}

/** Any number of rows one below the other: only those near to what is in sight are drawn, the rest keeps its room. */
export function LongRows<T>({ rows, keyOf, children, rowPx, laidOut = (some) => some }: LongRowsProps<T>) {
  const draw = (some: readonly T[]) => laidOut(some.map((row) => <Fragment key={keyOf(row)}>{children(row)}</Fragment>));
  if (rows.length <= CHUNK) return draw(rows);
  const chunks: T[][] = [];
  for (let from = 0; from < rows.length; from += CHUNK) chunks.push(rows.slice(from, from + CHUNK));
  return chunks.map((some, nth) => (
    <Chunk key={nth} count={some.length} startsDrawn={nth === 0} rowPx={rowPx}>
      {() => draw(some)}
    </Chunk>
  ));
}

function Chunk({ count, startsDrawn, rowPx, children }: { count: number; startsDrawn: boolean; rowPx?: number; children: () => React.ReactNode }) {
  const root = useScrollRoot();
  const wide = useWide();
  const dragging = useContext(Dragging);
  const [drawn, setDrawn] = useState(startsDrawn);
  const [height, setHeight] = useState<number | null>(null);
  const { ref } = useInView({
    root,
    rootMargin: NEAR,
    initialInView: startsDrawn,
    onChange: (near) => setDrawn((now) => near || (dragging && now)),
  });
  const room = height ?? count * (rowPx ?? (wide ? ROW_PX.wide : ROW_PX.phone));
  return (
    <View
      ref={ref as never}
      className="rows-together"
      style={drawn ? undefined : { height: room }}
      onLayout={({ nativeEvent }) => {
        if (drawn) setHeight(nativeEvent.layout.height);
      }}
    >
      {drawn ? children() : null}
    </View>
  );
}
