import { FIRST_YEAR, LAST_YEAR } from '@kotiva/core';
import { createElement, useId } from 'react';
import { View } from 'react-native';
import { Txt } from './text.tsx';

interface MomentInputProps {
  label: string;
  kind: 'date' | 'time';
  value: string;
  onChange: (value: string) => void;
}

/** A year typed with two figures is one of this century; null where there were more. */
function inThisCentury(date: string): string | null {
  const year = Number(date.slice(0, 4));
  return date !== '' && year < 100 ? `20${date.slice(2)}` : null;
}

/** The browser's own date or hour field: known by thumb and keyboard on every device. */
export function MomentInput({ label, kind, value, onChange }: MomentInputProps) {
  const id = useId();
  // not while it is typed: the first figures of any year are a short one. The field shows the year it was read as
  const readShortYear = () => {
    const full = kind === 'date' ? inThisCentury(value) : null;
    if (full) onChange(full);
  };
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
        ...(kind === 'date' ? { min: `${FIRST_YEAR}-01-01`, max: `${LAST_YEAR}-12-31` } : {}),
        onChange: (event: React.ChangeEvent<HTMLInputElement>) => onChange(event.target.value),
        onBlur: readShortYear,
        style: {
          font: '1.0625rem AtkinsonHyperlegibleNext_400Regular',
          minHeight: '2.875rem',
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
