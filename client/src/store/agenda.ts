import { agendaOf, type AgendaEntry } from '@kotiva/core';
import { useDeriving } from './shown.ts';
import { useOpenHouse, usePlanView } from './store.ts';

const keyOf = ({ part }: AgendaEntry): string => part.id;

/** One person's agenda at one minute, worked out once however many parts of the screen ask for it. */
export function useAgenda(personId?: string): readonly AgendaEntry[] {
  const { house } = useOpenHouse();
  const view = usePlanView(personId);
  const deriving = useDeriving();
  return deriving(`agenda ${view.personId}`, {
    at: view.now,
    compute: (rows) => agendaOf({ ...view, house: rows.find('house', house.id) ?? house }, rows),
    keyOf,
  });
}
