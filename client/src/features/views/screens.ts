import { addWords } from '@/words/add-words.ts';
import { filtersWords } from '@/words/en/filters.ts';

/** Fetched once one of them is opened, or before when nothing else is to do. What narrows other views comes along: it is the same. */
export { FilterBar, FilterSheet, filterRules } from '@/features/narrow';
export { ViewRows } from './view-rows.tsx';
export { ViewScreen } from './view-screen.tsx';
export { ViewsOnToday } from './views-on-today.tsx';
export { WholeScreen } from './whole-screen.tsx';

addWords(filtersWords);
