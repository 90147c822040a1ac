export { Decisions, needsMore, useDecide, type Decision } from './decisions.tsx';
export { Steps } from './steps.tsx';
export { ItemRow } from './item-row.tsx';
export { ItemSheet } from './item-sheet.tsx';
export { PeoplePicker, matches } from './people-picker.tsx';
export { useOpenItem, useOpenedItem } from './open-item.ts';
export { givenParts, knotOf, nameOf, personOf, sayStrands, strandsOf } from './knot-of.ts';
export { sayStanding } from './standing-words.ts';
export { footings, lookup, useTie } from './use-check.ts';
