import type { Colour } from '@kotiva/core';
import { Txt } from './text.tsx';
import { personInk } from './tokens.ts';

export interface TagWord {
  name: string;
  colour: Colour;
  /** Leads to everything under it: by pointer alone, who has none finds the way in the sheet. */
  onPress?: () => void;
}

/** Topic words within a line, each in its colour. */
export function TagWords({ tags, isFirst }: { tags: readonly TagWord[]; /** Nothing stands before them. */ isFirst: boolean }) {
  return tags.map(({ name, colour, onPress }, nth) => (
    <Txt key={name} size={13}>
      {isFirst && nth === 0 ? '' : ' · '}
      <Txt size={13} face="medium" onPress={onPress} className={onPress ? 'hover:underline' : ''} style={{ color: personInk(colour) }}>
        {`#${name}`}
      </Txt>
    </Txt>
  ));
}
