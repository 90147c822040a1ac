import { countingParts, isDone, isHere, openParts, type Item, type Part } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useCaptureHere } from '@/features/capture';
import { MyWaits } from '@/features/followup';
import { ItemRow, nameOf } from '@/features/item';
import { Screen } from '@/features/shell';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Empty, PersonMark, Switch, useWide } from '@/ui';
import { t } from '@/words';
import { AgendaPart } from './agenda-part.tsx';
import { Facts } from './facts.tsx';
import { NotesPart } from './notes-part.tsx';
import { PagePart } from './page-part.tsx';

const SHORT = 'kotiva-person-short';

/** What concerns one person: what I wait for, what they have in hand, what I owe them. */
export function PersonScreen({ personId }: { personId: string }) {
  const { rows, me } = useOpenHouse();
  const wide = useWide();
  const router = useRouter();
  const [isShort, setShort] = useState(() => window.localStorage.getItem(SHORT) === '1');
  const person = rows.find('person', personId);
  const other = personId === me.id || person === undefined || !isHere(person) ? undefined : personId;
  useCaptureHere({ person: other, words: other ? t('capture.toPerson', { name: nameOf(rows, personId) }) : undefined });
  if (person === undefined) {
    return (
      <Screen title={t('person.gone')}>
        <Empty words={t('person.goneWhy')} />
      </Screen>
    );
  }
  const open = openParts(rows.all('part')).filter((part) => !isItemDone(part));
  const theirs = itemsOf(open.filter((part) => part.personId === personId));
  const waited = theirs.filter((item) =>
    rows.by('part', 'itemId', item.id).some((part) => part.personId === personId && (part.giverId === me.id || part.originId === me.id)),
  );
  const others = theirs.filter((item) => !waited.includes(item));
  const owed = itemsOf(open.filter((part) => part.personId === me.id && (part.giverId === personId || part.originId === personId)));
  const own = personId === me.id;

  function isItemDone(part: Part): boolean {
    const item = rows.find('item', part.itemId);
    return item === undefined || item.removedAt !== null || isDone(item, countingParts(rows.by('part', 'itemId', item.id)));
  }
  function itemsOf(parts: readonly Part[]): Item[] {
    const items = parts.map((part) => rows.find('item', part.itemId)).filter((item): item is Item => item !== undefined);
    return items.sort((a, b) => ((a.due ?? '9') < (b.due ?? '9') ? -1 : 1));
  }
  const group = (name: string, title: string, items: readonly Item[]) =>
    items.length === 0 ? null : (
      <PagePart name={name} title={title} count={items.length}>
        {items.map((item) => (
          <ItemRow
            key={item.id}
            item={item}
            detail={isShort ? 'bare' : 'short'}
            sub={t('row.from', { name: nameOf(rows, rows.by('part', 'itemId', item.id).find((part) => part.giverId)?.giverId ?? item.makerId) })}
          />
        ))}
      </PagePart>
    );

  const about = (
    <>
      <Facts person={person} />
      {own ? null : <AgendaPart person={person} />}
    </>
  );
  const groups = (
    <>
      {own ? group('in-hand', t('person.inHandOwn'), theirs) : group('wait', t('person.waitFor', { name: person.name }), waited)}
      {own ? null : group('in-hand', t('person.inHand', { name: person.name }), others)}
      {own ? null : <MyWaits personId={person.id} title={t('wait.from', { name: person.name })} />}
      {own ? null : group('owe', t('person.owe', { name: person.name }), owed)}
    </>
  );
  const short = (
    <>
      {theirs.length + owed.length === 0 ? <Empty words={t('person.nothing', { name: person.name })} /> : <Short short={isShort} onChange={setShort} />}
      <View className="items-start px-2 pt-2">
        <Button kind="quiet" onPress={() => router.push(`/activity?person=${personId}`)}>
          {t('person.did', { name: person.name })}
        </Button>
        {me.role === 'manager' && isHere(person) && person.role !== 'manager' ? (
          <Button kind="quiet" onPress={() => router.push(`/people/${person.id}/seen`)}>
            {t('seen.action', { name: person.name })}
          </Button>
        ) : null}
      </View>
    </>
  );

  return (
    <Screen title={person.name} sub={isHere(person) ? t(`role.${person.role}`) : t('person.left')} lead={<PersonMark looks={person} size={48} />}>
      {wide ? (
        <View className="grid grid-cols-2 gap-x-10">
          <View>
            {about}
            <NotesPart person={person} />
          </View>
          <View>
            {groups}
            {short}
          </View>
        </View>
      ) : (
        <>
          {about}
          {groups}
          <NotesPart person={person} />
          {short}
        </>
      )}
    </Screen>
  );
}

/** Bare titles, on this device. */
function Short({ short, onChange }: { short: boolean; onChange: (short: boolean) => void }) {
  return (
    <View className="px-4 pt-4">
      <Switch
        words={t('person.short')}
        on={short}
        onChange={(on) => {
          window.localStorage.setItem(SHORT, on ? '1' : '0');
          onChange(on);
        }}
      />
    </View>
  );
}
