import { weekdayOf, type Colour, type DayLoad } from '@kotiva/core';
import { useId, useState } from 'react';
import { View } from 'react-native';
import Svg, { Defs, G, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';
import { ink, personInk } from '@/ui';
import { t } from '@/words';
import { sayHours } from '@/words/amounts.ts';
import { weekdayLetter } from '@/words/dates.ts';

interface LoadChartProps {
  days: readonly DayLoad[];
  colour: Colour;
  label: string;
}

const HEIGHT = 72;
/** At the left the hours are written, below the days of the week. */
const AXIS = 26;
const DAYS = 18;
/** Minutes: so much at least stands at the top. */
const LEAST_TOP = 120;
/** Steps of the axis, in minutes: the first that gives at most two lines over the ground. */
const STEPS = [60, 120, 240, 480];
const stepFor = (most: number): number => STEPS.find((minutes) => most <= 2 * minutes) ?? 720;

/** Woven posts, one a day, as high as the minutes; a line over them where the hours of each day end; days away hatched. */
export function LoadChart({ days, colour, label }: LoadChartProps) {
  const id = useId().replace(/[^a-zA-Z0-9]/g, '');
  const [width, setWidth] = useState(340);
  const c = personInk(colour);
  const step = (width - AXIS) / days.length;
  const highest = Math.max(LEAST_TOP, ...days.map(({ minutes, capacity }) => Math.max(minutes, capacity ?? 0)));
  const every = stepFor(highest);
  const most = Math.max(highest, 2 * every);
  const y = (minutes: number) => HEIGHT - (minutes / most) * (HEIGHT - 10);
  return (
    <View onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
      <Svg width={width} height={HEIGHT + DAYS} role="img" aria-label={label}>
        <Defs>
          <Pattern id={`post${id}`} width={8} height={8} patternUnits="userSpaceOnUse">
            <Path d="M0 4L4 0L8 4L4 8Z" fill={c} />
          </Pattern>
          <Pattern id={`away${id}`} width={6} height={6} patternUnits="userSpaceOnUse">
            <Path d="M-1 7L7 -1" stroke={ink('line')} strokeWidth={1.5} />
          </Pattern>
        </Defs>
        {[0, every, 2 * every].map((minutes) => (
          <G key={minutes}>
            <Path d={`M${AXIS} ${y(minutes) - 0.5}H${width}`} stroke={ink('line')} />
            <SvgText x={AXIS - 5} y={y(minutes) + 4} textAnchor="end" fontFamily="AtkinsonHyperlegibleNext_400Regular" fontSize={12} fill={ink('muted')}>
              {minutes === 0 ? '0' : t('load.hours', { hours: sayHours(minutes) })}
            </SvgText>
          </G>
        ))}
        {days.map(({ date, minutes, capacity, away }, nth) => {
          const x = AXIS + nth * step;
          const over = capacity !== null && minutes > capacity;
          return (
            <G key={date}>
              {nth % 7 === 0 && nth > 0 ? <Path d={`M${x + 0.5} 0V${HEIGHT}`} stroke={ink('line')} /> : null}
              <SvgText x={x + step / 2} y={HEIGHT + 13} textAnchor="middle" fontFamily="AtkinsonHyperlegibleNext_400Regular" fontSize={11} fill={ink('muted')}>
                {weekdayLetter(weekdayOf(date))}
              </SvgText>
              {away ? <Rect x={x + 1} width={step - 2} height={HEIGHT} fill={`url(#away${id})`} /> : null}
              {minutes > 0 ? (
                <>
                  <Rect x={x + 2} width={step - 4} y={y(minutes)} height={HEIGHT - y(minutes)} fill={`url(#post${id})`} />
                  <Rect
                    x={x + 2}
                    width={step - 4}
                    y={y(minutes)}
                    height={HEIGHT - y(minutes)}
                    fill="none"
                    stroke={over ? ink('cloudberry') : c}
                    strokeWidth={over ? 2 : 1}
                  />
                </>
              ) : null}
            </G>
          );
        })}
        <Path d={hoursLine(days, step, y)} fill="none" stroke={ink('ink')} strokeWidth={2} />
      </Svg>
    </View>
  );
}

/** The sign of a day away. */
export const Hatch = () => (
  <Svg width={14} height={14}>
    <Path d="M-1 5L5 -1M-1 11L11 -1M-1 17L17 -1M5 17L17 5" stroke={ink('line')} strokeWidth={1.5} />
  </Svg>
);

/** A short line over each day, where its hours end; none where nobody said how many there are, or there are none. */
function hoursLine(days: readonly DayLoad[], step: number, y: (minutes: number) => number): string {
  return days.map(({ capacity }, nth) => (capacity ? `M${AXIS + nth * step + 1} ${y(capacity)}H${AXIS + (nth + 1) * step - 1}` : '')).join('');
}
