import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useMemo, useRef } from 'react';
import { useStore } from 'react-redux';
import { v5 } from 'uuid';
import { attachShared } from '@/features/item';
import { Screen } from '@/features/shell';
import { useLiveHouse } from '@/store/live-house.tsx';
import { toastShown, type Store } from '@/store/store.ts';
import { dropShared, sharedFiles } from '@/sync/shared-files.ts';
import { Empty } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { sharedItem } from './shared.ts';

/** Where the device brings what was shared from another application: it is to be sorted. */
export function ShareScreen() {
  const { files: count, title, text, url } = useLocalSearchParams<{ title?: string; text?: string; url?: string; files?: string }>();
  const live = useLiveHouse();
  const store = useStore() as Store;
  const router = useRouter();
  const taken = useRef(false);
  const item = useMemo(
    () => sharedItem({ title, text, url }) ?? (count ? { title: t('share.files', { count: Number(count) || 1 }) } : null),
    [title, text, url, count],
  );
  useEffect(() => {
    if (taken.current || !item) return;
    taken.current = true;
    const refuse = (words: string) => void store.dispatch(toastShown({ words, offer: null, tone: 'refused' }));
    const add = async (what: { title: string; notes?: string }) => {
      const [give, files] = count ? await Promise.all([attachShared(), sharedFiles()]) : [null, []];
      const given = live.submit('item.add', what);
      if (given.refused) refuse(sayReason(given.refused));
      else {
        const offer = { words: t('common.undo'), commands: [{ name: 'undo' as const, payload: { command: given.id } }] };
        store.dispatch(toastShown({ words: t('said.added', { title: what.title }), offer, tone: 'plain', by: given.id }));
        const attached = give?.(store, live, { itemId: v5('0', given.id), files });
        if (attached && attached.problems.length > 0) refuse(attached.problems.join(' '));
        // let go of where they waited only once they are kept
        await attached?.kept;
        if (count) await dropShared();
      }
      // a reload must not add it again
      router.replace('/sort');
    };
    add(item).catch(() => refuse(t('common.notFetched')));
  }, [live, store, item, count, router]);
  return (
    <Screen title={t('sort.title')}>
      <Empty words={t(item ? 'common.onItsWay' : 'share.nothing')} />
    </Screen>
  );
}
