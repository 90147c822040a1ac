import { toSort, type AgendaEntry } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { memo } from 'react';
import { View } from 'react-native';
import { nameOf } from '@/features/item';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Txt } from '@/ui';
import { t, together } from '@/words';

/** How much waits to be decided, and from whom; absent when nothing does. */
export const SortBar = memo(function SortBar({ agenda }: { agenda: readonly AgendaEntry[] }) {
  const { rows, me } = useOpenHouse();
  const router = useRouter();
  const entries = toSort(agenda);
  if (entries.length === 0) return null;
  const handed = entries.filter(({ part }) => part.personId === me.id && part.giverId !== me.id);
  const names = together([...new Set(handed.map(({ part }) => nameOf(rows, part.giverId)))]);
  const from =
    handed.length === 0 ? null : handed.length === entries.length ? t('sort.barAllFrom', { names }) : t('sort.barFrom', { count: handed.length, names });
  return (
    <View role="region" aria-label={t('sort.title')} className="flex-row items-center gap-2 border-b border-line bg-sunk pl-4 pr-2">
      <Txt className="min-w-0 grow shrink basis-0 py-2">
        <Txt face="bold">{t('sort.bar', { count: entries.length })}</Txt>
        {from ? <Txt tone="muted">{`, ${from}`}</Txt> : null}
      </Txt>
      <Button kind="quiet" onPress={() => router.push('/sort')}>
        {t('sort.sort')}
      </Button>
    </View>
  );
});
