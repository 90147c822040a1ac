import { memo } from 'react';
import { Pressable, View } from 'react-native';
import { Picture } from './picture.tsx';
import { TagWords, type TagWord } from './tag-words.tsx';
import { Txt, type Tone } from './text.tsx';

export interface RowProps {
  title: string;
  /** A short line below: where it is, from whom, what it waits for. */
  sub?: string;
  subTone?: Tone;
  /** Topic words after the line, each in its colour. */
  tags?: readonly TagWord[];
  /** A short word at the right: hour, days late, figure. */
  right?: string;
  rightTone?: Tone;
  /** The line below the title may take as much room as it needs, up to three lines. */
  wraps?: boolean;
  /** The knot, or another lead. */
  lead?: React.ReactNode;
  /** The address of a small picture of it. */
  picture?: string;
  /** Below that word, so that the title keeps its room: the knots of others. */
  strands?: React.ReactNode;
  /** Buttons, at the end. */
  trail?: React.ReactNode;
  /** What can be done to it; with a pointer, out of sight until that or the focus is on the row. */
  tools?: React.ReactNode;
  done?: boolean;
  /** The first words of the second line, in ink: how important it is. */
  first?: string;
  /** The title stands out from those around it. */
  isStrong?: boolean;
  onPress?: () => void;
  onLongPress?: () => void;
  /** While rows are being chosen: whether this one is. */
  chosen?: boolean;
  /** It leads to the page one is on. */
  isHere?: boolean;
  /** The item behind it, for the keys that go from row to row. */
  rowId?: string;
  /** What a knot that is not one's own shows, in words. */
  state?: string;
}

/** One line of a list: 56 pixels on a phone, 44 on a wide screen. */
export function Row({
  title,
  sub,
  subTone = 'muted',
  wraps = false,
  tags = [],
  right,
  rightTone = 'ink',
  lead,
  picture,
  strands,
  trail,
  tools,
  done = false,
  first,
  isStrong = false,
  onPress,
  onLongPress,
  chosen,
  isHere = false,
  rowId = '',
  state,
}: RowProps) {
  return (
    <View className={`row min-h-14 flex-row items-center gap-1 border-b border-line pr-4 lg:min-h-11 ${chosen || isHere ? 'bg-sunk' : ''}`}>
      {lead ? <View className="ml-2 w-11 items-center">{lead}</View> : <View className="w-3" />}
      <View className="row-words">
        <Pressable
          role={chosen !== undefined ? 'checkbox' : onPress ? 'button' : undefined}
          aria-checked={chosen}
          aria-current={isHere ? 'page' : undefined}
          {...({ dataSet: { row: rowId } } as object)}
          onPress={onPress}
          onLongPress={onLongPress}
          disabled={!onPress}
          className="min-h-14 min-w-0 grow shrink basis-0 justify-center py-1.5 lg:min-h-11"
        >
          <Txt face={isStrong && !done ? 'bold' : 'medium'} tone={done ? 'muted' : 'ink'} numberOfLines={2} className={done ? 'line-through' : ''}>
            {title}
          </Txt>
          {first || sub || tags.length > 0 ? (
            <Txt size={13} tone={subTone} numberOfLines={wraps ? 3 : 1} className="mt-px">
              {first ? (
                <Txt size={13} face="medium">
                  {sub || tags.length > 0 ? `${first} · ` : first}
                </Txt>
              ) : null}
              {sub}
              <TagWords tags={tags} isFirst={!sub} />
            </Txt>
          ) : null}
          {state ? <Txt className="sr-only">{state}</Txt> : null}
        </Pressable>
        {tools ? (
          <View className="row-tools-place">
            <View className="row-tools">{tools}</View>
          </View>
        ) : null}
      </View>
      {picture ? (
        <View className="mr-1 h-10 w-10 overflow-hidden rounded-control bg-sunk">
          <Picture src={picture} alt="" fit="fill" />
        </View>
      ) : null}
      {right || strands ? (
        <View className="items-end py-1">
          {right ? (
            <Txt size={15} face="medium" tone={rightTone} className="text-right">
              {right}
            </Txt>
          ) : null}
          {strands}
        </View>
      ) : null}
      {trail}
    </View>
  );
}

interface GroupHeadProps {
  title: string;
  count?: number;
  tone?: Tone;
  /** Before the title: a symbol. */
  lead?: React.ReactNode;
  /** Below it: a line on what this is. */
  sub?: string;
  /** At its right: what can be done with the group. */
  children?: React.ReactNode;
}

/** The heading of a group of rows, with how many there are. */
export const GroupHead = memo(function GroupHead({ title, count, tone = 'ink', lead, sub, children }: GroupHeadProps) {
  return (
    <View className={`group-head flex-row items-center pl-4 ${children ? 'pr-1 pt-2' : 'pb-1 pr-4 pt-4'}`}>
      <View className="min-w-0 shrink">
        <View className="flex-row items-baseline gap-2">
          {lead ? <View className="self-center">{lead}</View> : null}
          <Txt role="heading" aria-level={3} face="head" tone={tone} className="shrink">
            {title}
          </Txt>
          {count === undefined ? null : (
            <Txt size={13} tone="muted">
              {count}
            </Txt>
          )}
        </View>
        {sub ? (
          <Txt size={15} tone="muted">
            {sub}
          </Txt>
        ) : null}
      </View>
      {children ? <View className="ml-auto">{children}</View> : null}
    </View>
  );
});
