export { IN_LISTS, needsMore, useDecide, type Decision } from './decide.ts';
export {
  attachShared,
  Decisions,
  DuePanel,
  Files,
  FilesOnTheirWay,
  Glance,
  HandToSheet,
  NotesField,
  NotesText,
  PassOnPanel,
  PeoplePicker,
  PlaceList,
  ToPerson,
  WaitingPanel,
  WantedSheet,
} from './fetched.ts';
export { Outline, type OutlineGroup } from './outline-rows.tsx';
export { SelectButton, Selecting, SelectionBar, useSelection } from './selection.tsx';
export { sayEntry } from './activity-words.ts';
export { sayTrigger, sayTriggerFor } from './say-alarm.ts';
export { canOpen, everyoneIn } from './everyone.ts';
export { useWays } from './ways.tsx';
export { useGiveAll } from './give-all.ts';
export { Steps } from './steps.tsx';
export { useItemFace } from './item-face.tsx';
export { ItemRow } from './item-row.tsx';
export { ItemBeside, ItemPage, ItemSheet } from './item-sheet.tsx';
export { playRing, playTied, setSound, soundIsOn } from './tie-sound.ts';
export { useOpenItem, opensAt, useOpenedItem, type OpensAt } from './open-item.ts';
export { givenParts, knotOf, nameOf, personOf, sayStrands, strandsOf } from './knot-of.ts';
export { sayItemsNextNudge, sayNextNudge } from './next-nudge.ts';
export { sayStanding } from './standing-words.ts';
export { relations, partToTie, useMyKnot, useShelve, useTie } from './use-check.ts';
export { usePinned } from './use-pinned.ts';
export { useStay } from './use-stay.ts';
export { choreOf } from './chore-of.ts';
export { sayRemoved, stepsBelow } from './say-removed.ts';
export { sayAnswer } from './say-answer.ts';
