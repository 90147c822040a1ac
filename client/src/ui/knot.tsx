import type { Colour } from '@kotiva/core';
import { memo } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { G, Path, Text as SvgText } from 'react-native-svg';
import { ink, personInk } from './tokens.ts';
import { useSteady } from './steady.ts';
import { Txt } from './text.tsx';

/** What a knot shows of a part: shapes first, colour second. */
export const KNOT_STATES = ['unseen', 'seen', 'taken', 'underway', 'asked', 'declined', 'waits', 'done', 'passed', 'excused', 'nobody'] as const;
export type KnotState = (typeof KNOT_STATES)[number];

const LOZENGE = 'M14 3L25 14L14 25L3 14Z';
const round = { strokeLinecap: 'round', strokeLinejoin: 'round', fill: 'none' } as const;

/** The lozenge alone, on a 28-unit square centred on (14, 14): for threads and the weave as well. */
export function KnotShape({ state, colour }: { state: KnotState; colour: Colour | null }) {
  const c = colour && state !== 'nobody' ? personInk(colour) : ink('muted');
  const under = ink('surface');
  switch (state) {
    case 'unseen':
      return <Path d={LOZENGE} fill={under} stroke={c} strokeWidth={1.6} strokeDasharray="2.2 2.4" />;
    case 'seen':
      return <Path d={LOZENGE} fill={under} stroke={c} strokeWidth={1.4} />;
    case 'taken':
      return <Path d={LOZENGE} fill={under} stroke={c} strokeWidth={3.2} />;
    case 'underway':
      return (
        <G>
          <Path d={LOZENGE} fill={under} stroke={c} strokeWidth={2} />
          <Path d="M3 14L25 14L14 25Z" fill={c} />
        </G>
      );
    case 'asked':
      return (
        <G>
          <Path d={LOZENGE} fill={under} stroke={c} strokeWidth={2} />
          <SvgText x={14} y={18.6} textAnchor="middle" fontFamily="AtkinsonHyperlegibleNext_700Bold" fontSize={13} fill={c}>
            ?
          </SvgText>
        </G>
      );
    case 'declined':
      return (
        <G>
          <Path d={LOZENGE} fill={under} stroke={c} strokeWidth={2} />
          <Path d="M4 14h20" stroke={c} strokeWidth={2.4} />
        </G>
      );
    case 'waits':
      return (
        <G>
          <Path d={LOZENGE} fill={under} stroke={c} strokeWidth={1.4} />
          <Path d="M14 7L21 14L14 21L7 14Z" fill={c} />
          <Path d="M10.8 14.1l2.3 2.3 4.1-4.4" stroke={ink('surface')} strokeWidth={2} {...round} />
        </G>
      );
    case 'done':
      return (
        <G className="tied">
          <Path d={LOZENGE} fill={c} stroke={c} strokeWidth={2} />
          <Path d="M9.6 14.2l3.2 3.2 5.8-6.2" stroke={ink('surface')} strokeWidth={2.4} {...round} />
        </G>
      );
    case 'passed':
      return (
        <G>
          <Path d={LOZENGE} fill={under} stroke={c} strokeWidth={1.4} />
          <Path d="M9 14h9M15 10.5l3.5 3.5-3.5 3.5" stroke={c} strokeWidth={2} {...round} />
        </G>
      );
    case 'excused':
      return (
        <G>
          <Path d={LOZENGE} fill={under} stroke={c} strokeWidth={1} strokeOpacity={0.6} />
          <Path d="M10.5 14h7" stroke={c} strokeWidth={1.6} strokeOpacity={0.7} />
        </G>
      );
    case 'nobody':
      // all round but for one loose end: gaps on one side only would read as arrows
      return <Path d="M3 14L14 3L25 14L20.6 18.4M16.2 22.8L14 25L3 14" stroke={c} strokeWidth={2} {...round} />;
  }
}

/** A knot to look at. */
export const KnotMark = memo(function KnotMark({ state, colour, size = 26 }: { state: KnotState; colour: Colour | null; size?: number }) {
  return (
    <Svg width={size} height={size} viewBox="0 0 28 28" aria-hidden>
      <KnotShape state={state} colour={colour} />
    </Svg>
  );
});

interface KnotProps {
  state: KnotState;
  colour: Colour | null;
  /** Initials under it, where several share an item. */
  mark?: string;
  size?: number;
  /** Names the item and what tying or untying does. */
  label: string;
  onTie: () => void;
  disabled?: boolean;
}

/** The control that checks off: a lozenge in a 44-pixel touch area. */
export function Knot({ onTie, ...rest }: KnotProps) {
  return <SteadyKnot onTie={useSteady(onTie)} {...rest} />;
}

const SteadyKnot = memo(function SteadyKnot({ state, colour, mark, size = 26, label, onTie, disabled = false }: KnotProps) {
  return (
    <Pressable
      role="checkbox"
      aria-checked={state === 'done' || state === 'waits'}
      aria-label={label}
      disabled={disabled}
      onPress={onTie}
      className="knot h-11 w-11 items-center justify-center"
    >
      <View className="items-center">
        <KnotMark state={state} colour={colour} size={size} />
        {mark ? (
          <Txt size={11} tone="muted" className="-mt-0.5" aria-hidden>
            {mark}
          </Txt>
        ) : null}
      </View>
    </Pressable>
  );
});
