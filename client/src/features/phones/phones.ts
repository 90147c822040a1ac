import type { Geofence } from '@kotiva/core';
import { ask } from '@/store/api.ts';
import { WalkingPhone, type Found, type PhoneState } from './walking-phone.ts';

/** Something a phone found, and what rang there. */
export interface Rang extends Found {
  nth: number;
  personId: string;
  titles: string[];
}

/** A phone for each of some people; what they find is told one after the other, as it was found. */
export class Phones {
  private readonly phones: ReadonlyMap<string, WalkingPhone>;
  private last: Promise<unknown> = Promise.resolve();
  private told = 0;

  constructor(
    personIds: readonly string[],
    private readonly houseId: string,
    onState: (personId: string, state: PhoneState) => void,
    private readonly onRang: (rang: Rang) => void,
  ) {
    this.phones = new Map(
      personIds.map((id) => [
        id,
        new WalkingPhone(
          (found) => this.report(id, found),
          (state) => onState(id, state),
        ),
      ]),
    );
  }

  get(personId: string): WalkingPhone | undefined {
    return this.phones.get(personId);
  }

  know(spots: readonly Geofence[]): void {
    for (const phone of this.phones.values()) phone.know(spots);
  }

  stop(): void {
    for (const phone of this.phones.values()) phone.stop();
  }

  private report(personId: string, found: Found): void {
    const { placeId: place, on, silent } = found;
    this.last = this.last.then(async () => {
      const answer = await ask<{ rang: string[] }>('POST', `/simulate/houses/${this.houseId}/phones/${personId}/crossings`, { place, on, silent });
      this.onRang({ ...found, personId, titles: answer.ok ? answer.value.rang : [], nth: this.told++ });
    });
  }
}
