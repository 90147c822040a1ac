import { tryEverythingAs } from './trying.ts';

describe('what a helper may', () => tryEverythingAs('helper'));
