import { addWords } from '@/words/add-words.ts';
import { followUpScreenWords } from '@/words/en/follow-up-screen.ts';

/** Fetched once one of them is opened, or before when nothing else is to do. */
export { FollowUpScreen } from './follow-up-screen.tsx';
export { MyWaits } from './my-waits.tsx';

addWords(followUpScreenWords);
