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
  /** One line that grows with what is typed; Enter sends it, with Shift it begins another line. */
  grows?: boolean;
}

/** Something to type. What is wrong is said beside it, and what was typed stays. */
export function Field({ label, error, hint, hideLabel = false, className = '', multiline, grows = false, ...input }: FieldProps) {
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
        multiline={multiline || grows}
        // Enter does what the panel's button does; where there is more to say, the next key goes into the same field
        blurOnSubmit={false}
        numberOfLines={grows ? 1 : undefined}
        onKeyPress={grows ? sendAtEnter(input.onSubmitEditing) : undefined}
        onContentSizeChange={multiline ? (event) => setHeight(event.nativeEvent.contentSize.height) : undefined}
        style={multiline ? { minHeight: Math.max(88, height) } : undefined}
        placeholderTextColor="rgb(var(--muted))"
        className={`min-h-12 rounded-control bg-sunk px-3 py-3 font-sans text-17 text-ink outline-pine ${grows ? 'grows' : ''} ${error ? 'border border-lingonberry' : ''}`}
        {...input}
        {...(input.autoFocus ? ({ dataSet: { autofocus: '' } } as object) : {})}
      />
      {error || hint ? (
        <Txt nativeID={`${id}-say`} role={error ? 'alert' : undefined} size={15} tone={error ? 'late' : 'muted'}>
          {error ?? hint}
        </Txt>
      ) : null}
    </View>
  );
}

const sendAtEnter =
  (send: TextInputProps['onSubmitEditing']): TextInputProps['onKeyPress'] =>
  (event) => {
    const pressed = event.nativeEvent as unknown as KeyboardEvent;
    if (pressed.key !== 'Enter' || pressed.shiftKey || pressed.isComposing) return;
    event.preventDefault();
    send?.(event as never);
  };
