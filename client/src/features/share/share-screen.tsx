import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useRef } from 'react';
import { Screen } from '@/features/shell';
import { useSubmit } from '@/store/live-house.tsx';
import { Empty } from '@/ui';
import { t } from '@/words';
import { sharedItem } from './shared.ts';

/** Where the device brings what was shared from another application: it is to be sorted. */
export function ShareScreen() {
  const shared = useLocalSearchParams<{ title?: string; text?: string; url?: string }>();
  const submit = useSubmit();
  const router = useRouter();
  const taken = useRef(false);
  const item = sharedItem(shared);
  useEffect(() => {
    if (taken.current || !item) return;
    taken.current = true;
    submit('item.add', item, { words: t('said.added', { title: item.title }), undo: true });
    // a reload must not add it again
    router.replace('/sort');
  }, [submit, item, router]);
  return (
    <Screen title={t('sort.title')}>
      <Empty words={t(item ? 'common.onItsWay' : 'share.nothing')} />
    </Screen>
  );
}
