import { View } from 'react-native';
import { Button, IconButton } from './button.tsx';
import { Field } from './field.tsx';

/** A name in an order of its own; without an id it is new. */
export interface OrderedName {
  id?: string;
  name: string;
}

interface OrderedNamesProps<T extends OrderedName> {
  names: readonly T[];
  /** How one begins that is added. */
  begin: T;
  most: number;
  maxLength: number;
  onChange: (names: T[]) => void;
  words: { label: (nth: number) => string; out: (name: string) => string; up: (name: string) => string; add: string };
  /** What is said of one below its name. */
  children?: (one: T, nth: number) => React.ReactNode;
}

/** A few names one below the other: typed, added, moved up, taken out. */
export function OrderedNames<T extends OrderedName>({ names, begin, most, maxLength, onChange, words, children }: OrderedNamesProps<T>) {
  const raise = (nth: number) => onChange([...names.slice(0, nth - 1), names[nth]!, names[nth - 1]!, ...names.slice(nth + 1)]);
  return (
    <View className="gap-3">
      {names.map((one, nth) => (
        <View key={one.id ?? `new ${nth}`}>
          <View className="flex-row items-end gap-1">
            <Field
              label={words.label(nth + 1)}
              value={one.name}
              maxLength={maxLength}
              autoFocus={one.id === undefined}
              onChangeText={(name) => onChange(names.map((other, at) => (at === nth ? { ...other, name } : other)))}
              className="grow shrink basis-0"
            />
            {nth > 0 ? <IconButton icon="up" label={words.up(one.name)} onPress={() => raise(nth)} /> : null}
            <IconButton icon="close" label={words.out(one.name)} onPress={() => onChange(names.filter((_, at) => at !== nth))} />
          </View>
          {children?.(one, nth)}
        </View>
      ))}
      {names.length < most ? (
        <View className="items-start">
          <Button icon="plus" onPress={() => onChange([...names, { ...begin }])}>
            {words.add}
          </Button>
        </View>
      ) : null}
    </View>
  );
}
