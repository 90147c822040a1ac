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

const Context = createContext<{ context: CaptureContext; set: (context: CaptureContext) => void } | null>(null);

export function CaptureProvider({ children }: { children: React.ReactNode }) {
  const [context, set] = useState<CaptureContext>({});
  const value = useMemo(() => ({ context, set }), [context]);
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
