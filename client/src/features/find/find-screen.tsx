import { findItems, findPlaces, isDone } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useDeferredValue, useMemo, useState } from 'react';
import { View } from 'react-native';
import { ItemRow } from '@/features/item';
import { Screen } from '@/features/shell';
import { useOpenHouse } from '@/store/store.ts';
import { Empty, Field, Row, Switch, Txt } from '@/ui';
import { t } from '@/words';

const KEPT = 'kotiva/find-done';
const MOST = 100;

/** Words over titles, notes and steps of what this device holds, at once while typing. */
export function FindScreen() {
  const { rows } = useOpenHouse();
  const router = useRouter();
  const [typed, setTyped] = useState('');
  const [withDone, setWithDone] = useState(() => localStorage.getItem(KEPT) === 'yes');
  const words = useDeferredValue(typed);
  const found = useMemo(() => {
    const all = findItems(words, rows.all('item'));
    return withDone ? all : all.filter((item) => !isDone(item, rows.by('part', 'itemId', item.id)));
  }, [words, rows, withDone]);
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
        <Field label={t('find.words')} hideLabel placeholder={t('find.words')} value={typed} onChangeText={setTyped} autoFocus />
        <Switch words={t('find.done')} on={withDone} onChange={remember} />
      </View>
      {words.trim() && found.length + places.length === 0 ? <Empty words={t(withDone ? 'find.nothing' : 'find.nothingOpen', { words: words.trim() })} /> : null}
      {!words.trim() ? <Empty words={t('find.hint')} /> : null}
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
