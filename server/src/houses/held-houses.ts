import { HouseRows } from './house-rows.ts';
import type { HouseStorage } from './house-storage.ts';

/** How many rows are held in memory: of the house that is in use, and of all others together. */
export interface MostHeld {
  own: number;
  others: number;
}

/** A row with what it is looked up by takes about a kilobyte. */
const ROWS_A_MB = 1_000;
export const USUAL_CACHE_MB = 300;

/** Two thirds for the house that is in use, which may be the largest; the others come and go. */
export function mostHeldIn(megabytes: number): MostHeld {
  const rows = megabytes * ROWS_A_MB;
  return { own: Math.ceil((rows * 2) / 3), others: Math.floor(rows / 3) };
}

/** The rows of each house, remembered as far as there is room: those of the house asked for longest ago are forgotten first. */
export class HeldHouses {
  /** The one asked for longest ago comes first. */
  private readonly houses = new Map<string, HouseRows>();

  constructor(
    private readonly storage: HouseStorage,
    private readonly most = mostHeldIn(USUAL_CACHE_MB),
  ) {}

  get size(): number {
    return this.houses.size;
  }

  get rows(): number {
    let rows = 0;
    for (const house of this.houses.values()) rows += house.held;
    return rows;
  }

  /** The rows of a house; `keep`: it exists, so that what is read of it is worth remembering. */
  of(houseId: string, keep: () => boolean): HouseRows {
    const known = this.houses.get(houseId);
    const house = known ?? new HouseRows(this.storage, houseId);
    if (!known && !keep()) return house;
    this.houses.delete(houseId);
    this.houses.set(houseId, house);
    return house;
  }

  /** After a transaction that was rolled back. */
  forget(houseId: string): void {
    this.houses.get(houseId)?.forget();
  }

  /** Before something is begun with in some houses: makes room. */
  trim(inUse: ReadonlySet<string>): void {
    let others = 0;
    for (const [houseId, house] of this.houses) {
      if (!inUse.has(houseId)) others += house.held;
      else if (house.held > this.most.own) house.forget();
    }
    for (const [houseId, house] of this.houses) {
      if (others <= this.most.others) return;
      if (inUse.has(houseId)) continue;
      others -= house.held;
      house.forget();
    }
  }
}
