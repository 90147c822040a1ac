import { useEffect, type ComponentType } from 'react';
import { View } from 'react-native';
import { later, useLater } from '@/store/later.ts';
import { Button, Txt } from '@/ui';
import { t } from '@/words';

/**
 * A component that is fetched when it is first drawn, or before, when nothing else is to do. Until then nothing stands there; where it
 * can't be fetched that is said, and it comes by itself once there is a connection.
 */
export function drawnLater<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  const one = later(load);
  return function DrawnLater(props: P) {
    const { here: Found, failed, again } = useLater(one);
    useEffect(() => {
      if (!failed) return undefined;
      window.addEventListener('online', again);
      return () => window.removeEventListener('online', again);
    }, [failed, again]);
    if (Found) return <Found {...props} />;
    return failed ? <NotFetched onAgain={again} /> : null;
  };
}

function NotFetched({ onAgain }: { onAgain: () => void }) {
  return (
    <View className="items-start gap-3 p-4">
      <Txt role="alert" tone="late">
        {t('common.notFetched')}
      </Txt>
      <Button onPress={onAgain}>{t('common.tryAgain')}</Button>
    </View>
  );
}
