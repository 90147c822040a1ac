import { fetchRest } from '@/store/later.ts';

// a page fetches some of itself once it is drawn; a test begins when all of it is here
beforeAll(() => fetchRest(() => Promise.resolve()));
