import { fetchAll } from '@/later';

// a page fetches some of itself once it is drawn; a test begins when all of it is here
beforeAll(async () => void (await fetchAll()));
