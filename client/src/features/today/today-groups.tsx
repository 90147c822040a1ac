import { byDayPart, groupBy, sortBy, wallClockOf, type CappedDay, type DayPart, type Detail, type AgendaEntry, type Item } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { ArrangeButton, useHeading } from '@/features/arrange';
import { FilterButton, useFilterHere } from '@/features/filter-here';
import { ItemRow, SelectButton, SelectionBar, usePinned } from '@/features/item';
import { useAgenda } from '@/store/agenda.ts';
import { useArrangement } from '@/store/arrangement.ts';
import { useNow, useOpenHouse, useSoNow } from '@/store/store.ts';
import { Button, Choice, Empty, Fold, GroupHead, Labelled, openSheet, Txt } from '@/ui';
import { t } from '@/words';
import { Rows } from './rows.tsx';
import { PartChoice } from './part-alone.tsx';
import { OrderedRows } from './ordered-rows.tsx';
import { PossibleNow, SoNowButton, SoNowChoice } from './so-now.tsx';
import { TodayRow } from './today-row.tsx';

const CAPS = ['3', '5', '8', '12', 'none'] as const;
const PIN_LIMITS = [1, 3, 5, 7, 12] as const;

/** What is for today: by part of day or as it was arranged, within the cap, narrowed to what is so now. */
export function TodayGroups({ agenda, day: { shown, rest, next } }: { agenda: readonly AgendaEntry[]; day: CappedDay }) {
  const router = useRouter();
  const { arranged, arrange } = useArrangement('today');
  const [ordering, setOrdering] = useState(false);
  const [choosing, setChoosing] = useState(false);
  const soNow = useSoNow();
  const fits = ({ item }: AgendaEntry) => soNow.length === 0 || item.situationIds.every((id) => soNow.includes(id));
  const { isOn, meets } = useFilterHere();
  const pinned = usePinned().filter(meets);
  const everything = useAgenda();
  const isOnTop = ({ item }: AgendaEntry) => pinned.some(({ id }) => id === item.id);
  const entries = shown.filter((entry) => fits(entry) && !isOnTop(entry));
  const needElse = shown.filter((entry) => !fits(entry) && !isOnTop(entry));
  return (
    <View>
      <View className="flex-row flex-wrap items-center px-2 pt-1">
        <Button kind="quiet" onPress={() => router.push('/fits')}>
          {t('fits.title')}
        </Button>
        <SoNowButton open={choosing} onPress={() => setChoosing(!choosing)} />
        <View className="ml-auto flex-row">
          <FilterButton items={everything.map(({ item }) => item)} />
          {ordering ? (
            <Button kind="quiet" onPress={() => setOrdering(false)}>
              {t('today.ordered')}
            </Button>
          ) : (
            <ArrangeButton view="today" groupings={['usual', 'date', 'list', 'tag', 'none']} usualGroup={t('group.parts')} usualSort={t('sortBy.pressing')}>
              {(close) => (
                <>
                  <PartChoice close={close} />
                  <CapChoice cap={arranged.cap} onChange={(cap) => arrange({ cap })} />
                  <PinLimitChoice limit={arranged.pinLimit} onChange={(pinLimit) => arrange({ pinLimit })} />
                  <View className="flex-row flex-wrap gap-2">
                    {shown.length > 1 ? (
                      <Button
                        onPress={() => {
                          setOrdering(true);
                          close();
                        }}
                      >
                        {t('today.order')}
                      </Button>
                    ) : null}
                    <SelectButton onStart={close} />
                    <Button
                      onPress={() => {
                        close();
                        openSheet('stretch');
                      }}
                    >
                      {t('stretch.title')}
                    </Button>
                  </View>
                </>
              )}
            </ArrangeButton>
          )}
        </View>
      </View>
      {choosing ? <SoNowChoice /> : null}
      <SelectionBar ids={agenda.filter(({ where }) => where !== 'done').map(({ item }) => item.id)} />
      {shown.length === 0 && next === null && pinned.length === 0 ? <Empty words={t(isOn ? 'filter.nothingHere' : 'today.nothing')} /> : null}
      <OnTop items={pinned} agenda={agenda} detail={arranged.detail} />
      {ordering ? <OrderedRows entries={entries} /> : <Groups entries={entries} />}
      <PossibleNow without={new Set(entries.map(({ item }) => item.id))} meets={meets} />
      {needElse.length > 0 ? (
        <Fold words={t('soNow.needElse', { count: needElse.length })}>
          <Rows entries={needElse} detail={arranged.detail} />
        </Fold>
      ) : null}
      {next && !isOnTop(next) ? (
        <View>
          <GroupHead title={t('today.next')} />
          <TodayRow entry={next} />
        </View>
      ) : null}
      {rest.length > 0 ? (
        <Fold words={t('today.rest', { count: rest.length })}>
          <Rows entries={rest} detail={arranged.detail} />
        </Fold>
      ) : null}
    </View>
  );
}

