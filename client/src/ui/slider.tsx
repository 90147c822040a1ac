import { createElement } from 'react';
import { View } from 'react-native';
import { Txt } from './text.tsx';

interface SliderProps {
  label: string;
  /** What each stop is called, from the least on; under the slider their short names. */
  stops: readonly { words: string; short: string }[];
  at: number;
  onChange: (at: number) => void;
}

/** One of a few stops, by thumb or arrow keys; what it stands at is said beside its name. */
export function Slider({ label, stops, at, onChange }: SliderProps) {
  return (
    <View>
      <View className="flex-row items-baseline gap-2">
        <Txt size={15} face="medium" tone="muted">
          {label}
        </Txt>
        <Txt face="bold">{stops[at]?.words}</Txt>
      </View>
      {createElement('input', {
        type: 'range',
        min: 0,
        max: stops.length - 1,
        step: 1,
        value: at,
        'aria-label': label,
        'aria-valuetext': stops[at]?.words,
        className: 'slider',
        onChange: (event: { target: { value: string } }) => onChange(Number(event.target.value)),
      })}
      <View className="flex-row justify-between" aria-hidden>
        {stops.map(({ short }) => (
          <Txt key={short} size={13} tone="muted" className="w-7 text-center">
            {short}
          </Txt>
        ))}
      </View>
    </View>
  );
}

interface RangeProps {
  label: string;
  /** Whole numbers from 0 to this. */
  most: number;
  at: number;
  /** What it stands at, in words. */
  words: string;
  onChange: (at: number) => void;
  /** The thumb was let go of there. */
  onRelease: (at: number) => void;
}

/** Any whole number of a range, by thumb or arrow keys. */
export const RangeSlider = ({ label, most, at, words, onChange, onRelease }: RangeProps) =>
  createElement('input', {
    type: 'range',
    min: 0,
    max: most,
    step: 1,
    value: at,
    'aria-label': label,
    'aria-valuetext': words,
    className: 'slider',
    onChange: (event: { target: { value: string } }) => onChange(Number(event.target.value)),
    onPointerUp: (event: { currentTarget: { value: string } }) => onRelease(Number(event.currentTarget.value)),
  });
