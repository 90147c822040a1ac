import { View } from 'react-native';
import { Empty, Heading } from '@/ui';
import { t } from '@/words';

/** What is shown where a screen could not be drawn: never an empty page. */
export function BrokeScreen() {
  return (
    <View className="h-full items-center justify-center bg-ground p-6" role="main">
      <Heading level={1}>{t('broke.title')}</Heading>
      <Empty words={t('broke.words')} action={t('broke.again')} onAction={() => window.location.assign('/')} />
    </View>
  );
}
