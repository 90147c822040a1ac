import type { Note, Reason } from '@kotiva/core';
import { sayExactly } from './dates.ts';
import { hasWord, t, together, type Slots } from './index.ts';
import type { ProblemDetails } from '@/store/api.ts';

/** The sentence for what the server answered. */
export function sayProblem({ code, title, params = {} }: ProblemDetails): string {
  const key = `problem.${code}`;
  if (code === 'malformed' && title) return title;
  return hasWord(key) ? t(key, params) : t('problem.failed');
}

/** Why what waits is not taken for now. */
export function sayHeldUp(code: string): string {
  const key = `line.heldUp.${code}`;
  return hasWord(key) ? t(key) : t('line.heldUp.not-now');
}

/** The sentence for why a command does not apply. */
export function sayReason({ code, params }: Reason): string {
  const key = `reason.${code}`;
  return hasWord(key) ? t(key, slotsOf(params)) : t('reason.malformed');
}

export function slotsOf(params: Reason['params']): Slots {
  return Object.fromEntries(Object.entries(params).map(([name, value]) => [name, sayValue(value)]));
}

const MOMENT = /^\d{4}-\d\d-\d\d(T\d\d:\d\d)?$/;

function sayValue(value: Reason['params'][string]): string | number {
  if (Array.isArray(value)) return together(value);
  if (typeof value === 'number') return value;
  const text = String(value ?? '');
  return MOMENT.test(text) ? sayExactly(text) : text;
}

/** What is said of an accepted command, or null when it goes without saying. */
export function sayNote({ code, params }: Note): string | null {
  const key = code === 'left-alone' && params.title === '' ? 'note.left-alone-unnamed' : `note.${code}`;
  return hasWord(key) ? t(key, slotsOf(params)) : null;
}
