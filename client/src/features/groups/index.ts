export { GroupChips } from './group-chips.tsx';
export { groupChoices, type GroupChoice } from './group-choices.ts';
