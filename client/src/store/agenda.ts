import type { AgendaEntry } from '@kotiva/core';
import { AgendaKept } from './kept.ts';
import { useKeeping } from './shown.tsx';
import { usePlanView } from './store.ts';

/** One person's agenda at one minute, kept for however many parts of the screen ask for it. */
export function useAgenda(personId?: string): readonly AgendaEntry[] {
  const view = usePlanView(personId);
  const at = JSON.stringify([view.now, view.house.zone, view.house.dayParts]);
  return useKeeping()(`agenda ${view.personId}`, at, (rows, before) => new AgendaKept(at, rows, view, before));
}
