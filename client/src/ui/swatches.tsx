import type { Colour } from '@kotiva/core';
import { Pressable, View } from 'react-native';
import type { Option } from './choice.tsx';
import { personInk } from './tokens.ts';

interface SwatchesProps<T extends string> {
  label: string;
  value: T;
  options: readonly Option<T>[];
  onChange: (colour: T) => void;
  /** What each is drawn in. */
  inkOf: (value: T) => string;
}

/** One of a few colours; each has its name. */
export function Swatches<T extends string>({ label, value, options, onChange, inkOf }: SwatchesProps<T>) {
  return (
    <View role="radiogroup" aria-label={label} className="flex-row flex-wrap gap-1">
      {options.map((one) => (
        <Pressable
          key={one.value}
          role="radio"
          aria-checked={one.value === value}
          aria-label={one.words}
          onPress={() => onChange(one.value)}
          className={`h-11 w-11 items-center justify-center rounded-control border-2 ${one.value === value ? 'border-ink' : 'border-transparent'}`}
        >
          <View className="h-7 w-7 rounded-control" style={{ backgroundColor: inkOf(one.value) }} />
        </Pressable>
      ))}
    </View>
  );
}

/** A short woven end in a tag's colour, beside its word. */
export const TagDot = ({ colour }: { colour: Colour }) => <View aria-hidden className="h-5 w-1.5" style={{ backgroundColor: personInk(colour) }} />;