/** What I keep on top, whatever its day; of others' things too. */
function OnTop({ items, agenda, detail }: { items: readonly Item[]; agenda: readonly AgendaEntry[]; detail: Detail }) {
  if (items.length === 0) return null;
  return (
    <View>
      <GroupHead title={t('pin.title')} count={items.length} />
      {items.map((item) => {
        const entry = agenda.find((one) => one.item.id === item.id && one.where !== 'done');
        return entry ? <TodayRow key={item.id} entry={entry} detail={detail} /> : <ItemRow key={item.id} item={item} detail={detail} />;
      })}
    </View>
  );
}

function CapChoice({ cap, onChange }: { cap: number | null; onChange: (cap: number | null) => void }) {
  return (
    <Labelled words={t('cap.label')}>
      <Choice
        label={t('cap.label')}
        value={cap === null ? 'none' : String(cap)}
        options={CAPS.map((value) => ({ value: value as string, words: value === 'none' ? t('cap.none') : value }))}
        onChange={(value) => onChange(value === 'none' ? null : Number(value))}
      />
      <Txt size={15} tone="muted">
        {t('cap.means')}
      </Txt>
    </Labelled>
  );
}

function PinLimitChoice({ limit, onChange }: { limit: number; onChange: (limit: number) => void }) {
  return (
    <Labelled words={t('pin.limit')}>
      <Choice
        label={t('pin.limit')}
        value={String(limit)}
        options={PIN_LIMITS.map((value) => ({ value: String(value), words: String(value) }))}
        onChange={(value) => onChange(Number(value))}
      />
    </Labelled>
  );
}

function Groups({ entries }: { entries: readonly AgendaEntry[] }) {
  const { rows } = useOpenHouse();
  const { arranged } = useArrangement('today');
  const heading = useHeading();
  const sorted = sortBy(entries, arranged.sort, rows, arranged.isDescending);
  if (arranged.group === 'usual') return <DayParts entries={sorted} detail={arranged.detail} />;
  if (arranged.group === 'none') return <Rows entries={sorted} detail={arranged.detail} />;
  return groupBy(sorted, arranged.group, rows).map((group) => (
    <View key={group.key ?? 'none'}>
      <GroupHead title={heading(group)} count={group.entries.length} />
      <Rows entries={group.entries} detail={arranged.detail} />
    </View>
  ));
}

/** By part of day; a part that is over is one line. */
function DayParts({ entries, detail }: { entries: readonly AgendaEntry[]; detail: Detail }) {
  const isOver = useIsOver();
  const groups = byDayPart(entries);
  return groups.map(({ part, entries: inPart }) =>
    isOver(part) ? (
      <Fold key={part} words={t('today.over', { part: t(`dayPart.${part}`), count: inPart.length })}>
        <Rows entries={inPart} detail={detail} />
      </Fold>
    ) : (
      <View key={part}>
        <GroupHead title={groups.length === 1 && part === 'any' ? t('today.today') : t(`dayPart.${part}`)} count={inPart.length} />
        <Rows entries={inPart} detail={detail} />
      </View>
    ),
  );
}

export function useIsOver(): (part: DayPart) => boolean {
  const { house } = useOpenHouse();
  const hour = wallClockOf(useNow(), house.zone).slice(11);
  return (part) => (part === 'morning' && hour >= house.dayParts.day) || (part === 'day' && hour >= house.dayParts.evening);
}
