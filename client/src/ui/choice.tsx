import { Pressable, View } from 'react-native';
import { Labelled } from './labelled.tsx';
import { Txt } from './text.tsx';

export interface Option<T extends string> {
  value: T;
  words: string;
}

/** One of a few, side by side. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T | null;
  options: readonly Option<T>[];
  onChange: (value: T) => void;
}) {
  return (
    <View role="radiogroup" aria-label={label} className="flex-row flex-wrap gap-2">
      {options.map((option) => (
        <Pressable
          key={option.value}
          role="radio"
          aria-checked={option.value === value}
          onPress={() => onChange(option.value)}
          className={`min-h-11 max-w-full justify-center rounded-control px-4 ${option.value === value ? 'bg-ink' : 'bg-sunk'}`}
        >
          <Txt size={15} face="medium" tone={option.value === value ? 'ground' : 'ink'}>
            {option.words}
          </Txt>
        </Pressable>
      ))}
    </View>
  );
}

/** Any of a few, side by side. */
export function Toggles({
  label,
  on,
  options,
  onChange,
}: {
  label: string;
  on: readonly string[];
  options: readonly Option<string>[];
  onChange: (on: string[]) => void;
}) {
  return (
    <View role="group" aria-label={label} className="flex-row flex-wrap gap-2">
      {options.map(({ value, words }) => {
        const chosen = on.includes(value);
        return (
          <Pressable
            key={value}
            role="checkbox"
            aria-checked={chosen}
            onPress={() => onChange(chosen ? on.filter((one) => one !== value) : [...on, value])}
            className={`min-h-11 max-w-full justify-center rounded-control border-2 bg-sunk px-4 ${chosen ? 'border-pine' : 'border-sunk'}`}
          >
            <Txt size={15} face={chosen ? 'bold' : 'medium'}>
              {words}
            </Txt>
          </Pressable>
        );
      })}
    </View>
  );
}

/** The same, with the word that says what is chosen in sight. */
export const LabelledChoice = <T extends string>(props: Parameters<typeof Choice<T>>[0]) => (
  <Labelled words={props.label}>
    <Choice {...props} />
  </Labelled>
);
export const LabelledToggles = (props: Parameters<typeof Toggles>[0]) => (
  <Labelled words={props.label}>
    <Toggles {...props} />
  </Labelled>
);

/** Yes or no, said as a sentence. */
export function Switch({ words, label, on, onChange }: { words: string; label?: string; on: boolean; onChange: (on: boolean) => void }) {
  return (
    <Pressable role="checkbox" aria-checked={on} aria-label={label ?? words} onPress={() => onChange(!on)} className="min-h-11 flex-row items-center gap-3">
      <ChosenMark on={on} />
      {words ? <Txt className="shrink">{words}</Txt> : null}
    </Pressable>
  );
}

/** Whether something is chosen: a square, never a knot, which is for checking off. */
export function ChosenMark({ on }: { on: boolean }) {
  return (
    <View aria-hidden className={`h-5 w-5 items-center justify-center rounded-[3px] border-2 ${on ? 'border-pine bg-pine' : 'border-underline'}`}>
      {on ? (
        <Txt size={13} face="bold" tone="onpine" className="leading-4">
          ✓
        </Txt>
      ) : null}
    </View>
  );
}
