import { View } from 'react-native';
import { Button } from './button.tsx';
import { Txt } from './text.tsx';

/** What belongs here, and the one action that fills it. */
export function Empty({ words, action, onAction }: { words: string; action?: string; onAction?: () => void }) {
  return (
    <View className="items-start gap-3 px-4 py-6">
      <Txt tone="muted">{words}</Txt>
      {action && onAction ? (
        <Button onPress={onAction} kind="plain">
          {action}
        </Button>
      ) : null}
    </View>
  );
}
