export { ItemRow } from './item-row.tsx';
export { ItemSheet } from './item-sheet.tsx';
export { PeoplePicker, matches } from './people-picker.tsx';
export { useOpenItem, useOpenedItem } from './open-item.ts';
export { givenParts, knotOf, nameOf, personOf, sayStrands, strandsOf } from './knot-of.ts';
export { sayStanding } from './standing-words.ts';
export { footings, lookup, useTie } from './use-check.ts';
