import type { ComponentType } from 'react';
import { later, useLater } from './later.ts';

/** A component that is fetched when it is first drawn, or before, when nothing else is to do; until then nothing stands there. */
export function drawnLater<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  const one = later(load);
  return function DrawnLater(props: P) {
    const Found = useLater(one);
    return Found ? <Found {...props} /> : null;
  };
}
