import { useEffect } from 'react';
import { useDispatch } from 'react-redux';
import { toastShown, useOpenHouse } from '@/store/store.ts';
import type { MenuEntry } from '@/ui';
import { t } from '@/words';

/** While this page is open, what the browser would install is it alone: a list or a view on the first screen of a phone. */
function useOwnManifest(noun: 'list' | 'savedView', id: string): void {
  const { house } = useOpenHouse();
  useEffect(() => {
    const link = document.querySelector<HTMLLinkElement>('link[rel=manifest]');
    if (!link) return;
    const { href, crossOrigin } = link;
    // who may see it is asked by the cookie, which a manifest is fetched without
    link.crossOrigin = 'use-credentials';
    link.href = `/api/houses/${house.id}/manifest/${noun}/${id}`;
    return () => {
      link.crossOrigin = crossOrigin;
      link.href = href;
    };
  }, [house.id, noun, id]);
}

/** The way there, which only the browser itself has. */
export function useHomeScreenEntry(noun: 'list' | 'savedView', { id, name }: { id: string; name: string }): MenuEntry {
  const dispatch = useDispatch();
  useOwnManifest(noun, id);
  return {
    key: 'home-screen',
    words: t('homeScreen.put'),
    onPress: () => void dispatch(toastShown({ words: t('homeScreen.how', { name }), offer: null, tone: 'plain' })),
  };
}
