import { createContext, useContext, useEffect, useMemo, useState } from 'react';
import { applyTextSize } from './text-size.ts';

export type Theme = 'device' | 'light' | 'dark';
const KEPT = 'kotiva/theme';
const ThemeContext = createContext<{ theme: Theme; setTheme: (theme: Theme) => void } | null>(null);

/** Light, dark, or as the device: as a class on the root, from which the tokens follow. */
export function ThemeProvider({ children }: { children: React.ReactNode }) {
  const [theme, setTheme] = useState<Theme>(() => (localStorage.getItem(KEPT) as Theme | null) ?? 'device');
  useEffect(() => {
    localStorage.setItem(KEPT, theme);
    const system = window.matchMedia('(prefers-color-scheme: dark)');
    const apply = () => document.documentElement.classList.toggle('dark', theme === 'dark' || (theme === 'device' && system.matches));
    apply();
    system.addEventListener('change', apply);
    return () => system.removeEventListener('change', apply);
  }, [theme]);
  useEffect(applyTextSize, []);
  const value = useMemo(() => ({ theme, setTheme }), [theme]);
  return <ThemeContext.Provider value={value}>{children}</ThemeContext.Provider>;
}

export function useTheme() {
  const value = useContext(ThemeContext);
  if (!value) throw new Error('outside of ThemeProvider');
  return value;
}
