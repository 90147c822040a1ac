import { memo } from 'react';
import { Pressable } from 'react-native';
import { useSteady } from './steady.ts';
import { Txt, type Tone } from './text.tsx';
import { Icon, type IconName } from './icon.tsx';

interface ButtonProps {
  /** A verb. */
  children: string;
  onPress: () => void;
  kind?: 'main' | 'plain' | 'quiet';
  tone?: Tone;
  icon?: IconName;
  disabled?: boolean;
  label?: string;
  /** Whether what it opens is open. */
  expanded?: boolean;
}

const BOXES = { main: 'bg-pine px-5', plain: 'bg-sunk px-5', quiet: 'px-2' };

/** What does something: the main one filled, the others sunk, the quiet ones a word alone. */
export function Button({ onPress, ...rest }: ButtonProps) {
  return <SteadyButton onPress={useSteady(onPress)} {...rest} />;
}

const SteadyButton = memo(function SteadyButton({ children, onPress, kind = 'plain', tone, icon, disabled = false, label, expanded }: ButtonProps) {
  const shown: Tone = tone ?? (kind === 'main' ? 'onpine' : kind === 'quiet' ? 'plan' : 'ink');
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-disabled={disabled}
      aria-expanded={expanded}
      disabled={disabled}
      onPress={onPress}
      className={`min-h-11 max-w-full flex-row items-center justify-center gap-2 rounded-control ${BOXES[kind]} ${disabled ? 'opacity-50' : ''}`}
    >
      {icon ? <Icon name={icon} tone={kind === 'main' ? 'onpine' : kind === 'quiet' ? 'lake' : 'ink'} /> : null}
      <Txt size={kind === 'quiet' ? 15 : 17} face={kind === 'main' ? 'bold' : 'medium'} tone={shown} className="shrink">
        {children}
      </Txt>
    </Pressable>
  );
});

interface IconButtonProps {
  icon: IconName;
  label: string;
  onPress: () => void;
  badge?: number;
  pressed?: boolean;
}

/** An icon alone, for second-level actions: always with a name. */
export function IconButton({ onPress, ...rest }: IconButtonProps) {
  return <SteadyIconButton onPress={useSteady(onPress)} {...rest} />;
}

const SteadyIconButton = memo(function SteadyIconButton({ icon, label, onPress, badge, pressed }: IconButtonProps) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-pressed={pressed}
      onPress={onPress}
      className={`h-11 w-11 items-center justify-center rounded-control ${pressed ? 'bg-sunk' : ''}`}
    >
      <Icon name={icon} size={22} tone={pressed ? 'pine' : 'muted'} />
      {badge ? (
        <Txt size={13} face="bold" tone="ground" className="absolute right-1 top-0.5 rounded-[3px] bg-cloudberry px-1" aria-hidden>
          {badge}
        </Txt>
      ) : null}
    </Pressable>
  );
});

/** A word in a sentence that can be tapped to change it. */
interface TappableProps {
  children: string;
  onPress: () => void;
  faint?: boolean;
  label?: string;
  size?: 17 | 20;
}

export function Tappable({ children, onPress, faint = false, label, size = 20 }: TappableProps) {
  return (
    <Txt
      role="button"
      tabIndex={0}
      aria-label={label}
      onPress={onPress}
      size={size}
      face={faint ? 'read' : 'medium'}
      tone={faint ? 'muted' : 'ink'}
      className="cursor-pointer border-b-2 border-underline leading-[34px]"
    >
      {children}
    </Txt>
  );
}
