import { addDays, calendarDateOf, daysBetween, type Person } from '@kotiva/core';
import { deedsBy, sumOf, type BackSpan, type BackSum, type Deed } from '@kotiva/core/views/looking-back';
import { View } from 'react-native';
import { BeyondLine } from '@/features/beyond';
import { FilterBar, FilterButton, useFilterHere } from '@/features/filter-here';
import { personOf } from '@/features/item';
import { Screen } from '@/features/shell';
import { StretchesBack } from '@/features/stretch';
import { useNarrowed, useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Choice, Empty, GroupHead, MomentInput, PersonMark, Txt } from '@/ui';
import { t } from '@/words';
import { addWords } from '@/words/add-words.ts';
import { sayDuration } from '@/words/amounts.ts';
import { dayMonth, dayMonthYear, shortDay, startOfWeek } from '@/words/dates.ts';
import { lookingBackWords } from '@/words/en/looking-back.ts';
import { Bars, type Bar } from './bars.tsx';
import { Deeds } from './deeds.tsx';
import { SPANS, useSpan } from './span.ts';
import { useDeeds } from './use-deeds.ts';

addWords(lookingBackWords);

/** Longer than so many days it is drawn by weeks. */
const MOST_DAYS_DRAWN = 14;

/** What was done between two days, by whom and on time: who manages sees everyone’s punctuality, others their own. */
export function LookingBackScreen() {
  const { rows, me, house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  const narrowed = useNarrowed();
  const { name, typed, span, wasTurned, choose, set } = useSpan();
  const { deeds: all, items, reached, more } = useDeeds(span);
  const { isOn } = useFilterHere();
  const deeds = narrowed === null ? all : all.filter(({ personId }) => personId === narrowed);
  const someone = narrowed === null ? null : personOf(rows, narrowed);
  const own = someone === null || narrowed === me.id ? <StretchesBack span={span} /> : null;
  return (
    <Screen
      title={t('back.title')}
      sub={t('back.range', { from: dayMonthYear(span.from, today), to: dayMonthYear(span.to, today) })}
      strip
      actions={<FilterButton items={items} />}
    >
      {isOn ? <FilterBar items={items} /> : null}
      <View className="gap-3 px-4 pt-3">
        <Choice label={t('back.span')} value={name} options={SPANS.map((value) => ({ value, words: t(`back.span.${value}`) }))} onChange={choose} />
        {name === 'own' ? (
          <View className="max-w-[420px] flex-row flex-wrap gap-3">
            <MomentInput label={t('back.from')} kind="date" value={typed.from} onChange={(from) => from && set({ ...typed, from })} />
            <MomentInput label={t('back.to')} kind="date" value={typed.to} onChange={(to) => to && set({ ...typed, to })} />
          </View>
        ) : null}
        {wasTurned ? (
          <Txt role="status" size={15} tone="waits">
            {t('back.turned')}
          </Txt>
        ) : null}
      </View>
      <BeyondLine reached={reached} />
      {more ? <Empty words={t('back.someMissing')} /> : null}
      {deeds.length === 0 ? (
        <>
          <Empty words={t(isOn ? 'filter.nothingHere' : 'back.nothing')} />
          {own}
        </>
      ) : (
        <>
          <Total sum={sumOf(deeds)} someone={someone} seesTime={me.role === 'manager' || narrowed === me.id} />
          <View className="lg:flex-row lg:gap-8">
            {narrowed === null ? <ByPerson deeds={deeds} /> : null}
            <ByTime deeds={deeds} span={span} />
          </View>
          {own}
          <Deeds deeds={deeds} />
        </>
      )}
    </Screen>
  );
}

const percent = ({ onTime, dated }: BackSum): number => Math.round((100 * onTime) / dated);

function Total({ sum, someone, seesTime }: { sum: BackSum; someone: Person | null | undefined; seesTime: boolean }) {
  return (
    <View className="gap-0.5 px-4 pt-4" role="group" aria-label={t('back.title')}>
      <Txt size={20} face="head">
        {someone ? t('back.doneBy', { count: sum.count, name: someone.name }) : t('back.done', { count: sum.count })}
      </Txt>
      <Txt size={15}>
        {[
          sum.minutes > 0 ? t('back.minutes', { time: sayDuration(sum.minutes) }) : null,
          !seesTime ? null : sum.dated > 0 ? t('back.onTime', { onTime: sum.onTime, dated: sum.dated, percent: percent(sum) }) : t('back.noneDated'),
        ]
          .filter(Boolean)
          .join(' · ')}
      </Txt>
      <View className="items-start print:hidden">
        <Button kind="quiet" onPress={() => window.print()}>
          {t('back.print')}
        </Button>
      </View>
    </View>
  );
}

function ByPerson({ deeds }: { deeds: readonly Deed[] }) {
  const { rows, me } = useOpenHouse();
  const bars = deedsBy(deeds, 'person').map(({ key, deeds: some }): Bar => {
    const person = personOf(rows, key);
    const sum = sumOf(some);
    const seesTime = me.role === 'manager' || key === me.id;
    return {
      key: key ?? 'none',
      label: person?.name ?? t('person.someone'),
      count: sum.count,
      colour: person?.colour,
      lead: person ? <PersonMark looks={person} size={28} /> : undefined,
      more: [
        sum.minutes > 0 ? sayDuration(sum.minutes) : null,
        seesTime && sum.dated > 0 ? t('back.onTimeShort', { onTime: sum.onTime, dated: sum.dated }) : null,
      ]
        .filter(Boolean)
        .join(' · '),
    };
  });
  return (
    <View className="lg:flex-1">
      <GroupHead title={t('back.byPerson')} />
      <Bars bars={bars} label={t('back.byPerson')} />
    </View>
  );
}

/** Each day, or of many days each week, also those on which nothing was done. */
function ByTime({ deeds, span }: { deeds: readonly Deed[]; span: BackSpan }) {
  const byWeek = daysBetween(span.from, span.to) >= MOST_DAYS_DRAWN;
  const counts = new Map<string, number>();
  for (const { day } of deeds) {
    const key = byWeek ? startOfWeek(day) : day;
    counts.set(key, (counts.get(key) ?? 0) + 1);
  }
  const bars: Bar[] = [];
  for (let day = byWeek ? startOfWeek(span.from) : span.from; day <= span.to; day = addDays(day, byWeek ? 7 : 1))
    bars.push({ key: day, label: byWeek ? t('back.week', { from: shortDay(day) }) : dayMonth(day), count: counts.get(day) ?? 0 });
  const title = t(byWeek ? 'back.byWeek' : 'back.byDay');
  return (
    <View className="lg:flex-1">
      <GroupHead title={title} />
      <Bars bars={bars.slice(-MOST_BARS)} label={title} />
    </View>
  );
}

/** More weeks than these nobody compares. */
const MOST_BARS = 60;
