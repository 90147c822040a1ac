import { createContext, useContext, useEffect, useMemo, useState } from 'react';

/** What the view one is in gives to what is typed there. */
export interface CaptureContext {
  list?: string;
  section?: string | null;
  person?: string;
  /** A day: what is typed is planned for it, unless the line says another. */
  plan?: string;
  tags?: readonly string[];
  /** Said below the line: where it goes. */
  words?: string;
}

interface Capture {
  context: CaptureContext;
  set: (context: CaptureContext) => void;
  /** A part of the view that was chosen to add to goes before the view. */
  setPart: (context: CaptureContext | null) => void;
}

const Context = createContext<Capture | null>(null);

export function CaptureProvider({ children }: { children: React.ReactNode }) {
  const [view, set] = useState<CaptureContext>({});
  const [part, setPart] = useState<CaptureContext | null>(null);
  const value = useMemo(() => ({ context: part ? { ...view, ...part } : view, set, setPart }), [view, part]);
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

export function useCapture() {
  const value = useContext(Context);
  if (!value) throw new Error('outside of CaptureProvider');
  return value;
}

/** While this view is open, what is typed takes this over. */
export function useCaptureHere({ list, section, person, plan, tags, words }: CaptureContext): void {
  const { set } = useCapture();
  // a name of a tag is one line
  const names = tags?.join('\n');
  useEffect(() => {
    set({ list, section, person, plan, tags: names ? names.split('\n') : undefined, words });
    return () => set({});
  }, [list, section, person, plan, names, words, set]);
}

/** While a part of the view is chosen to add to, what is typed takes this over before what the view gives; null: none is. */
export function useCaptureIntoPart(part: CaptureContext | null): void {
  const { setPart } = useCapture();
  const { list, section, person, words } = part ?? {};
  const isChosen = part !== null;
  useEffect(() => {
    if (!isChosen) return;
    setPart({ ...(list ? { list, section: section ?? null } : {}), ...(person ? { person } : {}), words });
    return () => setPart(null);
  }, [isChosen, list, section, person, words, setPart]);
}
