import { browserSpeech, withoutAdd, type SpeechEnd } from './speech.ts';

/** A browser that listens as it is told to. */
class Listening {
  static last: Listening;
  lang = '';
  interimResults = false;
  onresult: ((event: unknown) => void) | null = null;
  onerror: ((event: unknown) => void) | null = null;
  onend: (() => void) | null = null;
  constructor() {
    Listening.last = this;
  }
  start() {}
  abort() {
    this.onerror?.({ error: 'aborted' });
    this.onend?.();
  }
}
const browser = globalThis as { webkitSpeechRecognition?: unknown };
afterEach(() => delete browser.webkitSpeechRecognition);

function listen() {
  browser.webkitSpeechRecognition = Listening;
  const heard: string[] = [];
  const ends: SpeechEnd[] = [];
  const handle = browserSpeech()!.listen(
    (words) => heard.push(words),
    (why) => ends.push(why),
    'en-GB',
  );
  return { heard, ends, handle, recognition: Listening.last };
}

test('a browser that can’t listen has no speech', () => expect(browserSpeech()).toBeNull());

test('what is heard comes while it is spoken, all of it each time', () => {
  const { heard, ends, recognition } = listen();
  recognition.onresult!({ results: [[{ transcript: 'buy candles' }]] });
  recognition.onresult!({ results: [[{ transcript: 'buy candles ' }], [{ transcript: 'by Friday' }]] });
  recognition.onend!();
  expect(heard).toEqual(['buy candles', 'buy candles by Friday']);
  expect(ends).toEqual(['done']);
  expect(recognition).toMatchObject({ lang: 'en-GB', interimResults: true });
});

test.each([
  ['not-allowed', 'refused'],
  ['service-not-allowed', 'refused'],
  ['no-speech', 'silent'],
  ['network', 'failed'],
])('%s ends as %s', (error, why) => {
  const { ends, recognition } = listen();
  recognition.onerror!({ error });
  recognition.onend!();
  expect(ends).toEqual([why]);
});

test('stopping by hand is no failure, and no end of a sentence', () => {
  const { ends, handle } = listen();
  handle.stop();
  expect(ends).toEqual(['stopped']);
});

test.each([
  ['buy candles add', 'buy candles'],
  ['Buy candles, add.', 'Buy candles'],
  ['buy candles by Friday add it', 'buy candles by Friday'],
  ['add butter', 'add butter'],
  ['see what to add to the soup', 'see what to add to the soup'],
])('the word that ends it is not part of it: %s', (said, words) => expect(withoutAdd(said)).toBe(words));
