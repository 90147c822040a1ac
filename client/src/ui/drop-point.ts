import { getFirstCollision, type CollisionDetection, type DragEndEvent } from '@dnd-kit/core';
import { getEventCoordinates } from '@dnd-kit/utilities';
import { useEffect, useMemo, useRef } from 'react';

type Point = { x: number; y: number };
type Tried = Parameters<CollisionDetection>[0];

/** Where something was let go. */
export interface LetGo {
  /** Id of what it was let go on; null is beside everything. */
  over: string | null;
  /** Pixels from where it was taken hold of. */
  delta: Point;
}

const MOVES = ['mousemove', 'mouseup', 'pointermove', 'pointerup', 'touchmove', 'touchend'] as const;

/**
 * What lies under the pointer when it is let go. The library answers with what was drawn last: on a busy device, or with a quick hand, that is
 * the place before the one the pointer stands on. So the last place of the pointer is kept here, and asked about once more.
 */
export function useDropPoint(detect: CollisionDetection) {
  const tried = useRef<Tried | null>(null);
  const last = useRef<Point | null>(null);
  const point = useMemo(() => {
    const keep = (event: Event) => {
      last.current = getEventCoordinates(event) ?? last.current;
    };
    const stop = () => MOVES.forEach((kind) => window.removeEventListener(kind, keep, true));
    return {
      detect: (args: Tried) => {
        tried.current = args;
        return detect(args);
      },
      start: () => {
        last.current = null;
        MOVES.forEach((kind) => window.addEventListener(kind, keep, true));
      },
      stop,
      end: (event: DragEndEvent): LetGo => {
        stop();
        const [args, point] = [tried.current, last.current];
        if (!args?.pointerCoordinates || !point) return { over: event.over ? String(event.over.id) : null, delta: event.delta };
        const missed = { x: point.x - args.pointerCoordinates.x, y: point.y - args.pointerCoordinates.y };
        const over = getFirstCollision(detect({ ...args, pointerCoordinates: point, collisionRect: shifted(args.collisionRect, missed) }), 'id');
        return { over: over === null ? null : String(over), delta: { x: event.delta.x + missed.x, y: event.delta.y + missed.y } };
      },
    };
  }, [detect]);
  useEffect(() => point.stop, [point]);
  return point;
}

const shifted = (rect: Tried['collisionRect'], by: Point): Tried['collisionRect'] => ({
  ...rect,
  left: rect.left + by.x,
  right: rect.right + by.x,
  top: rect.top + by.y,
  bottom: rect.bottom + by.y,
});
