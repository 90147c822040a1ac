import { hash, verify } from '@node-rs/argon2';
import { dictionary } from '@zxcvbn-ts/language-common';
import { randomBytes } from 'node:crypto';
import { Lanes } from '../lanes.ts';

/** OWASP's recommendation for argon2id: 19 MiB, two passes, one lane. */
const ARGON = { algorithm: 2, memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;
export const SHORTEST_PASSWORD = 10;
export const LONGEST_PASSWORD = 200;

/** Those people choose most often, tens of thousands of them, in small letters. */
const COMMON: ReadonlySet<string> = new Set((dictionary['passwords-common'] as string[]).filter((one) => one.length >= SHORTEST_PASSWORD));

export type PasswordFault = 'password-short' | 'password-long' | 'password-common' | 'password-address';

/** What is wrong with a new password, or null. */
export function passwordFault(password: string, email: string): PasswordFault | null {
  if ([...password].length < SHORTEST_PASSWORD) return 'password-short';
  if (password.length > LONGEST_PASSWORD) return 'password-long';
  const plain = password.toLowerCase();
  if (plain === email.toLowerCase() || plain === email.toLowerCase().split('@')[0]) return 'password-address';
  return COMMON.has(plain) || new Set(plain).size < 3 ? 'password-common' : null;
}

/** Each hash takes 19 MiB and a core for a while: so many at once, so many more in line. Rejects with `Busy` beyond. */
export class Hashing {
  private readonly lanes = new Lanes(4, 64);
  private decoy: Promise<string> | null = null;

  of(password: string): Promise<string> {
    return this.lanes.run(() => hash(password, ARGON));
  }

  /** Takes the same time whether or not there is a hash to compare with. */
  fits(known: string | undefined, password: string): Promise<boolean> {
    return this.lanes.run(async () => {
      this.decoy ??= hash(randomBytes(16).toString('hex'), ARGON);
      return verify(known || (await this.decoy), password);
    });
  }
}
