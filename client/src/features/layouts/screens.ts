import { addWords } from '@/words/add-words.ts';
import { layoutsWords } from '@/words/en/layouts.ts';

/** Fetched once items are laid out in another way than as rows, or before when nothing else is to do. */
export { ItemsBoard } from './items-board.tsx';
export { ItemsPriorities } from './items-priorities.tsx';
export { ItemsTable } from './items-table.tsx';
export { ItemsTiles } from './items-tiles.tsx';

addWords(layoutsWords);
