import { createContext, useCallback, useContext, useLayoutEffect, useMemo, useState } from 'react';
import { createPortal } from 'react-dom';

/** The foot of a sheet, which the panel that was opened last has for itself. */
interface SheetFoot {
  element: HTMLElement | null;
  /** The panels that are open, the last opened last. */
  open: readonly object[];
  /** Takes the foot; returns how to give it back. */
  take(panel: object): () => void;
}

const FootContext = createContext<SheetFoot | null>(null);

/** What a sheet needs so that its panels find its foot. */
export function useSheetFoot(): { foot: SheetFoot; hold: (element: HTMLElement | null) => void; Provider: typeof FootContext.Provider } {
  const [element, hold] = useState<HTMLElement | null>(null);
  const [open, setOpen] = useState<readonly object[]>([]);
  const take = useCallback((panel: object) => {
    setOpen((all) => [...all, panel]);
    return () => setOpen((all) => all.filter((other) => other !== panel));
  }, []);
  const foot = useMemo<SheetFoot>(() => ({ element, open, take }), [element, open, take]);
  return { foot, hold, Provider: FootContext.Provider };
}

/** The verb of a panel and its way out: in a sheet always in sight at its foot, else where they stand. */
export function Foot({ children }: { children: React.ReactNode }) {
  const foot = useContext(FootContext);
  const [panel] = useState(() => ({}));
  const take = foot?.take;
  useLayoutEffect(() => take?.(panel), [take, panel]);
  if (!foot) return children;
  return foot.element && foot.open.at(-1) === panel ? createPortal(children, foot.element) : null;
}
