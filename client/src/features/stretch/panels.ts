import { addWords } from '@/words/add-words.ts';
import { stretchWords } from '@/words/en/stretch.ts';

/** Fetched once somebody is in the middle of one, begins one or looks back over them. */
export { StretchBar } from './stretch-bar.tsx';
export { StretchSheet } from './stretch-sheet.tsx';
export { StretchesBack } from './stretches-back.tsx';

addWords(stretchWords);
