import { addWords } from '@/words/add-words.ts';
import { listScreensWords } from '@/words/en/list-screens.ts';

/** Fetched once one of them is opened, or before when nothing else is to do. */
export { ArchivedScreen } from './archived-screen.tsx';
export { ListScreen } from './list-screen.tsx';
export { ListsScreen } from './lists-screen.tsx';

addWords(listScreensWords);
