import type { MapProps } from './marks.ts';

/** Only the web draws maps: the list beside each of them says the same. */
export default function DrawnMap(_props: MapProps): null {
  return null;
}
