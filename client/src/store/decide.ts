import { addWords } from '@/words/add-words.ts';
import { reasonsWords } from '@/words/en/reasons.ts';

// what decides also refuses: the sentences of refusals come with it
addWords(reasonsWords);

export { decide } from '@kotiva/core/commands';
