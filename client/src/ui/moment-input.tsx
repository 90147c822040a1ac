import { createElement, useId } from 'react';
import { View } from 'react-native';
import { Txt } from './text.tsx';

interface MomentInputProps {
  label: string;
  kind: 'date' | 'time';
  value: string;
  onChange: (value: string) => void;
}

/** The browser's own date or hour field: known by thumb and keyboard on every device. */
export function MomentInput({ label, kind, value, onChange }: MomentInputProps) {
  const id = useId();
  return (
    <View className="grow gap-1">
      <Txt size={15} face="medium" tone="muted">
        {label}
      </Txt>
      {createElement('input', {
        id,
        type: kind,
        value,
        'aria-label': label,
        onChange: (event: React.ChangeEvent<HTMLInputElement>) => onChange(event.target.value),
        style: {
          font: '17px AtkinsonHyperlegibleNext_400Regular',
          minHeight: 46,
          padding: '0 12px',
          borderRadius: 6,
          border: 0,
          background: 'rgb(var(--sunk))',
          color: 'rgb(var(--ink))',
        },
      })}
    </View>
  );
}
