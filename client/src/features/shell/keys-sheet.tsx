import { useState } from 'react';
import { View } from 'react-native';
import { Heading, Sheet, Txt } from '@/ui';
import { t, type WordKey } from '@/words';
import { hasRows } from './row-keys.ts';

type Keys = readonly (readonly [keys: string, words: WordKey])[];

const EVERYWHERE: Keys = [
  ['Ctrl / ⌘ K', 'keys.palette'],
  ['n', 'keys.capture'],
  ['/', 'keys.find'],
  ['1 – 5', 'keys.places'],
  ['z', 'keys.undo'],
  ['Esc', 'keys.leave'],
  ['?', 'keys.help'],
];
const OF_ROWS: Keys = [
  ['j  k', 'keys.rows'],
  ['Space', 'keys.tie'],
  ['Enter', 'keys.open'],
  ['i', 'keys.glance'],
];
const OF_ITEM: Keys = [
  ['h', 'keys.hand'],
  ['d', 'keys.due'],
  ['l', 'keys.plan'],
  ['s', 'keys.shelf'],
];
const OF_LIST: Keys = [['Alt + arrows', 'keys.move']];
const OF_DRAGGING: Keys = [['Space, arrows', 'keys.drag']];
const OF_SHEET: Keys = [
  ['Space', 'keys.tieOpen'],
  ...OF_ITEM,
  ['Enter', 'keys.panel'],
  ['z', 'keys.undo'],
  ['Esc', 'keys.close'],
  ['Ctrl / ⌘ K', 'keys.palette'],
];

interface KeysSheetProps {
  path: string;
  /** An item's sheet lies over the page. */
  isItem: boolean;
  onClose: () => void;
}

function groupsOf(path: string, isItem: boolean, rows: boolean): { words: WordKey; keys: Keys }[] {
  if (isItem) return [{ words: 'keys.inSheet', keys: OF_SHEET }];
  const here = [
    ...(rows ? [...OF_ROWS, ...OF_ITEM] : []),
    ...(path.startsWith('/lists/') ? OF_LIST : []),
    ...(path === '/calendar' || path === '/' ? OF_DRAGGING : []),
  ];
  return [...(here.length > 0 ? [{ words: 'keys.here' as const, keys: here }] : []), { words: 'keys.everywhere', keys: EVERYWHERE }];
}

/** The keys of the place one is in, then those that are the same everywhere. */
export function KeysSheet({ path, isItem, onClose }: KeysSheetProps) {
  // as it was when they were asked for: this sheet has no rows
  const [groups] = useState(() => groupsOf(path, isItem, hasRows()));
  const title = t('keys.title');
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      {groups.map(({ words, keys }) => (
        <View key={words} className="pt-3">
          <Heading level={3}>{t(words)}</Heading>
          {keys.map(([key, does]) => (
            <View key={key} className="min-h-9 flex-row items-center gap-4 border-b border-line">
              <Txt face="bold" className="w-32">
                {key}
              </Txt>
              <Txt className="min-w-0 shrink">{t(does)}</Txt>
            </View>
          ))}
        </View>
      ))}
      <Txt size={15} tone="muted" className="pt-3">
        {t('keys.off')}
      </Txt>
    </Sheet>
  );
}
