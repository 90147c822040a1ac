import type { Change, RecordedCommand, Writer } from '@kotiva/core';
import { HouseRows } from '../houses/house-rows.ts';
import type { HouseStorage } from '../houses/house-storage.ts';

/** Rows of a house that a test writes to, each time in a commit of its own. */
export class WritableRows extends HouseRows {
  constructor(
    private readonly kept: HouseStorage,
    houseId: string,
  ) {
    super(kept, houseId);
  }

  apply(changes: readonly Change[], by: Writer): RecordedCommand {
    return this.kept.commit((writer) => this.write(changes, by, writer).record);
  }
}
