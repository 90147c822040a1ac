import { View } from 'react-native';
import { Button } from './button.tsx';
import { Foot } from './foot.tsx';

interface ConfirmRowProps {
  /** What the main button does: a verb. */
  verb: string;
  onConfirm: () => void;
  disabled?: boolean;
  cancel: string;
  onCancel: () => void;
  /** Other ways out, between the two. */
  children?: React.ReactNode;
}

/** Of a panel: do it, or let it be. In a sheet it stands at its foot. */
export function ConfirmRow({ verb, onConfirm, disabled, cancel, onCancel, children }: ConfirmRowProps) {
  return (
    <Foot>
      <View className="flex-row flex-wrap gap-2">
        <Button kind="main" disabled={disabled} onPress={onConfirm}>
          {verb}
        </Button>
        {children}
        <Button kind="quiet" onPress={onCancel}>
          {cancel}
        </Button>
      </View>
    </Foot>
  );
}
