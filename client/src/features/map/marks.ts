import type { Coordinates } from '@kotiva/core';

/** Something drawn at a spot of the map. */
export interface MapMark {
  id: string;
  /** Said to screen readers, and shown beside the mark. */
  name: string;
  at: Coordinates;
  /** `place`: with its circle and how much is to be done there. `stop`: one of a round. `self`: where this device is. `phone`: a simulated one. */
  kind: 'place' | 'stop' | 'self' | 'phone';
  /** Metres. */
  radius?: number;
  /** In the mark: a count, the number of a stop, a person's letters. */
  words?: string;
  /** May be dragged to another spot. */
  moves?: boolean;
}

export interface MapProps {
  label: string;
  marks: readonly MapMark[];
  /** A way from spot to spot. */
  line?: readonly Coordinates[];
  /** The mark in the middle; null: all of them are in sight. */
  at?: string | null;
  /** A spot was tapped. */
  onPick?: (at: Coordinates) => void;
  onOpen?: (id: string) => void;
  onMove?: (id: string, at: Coordinates) => void;
  /** Pixels. */
  height: number;
}
