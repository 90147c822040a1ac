import * as z from 'zod/mini';
import { Access } from './list-schema.ts';
import { Role } from './person-schema.ts';
import { Id, Instant, shared } from './row-schema.ts';

export const InvitedList = z.object({ listId: Id, access: Access });

/** A link to pass on. Seen by managers; who joined by it stays when it is withdrawn. */
export const Invitation = z.object({
  ...shared,
  makerId: Id,
  role: Role,
  lists: z.array(InvitedList),
  uses: z.enum(['one', 'several']),
  /** 32 random bytes, base64url: what the link carries. */
  token: z.string().check(z.minLength(32), z.maxLength(64)),
  madeAt: Instant,
  expiresAt: Instant,
  withdrawnAt: z.nullable(Instant),
  joined: z.array(Id),
});
export type Invitation = z.infer<typeof Invitation>;
