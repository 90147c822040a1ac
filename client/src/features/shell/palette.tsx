import { isHere } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useEffect, useId, useMemo, useRef, useState } from 'react';
import { Pressable, View } from 'react-native';
import { destinationsFor } from '@/features/pages';
import { useOpenHouse } from '@/store/store.ts';
import { Field, Heading, openSheet, Sheet, Txt } from '@/ui';
import { inPage } from '@/ui/in-page.ts';
import { t, type WordKey } from '@/words';
import { controlsHere } from './controls-here.ts';

interface Deed {
  key: string;
  words: string;
  /** Where it leads, or that it is done here. */
  kind: string;
  act: () => void;
}

/** So many are shown at a time: more words narrow it. */
const MOST = 40;

/** Besides those that More leads to. */
const SCREENS: readonly (readonly [path: string, words: WordKey])[] = [
  ['/', 'nav.today'],
  ['/lists', 'nav.lists'],
  ['/follow-up', 'nav.followUp'],
  ['/calendar', 'nav.calendar'],
  ['/more', 'nav.more'],
  ['/find', 'find.title'],
  ['/fits', 'fits.title'],
  ['/sort', 'sort.title'],
  ['/privacy', 'privacy.title'],
];

/** Each word that is typed begins one of the name. */
function isMeant(name: string, typed: string): boolean {
  const parts = name.toLocaleLowerCase().split(/[^\p{L}\p{N}]+/u);
  return typed
    .toLocaleLowerCase()
    .split(/\s+/)
    .every((word) => parts.some((part) => part.startsWith(word)));
}

/** Those that are meant, what begins as it is typed first. */
function meant(deeds: readonly Deed[], typed: string): Deed[] {
  const begins = ({ words }: Deed) => words.toLocaleLowerCase().startsWith(typed.toLocaleLowerCase());
  const found = deeds.filter(({ words }) => isMeant(words, typed));
  return [...found.filter(begins), ...found.filter((deed) => !begins(deed))];
}

/** Everything one can do from here, by the words its button has, and every place one can go to. */
function useDeeds(): Deed[] {
  const { rows, me } = useOpenHouse();
  const router = useRouter();
  // what was there when it was asked for
  const [here] = useState(controlsHere);
  return useMemo(() => {
    const go = (path: string) => () => router.navigate(path as '/');
    const lists = rows.all('list').filter((list) => !list.removedAt && !list.filedAt);
    const more = destinationsFor({ isManager: me.role === 'manager', isDemo: false }).map(({ path, words }) => [path, words] as const);
    const screens = [...SCREENS, ...more];
    return [
      ...here.map(({ words, press }, nth) => ({ key: `here ${nth}`, words, kind: t('palette.here'), act: press })),
      { key: 'stretch', words: t('stretch.title'), kind: t('palette.here'), act: () => openSheet('stretch') },
      ...screens.map(([path, words]) => ({ key: path, words: t(words), kind: t('palette.goTo'), act: go(path) })),
      ...lists.map(({ id, name }) => ({ key: id, words: name, kind: t('palette.list'), act: go(`/lists/${id}`) })),
      ...rows
        .all('person')
        .filter(isHere)
        .map(({ id, name }) => ({ key: id, words: name, kind: t('palette.person'), act: go(`/people/${id}`) })),
    ];
  }, [here, rows, me, router]);
}

export function Palette({ onClose }: { onClose: () => void }) {
  const deeds = useDeeds();
  const [typed, setTyped] = useState('');
  const [at, setAt] = useState(0);
  const id = useId();
  const chosen = useRef<View>(null);
  const found = (typed.trim() ? meant(deeds, typed.trim()) : deeds).slice(0, MOST);
  const current = found[Math.min(at, found.length - 1)];
  useEffect(() => {
    inPage(chosen)?.scrollIntoView?.({ block: 'nearest' });
  }, [current?.key]);
  const run = (deed: Deed | undefined) => {
    if (!deed) return;
    onClose();
    // once this sheet is gone, what it does stands on the page, or on the sheet beneath
    setTimeout(deed.act, 0);
  };
  const move = (by: number) => setAt((now) => Math.max(0, Math.min(found.length - 1, now + by)));
  return (
    <Sheet open onClose={onClose} title={t('palette.title')} closeLabel={t('common.close')} head={<Heading level={2}>{t('palette.title')}</Heading>}>
      <View className="gap-2 pt-2">
        <Field
          label={t('palette.words')}
          hideLabel
          placeholder={t('palette.words')}
          value={typed}
          autoFocus
          enterKeyHint="search"
          maxLength={200}
          onChangeText={(next) => {
            setTyped(next);
            setAt(0);
          }}
          onSubmitEditing={() => run(current)}
          onKeyPress={(event) => {
            const by = { ArrowDown: 1, ArrowUp: -1 }[event.nativeEvent.key];
            if (!by) return;
            event.preventDefault();
            move(by);
          }}
          {...({
            role: 'combobox',
            'aria-expanded': true,
            'aria-controls': id,
            'aria-activedescendant': current ? `${id}-${current.key}` : undefined,
          } as object)}
        />
        {found.length === 0 ? <Txt tone="muted">{t('palette.nothing')}</Txt> : null}
        <View {...({ role: 'listbox' } as object)} nativeID={id} aria-label={t('palette.title')}>
          {found.map((deed) => (
            <Pressable
              key={deed.key}
              ref={deed === current ? chosen : undefined}
              nativeID={`${id}-${deed.key}`}
              role="option"
              aria-selected={deed === current}
              tabIndex={-1}
              onPress={() => run(deed)}
              className={`min-h-11 flex-row items-center justify-between gap-3 rounded-control px-3 ${deed === current ? 'bg-sunk' : ''}`}
            >
              <Txt face="medium" numberOfLines={1} className="min-w-0 shrink">
                {deed.words}
              </Txt>
              <Txt size={13} tone="muted">
                {deed.kind}
              </Txt>
            </Pressable>
          ))}
        </View>
      </View>
    </Sheet>
  );
}
