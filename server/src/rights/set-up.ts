import type { CommandName, Payload } from '@kotiva/core';
import { v7 } from 'uuid';
import { Household } from '../testing/household.ts';

/** What a case is set up with is not what is tried: where the server is in this process it goes straight to the ledger. */
export class SetUpHouse extends Household {
  override async must<N extends CommandName>(by: string, name: N, payload: Payload<N>): Promise<string> {
    if (!this.server.isInThisProcess) return super.must(by, name, payload);
    this.given += 1;
    const command = { id: v7(), houseId: this.houseId, name, payload, at: new Date().toISOString(), seen: 1_000_000 };
    const outcome = this.server.services.ledger.apply(command, { id: this.account(by).accountId, name: by });
    if (outcome.outcome === 'refused') throw new Error(`${name} by ${by}: ${outcome.reason.code} ${JSON.stringify(payload).slice(0, 300)}`);
    return command.id;
  }
}
