import { tryEverythingAs } from './trying.ts';

describe('what a manager may', () => tryEverythingAs('manager'));
