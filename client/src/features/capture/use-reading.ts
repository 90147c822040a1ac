import { readLine, settled, type CaptureContext as ReadingContext, type ReadLine } from '@kotiva/core/capture';
import { useMemo } from 'react';

/** What the person at the line has said about the guesses so far. */
export interface Answers {
  /** Guesses taken back, by name of the stretch. */
  declined: ReadonlySet<string>;
  /** Offers taken up. */
  taken: ReadonlySet<string>;
  /** Which person a name means. */
  meant: ReadonlyMap<string, string>;
}
export const NO_ANSWERS: Answers = { declined: new Set(), taken: new Set(), meant: new Map() };

/** The line as it is understood while it is typed. Only its first line is read; what stands below are notes. */
export function useReading(typed: string, context: ReadingContext, answers: Answers): ReadLine {
  return useMemo(() => {
    const first = typed.split('\n', 1)[0]!;
    return settled(first, readLine(first, { ...context, declined: answers.declined, meant: answers.meant }), answers.taken);
  }, [typed, context, answers]);
}
