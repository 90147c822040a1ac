import * as z from 'zod/mini';
import { Id } from '../model/row-schema.ts';
import type { Deciding } from './deciding.ts';
import type { CommandRequest, CommandName } from './required-permissions.ts';

/** Items a slice of a longer command is about; nothing is looked at unless it is one. */
export const SLICE = z.optional(z.array(Id).check(z.maxLength(500)));

/** One thing people can do: what it says, what leave it asks for, and what comes of it. */
export interface CommandKind<N extends CommandName = CommandName, S extends z.ZodMiniType = z.ZodMiniType> {
  name: N;
  payload: S;
  asks(payload: z.infer<S>, d: Deciding): CommandRequest[];
  /** Of a command done in slices: refuses what would be refused at its end, before the first of them. */
  refuses?(payload: z.infer<S>, d: Deciding): void;
  decide(payload: z.infer<S>, d: Deciding): void;
}

export function commandKind<N extends CommandName, S extends z.ZodMiniType>(kind: CommandKind<N, S>): CommandKind<N, S> {
  return kind;
}
