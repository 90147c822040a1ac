import { useId, useState } from 'react';
import { TextInput, View, type TextInputProps } from 'react-native';
import { Txt } from './text.tsx';

interface FieldProps extends TextInputProps {
  label: string;
  /** What is wrong with it, and what to do: stands right below. */
  error?: string | null;
  hint?: string;
  hideLabel?: boolean;
  className?: string;
}

/** Something to type. What is wrong is said beside it, and what was typed stays. */
export function Field({ label, error, hint, hideLabel = false, className = '', multiline, ...input }: FieldProps) {
  const id = useId();
  const [height, setHeight] = useState(0);
  return (
    <View className={`gap-1 ${className}`}>
      {hideLabel ? null : (
        <Txt size={15} face="medium" tone="muted" nativeID={`${id}-label`}>
          {label}
        </Txt>
      )}
      <TextInput
        aria-label={label}
        aria-invalid={error ? true : undefined}
        aria-describedby={error || hint ? `${id}-say` : undefined}
        multiline={multiline}
        onContentSizeChange={multiline ? (event) => setHeight(event.nativeEvent.contentSize.height) : undefined}
        style={multiline ? { minHeight: Math.max(88, height) } : undefined}
        placeholderTextColor="rgb(var(--muted))"
        className={`min-h-12 rounded-control bg-sunk px-3 py-3 font-sans text-17 text-ink outline-pine ${error ? 'border border-lingonberry' : ''}`}
        {...input}
      />
      {error || hint ? (
        <Txt nativeID={`${id}-say`} role={error ? 'alert' : undefined} size={15} tone={error ? 'late' : 'muted'}>
          {error ?? hint}
        </Txt>
      ) : null}
    </View>
  );
}
