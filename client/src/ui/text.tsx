import { memo } from 'react';
import { Text as NativeText, type TextProps } from 'react-native';

const SIZES = { 11: 'text-11', 13: 'text-13', 15: 'text-15', 17: 'text-17', 20: 'text-20', 26: 'text-26', 34: 'text-34' } as const;
const FACES = { read: 'font-sans', medium: 'font-medium', bold: 'font-bold', head: 'font-head', title: 'font-title' } as const;
const TONES = {
  ink: 'text-ink',
  muted: 'text-muted',
  pine: 'text-pine',
  onpine: 'text-onpine',
  ground: 'text-ground',
  late: 'text-lingonberry',
  waits: 'text-cloudberry',
  plan: 'text-lake',
  chore: 'text-heather',
} as const;
export type Tone = keyof typeof TONES;

export interface TxtProps extends TextProps {
  size?: keyof typeof SIZES;
  face?: keyof typeof FACES;
  tone?: Tone;
  className?: string;
}

/** All text that is shown goes through here: a bare Text would fall back to the system's font. */
export const Txt = memo(function Txt({ size = 17, face = 'read', tone = 'ink', className = '', ...rest }: TxtProps) {
  return <NativeText className={`${SIZES[size]} ${FACES[face]} ${TONES[tone]} ${className}`} {...rest} />;
});

/** A heading of a view, a group or a sheet. */
export const Heading = memo(function Heading({
  level,
  tone = 'ink',
  children,
  className = '',
}: {
  level: 1 | 2 | 3;
  tone?: Tone;
  children: React.ReactNode;
  className?: string;
}) {
  const looks = { 1: 'text-26 font-title', 2: 'text-20 font-title', 3: 'text-17 font-head' }[level];
  return (
    <NativeText role="heading" aria-level={level} className={`${looks} ${TONES[tone]} ${className}`}>
      {children}
    </NativeText>
  );
});
