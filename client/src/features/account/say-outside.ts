import type { Reason } from '@kotiva/core';
import { deciding } from '@/store/deciding.ts';
import { sayReason } from '@/words/problems.ts';

/** The sentence of a refusal where no house is open yet: it is fetched first. */
export async function sayReasonOutside(reason: Reason): Promise<string> {
  await deciding.fetch().catch(() => undefined);
  return sayReason(reason);
}
