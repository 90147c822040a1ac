/** What turns speech into words, where a device can. */
export interface Speech {
  /** Listens once. Words come while they are understood; `ended` says why it stopped. */
  listen(heard: (words: string) => void, ended: (why: SpeechEnd) => void, language: string): { stop: () => void };
}
/** `done`: after a pause; `stopped`: by hand. `refused`: the microphone may not be used; `silent`: nothing was understood. */
export type SpeechEnd = 'done' | 'stopped' | 'refused' | 'silent' | 'failed';

/** What was said without the word that ends it: "buy candles, add". */
export const withoutAdd = (words: string): string =>
  words
    .trimEnd()
    .replace(/[\s,.]add(?: (?:it|that))?[.!]?$/iu, '')
    .trimEnd()
    .replace(/,$/u, '');

interface Recognition {
  lang: string;
  interimResults: boolean;
  onresult: ((event: { results: ArrayLike<ArrayLike<{ transcript: string }>> }) => void) | null;
  onerror: ((event: { error: string }) => void) | null;
  onend: (() => void) | null;
  start(): void;
  abort(): void;
}
type RecognitionMaker = new () => Recognition;

const ENDS: Record<string, SpeechEnd> = { 'not-allowed': 'refused', 'service-not-allowed': 'refused', 'no-speech': 'silent', aborted: 'stopped' };

/** The browser's own speech recognition, or null where it has none. */
export function browserSpeech(): Speech | null {
  const { SpeechRecognition, webkitSpeechRecognition } = globalThis as { SpeechRecognition?: RecognitionMaker; webkitSpeechRecognition?: RecognitionMaker };
  const Made = SpeechRecognition ?? webkitSpeechRecognition;
  if (!Made) return null;
  return {
    listen(heard, ended, language) {
      const recognition = new Made();
      let end: SpeechEnd = 'done';
      recognition.lang = language;
      recognition.interimResults = true;
      recognition.onresult = ({ results }) => heard(Array.from(results, (result) => result[0]!.transcript).join(''));
      recognition.onerror = ({ error }) => {
        end = ENDS[error] ?? 'failed';
      };
      recognition.onend = () => ended(end);
      recognition.start();
      return { stop: () => recognition.abort() };
    },
  };
}
