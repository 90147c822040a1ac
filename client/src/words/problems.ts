import type { Note, Reason } from '@kotiva/core';
import { hasWord, t, together, type Slots } from './index.ts';
import type { ProblemDetails } from '@/store/api.ts';

/** The sentence for what the server answered. */
export function sayProblem({ code, title, params = {} }: ProblemDetails): string {
  const key = `problem.${code}`;
  if (code === 'malformed' && title) return title;
  return hasWord(key) ? t(key, params) : t('problem.failed');
}

/** The sentence for why a command does not apply. */
export function sayReason({ code, params }: Reason): string {
  const key = `reason.${code}`;
  return hasWord(key) ? t(key, slotsOf(params)) : t('reason.malformed');
}

export function slotsOf(params: Reason['params']): Slots {
  return Object.fromEntries(
    Object.entries(params).map(([name, value]) => [name, Array.isArray(value) ? together(value) : typeof value === 'number' ? value : String(value ?? '')]),
  );
}

/** What is said of an accepted command, or null when it goes without saying. */
export function sayNote({ code, params }: Note): string | null {
  const key = `note.${code}`;
  return hasWord(key) ? t(key, slotsOf(params)) : null;
}
