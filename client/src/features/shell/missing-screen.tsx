import { useRouter } from 'expo-router';
import { Empty } from '@/ui';
import { t } from '@/words';
import { Screen } from './shell.tsx';

/** There is nothing at this address. */
export function MissingScreen() {
  const router = useRouter();
  return (
    <Screen title={t('missing.title')}>
      <Empty words={t('missing.words')} action={t('missing.toToday')} onAction={() => router.replace('/')} />
    </Screen>
  );
}
