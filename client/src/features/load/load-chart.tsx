import type { Colour, DayLoad } from '@kotiva/core';
import { useId, useState } from 'react';
import { View } from 'react-native';
import Svg, { Defs, G, Path, Pattern, Rect } from 'react-native-svg';
import { ink, personInk } from '@/ui';

interface LoadChartProps {
  days: readonly DayLoad[];
  colour: Colour;
  label: string;
}

const HEIGHT = 72;
/** Minutes: so much at least stands at the top. */
const LEAST_TOP = 60;

/** Woven posts, one a day, as high as the minutes; a line over them where the hours of each day end; days away hatched. */
export function LoadChart({ days, colour, label }: LoadChartProps) {
  const id = useId().replace(/[^a-zA-Z0-9]/g, '');
  const [width, setWidth] = useState(340);
  const c = personInk(colour);
  const step = width / days.length;
  const most = Math.max(LEAST_TOP, ...days.map(({ minutes, capacity }) => Math.max(minutes, capacity ?? 0)));
  const y = (minutes: number) => HEIGHT - (minutes / most) * (HEIGHT - 4);
  return (
    <View onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
      <Svg width={width} height={HEIGHT} role="img" aria-label={label}>
        <Defs>
          <Pattern id={`post${id}`} width={8} height={8} patternUnits="userSpaceOnUse">
            <Path d="M0 4L4 0L8 4L4 8Z" fill={c} />
          </Pattern>
          <Pattern id={`away${id}`} width={6} height={6} patternUnits="userSpaceOnUse">
            <Path d="M-1 7L7 -1" stroke={ink('line')} strokeWidth={1.5} />
          </Pattern>
        </Defs>
        {days.map(({ date, minutes, capacity, away }, nth) => {
          const x = nth * step;
          const over = capacity !== null && minutes > capacity;
          return (
            <G key={date}>
              {nth % 7 === 0 ? <Path d={`M${x + 0.5} 0V${HEIGHT}`} stroke={ink('line')} /> : null}
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
        <Path d={hoursLine(days, step, y)} fill="none" stroke={ink('muted')} strokeWidth={1.5} />
        <Path d={`M0 ${HEIGHT - 0.5}H${width}`} stroke={ink('line')} />
      </Svg>
    </View>
  );
}

/** Steps from day to day; where nobody said how many hours there are the line breaks off. */
function hoursLine(days: readonly DayLoad[], step: number, y: (minutes: number) => number): string {
  return days
    .map(({ capacity }, nth) => {
      if (capacity === null) return '';
      const begins = nth === 0 || days[nth - 1]!.capacity === null;
      return `${begins ? 'M' : 'L'}${nth * step} ${y(capacity)}H${(nth + 1) * step}`;
    })
    .join('');
}
