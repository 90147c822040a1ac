import type { Layout } from '@kotiva/core';
import { useArrangement, type Arranging } from '@/store/arrangement.ts';
import { useWide } from '@/ui';

/** How a view's items are laid out: remembered for the phone and for a wide screen by itself, as what suits the one seldom suits the other. */
export function useLayout(view: string, usual?: Partial<Arranging>): { layout: Layout; setLayout: (layout: Layout) => void } {
  const wide = useWide();
  const { arranged, arrange } = useArrangement(view, usual);
  return {
    layout: wide ? arranged.layout : arranged.phoneLayout,
    setLayout: (layout) => arrange(wide ? { layout } : { phoneLayout: layout }),
  };
}
