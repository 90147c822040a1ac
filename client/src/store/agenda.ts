import { agendaOf, type AgendaEntry } from '@kotiva/core';
import { useDeriving } from './shown.ts';
import { usePlanView } from './store.ts';

/** One person's agenda at one minute, worked out once however many parts of the screen ask for it. */
export function useAgenda(personId?: string): AgendaEntry[] {
  const view = usePlanView(personId);
  const deriving = useDeriving();
  return deriving(`agenda ${view.personId} ${view.now}`, (rows) => agendaOf({ ...view, house: rows.find('house', view.house.id)! }, rows));
}
