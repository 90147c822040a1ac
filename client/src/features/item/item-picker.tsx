import { folded, isDone, type Item, type Reader } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Field, Row, Txt } from '@/ui';
import { t } from '@/words';

interface ItemPickerProps {
  label: string;
  /** Null: none is chosen. */
  chosen: string | null;
  /** Those that can’t be chosen. */
  except: readonly string[];
  /** Those of this list stand first. */
  nearList: string | null;
  error: string | null;
  onChoose: (itemId: string | null) => void;
}

/** More would not be looked through. */
const SHOWN = 6;

/** An open item, found by a few letters of its title. */
export function ItemPicker({ label, chosen, except, nearList, error, onChoose }: ItemPickerProps) {
  const { rows } = useOpenHouse();
  const [typed, setTyped] = useState('');
  const item = chosen === null ? undefined : rows.find('item', chosen);
  if (item !== undefined)
    return (
      <View className="gap-1">
        <Txt size={15} face="medium" tone="muted">
          {label}
        </Txt>
        <View className="flex-row flex-wrap items-center gap-2">
          <Txt face="medium">{item.title}</Txt>
          <Button kind="quiet" onPress={() => onChoose(null)}>
            {t('pick.another')}
          </Button>
        </View>
        {error ? <Txt role="alert" size={15} tone="late">{error}</Txt> : null}
      </View>
    ); // prettier-ignore
  const found = itemsWith(typed, nearList, except, rows);
  return (
    <View className="gap-1">
      <Field label={label} value={typed} placeholder={t('pick.hint')} maxLength={200} onChangeText={setTyped} error={error} autoFocus />
      <View className="-mx-4">
        {found.map((one) => (
          <Row key={one.id} title={one.title} sub={whereOf(one, rows)} onPress={() => onChoose(one.id)} />
        ))}
      </View>
      {found.length === 0 ? <Txt tone="muted">{t('pick.none')}</Txt> : null}
    </View>
  );
}

function itemsWith(typed: string, nearList: string | null, except: readonly string[], rows: Reader): Item[] {
  const letters = folded(typed.trim());
  const near: Item[] = [];
  const far: Item[] = [];
  for (const item of rows.all('item')) {
    if (near.length >= SHOWN) break;
    if (item.removedAt !== null || except.includes(item.id) || !folded(item.title).includes(letters)) continue;
    const isNear = item.listId === nearList && nearList !== null;
    if ((!isNear && (letters === '' || far.length >= SHOWN)) || isDone(item, rows.by('part', 'itemId', item.id))) continue;
    (isNear ? near : far).push(item);
  }
  return [...near, ...far].slice(0, SHOWN);
}

function whereOf({ listId, parentId }: Item, rows: Reader): string | undefined {
  const parent = parentId === null ? undefined : rows.find('item', parentId);
  const list = listId === null ? undefined : rows.find('list', listId);
  const words = [list?.name ?? null, parent?.title ?? null].filter(Boolean).join(' · ');
  return words === '' ? undefined : words;
}
