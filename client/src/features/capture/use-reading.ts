import { readLine, settled, type CaptureContext as ReadingContext, type ReadLine } from '@kotiva/core/capture';
import { useEffect, useMemo } from 'react';

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

const NOTHING: ReadLine = { title: '', spans: [], questions: [] };
/** Milliseconds after the screen is there: then nobody waits for it. */
const BEFORE_ANYONE_TYPES = 500;

/** The line as it is understood while it is typed. Only its first line is read; what stands below are notes. */
export function useReading(typed: string, context: ReadingContext, answers: Answers): ReadLine {
  useReadyToRead(context);
  return useMemo(() => {
    if (typed === '') return NOTHING;
    const first = typed.split('\n', 1)[0]!;
    return settled(first, readLine(first, { ...context, declined: answers.declined, meant: answers.meant }), answers.taken);
  }, [typed, context, answers]);
}

let isReady = false;

/** Reading for the first time makes its patterns, which takes a while: neither the first screen nor the first letter waits for that. */
function useReadyToRead(context: ReadingContext): void {
  useEffect(() => {
    if (isReady) return;
    const timer = setTimeout(() => {
      isReady = true;
      readLine('', context);
    }, BEFORE_ANYONE_TYPES);
    return () => clearTimeout(timer);
  }, [context]);
}
