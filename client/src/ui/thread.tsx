import type { Colour } from '@kotiva/core';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { KnotMark, type KnotState } from './knot.tsx';
import { Txt } from './text.tsx';
import { ink } from './tokens.ts';

export interface Strand {
  key: string;
  state: KnotState;
  colour: Colour | null;
  mark: string;
}

const MOST = 5;

/** The knots of those who share an item: `each` on one thread, `any` on a double one. */
export function Thread({ strands, each, late = false, label }: { strands: readonly Strand[]; each: boolean; late?: boolean; label: string }) {
  const shown = strands.length > MOST ? strands.slice(0, MOST - 1) : strands;
  return (
    <View role="img" aria-label={label} className="flex-row items-start">
      {shown.map(({ key, state, colour, mark }, index) => (
        <View key={key} className="flex-row items-start">
          {index > 0 ? (
            <Svg width={8} height={24} aria-hidden>
              <Path d={each ? 'M0 12h8' : 'M0 9h8M0 15h8'} stroke={ink(late ? 'lingonberry' : 'muted')} strokeWidth={1.4} />
            </Svg>
          ) : null}
          <View className="items-center">
            <KnotMark state={state} colour={colour} size={24} />
            <Txt size={11} tone="muted" aria-hidden>
              {mark}
            </Txt>
          </View>
        </View>
      ))}
      {shown.length < strands.length ? (
        <Txt size={13} tone="muted" className="ml-1 mt-1" aria-hidden>
          +{strands.length - shown.length}
        </Txt>
      ) : null}
    </View>
  );
}
