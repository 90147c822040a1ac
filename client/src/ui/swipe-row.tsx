import { View } from 'react-native';
import { Button } from './button.tsx';

export interface RowWord {
  key: string;
  words: string;
  onPress: () => void;
}

/** A row that a swipe pushes aside to uncover its words; it does nothing by itself. By keyboard the words are the next stops. */
export function SwipeRow({ words, children }: { words: readonly RowWord[]; children: React.ReactNode }) {
  if (words.length === 0) return <>{children}</>;
  return (
    <View className="swipe-row">
      <View className="swipe-row-face">{children}</View>
      <View className="swipe-row-words border-b border-line bg-sunk px-2">
        {words.map(({ key, words: said, onPress }) => (
          <Button key={key} kind="quiet" onPress={onPress}>
            {said}
          </Button>
        ))}
      </View>
    </View>
  );
}
