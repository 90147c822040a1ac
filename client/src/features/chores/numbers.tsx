import { historyOf, type Item, type Series } from '@kotiva/core';
import { View } from 'react-native';
import Svg, { Circle, Line, Polyline } from 'react-native-svg';
import { useOpenHouse } from '@/store/store.ts';
import { ink, Txt } from '@/ui';
import { t, together } from '@/words';
import { dayMonth } from '@/words/dates.ts';

const SHOWN = 24;
const WIDTH = 320;
const HEIGHT = 72;
const EDGE = 5;

interface Reading {
  day: string;
  value: number;
}

/** What was read off at each tick, as a line: the newest at the right, its lowest and highest beside it. */
export function Numbers({ series }: { series: Series }) {
  const { rows } = useOpenHouse();
  const { wanted } = series;
  if (!wanted || wanted.kind !== 'number') return null;
  const readings = historyOf(series, rows)
    .flatMap((item) => readingOf(item, rows.by('part', 'itemId', item.id).find(({ answer }) => answer)?.answer ?? null))
    .slice(-SHOWN);
  const last = readings.at(-1);
  if (!last) return null;
  const values = readings.map(({ value }) => value);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const x = (nth: number) => (readings.length === 1 ? WIDTH / 2 : EDGE + (nth * (WIDTH - 2 * EDGE)) / (readings.length - 1));
  const y = (value: number) => (high === low ? HEIGHT / 2 : HEIGHT - EDGE - ((value - low) * (HEIGHT - 2 * EDGE)) / (high - low));
  const inUnit = (value: number) => [value, wanted.unit].filter((one) => one !== '').join(' ');
  const said = together(readings.map(({ day, value }) => `${dayMonth(day)} ${inUnit(value)}`));
  return (
    <View className="gap-1 px-4 pt-4">
      <Txt face="medium">{t('chores.numbers', { what: wanted.what, count: readings.length })}</Txt>
      <View role="img" aria-label={t('chores.numbersSaid', { what: wanted.what, values: said })} className="flex-row items-center gap-3">
        <Svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
          <Line x1={0} y1={HEIGHT - 0.5} x2={WIDTH} y2={HEIGHT - 0.5} stroke={ink('line')} />
          <Polyline points={readings.map(({ value }, nth) => `${x(nth)},${y(value)}`).join(' ')} fill="none" stroke={ink('heather')} strokeWidth={2} />
          <Circle cx={x(readings.length - 1)} cy={y(last.value)} r={4} fill={ink('heather')} />
        </Svg>
      </View>
      <Txt size={13} tone="muted">
        {low === high ? inUnit(low) : `${inUnit(low)} – ${inUnit(high)}`} · {dayMonth(last.day)} {inUnit(last.value)}
      </Txt>
    </View>
  );
}

const readingOf = (item: Item, answer: string | null): Reading[] =>
  answer === null || Number.isNaN(Number(answer)) ? [] : [{ day: item.due ?? item.recurrenceId!, value: Number(answer) }];
