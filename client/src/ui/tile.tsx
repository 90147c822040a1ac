import { Pressable, View } from 'react-native';
import type { RowProps } from './row.tsx';
import { TagWords } from './tag-words.tsx';
import { Txt } from './text.tsx';

/** The same as a row says, on a small ground of its own, so that several stand side by side. */
export function Tile({
  title,
  sub,
  tags = [],
  right,
  rightTone = 'ink',
  lead,
  strands,
  trail,
  tools,
  done = false,
  first,
  isStrong = false,
  onPress,
  onLongPress,
  chosen,
  rowId = '',
  state,
  isLined = false,
}: RowProps & { /** Below others, with a line between, and no ground of its own. */ isLined?: boolean }) {
  return (
    <View className={`row min-w-0 border-line p-1 pb-2 ${isLined ? 'border-b' : 'rounded-control border'} ${chosen ? 'bg-sunk' : isLined ? '' : 'bg-surface'}`}>
      <View className="flex-row items-start">
        {lead ? <View className="min-h-11 w-11 items-center justify-center">{lead}</View> : <View className="w-3" />}
        <Pressable
          role={chosen === undefined ? 'button' : 'checkbox'}
          aria-checked={chosen}
          {...({ dataSet: { row: rowId } } as object)}
          onPress={onPress}
          onLongPress={onLongPress}
          className="min-h-11 min-w-0 grow shrink basis-0 justify-center py-1.5 pr-2"
        >
          <Txt face={isStrong && !done ? 'bold' : 'medium'} tone={done ? 'muted' : 'ink'} numberOfLines={4} className={done ? 'line-through' : ''}>
            {title}
          </Txt>
          {first || sub ? (
            <Txt size={13} tone="muted" numberOfLines={3} className="mt-px">
              {first ? (
                <Txt size={13} face="medium">
                  {sub ? `${first} · ` : first}
                </Txt>
              ) : null}
              {sub}
            </Txt>
          ) : null}
          {state ? <Txt className="sr-only">{state}</Txt> : null}
        </Pressable>
        {tools}
      </View>
      {right || tags.length > 0 || strands || trail ? (
        <View className="mt-auto flex-row items-center gap-2 pl-11 pr-2">
          <Txt size={13} numberOfLines={1} className="min-w-0 grow shrink basis-0">
            <TagWords tags={tags} isFirst />
          </Txt>
          {right ? (
            <Txt size={13} face="medium" tone={rightTone}>
              {right}
            </Txt>
          ) : null}
          {strands}
          {trail}
        </View>
      ) : null}
    </View>
  );
}
