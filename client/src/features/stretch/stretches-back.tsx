import { calendarDateOf, doneInStretch, epochOf, stretchEnds, wallClockOf, type Stretch } from '@kotiva/core';
import type { BackSpan } from '@kotiva/core/views/looking-back';
import { View } from 'react-native';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { GroupHead, LongRows, Row } from '@/ui';
import { t } from '@/words';
import { sayDuration } from '@/words/amounts.ts';
import { sayHour } from '@/words/customs.ts';
import { headDay } from '@/words/dates.ts';

const LEAST_MS = 60_000;

/** What was stopped within a minute was none. */
const isOver = (one: Stretch, now: string): boolean => {
  const ended = one.endedAt ?? stretchEnds(one);
  return (one.endedAt !== null || ended <= now) && epochOf(ended) - epochOf(one.beganAt) >= LEAST_MS;
};

/** One's own between two days, the last first, each with what was done in it. Nobody else sees them. */
export function StretchesBack({ span: { from, to } }: { span: BackSpan }) {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const today = calendarDateOf(now, house.zone);
  const dayOf = ({ beganAt }: Stretch) => calendarDateOf(beganAt, house.zone);
  const mine = rows
    .by('stretch', 'personId', me.id)
    .filter((one) => isOver(one, now) && dayOf(one) >= from && dayOf(one) <= to)
    .sort((a, b) => (a.beganAt < b.beganAt ? 1 : -1));
  if (mine.length === 0) return null;
  const hour = (instant: string) => sayHour(wallClockOf(instant, house.zone).slice(11, 16));
  return (
    <View>
      <GroupHead title={t('stretch.yours')} count={mine.length} sub={t('stretch.private')} />
      <LongRows rows={mine} keyOf={({ id }) => id}>
        {(one) => {
          const ended = one.endedAt ?? stretchEnds(one);
          const titles = doneInStretch(one, rows).map(({ itemId }) => rows.find('item', itemId)?.title ?? t('stretch.unseen'));
          return (
            <Row
              title={t('stretch.when', { day: headDay(dayOf(one), today), from: hour(one.beganAt), to: hour(ended) })}
              sub={titles.length > 0 ? titles.join(' · ') : t('stretch.none')}
              right={sayDuration(Math.round((epochOf(ended) - epochOf(one.beganAt)) / 60_000))}
              rightTone="muted"
            />
          );
        }}
      </LongRows>
    </View>
  );
}
