import { relationsToItem, relationToList, isHere, type Item, type Reader, type Person } from '@kotiva/core';

/** "Everyone": who can open the list, without oneself. Of what lies in no list, everyone of the house. */
export function everyoneIn(listId: string | null | undefined, me: Person, rows: Reader): string[] {
  const people = rows.all('person').filter((person) => isHere(person) && person.id !== me.id);
  const canOpen = listId ? people.filter((person) => relationToList(listId, person, rows) !== null) : people;
  return canOpen.map(({ id }) => id);
}

/** Whether somebody can open a list. */
export function canOpen(listId: string, personId: string, rows: Reader): boolean {
  const person = rows.find('person', personId);
  return person !== undefined && relationToList(listId, person, rows) !== null;
}

/** Whether somebody can see an item at all. */
export const canOpenItem = (item: Item, person: Person, rows: Reader): boolean => relationsToItem(item, person, rows).length > 0;
