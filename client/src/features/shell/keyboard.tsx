import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useOpenItem, type OpensAt } from '@/features/item';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Heading, Sheet, Txt, useKeysEverywhere, useKeysFirst } from '@/ui';
import { t, type WordKey } from '@/words';
import { itemOfRow, stepRow, tieRow } from './row-keys.ts';

const PLACES: Record<string, string> = { '1': '/', '2': '/lists', '3': '/follow-up', '4': '/calendar', '5': '/more', '/': '/find' };
const PANELS: Record<string, OpensAt> = { h: 'hand', d: 'due', l: 'plan' };

/** Every key and what it does, as they are shown. */
const HELP: [string, WordKey][] = [
  ['n', 'keys.capture'],
  ['/', 'keys.find'],
  ['1 – 5', 'keys.places'],
  ['j  k', 'keys.rows'],
  ['Space', 'keys.tie'],
  ['Enter', 'keys.open'],
  ['h', 'keys.hand'],
  ['d', 'keys.due'],
  ['l', 'keys.plan'],
  ['s', 'keys.shelf'],
  ['z', 'keys.undo'],
  ['Alt + arrows', 'keys.move'],
  ['?', 'keys.help'],
];

/** The keys that are the same on every screen. */
export function Keyboard() {
  const router = useRouter();
  const submit = useSubmit();
  const open = useOpenItem();
  const { rows } = useOpenHouse();
  const [helping, setHelping] = useState(false);
  // a row that has the focus would open at the space bar
  useKeysFirst((key) => key === ' ' && tieRow());
  useKeysEverywhere((key) => {
    if (key === 'j' || key === 'ArrowDown') return stepRow(1);
    if (key === 'k' || key === 'ArrowUp') return stepRow(-1);
    if (key === '?') return (setHelping(true), true);
    if (PLACES[key]) return (router.navigate(PLACES[key] as '/'), true);
    const item = itemOfRow();
    if (!item) return false;
    if (PANELS[key]) return (open(item, PANELS[key]), true);
    if (key !== 's') return false;
    const held = rows.get('item', item);
    const title = typeof held === 'string' ? '' : held.title;
    submit('part.shelve', { items: [item] }, { words: t('said.shelved', { title }), undo: true });
    return true;
  });
  if (!helping) return null;
  const title = t('keys.title');
  return (
    <Sheet open onClose={() => setHelping(false)} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="pt-2">
        {HELP.map(([key, words]) => (
          <View key={key} className="min-h-9 flex-row items-center gap-4 border-b border-line">
            <Txt face="bold" className="w-28">
              {key}
            </Txt>
            <Txt className="shrink">{t(words)}</Txt>
          </View>
        ))}
        <Txt size={15} tone="muted" className="pt-3">
          {t('keys.off')}
        </Txt>
      </View>
    </Sheet>
  );
}
