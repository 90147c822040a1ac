import { View } from 'react-native';
import { Button } from './button.tsx';
import { Txt } from './text.tsx';

interface NoticeBarProps {
  words: string;
  action?: string;
  onAction?: () => void;
  tone?: 'plain' | 'refused';
}

/** What has just happened, with the way back. */
export function NoticeBar({ words, action, onAction, tone = 'plain' }: NoticeBarProps) {
  return (
    <View
      role="status"
      aria-live="polite"
      className={`min-h-12 flex-row items-center gap-3 rounded-control border bg-surface px-4 py-1 shadow-lg ${tone === 'refused' ? 'border-lingonberry' : 'border-line'}`}
    >
      <Txt size={15} className="grow shrink basis-0">
        {words}
      </Txt>
      {action && onAction ? (
        <Button kind="quiet" onPress={onAction}>
          {action}
        </Button>
      ) : null}
    </View>
  );
}
