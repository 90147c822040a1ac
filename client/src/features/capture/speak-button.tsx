import { useMemo, useRef, useState } from 'react';
import { useDispatch } from 'react-redux';
import { said } from '@/store/store.ts';
import { IconButton } from '@/ui';
import { locale, t } from '@/words';
import { browserSpeech, type SpeechEnd } from './speech.ts';

const TOLD = 'kotiva/speech-told';

/** Speaking instead of typing, where the browser can listen. What was heard stands in the line to be looked at; Enter adds it. */
export function SpeakButton({ typed, onHeard }: { typed: string; onHeard: (words: string) => void }) {
  const dispatch = useDispatch();
  const speech = useMemo(() => browserSpeech(), []);
  const listening = useRef<{ stop: () => void } | null>(null);
  const [on, setOn] = useState(false);
  if (!speech) return null;
  const say = (words: string) => void dispatch(said({ words, offer: null, tone: 'plain' }));
  const ended = (why: SpeechEnd) => {
    listening.current = null;
    setOn(false);
    if (why === 'refused') sayOnce('refused', () => say(t('speech.refused')));
    else if (why !== 'done') say(t(`speech.${why}`));
  };
  const press = () => {
    if (listening.current) return listening.current.stop();
    sayOnce('where', () => say(t('speech.where')));
    const before = typed.trim() ? `${typed.trimEnd()} ` : '';
    listening.current = speech.listen((words) => onHeard(before + words), ended, locale());
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
