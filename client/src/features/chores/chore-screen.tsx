import {
  addDays,
  calendarDateOf,
  chainOf,
  choresAhead,
  doneBy,
  historyOf,
  isOver,
  isSetAside,
  keptSince,
  madeOf,
  mayChangeChore,
  nextToMake,
  type Ahead,
  type Item,
  type Series,
} from '@kotiva/core';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { BeyondLine } from '@/features/beyond';
import { ItemRow, nameOf, useOpenItem } from '@/features/item';
import { OccurrenceSheet } from '@/features/occurrence';
import { Screen } from '@/features/shell';
import { ChoreTemplateSheet } from '@/features/templates';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { useBeyond } from '@/store/use-beyond.ts';
import { Band, Choice, Empty, Fold, GroupHead, Menu, Row, Txt, useSheet } from '@/ui';
import { t, together } from '@/words';
import { dayMonth, sayInstant, sayMoment } from '@/words/dates.ts';
import { sayRule } from '@/words/rules.ts';
import { Numbers } from './numbers.tsx';
import { sayWhose } from './say-whose.ts';

/** Weeks back one looks at how it was kept. */
const SPANS = ['4', '13', '52'] as const;
const AHEAD = 6;
/** So far ahead the next ones are looked for: of a yearly chore that is one. */
const AHEAD_DAYS = 400;
const SHOWN = 20;

/** One chore: how it comes back, how well it was kept, what is open, whose turn it will be, and what was. */
export function ChoreScreen({ seriesId }: { seriesId: string }) {
  const { rows } = useOpenHouse();
  const series = rows.find('series', seriesId);
  const reached = useBeyond({ series: seriesId });
  if (series === undefined) {
    return (
      <Screen title={t('chores.title')}>
        <Empty words={t('reason.gone')} />
      </Screen>
    );
  }
  // what is open of the chore this one goes on from stays to be done
  const open = chainOf(series, rows)
    .flatMap((one) => madeOf(one.id, rows))
    .filter((item) => !isOver(item, rows));
  const rule = sayRule(series);
  return (
    <Screen
      title={series.title}
      sub={[rule, sayWhose(series, rows)].filter(Boolean).join(' · ')}
      actions={<ChoreMenu series={series} open={open.findLast((item) => item.seriesId === series.id) ?? null} />}
    >
      {isSetAside(series) ? (
        <Txt role="alert" tone="waits" className="px-4 pt-3">
          {t('chores.setAside')}
        </Txt>
      ) : null}
      <BeyondLine reached={reached} />
      <KeptBand series={series} />
      <Numbers series={series} />
      {open.length > 0 ? <GroupHead title={t('chores.open')} count={open.length} /> : null}
      {open.map((item) => (
        <ItemRow key={item.id} item={item} />
      ))}
      <ToCome series={series} />
      <History series={series} />
    </Screen>
  );
}

/** The chore as a whole: another rule from the open one on, or no more of it. */
function ChoreMenu({ series, open }: { series: Series; open: Item | null }) {
  const { rows, house, me } = useOpenHouse();
  const [filling, setFilling] = useSheet('template');
  const submit = useSubmit();
  const openItem = useOpenItem();
  const from = open?.recurrenceId ?? nextToMake(series, madeOf(series.id, rows).at(-1)?.recurrenceId ?? null, house, rows)?.recurrenceId;
  if (!from) return null;
  const end = () => void submit('chore.end', { series: series.id, recurrenceId: from }, { words: t('said.choreEnded', { title: series.title }), undo: true });
  return (
    <>
      <Menu
        label={t('row.more', { title: series.title })}
        entries={[
          ...(mayChangeChore(series, me, rows) ? [{ key: 'template', words: t('chores.template'), onPress: () => setFilling(true) }] : []),
          ...(open ? [{ key: 'rule', words: t('chores.change'), onPress: () => openItem(open.id, 'rule') }] : []),
          { key: 'end', words: t('chores.end'), late: true, onPress: end },
        ]}
      />
      {filling && mayChangeChore(series, me, rows) ? <ChoreTemplateSheet series={series} onClose={() => setFilling(false)} /> : null}
    </>
  );
}

function KeptBand({ series }: { series: Series }) {
  const { rows, house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  const [weeks, setWeeks] = useState<(typeof SPANS)[number]>('4');
  const { kept, of, run } = useMemo(() => keptSince(addDays(today, 1 - Number(weeks) * 7), today, series, rows), [rows, series, today, weeks]);
  return (
    <View className="flex-row flex-wrap items-center gap-3 px-4 pt-3">
      <Band share={of === 0 ? 0 : kept / of} width={160} />
      <Txt size={15}>{t('chores.kept', { kept, of, weeks })}</Txt>
      {run > 1 ? (
        <Txt size={15} tone="muted">
          {t('chores.run', { count: run })}
        </Txt>
      ) : null}
      <Choice
        label={t('chores.span')}
        value={weeks}
        options={SPANS.map((value) => ({ value, words: t('chores.weeks', { weeks: value }) }))}
        onChange={setWeeks}
      />
    </View>
  );
}

function ToCome({ series }: { series: Series }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const until = addDays(calendarDateOf(now, house.zone), AHEAD_DAYS);
  const coming = useMemo(
    () =>
      choresAhead(until, rows, house)
        .filter((one) => one.series.id === series.id)
        .slice(0, AHEAD),
    [rows, house, until, series.id],
  );
  const [opened, setOpened] = useState<Ahead | null>(null);
  // one that is open stays so, also when the chore ends meanwhile: what is done about it is answered
  if (coming.length === 0 && !opened) return null;
  return (
    <>
      {coming.length > 0 ? <GroupHead title={t('chores.toCome')} /> : null}
      {coming.map((ahead) => (
        <Row
          key={ahead.occurrence.recurrenceId}
          title={sayMoment(ahead.occurrence.at, now, house.zone)}
          sub={ahead.assigned.personIds.length > 0 ? together(ahead.assigned.personIds.map((id) => nameOf(rows, id))) : undefined}
          onPress={() => setOpened(ahead)}
        />
      ))}
      {opened ? <OccurrenceSheet ahead={opened} onClose={() => setOpened(null)} /> : null}
    </>
  );
}

function History({ series }: { series: Series }) {
  const { rows } = useOpenHouse();
  const past = useMemo(
    () =>
      historyOf(series, rows)
        .filter((item) => isOver(item, rows))
        .reverse(),
    [rows, series],
  );
  if (past.length === 0) return null;
  return (
    <View className="pt-2">
      <Fold words={t('chores.history', { count: past.length })}>
        {past.slice(0, SHOWN).map((item) => (
          <PastRow key={item.id} item={item} />
        ))}
      </Fold>
    </View>
  );
}

/** One that is over: who did it when, and who ticked which of its steps. */
function PastRow({ item }: { item: Item }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const open = useOpenItem();
  const said = (one: Item): string | null => {
    const done = doneBy(one, rows);
    return done ? t('row.doneBy', { name: nameOf(rows, done.personId), when: sayInstant(done.at, now, house.zone) }) : null;
  };
  const steps = rows.by('item', 'parentId', item.id).flatMap((step) => {
    const words = said(step);
    return words ? [`${step.title}: ${words}`] : [];
  });
  return (
    <Row title={dayMonth(item.due ?? item.recurrenceId!)} sub={[said(item) ?? t('chores.missed'), ...steps].join(' · ')} wraps onPress={() => open(item.id)} />
  );
}
