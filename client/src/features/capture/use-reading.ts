import { settled, type CaptureContext as ReadingContext, type ReadLine } from '@kotiva/core/capture';
import { useEffect, useMemo } from 'react';
import { useLater } from '@/store/later.ts';
import { lineReader } from '@/store/reading.ts';

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

/**
 * The line as it is understood while it is typed. Only its first line is read; what stands below are notes. `isRead`: false for as long as
 * what reads it is still to come; until then its words are its title.
 */
export function useReading(typed: string, context: ReadingContext, answers: Answers): ReadLine & { isRead: boolean } {
  const readLine = useReader(typed !== '', context);
  return useMemo(() => {
    if (typed === '') return { ...NOTHING, isRead: true };
    const first = typed.split('\n', 1)[0]!;
    if (!readLine) return { ...NOTHING, title: first.trim(), isRead: false };
    return { ...settled(first, readLine(first, { ...context, declined: answers.declined, meant: answers.meant }), answers.taken), isRead: true };
  }, [typed, context, answers, readLine]);
}

let isReady = false;

/** Reading for the first time makes its patterns, which takes a while: neither the first screen nor the first letter waits for that. */
function useReader(wanted: boolean, context: ReadingContext) {
  const { here: readLine } = useLater(lineReader, wanted);
  useEffect(() => {
    if (isReady) return;
    const timer = setTimeout(() => {
      isReady = true;
      void lineReader.fetch().then(
        (read) => void read('', context),
        () => (isReady = false),
      );
    }, BEFORE_ANYONE_TYPES);
    return () => clearTimeout(timer);
  }, [context]);
  return readLine;
}
