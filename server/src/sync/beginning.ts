import type { BeginningKey, ChangedKey, HouseStorage } from '../houses/house-storage.ts';
import { dayOf } from './window.ts';

/** Devices that begin ask for page after page of the same; one that asks after so many commands more gets another. */
const MOST_HELD = 4;
const MOST_BEHIND = 2_000;
/** What somebody was told before the window and never read, the newest of it. */
const MOST_UNREAD = 100;

/** What a device that begins is to hold, as of a moment in the house's history. */
class Beginning {
  private readonly ofPeople = new Map<string, ChangedKey[]>();

  /** `until`: rows written later are found where all changes are. */
  constructor(
    readonly houseId: string,
    readonly from: number,
    readonly until: number,
    private readonly keys: readonly BeginningKey[],
    private readonly unreadOf: (personId: string) => BeginningKey[],
  ) {}

  /** Without what is another's alone. */
  keysOf(personId: string): ChangedKey[] {
    const known = this.ofPeople.get(personId);
    if (known) return known;
    const own = this.keys.filter((key) => key.personId === null || key.personId === personId);
    const all = [...own, ...this.unreadOf(personId)].sort((a, b) => a.seq - b.seq);
    this.ofPeople.set(personId, all);
    return all;
  }
}

/** What devices that begin are given: worked out once for all pages, and for all who begin at about the same time. */
export class Beginnings {
  private readonly held: Beginning[] = [];

  constructor(private readonly storage: HouseStorage) {}

  /** Of a house that stands at `until` and whose window begins at `from`. */
  of(houseId: string, from: number, until: number, now: string): Beginning {
    const known = this.held.find((one) => one.houseId === houseId && one.from === from && until - one.until < MOST_BEHIND);
    if (known) return known;
    const keys = this.storage.beginningKeys(houseId, from, dayOf(now, -1));
    const made = new Beginning(houseId, from, until, keys, (person) => this.storage.unreadUntil(person, from, MOST_UNREAD));
    this.held.unshift(made);
    this.held.length = Math.min(this.held.length, MOST_HELD);
    return made;
  }
}
