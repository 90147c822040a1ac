import type { Colour, Pattern } from '@kotiva/core';
import { weaveMask } from './weaves.ts';

/** What somebody has chosen for themselves; null: the usual. */
export interface OwnLooks {
  accent: Colour | null;
  backdrop: Pattern | null;
  /** A picture of their own behind headings, as a data address. It takes the place of the weave. */
  picture: string | null;
}

/** Dresses all of Kotiva: the style sheet does the rest. */
export function dress({ accent, backdrop, picture }: OwnLooks): void {
  const { dataset, style } = document.documentElement;
  set(dataset, 'accent', accent);
  set(dataset, 'backdrop', picture !== null ? 'picture' : backdrop !== null ? 'weave' : null);
  style.setProperty('--weave', backdrop === null ? '' : weaveMask(backdrop));
  style.setProperty('--picture', picture === null ? '' : `url("${picture}")`);
}

function set(dataset: DOMStringMap, name: string, value: string | null): void {
  if (value === null) Reflect.deleteProperty(dataset, name);
  else dataset[name] = value;
}
