import { addWords } from '@/words/add-words.ts';
import { en } from '@/words/en.ts';
import { fetchRest } from '@/store/later.ts';

// a page fetches some of itself once it is drawn; a test begins when all of it is here
beforeAll(() => fetchRest(() => Promise.resolve()));

// and all of its words
addWords(en);
