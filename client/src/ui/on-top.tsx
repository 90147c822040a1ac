import { createPortal } from 'react-dom';
import { useTopLayer } from './layers.ts';

/** A message: on the layer that lies over the page, where one does, else where it stands. */
export function OnTop({ children, place }: { children: React.ReactNode; place: (message: React.ReactNode) => React.ReactNode }) {
  const top = useTopLayer();
  return top ? createPortal(children, top.messages) : place(children);
}
