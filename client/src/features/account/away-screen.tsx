import { useEffect } from 'react';
import { View } from 'react-native';
import { Empty, Heading } from '@/ui';
import { t } from '@/words';
import { useSession } from './session.tsx';

const AGAIN_MS = 10_000;

/** The server can't be reached, and nothing is kept here to go on with. */
export function AwayScreen() {
  const { refresh } = useSession();
  useEffect(() => {
    const timer = setInterval(() => void refresh(), AGAIN_MS);
    return () => clearInterval(timer);
  }, [refresh]);
  return (
    <View className="h-full items-center justify-center bg-ground p-6" role="main">
      <Heading level={1}>{t('away.title')}</Heading>
      <Empty words={t('away.words')} action={t('away.again')} onAction={() => void refresh()} />
    </View>
  );
}
