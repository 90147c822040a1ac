import { isHere, type Person } from '@kotiva/core';
import { useEffect, useRef, useState } from 'react';
import { Pressable, TextInput, View } from 'react-native';
import { useGive } from '@/store/live-house.tsx';
import { usePlace } from '@/store/store.ts';
import { PersonMark, Txt } from '@/ui';
import { t, together } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { useCapture } from './context.tsx';
import { nameBeingTyped, offered, readLine } from './names.ts';

/** One field, always there: a title, with @NAME to hand it over. Enter adds and keeps the field ready. */
export function CaptureLine({ inBar = false }: { inBar?: boolean }) {
  const { rows } = usePlace();
  const give = useGive();
  const { context } = useCapture();
  const [line, setLine] = useState('');
  const [settled, setSettled] = useState<ReadonlyMap<string, string>>(new Map());
  const [error, setError] = useState<string | null>(null);
  const [asking, setAsking] = useState<{ typed: string; people: Person[] } | null>(null);
  const input = useRef<TextInput>(null);
  useFocusKey(input);
  const people = rows.all('person').filter(isHere);
  const typed = nameBeingTyped(line);
  const choices = asking ? asking.people : typed === null ? [] : offered(typed, people);
  const { persons, unknown } = readLine(line, people, settled);

  const add = (known = settled) => {
    if (!line.trim()) return;
    const read = readLine(line, people, known);
    if (read.unclear) return setAsking(read.unclear);
    const to = read.persons.length > 0 ? read.persons.map((person) => person.id) : context.person ? [context.person] : [];
    const title = read.title || line.trim();
    const where = context.list ? { list: context.list, section: context.section } : {};
    const reason = give(
      'item.add',
      { title, persons: [...new Set(to)], ...(to.length > 1 ? { policy: 'each' as const } : {}), ...where },
      { words: said(title, to), undo: true, ownRefusal: true },
    );
    setError(reason ? sayReason(reason) : null);
    if (reason) return;
    setLine('');
    setSettled(new Map());
    input.current?.focus();
  };
  const said = (title: string, to: string[]) =>
    to.length > 0
      ? t('said.addedFor', { title, names: together(people.filter((person) => to.includes(person.id)).map((person) => person.name)) })
      : t('said.added', { title });

  const choose = (person: Person) => {
    const word = asking ? asking.typed : person.name.split(/\s+/)[0]!;
    const known = new Map(settled).set(word.toLowerCase(), person.id);
    setSettled(known);
    if (asking) {
      setAsking(null);
      add(known);
    } else {
      setLine(line.replace(/@\p{L}*$/u, `@${word} `));
      input.current?.focus();
    }
  };

  const hint =
    error ??
    (asking ? t('capture.which', { name: asking.typed }) : null) ??
    (unknown.length > 0 ? t('capture.unknown', { name: unknown[0]! }) : null) ??
    (persons.length > 0 ? t('capture.handedTo', { names: together(persons.map((person) => person.name)) }) : null) ??
    (line ? context.words : null);
  return (
    <View className={inBar ? 'relative w-[330px]' : 'border-t border-line bg-surface px-3.5 pb-2 pt-2.5'}>
      {choices.length > 0 ? (
        <View className={`flex-row flex-wrap gap-2 pb-2 ${inBar ? 'absolute right-0 top-12 z-30 w-full rounded-sheet border border-line bg-surface p-2' : ''}`}>
          {choices.map((person) => (
            <Pressable
              key={person.id}
              role="button"
              aria-label={t('capture.choose', { name: `${person.mark} ${person.name}` })}
              onPress={() => choose(person)}
              className="min-h-11 flex-row items-center gap-2 rounded-control bg-sunk pl-1.5 pr-3"
            >
              <PersonMark looks={person} size={24} />
              <Txt size={15} face="medium">
                {person.name}
              </Txt>
            </Pressable>
          ))}
        </View>
      ) : null}
      <TextInput
        ref={input}
        aria-label={t('capture.line')}
        aria-invalid={error ? true : undefined}
        placeholder={t('capture.line')}
        placeholderTextColor="rgb(var(--muted))"
        value={line}
        onChangeText={(next) => {
          setLine(next);
          setError(null);
          setAsking(null);
        }}
        onSubmitEditing={() => add()}
        submitBehavior="submit"
        enterKeyHint="done"
        className="min-h-11 rounded-control bg-sunk px-3 font-sans text-17 text-ink outline-pine"
      />
      {hint ? (
        <Txt
          role={error ? 'alert' : undefined}
          size={15}
          tone={error ? 'late' : 'muted'}
          className={`pt-1 ${inBar && choices.length === 0 ? 'absolute right-0 top-12 z-30 w-full rounded-sheet border border-line bg-surface p-3' : ''}`}
        >
          {hint}
        </Txt>
      ) : null}
    </View>
  );
}

/** `n` goes to the line from wherever one is, unless one is typing already. */
function useFocusKey(input: React.RefObject<TextInput | null>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && (event.target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName));
      if (event.key !== 'n' || typing || event.ctrlKey || event.metaKey || event.altKey || document.querySelector('[role=dialog]')) return;
      event.preventDefault();
      input.current?.focus();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [input]);
}
