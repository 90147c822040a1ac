import { usePathname, useRouter } from 'expo-router';
import { useState } from 'react';
import { useDispatch } from 'react-redux';
import { useOpenedItem, useOpenItem, useShelve, type OpensAt } from '@/features/item';
import { glanced } from '@/store/glance.ts';
import { toastShown, useOpenHouse } from '@/store/store.ts';
import { useHeldKey, useKeysAnywhere, useKeysEverywhere, useKeysFirst } from '@/ui';
import { t } from '@/words';
import { KeysSheet } from './fetched.ts';
import { Palette } from './palette.tsx';
import { itemOfRow, stepRow, tieRow } from './row-keys.ts';

const PLACES: Record<string, string> = { '1': '/', '2': '/lists', '3': '/follow-up', '4': '/calendar', '5': '/more', '/': '/find' };
const PANELS: Record<string, OpensAt> = { h: 'hand', d: 'due', l: 'plan' };

/** The keys that are the same on every screen, what they are, and everything that can be done by its name. */
export function Keyboard() {
  const [shown, setShown] = useState<'keys' | 'palette' | null>(null);
  const path = usePathname();
  const isItem = useOpenedItem().id !== null;
  useRowKeys();
  useKeysAnywhere((key) => {
    if (key === 'j' || key === 'ArrowDown') return stepRow(1);
    if (key === 'k' || key === 'ArrowUp') return stepRow(-1);
    if (key !== '?' || shown !== null) return false;
    setShown('keys');
    return true;
  });
  useHeldKey('k', () => setShown('palette'));
  const close = () => setShown(null);
  if (shown === 'palette') return <Palette onClose={close} />;
  return shown === 'keys' ? <KeysSheet path={path} isItem={isItem} onClose={close} /> : null;
}

/** Ties, opens and shelves the row that has the focus, and goes to the destinations. */
function useRowKeys(): void {
  const router = useRouter();
  const open = useOpenItem();
  const shelve = useShelve();
  const dispatch = useDispatch();
  const { rows } = useOpenHouse();
  // a row that has the focus would open at the space bar
  useKeysFirst((key) => {
    if (key !== ' ') return false;
    const tied = tieRow();
    if (tied === 'none') dispatch(toastShown({ words: t('keys.nothingToTie'), offer: null, tone: 'plain' }));
    return tied !== 'no-row';
  });
  useKeysEverywhere((key) => {
    if (PLACES[key]) return (router.navigate(PLACES[key] as '/'), true);
    const item = itemOfRow();
    if (!item) return false;
    if (key === 'i') return (dispatch(glanced(item)), true);
    if (PANELS[key]) return (open(item, PANELS[key]), true);
    const held = rows.find('item', item);
    if (key !== 's' || held === undefined) return false;
    shelve(held);
    return true;
  });
}
