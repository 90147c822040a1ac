import type { Colour, Pattern as Weave } from '@kotiva/core';
import { memo, useId } from 'react';
import Svg, { ClipPath, Defs, G, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';
import { ink, personInk } from './tokens.ts';
import { WEAVES } from './weaves.ts';

/** What a person looks like on every screen: short mark, colour, weave. */
export interface Looks {
  mark: string;
  colour: Colour;
  pattern: Weave;
}

/** By the number of letters: eight still lie inside the patch. */
const MARK_PX = [12, 12, 12, 10, 8.5, 7, 6, 5.2, 4.6];

/** A person as a small woven patch. The name stands beside it or is its label. */
export const PersonMark = memo(function PersonMark({ looks: { mark, colour, pattern }, size = 28, label }: { looks: Looks; size?: number; label?: string }) {
  const id = useId().replace(/[^a-zA-Z0-9]/g, '');
  const c = personInk(colour);
  const weave = WEAVES[pattern];
  return (
    <Svg width={size} height={size} viewBox="0 0 28 28" role={label ? 'img' : undefined} aria-label={label} aria-hidden={label ? undefined : true}>
      <Defs>
        <Pattern id={`w${id}`} width={8} height={8} patternUnits="userSpaceOnUse">
          <Path d={weave.d} stroke={c} strokeWidth={weave.width} fill="none" />
        </Pattern>
        <ClipPath id={`c${id}`}>
          <Rect x={1} y={1} width={26} height={26} rx={5} />
        </ClipPath>
      </Defs>
      <Rect x={1} y={1} width={26} height={26} rx={5} fill={ink('surface')} />
      <G clipPath={`url(#c${id})`}>
        <Rect x={1} y={1} width={26} height={5} fill={`url(#w${id})`} />
        <Rect x={1} y={22} width={26} height={5} fill={`url(#w${id})`} />
      </G>
      <Rect x={1} y={1} width={26} height={26} rx={5} fill="none" stroke={c} strokeWidth={1.5} />
      <SvgText x={14} y={18.4} textAnchor="middle" fontFamily="AtkinsonHyperlegibleNext_700Bold" fontSize={MARK_PX[Math.min(mark.length, 8)]} fill={c}>
        {mark}
      </SvgText>
    </Svg>
  );
});
