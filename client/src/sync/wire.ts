import type { Note, Reason } from '@kotiva/core';
import type { ChangePage } from '../store/house.ts';
import type { CommandOutcome } from './ports.ts';

/**
 * What comes over the wire from the server that served this page, read by hand: schemas are fetched with the commands, and the first page
 * comes before them. Throws a `TypeError` that names what is not as it should be.
 */

type Fields = Readonly<Record<string, unknown>>;

export function readOutcomes(answer: unknown): { outcomes: CommandOutcome[]; now: string } {
  const { outcomes, now } = fields(answer, 'the answer');
  return { outcomes: list(outcomes, 'outcomes').map(readOutcome), now: text(now, 'now') };
}

function readOutcome(sent: unknown): CommandOutcome {
  const one = fields(sent, 'outcome');
  const id = text(one.id, 'id');
  if (one.outcome === 'accepted') return { id, outcome: 'accepted', seq: number(one.seq, 'seq'), notes: list(one.notes, 'notes') as Note[] };
  if (one.outcome === 'refused') return { id, outcome: 'refused', reason: fields(one.reason, 'reason') as unknown as Reason };
  throw new TypeError('outcome is neither accepted nor refused');
}

export function readChanges(answer: unknown): ChangePage & { more: boolean; now: string } {
  const { now } = fields(answer, 'the answer');
  return { ...readPage(answer), now: text(now, 'now') };
}

export function readPage(sent: unknown): ChangePage & { more: boolean } {
  const { seq, more, from, reset, put, evict } = fields(sent, 'page');
  const page = {
    seq: number(seq, 'seq'),
    more: flag(more, 'more'),
    from: number(from, 'from'),
    put: list(put, 'put').map(readPut),
    evict: list(evict, 'evict').map(readEvict),
    ...(reset === undefined ? {} : { reset: flag(reset, 'reset') }),
  };
  return page as ChangePage & { more: boolean };
}

export const readClock = (sent: unknown): string => text(fields(sent, 'clock').now, 'now');

function readPut(sent: unknown) {
  const { noun, row } = fields(sent, 'put');
  const { id, seq } = fields(row, 'row');
  text(id, 'id');
  number(seq, 'seq');
  return { noun: text(noun, 'noun'), row };
}

function readEvict(sent: unknown) {
  const { noun, id } = fields(sent, 'evict');
  return { noun: text(noun, 'noun'), id: text(id, 'id') };
}

function fields(value: unknown, what: string): Fields {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) throw new TypeError(`${what} is no object`);
  return value as Fields;
}

function list(value: unknown, what: string): unknown[] {
  if (!Array.isArray(value)) throw new TypeError(`${what} is no list`);
  return value;
}

function text(value: unknown, what: string): string {
  if (typeof value !== 'string') throw new TypeError(`${what} is no text`);
  return value;
}

function number(value: unknown, what: string): number {
  if (typeof value !== 'number') throw new TypeError(`${what} is no number`);
  return value;
}

function flag(value: unknown, what: string): boolean {
  if (typeof value !== 'boolean') throw new TypeError(`${what} is neither true nor false`);
  return value;
}
