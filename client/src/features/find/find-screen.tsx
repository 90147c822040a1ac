import { findItems, findPlaces, isDone } from '@kotiva/core';
import { useGlobalSearchParams, useRouter } from 'expo-router';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { BeyondLine } from '@/features/beyond';
import { ItemRow } from '@/features/item';
import { PageRows } from '@/features/more';
import { Screen } from '@/features/shell';
import { useOpenHouse } from '@/store/store.ts';
import { useBeyond } from '@/store/use-beyond.ts';
import { Empty, Field, Row, Switch, Txt } from '@/ui';
import { t } from '@/words';

const KEPT = 'kotiva/find-done';
const MOST = 100;
/** The server is asked for what is done once so many letters stand still for so long. */
const LEAST_ASKED = 2;
const SETTLES_MS = 400;

/** What was typed, once the hand rests. */
function useSettled(typed: string): string {
  const [settled, setSettled] = useState(typed);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(typed), SETTLES_MS);
    return () => clearTimeout(timer);
  }, [typed]);
  return settled;
}

/** Enter goes to what was found: from there keys go from row to row. */
function focusFirstFound(): void {
  document.querySelector<HTMLElement>('[role=main] [data-row]')?.focus();
}

/** Words over titles, notes and steps: of what this device holds at once while typing, of what is done long ago a moment later. */
export function FindScreen() {
  const { rows } = useOpenHouse();
  const router = useRouter();
  const kept = useGlobalSearchParams<{ words?: string }>().words;
  const [typed, setTyped] = useState(kept ?? '');
  const [withDone, setWithDone] = useState(() => localStorage.getItem(KEPT) === 'yes');
  const words = useDeferredValue(typed);
  const settled = useSettled(typed.trim());
  // part of the address: one comes back to what one looked for
  useEffect(() => {
    if ((kept ?? '') !== settled) router.setParams({ words: settled || undefined });
  }, [kept, settled, router]);
  const all = useMemo(() => findItems(words, rows.all('item')), [words, rows]);
  const open = useMemo(() => all.filter((item) => !isDone(item, rows.by('part', 'itemId', item.id))), [all, rows]);
  const found = withDone ? all : open;
  // nothing to do has it, but something that was done: one tap away
  const onlyDone = withDone || open.length > 0 ? 0 : all.length;
  const reached = useBeyond(withDone && settled.length >= LEAST_ASKED ? { words: settled } : null);
  const places = findPlaces(words, rows.all('place'));
  const remember = (on: boolean) => {
    localStorage.setItem(KEPT, on ? 'yes' : 'no');
    setWithDone(on);
  };
  const whereIs = (listId: string | null, parentId: string | null) =>
    [listId ? rows.get('list', listId) : null, parentId ? rows.get('item', parentId) : null]
      .flatMap((row) => (row && typeof row !== 'string' ? ['title' in row ? row.title : row.name] : []))
      .join(' · ');
  return (
    <Screen title={t('find.title')} sub={words.trim() ? t('find.count', { count: found.length }) : undefined}>
      <View className="gap-1 px-4 pt-3">
        <Field
          label={t('find.words')}
          hideLabel
          placeholder={t('find.words')}
          value={typed}
          onChangeText={setTyped}
          onSubmitEditing={focusFirstFound}
          autoFocus
          enterKeyHint="search"
        />
        <Switch words={t('find.done')} on={withDone} onChange={remember} />
      </View>
      {words.trim() && settled === words.trim() ? <BeyondLine reached={reached} /> : null}
      {onlyDone > 0 ? (
        <Empty words={t('find.onlyDone', { count: onlyDone })} action={t('find.showDone', { count: onlyDone })} onAction={() => remember(true)} />
      ) : null}
      {words.trim() && reached === 'here' && onlyDone === 0 && found.length + places.length === 0 ? (
        <Empty words={t(withDone ? 'find.nothing' : 'find.nothingOpen', { words: words.trim() })} />
      ) : null}
      {!words.trim() ? <Empty words={t('find.hint')} /> : null}
      <PageRows words={words} />
      {places.map((place) => (
        <Row
          key={place.id}
          title={place.name}
          sub={[t('find.place'), place.address].filter(Boolean).join(' · ')}
          onPress={() => router.push(`/places/${place.id}`)}
        />
      ))}
      {found.slice(0, MOST).map((item) => (
        <ItemRow key={item.id} item={item} sub={whereIs(item.listId, item.parentId) || undefined} />
      ))}
      {found.length > MOST ? (
        <Txt tone="muted" className="px-4 py-3">
          {t('find.more', { count: found.length - MOST })}
        </Txt>
      ) : null}
    </Screen>
  );
}
