import { useGlobalSearchParams, useRouter } from 'expo-router';
import { useDeferredValue, useEffect, useState } from 'react';
import { View } from 'react-native';
import { BeyondLine } from '@/features/beyond';
import { ItemRow } from '@/features/item';
import { PageRows } from '@/features/more';
import { Screen } from '@/features/shell';
import { useOpenHouse } from '@/store/store.ts';
import { Empty, Field, LongRows, Switch, Txt } from '@/ui';
import { afterTap } from '@/ui/hand.ts';
import { t } from '@/words';
import { NamedRows, useNamed } from './named-rows.tsx';
import { useFound } from './use-found.ts';

const KEPT = 'kotiva/find-done';
/** So many are shown; with more, another word finds fewer. */
const MOST = 200;
/** As long as anybody types to find something. */
const MOST_LETTERS = 200;
/** The server is asked once what was typed stands still for so long. */
const SETTLES_MS = 400;

/** What was typed, once the hand rests or goes elsewhere: what is opened from here leads back to it, however quick the hand. */
function useSettled(typed: string): [settled: string, settle: () => void] {
  const [settled, setSettled] = useState(typed);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(typed), SETTLES_MS);
    return () => clearTimeout(timer);
  }, [typed]);
  return [settled, () => setSettled(typed)];
}

/** Enter goes to what was found: from there keys go from row to row. */
function focusFirstFound(): void {
  document.querySelector<HTMLElement>('[role=main] [data-row]')?.focus();
}

/** Words over titles, steps, notes, what was said, and the names of everything: of what this device holds at once, of what is done long ago a moment later. */
export function FindScreen() {
  const { rows } = useOpenHouse();
  const router = useRouter();
  const kept = useGlobalSearchParams<{ words?: string }>().words;
  const [typed, setTyped] = useState((kept ?? '').slice(0, MOST_LETTERS));
  const [withDone, setWithDone] = useState(() => localStorage.getItem(KEPT) === 'yes');
  const words = useDeferredValue(typed);
  const [settled, settle] = useSettled(typed.trim());
  // part of the address: one comes back to what one looked for
  useEffect(() => {
    if ((kept ?? '') !== settled) router.setParams({ words: settled || undefined });
  }, [kept, settled, router]);
  const { found, onlyDone, reached } = useFound(words, settled, withDone);
  const named = useNamed(words);
  const remember = (on: boolean) => {
    localStorage.setItem(KEPT, on ? 'yes' : 'no');
    setWithDone(on);
  };
  const whereIs = (listId: string | null, parentId: string | null) =>
    [listId ? rows.find('list', listId) : null, parentId ? rows.find('item', parentId) : null]
      .flatMap((row) => (row ? ['title' in row ? row.title : row.name] : []))
      .join(' · ');
  const isAsked = words.trim() !== '';
  const count = found.length > MOST ? t('find.countMost', { count: MOST }) : t('find.count', { count: found.length });
  return (
    <Screen title={t('find.title')} sub={isAsked ? count : undefined}>
      <View className="gap-1 px-4 pt-3">
        <Field
          label={t('find.words')}
          hideLabel
          placeholder={t('find.words')}
          value={typed}
          onChangeText={setTyped}
          onSubmitEditing={focusFirstFound}
          onBlur={() => afterTap(settle)}
          maxLength={MOST_LETTERS}
          autoFocus
          enterKeyHint="search"
        />
        <Switch words={t('find.done')} on={withDone} onChange={remember} />
      </View>
      {isAsked && settled === words.trim() ? <BeyondLine reached={reached} /> : null}
      {onlyDone > 0 ? (
        <Empty words={t('find.onlyDone', { count: onlyDone })} action={t('find.showDone', { count: onlyDone })} onAction={() => remember(true)} />
      ) : null}
      {isAsked && reached === 'here' && onlyDone === 0 && found.length + named.length === 0 ? (
        <Empty words={t(withDone ? 'find.nothing' : 'find.nothingOpen', { words: words.trim() })} />
      ) : null}
      {isAsked ? null : <Empty words={t('find.hint')} />}
      <PageRows words={words} />
      <NamedRows named={named} />
      <LongRows rows={found.slice(0, MOST)} keyOf={({ id }) => id}>
        {(item) => <ItemRow item={item} sub={whereIs(item.listId, item.parentId) || undefined} />}
      </LongRows>
      {found.length > MOST ? (
        <Txt tone="muted" className="px-4 py-3">
          {t('find.most', { count: MOST })}
        </Txt>
      ) : null}
    </Screen>
  );
}
