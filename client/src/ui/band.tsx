import type { Colour } from '@kotiva/core';
import { memo, useId } from 'react';
import Svg, { Defs, Path, Pattern, Rect } from 'react-native-svg';
import { ink, personInk } from './tokens.ts';

interface BandProps {
  /** Between 0 and 1; more is shown as full. */
  share: number;
  width: number;
  height?: number;
  colour?: Colour;
  /** Left out where the figures stand beside it. */
  label?: string;
}

/** A woven strip that fills: progress and load. The figures stand beside it. */
export const Band = memo(function Band({ share, width, height = 10, colour, label }: BandProps) {
  const id = `band-${useId().replace(/[^a-zA-Z0-9]/g, '')}`;
  const c = colour ? personInk(colour) : ink('pine');
  const filled = Math.round(width * Math.max(0, Math.min(1, share)));
  const half = height / 2;
  return (
    <Svg width={width} height={height} role={label ? 'img' : undefined} aria-label={label} aria-hidden={label ? undefined : true}>
      <Defs>
        <Pattern id={id} width={8} height={height} patternUnits="userSpaceOnUse">
          <Path d={`M0 ${half}L4 0L8 ${half}L4 ${height}Z`} fill={c} />
        </Pattern>
      </Defs>
      <Path d={`M0 .5h${width}M0 ${height - 0.5}h${width}`} stroke={ink('line')} />
      {filled > 0 ? <Rect width={filled} height={height} fill={`url(#${id})`} /> : null}
      {filled > 0 ? <Path d={`M0 .5h${filled}M0 ${height - 0.5}h${filled}`} stroke={c} /> : null}
    </Svg>
  );
});
