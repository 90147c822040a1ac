import { usePathname, useRouter } from 'expo-router';
import { memo, createElement, useCallback, useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { CaptureLine, CaptureProvider } from '@/features/capture';
import { FilesOnTheirWay, Glance, ItemBeside, ItemSheet, WantedSheet } from '@/features/item';
import { useDraft } from '@/store/drafts.ts';
import { useDrawn } from '@/store/drawn.ts';

import { NoticesButton, RingBar } from '@/features/notices';
import { usePlaceRings, VisitsProvider } from '@/features/visits';
import { StretchHere } from '@/features/stretch';
import { AsTheyStand } from '@/store/shown.tsx';
import { useHouseState, useOpenHouse, useOpenHouseOrNull } from '@/store/store.ts';
import {
  elementOf,
  Heading,
  Icon,
  IconButton,
  Menu,
  setOnlyList,
  PersonMark,
  ScrollRoot,
  Txt,
  useKeysAnywhere,
  useNarrow,
  useOnlyList,
  useWide,
  WovenSign,
  type IconName,
} from '@/ui';
import { focusAgain } from '@/ui/layers.ts';
import { t, type WordKey } from '@/words';
import { Keyboard } from './keyboard.tsx';
import { LineState } from './line-state.tsx';
import { useOccasions } from './occasions.ts';
import { useOfflineRings } from './offline-rings.ts';
import { PeopleStrip } from './people-strip.tsx';
import { SaidBar } from './said-bar.tsx';
import { useOwnLooks } from './use-own-looks.ts';

const DESTINATIONS: { path: string; words: WordKey; icon: IconName | 'woven' }[] = [
  { path: '/', words: 'nav.today', icon: 'lines' },
  { path: '/lists', words: 'nav.lists', icon: 'list' },
  { path: '/follow-up', words: 'nav.followUp', icon: 'woven' },
  { path: '/calendar', words: 'nav.calendar', icon: 'days' },
  { path: '/more', words: 'nav.more', icon: 'menu' },
];

/** The bars around every screen of the house, and the item's sheet over it. */
export const Shell = memo(function Shell({ children }: { children: React.ReactNode }) {
  const place = useOpenHouseOrNull();
  const wide = useWide();
  const narrow = useNarrow();
  const isDrawn = useDrawn();
  const isFolded = useOnlyList();
  if (!place) return <OnItsWay />;
  return (
    <CaptureProvider>
      <VisitsProvider>
        <View className="backdrop h-full bg-ground">
          <SkipLink />
          {wide && !isFolded ? <TopBar /> : null}
          <LineState />
          <StretchHere />
          <View className="min-h-0 grow shrink basis-0 flex-row">
            <View className="min-h-0 min-w-0 grow shrink basis-0" role="main">
              <AsTheyStand>{children}</AsTheyStand>
            </View>
            <ItemBeside />
          </View>
          <RingBar />
          <SaidBar />
          {wide && !isFolded ? null : (
            <>
              {narrow || isFolded ? (
                <NarrowBar />
              ) : (
                <View className="print:hidden">
                  <CaptureLine />
                  <BottomBar />
                </View>
              )}
            </>
          )}
          <ItemSheet />
          {isDrawn ? (
            <>
              <WantedSheet />
              <FilesOnTheirWay />
              <Glance />
            </>
          ) : null}
          <Keyboard />
          <Rings />
        </View>
      </VisitsProvider>
    </CaptureProvider>
  );
});

/** First of all for the keyboard: past the bars. */
const SkipLink = memo(function SkipLink() {
  return createElement('button', { type: 'button', className: 'skip-link', 'data-over': '', onClick: () => focusAgain(null) }, t('nav.skip'));
});

const Rings = memo(function Rings(): null {
  useOfflineRings();
  usePlaceRings();
  useOccasions();
  useOwnLooks();
  return null;
});

function OnItsWay() {
  const line = useHouseState((state) => state.line);
  return (
    <View className="h-full items-center justify-center bg-ground p-6" role="main">
      <Txt tone="muted">{t(line === 'offline' ? 'common.offlineFirst' : 'common.onItsWay')}</Txt>
    </View>
  );
}

/** Screens that are reached from a destination and belong to it. */
const BELONGS: Record<string, string> = {
  '/whole': '/lists',
  '/removed': '/lists',
  '/archived': '/lists',
  '/fits': '/',
  '/sort': '/',
  '/activity': '/more',
  '/privacy': '/more',
  '/people': '/more',
  '/labels': '/more',
  '/shelf': '/more',
  '/phones': '/more',
  '/round': '/',
  '/chores': '/calendar',
  '/load': '/calendar',
  '/share-out': '/calendar',
};

const isAt = (path: string, at: string): boolean => {
  const here = at.startsWith('/places') || at.startsWith('/settings') ? '/more' : at.startsWith('/items/') ? '/lists' : (BELONGS[at] ?? at);
  return path === '/' ? here === '/' : here.startsWith(path);
};

/** Where there is hardly any room: the destinations behind one button, and the line once it is wanted. */
const NarrowBar = memo(function NarrowBar() {
  const at = usePathname();
  const router = useRouter();
  const [typed] = useDraft('capture', '');
  const [isAdding, setAdding] = useState(typed !== '');
  const here = DESTINATIONS.find(({ path }) => isAt(path, at));
  const isFolded = useOnlyList();
  useKeysAnywhere((key) => {
    if (key !== 'n' || isAdding) return false;
    setAdding(true);
    return true;
  });
  const entries = [
    ...DESTINATIONS.map(({ path, words }) => ({ key: path, words: t(words), onPress: () => router.navigate(path as '/') })),
    ...(isFolded ? [{ key: 'unfold', words: t('nav.unfold'), onPress: () => setOnlyList(false) }] : []),
  ];
  return (
    <View className="border-t border-line bg-surface">
      {isAdding ? <CaptureLine startsReady /> : null}
      <View role="navigation" aria-label={t('nav.label')} className="flex-row items-center justify-between px-2 py-1">
        <Menu label={t('nav.label')} words={here ? t(here.words) : t('nav.label')} entries={entries} />
        <IconButton icon={isAdding ? 'close' : 'plus'} label={t(isAdding ? 'common.close' : 'capture.line')} onPress={() => setAdding(!isAdding)} />
      </View>
    </View>
  );
});

const BottomBar = memo(function BottomBar() {
  const at = usePathname();
  const router = useRouter();
  return (
    <View role="navigation" aria-label={t('nav.label')} className="flex-row flex-wrap justify-around border-t border-line bg-surface px-1 pb-3 pt-1">
      {DESTINATIONS.map(({ path, words, icon }) => {
        const here = isAt(path, at);
        return (
          <Pressable
            key={path}
            role="link"
            aria-current={here ? 'page' : undefined}
            onPress={() => router.navigate(path as '/')}
            className="min-h-12 min-w-[64px] items-center justify-center gap-0.5"
          >
            {icon === 'woven' ? <WovenSign on={here} /> : <Icon name={icon} size={22} tone={here ? 'pine' : 'muted'} />}
            <Txt size={13} face={here ? 'bold' : 'read'} tone={here ? 'pine' : 'muted'}>
              {t(words)}
            </Txt>
          </Pressable>
        );
      })}
    </View>
  );
});

const TopBar = memo(function TopBar() {
  const at = usePathname();
  const router = useRouter();
  const { me } = useOpenHouse();
  return (
    <View className="z-20 h-16 flex-row print:hidden items-center gap-3 border-b border-line bg-surface px-4 xl:gap-7 xl:px-7">
      <Txt size={20} face="title" tone="pine">
        Kotiva
      </Txt>
      <View role="navigation" aria-label={t('nav.label')} className="h-full flex-row gap-4 xl:gap-6">
        {DESTINATIONS.map(({ path, words }) => {
          const here = isAt(path, at);
          return (
            <Pressable
              key={path}
              role="link"
              aria-current={here ? 'page' : undefined}
              onPress={() => router.navigate(path as '/')}
              className={`h-full justify-center border-b-[3px] ${here ? 'border-pine' : 'border-transparent'}`}
            >
              <Txt face={here ? 'bold' : 'read'} tone={here ? 'ink' : 'muted'}>
                {t(words)}
              </Txt>
            </Pressable>
          );
        })}
      </View>
      <View className="ml-auto min-w-0 shrink">
        <CaptureLine inBar />
      </View>
      <FindButton />
      <NoticesButton />
      <Pressable
        role="link"
        aria-label={t('people.ownPage', { name: me.name, mark: me.mark })}
        onPress={() => router.push(`/people/${me.id}`)}
        className="h-11 w-11 items-center justify-center"
      >
        <PersonMark looks={me} size={34} />
      </Pressable>
    </View>
  );
});

const FindButton = memo(function FindButton() {
  const router = useRouter();
  return <IconButton icon="search" label={t('find.title')} onPress={() => router.push('/find')} />;
});

interface ScreenProps {
  title: string;
  sub?: string;
  /** At the right of the title: menu, bell. */
  actions?: React.ReactNode;
  /** With the people strip below the title. */
  strip?: boolean;
  lead?: React.ReactNode;
  children: React.ReactNode;
}

/** A screen of the house: its name, who is in it, and the content on the surface. */
export function Screen({ title, sub, actions, strip = false, lead, children }: ScreenProps) {
  const wide = useWide();
  const isFolded = useOnlyList();
  const [scrolls, setScrolls] = useState<Element | null>(null);
  const takeScroll = useCallback((view: unknown) => setScrolls(elementOf(view)), []);
  return (
    <ScrollView ref={takeScroll} className="h-full" stickyHeaderIndices={[]} contentContainerClassName="min-h-full">
      <View className="gap-3 pb-3 pt-4 lg:pt-5">
        <View className="flex-row flex-wrap items-start gap-2 pl-4 pr-2 lg:px-7">
          {lead}
          <View className="min-w-[8.5rem] grow shrink basis-0 lg:flex-row lg:flex-wrap lg:items-baseline lg:gap-x-3.5">
            <Heading level={1}>{title}</Heading>
            {sub && !isFolded ? (
              <Txt size={15} tone="muted" className="mt-0.5">
                {sub}
              </Txt>
            ) : null}
          </View>
          {actions}
          {wide && !isFolded ? null : (
            <>
              <FindButton />
              <NoticesButton />
            </>
          )}
        </View>
        {strip && !isFolded ? (
          <View className="lg:px-4">
            <PeopleStrip />
          </View>
        ) : null}
      </View>
      <View className="grow border-t border-line bg-surface pb-8 lg:px-3">
        <ScrollRoot.Provider value={scrolls}>{children}</ScrollRoot.Provider>
      </View>
    </ScrollView>
  );
}
