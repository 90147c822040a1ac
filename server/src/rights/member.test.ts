import { tryEverythingAs } from './trying.ts';

describe('what a member may', () => tryEverythingAs('member'));
