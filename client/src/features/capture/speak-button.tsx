import { useMemo, useRef, useState } from 'react';
import { useDispatch } from 'react-redux';
import { toastShown } from '@/store/store.ts';
import { IconButton } from '@/ui';
import { locale, t } from '@/words';
import { browserSpeech, withoutAdd, type SpeechEnd } from './speech.ts';

const TOLD = 'kotiva/speech-told';

interface SpeakButtonProps {
  typed: string;
  onHeard: (words: string) => void;
  /** A pause, or "add" at the end: what was said is to be added. */
  onSaid: (words: string) => void;
}

/** Speaking instead of typing, where the browser can listen. A pause, or "add" at the end, adds it; stopped by hand it stays in the line. */
export function SpeakButton({ typed, onHeard, onSaid }: SpeakButtonProps) {
  const dispatch = useDispatch();
  const speech = useMemo(() => browserSpeech(), []);
  const listening = useRef<{ stop: () => void } | null>(null);
  const heard = useRef('');
  const [on, setOn] = useState(false);
  if (!speech) return null;
  const say = (words: string) => void dispatch(toastShown({ words, offer: null, tone: 'plain' }));
  const ended = (why: SpeechEnd) => {
    listening.current = null;
    setOn(false);
    if (why === 'refused') sayOnce('refused', () => say(t('speech.refused')));
    else if (why === 'silent' || why === 'failed') say(t(`speech.${why}`));
    else if (why === 'done' && heard.current.trim()) onSaid(withoutAdd(heard.current));
  };
  const press = () => {
    if (listening.current) return listening.current.stop();
    sayOnce('where', () => say(t('speech.where')));
    const before = typed.trim() ? `${typed.trimEnd()} ` : '';
    heard.current = '';
    const hear = (words: string) => {
      heard.current = before + words;
      onHeard(heard.current);
    };
    listening.current = speech.listen(hear, ended, locale());
    setOn(true);
  };
  return <IconButton icon="mic" label={t(on ? 'speech.stop' : 'speech.start')} pressed={on} onPress={press} />;
}

/** Said the first time only: it does not change by being repeated. */
function sayOnce(what: string, say: () => void): void {
  const told = (localStorage.getItem(TOLD) ?? '').split(' ');
  if (told.includes(what)) return;
  localStorage.setItem(TOLD, [...told, what].join(' ').trim());
  say();
}
