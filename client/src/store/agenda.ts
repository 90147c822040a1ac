import { agendaOf, type MemoryRows, type AgendaEntry } from '@kotiva/core';
import { useOpenHouse, usePlanView } from './store.ts';

/** One person's agenda at one minute, worked out once however many parts of the screen ask for it. */
const known = new WeakMap<MemoryRows, Map<string, AgendaEntry[]>>();

/** Of so many people and minutes. */
const MOST_KNOWN = 30;

export function useAgenda(personId?: string): AgendaEntry[] {
  const { rows } = useOpenHouse();
  const view = usePlanView(personId);
  const ofRows = known.get(rows) ?? new Map<string, AgendaEntry[]>();
  known.set(rows, ofRows);
  const key = `${view.personId} ${view.now}`;
  const agenda = ofRows.get(key) ?? agendaOf(view, rows);
  // minutes pass while nothing changes: what was true a while ago nobody asks for again
  if (ofRows.size >= MOST_KNOWN && !ofRows.has(key)) ofRows.clear();
  ofRows.set(key, agenda);
  return agenda;
}
