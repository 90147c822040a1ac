import type { Colour } from '@kotiva/core';
import { Pressable, View } from 'react-native';
import type { Option } from './choice.tsx';
import { personInk } from './tokens.ts';

/** One of the house's colours; each has its name. */
export function Swatches({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: Colour;
  options: readonly Option<Colour>[];
  onChange: (colour: Colour) => void;
}) {
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
          <View className="h-7 w-7 rounded-control" style={{ backgroundColor: personInk(one.value) }} />
        </Pressable>
      ))}
    </View>
  );
}

/** A short woven end in a tag's colour, beside its word. */
export const TagDot = ({ colour }: { colour: Colour }) => <View aria-hidden className="h-5 w-1.5" style={{ backgroundColor: personInk(colour) }} />;
