import type { FeatureCollection } from 'geojson';
import { useEffect, useState } from 'react';
import { ask } from '@/store/api.ts';

let known: FeatureCollection | null = null;

/** The drawing of the region; null until it is here. It is asked for once. */
export function useLand(): FeatureCollection | null {
  const [land, setLand] = useState(known);
  useEffect(() => {
    if (known) return;
    void ask<FeatureCollection>('GET', '/map').then((answer) => {
      if (!answer.ok) return;
      known = answer.value;
      setLand(known);
    });
  }, []);
  return land;
}
