import { agendaOf, type MemoryRows, type Placed } from '@kotiva/core';
import { usePlace, usePlanView } from './store.ts';

/** One person's agenda at one minute, worked out once however many parts of the screen ask for it. */
const known = new WeakMap<MemoryRows, Map<string, Placed[]>>();

export function useAgenda(personId?: string): Placed[] {
  const { rows } = usePlace();
  const view = usePlanView(personId);
  const ofRows = known.get(rows) ?? new Map<string, Placed[]>();
  known.set(rows, ofRows);
  const key = `${view.personId} ${view.now}`;
  const agenda = ofRows.get(key) ?? agendaOf(view, rows);
  ofRows.set(key, agenda);
  return agenda;
}
