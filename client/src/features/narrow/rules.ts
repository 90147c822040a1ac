import type { CalendarEntry, Item, Reader, Person, PlanView } from '@kotiva/core';
import { entriesMeeting, meeting, readFilterText, type Filter } from '@kotiva/core/filtering';
import type { CaptureContext } from '@/features/capture';
import { takenOver } from './use-demands.ts';

/** A view with a rule of its own says itself what is done in it. */
const whateverDone = (text: string): Filter => ({ ...readFilterText(text).filter, state: 'both' });

/** What judges by a filter as it stands in an address. */
export const filterRules = {
  meets: (text: string, view: PlanView, rows: Reader): ((item: Item) => boolean) => meeting(whateverDone(text), view, rows),
  meetsOnDay: (text: string, view: PlanView, rows: Reader): ((entry: CalendarEntry) => boolean) => entriesMeeting(whateverDone(text), view, rows),
  takenOver: (text: string, me: Person, rows: Reader): CaptureContext => takenOver(whateverDone(text), me, rows),
};
