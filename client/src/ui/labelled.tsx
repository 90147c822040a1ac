import { View } from 'react-native';
import { Txt } from './text.tsx';

/** Something to choose or fill in, under a word that says what. */
export function Labelled({ words, children }: { words: string; children: React.ReactNode }) {
  return (
    <View className="gap-2">
      <Txt size={15} face="medium" tone="muted">
        {words}
      </Txt>
      {children}
    </View>
  );
}
