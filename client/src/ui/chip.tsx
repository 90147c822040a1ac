import { Pressable, View } from 'react-native';
import { Icon } from './icon.tsx';
import { Txt } from './text.tsx';

interface ChipProps {
  words: string;
  lead?: React.ReactNode;
  /** Takes it away; with it the chip is one that was recognised. */
  onRemove?: () => void;
  removeLabel?: string;
  /** Takes it up; with it the chip is only offered. */
  onTake?: () => void;
}

/** Something that was recognised in a line and can be taken back, or that is only offered. */
export function Chip({ words, lead, onRemove, removeLabel, onTake }: ChipProps) {
  if (onTake)
    return (
      <Pressable
        role="button"
        onPress={onTake}
        className="min-h-9 max-w-full flex-row items-center gap-1.5 rounded-control border border-dashed border-underline px-3"
      >
        <Icon name="plus" size={14} />
        <Txt size={15} className="shrink">
          {words}
        </Txt>
      </Pressable>
    );
  return (
    <View className="min-h-9 max-w-full flex-row items-center gap-1.5 rounded-control bg-sunk pl-2.5">
      {lead}
      <Txt size={15} face="medium" className="shrink">
        {words}
      </Txt>
      <Pressable role="button" aria-label={removeLabel} onPress={onRemove} className="h-9 w-9 shrink-0 items-center justify-center">
        <Icon name="close" size={14} />
      </Pressable>
    </View>
  );
}
