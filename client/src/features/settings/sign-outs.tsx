import { useRef, useState } from 'react';
import { View } from 'react-native';
import { useSession } from '@/features/account';
import { Button, Txt } from '@/ui';
import { t } from '@/words';
import { KeysToKeep } from './keys-to-keep.tsx';

/** Signing out here, or on every device: there it is said what else ends. */
export function SignOuts() {
  const { signOut } = useSession();
  const [everywhere, setEverywhere] = useState(false);
  const panel = useRef<View>(null);
  // it opens at the very end of the page, and grows when the keys have come: on a phone nothing of it would be seen
  const bringIntoView = () => (panel.current as unknown as HTMLElement | null)?.scrollIntoView?.({ block: 'end' });
  const [keepKeys, setKeepKeys] = useState<string[]>([]);
  return (
    <View className="gap-3 px-4 py-4">
      <View className="flex-row flex-wrap gap-2">
        <Button onPress={() => void signOut(false)}>{t('account.signOut')}</Button>
        <Button kind="quiet" expanded={everywhere} onPress={() => setEverywhere(!everywhere)}>
          {t('account.signOutEverywhere')}
        </Button>
      </View>
      {everywhere ? (
        <View ref={panel} onLayout={bringIntoView} className="items-start gap-3">
          <Txt size={15} tone="muted">
            {t('account.everywhereMeans')}
          </Txt>
          <KeysToKeep kept={keepKeys} onChange={setKeepKeys} />
          <Button kind="main" onPress={() => void signOut(true, keepKeys)}>
            {t('account.signOutAll')}
          </Button>
        </View>
      ) : null}
    </View>
  );
}
