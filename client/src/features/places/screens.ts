import { addWords } from '@/words/add-words.ts';
import { placeScreensWords } from '@/words/en/place-screens.ts';

/** Fetched once one of them is opened, or before when nothing else is to do. */
export { PlaceScreen } from './place-screen.tsx';
export { PlacesScreen } from './places-screen.tsx';
export { PlaceSheet } from './place-sheet.tsx';

addWords(placeScreensWords);
