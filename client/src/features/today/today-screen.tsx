import { calendarDateOf, isDone, isLate, myItems, openParts, type Item, type MyItem, type Part } from '@kotiva/core';
import { View } from 'react-native';
import { ItemRow, nameOf, personOf, useOpenItem } from '@/features/item';
import { Screen } from '@/features/shell';
import { useGive } from '@/store/live-house.tsx';
import { useNarrowed, useNow, usePlace } from '@/store/store.ts';
import { Button, Empty, Fold, GroupHead, KnotMark, PersonMark, Txt, useWide, Row } from '@/ui';
import { t } from '@/words';
import { sayDue, sayToday } from '@/words/dates.ts';

/** What is new for me, and what is mine today. */
export function TodayScreen() {
  const { rows, me, house } = usePlace();
  const now = useNow();
  const wide = useWide();
  const narrow = useNarrowed();
  const shown = narrow ?? me.id;
  const today = calendarDateOf(now, house.zone);
  const mine = myItems(me.id, rows, now, house.zone);
  const at = (where: MyItem['where']) => mine.filter((one) => one.where === where);
  const counts = t('today.counts', { house: house.name, todo: at('today').length, done: at('done-today').length });

  return (
    <Screen title={sayToday(today, !wide)} sub={counts} strip>
      {shown === me.id ? (
        <>
          {wide ? (
            <View className="flex-row">
              <View className="grow basis-0">
                <Rows at={at('today')} title={t('today.today')} empty={t('today.nothing')} />
                <Rows at={at('done-today')} title={t('today.done')} />
              </View>
              <View className="grow basis-0 border-l border-line">
                <New at={at('new')} />
                <Rows at={at('ahead')} title={t('today.ahead')} />
                <Further at={at('further')} />
              </View>
            </View>
          ) : (
            <>
              <New at={at('new')} />
              <Rows at={at('today')} title={t('today.today')} empty={t('today.nothing')} />
              <Rows at={at('ahead')} title={t('today.ahead')} />
              <Further at={at('further')} />
              <Rows at={at('done-today')} title={t('today.done')} />
            </>
          )}
        </>
      ) : (
        <OfPerson personId={shown} />
      )}
    </Screen>
  );
}

function Rows({ at, title, empty }: { at: readonly MyItem[]; title: string; empty?: string }) {
  const { rows } = usePlace();
  if (at.length === 0 && !empty) return null;
  return (
    <View>
      <GroupHead title={title} count={at.length || undefined} />
      {at.length === 0 && empty ? <Empty words={empty} /> : null}
      {at.map(({ item, part }) => (
        <ItemRow key={item.id} item={item} sub={whereFrom(item, part)} />
      ))}
    </View>
  );

  function whereFrom(item: Item, part: Part): string | undefined {
    const list = item.listId ? rows.get('list', item.listId) : 'absent';
    const from = part.giverId && part.giverId !== part.personId ? t('row.from', { name: nameOf(rows, part.giverId) }) : null;
    return [typeof list === 'string' ? null : list.name, from].filter(Boolean).join(' · ') || undefined;
  }
}

function Further({ at }: { at: readonly MyItem[] }) {
  if (at.length === 0) return null;
  return (
    <Fold words={t('today.further', { count: at.length })}>
      {at.map(({ item }) => (
        <ItemRow key={item.id} item={item} />
      ))}
    </Fold>
  );
}

/** Handed to me and unanswered: with the message, and the answers at hand. */
function New({ at }: { at: readonly MyItem[] }) {
  if (at.length === 0) return null;
  return (
    <View role="region" aria-label={t('today.new')} className="bg-sunk lg:bg-transparent">
      <GroupHead title={t('today.new')} count={at.length} tone="waits" />
      {at.map((one) => (
        <NewRow key={one.item.id} {...one} />
      ))}
    </View>
  );
}

function NewRow({ item, part, late }: MyItem) {
  const { rows, house } = usePlace();
  const now = useNow();
  const give = useGive();
  const open = useOpenItem();
  const giver = personOf(rows, part.giverId);
  return (
    <View className="gap-2 border-b border-line px-4 py-3">
      <View className="flex-row gap-3">
        {giver ? <PersonMark looks={giver} size={32} /> : null}
        <View className="min-w-0 grow shrink basis-0">
          <View className="flex-row items-start gap-2">
            <Txt face="medium" role="button" tabIndex={0} onPress={() => open(item.id)} className="grow shrink basis-0 cursor-pointer">
              {item.title}
            </Txt>
            {item.due ? (
              <Txt size={15} face="medium" tone={late ? 'late' : 'ink'}>
                {sayDue(item.due, late, now, house.zone)}
              </Txt>
            ) : null}
          </View>
          <Txt size={15} tone="muted">
            {t('row.from', { name: giver?.name ?? '' })}
          </Txt>
          {part.message ? <Txt size={15}>{t('part.quote', { text: part.message })}</Txt> : null}
        </View>
      </View>
      <View className="flex-row gap-2">
        <Button
          kind="main"
          label={t('answer.takeTitle', { title: item.title })}
          onPress={() => give('part.accept', { item: item.id }, { words: t('said.taken', { title: item.title }), undo: true })}
        >
          {t('answer.take')}
        </Button>
        <Button label={t('answer.openTitle', { title: item.title })} onPress={() => open(item.id)}>
          {t('answer.answer')}
        </Button>
      </View>
    </View>
  );
}

/** The screen narrowed to somebody else: what they have in hand, as far as it can be seen from here. */
function OfPerson({ personId }: { personId: string }) {
  const { rows, house } = usePlace();
  const now = useNow();
  const open = useOpenItem();
  const person = personOf(rows, personId);
  const held = openParts(rows.all('part')).filter((part) => part.personId === personId);
  const items = held
    .map((part) => rows.get('item', part.itemId))
    .filter((item): item is Item => typeof item !== 'string' && !item.removedAt && !isDone(item, rows.by('part', 'itemId', item.id)))
    .sort((a, b) => ((a.due ?? '9') < (b.due ?? '9') ? -1 : 1));
  return (
    <View>
      <GroupHead title={t('today.ofPerson', { name: person?.name ?? '' })} count={items.length || undefined} />
      {items.length === 0 ? <Empty words={t('today.nothingOf', { name: person?.name ?? '' })} /> : null}
      {items.map((item) => {
        const late = isLate(item, now, house.zone);
        return (
          <Row
            key={item.id}
            title={item.title}
            lead={<KnotMark state="taken" colour={person?.colour ?? null} />}
            right={item.due ? sayDue(item.due, late, now, house.zone) : undefined}
            rightTone={late ? 'late' : 'ink'}
            onPress={() => open(item.id)}
          />
        );
      })}
    </View>
  );
}
