import type { Filter, FilterCondition } from '@kotiva/core';
import { isNarrowing, liveConditions } from '@kotiva/core/filtering';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Icon, Txt } from '@/ui';
import { t } from '@/words';
import { sayCondition } from '@/words/filters.ts';
import { kindOf, type Kind } from './kinds.ts';
import { NarrowSheet } from './narrow-sheet.tsx';
import type { Narrowing } from './use-narrowing.ts';

interface NarrowBarProps {
  narrowing: Narrowing;
  /** In a view with a rule of its own: see the sheet. Its button stands with the view's others. */
  countOf?: ((filter: Filter) => number) | null;
  /** What can be done with the filter as it is: keeping it. */
  children?: React.ReactNode;
}

/** What a view is narrowed by, in words, each of which is tapped to change it; always in sight, and one tap to let go. */
export function NarrowBar({ narrowing, countOf, children }: NarrowBarProps) {
  const { rows } = useOpenHouse();
  const [at, setAt] = useState<{ kind: Kind | null } | null>(null);
  const { filter, unknown, set, clear, isChanged } = narrowing;
  const { gone } = liveConditions(filter, rows);
  const without = (nth: number) => set({ ...filter, conditions: filter.conditions.filter((_, at) => at !== nth) });
  return (
    <View role="group" aria-label={t('filter.of')} className="flex-row flex-wrap items-center gap-2 px-4 pt-3">
      {countOf === undefined ? (
        <Button icon="filter" onPress={() => setAt({ kind: null })}>
          {t('filter.narrow')}
        </Button>
      ) : null}
      {countOf === undefined && filter.state !== 'open' ? (
        <Words words={t(`filter.state.${filter.state}`)} onPress={() => setAt({ kind: null })} onRemove={() => set({ ...filter, state: 'open' })} />
      ) : null}
      {filter.conditions.map((condition, nth) => (
        <Words
          key={`${nth} ${sayCondition(condition, rows)}`}
          words={sayCondition(condition, rows)}
          isGone={gone.includes(condition)}
          joined={nth > 0 ? t(filter.match === 'any' ? 'filter.or' : 'filter.and') : undefined}
          onPress={() => setAt({ kind: kindOf(condition as FilterCondition) })}
          onRemove={() => without(nth)}
        />
      ))}
      {isChanged ? (
        <Button kind="quiet" onPress={clear}>
          {t(isNarrowing(filter) && narrowing.isView ? 'filter.asSaved' : 'filter.clear')}
        </Button>
      ) : null}
      {children}
      {unknown > 0 ? (
        <Txt size={15} tone="waits">
          {t('filter.unknown', { count: unknown })}
        </Txt>
      ) : null}
      {at ? (
        <NarrowSheet
          filter={filter}
          at={at.kind}
          countOf={countOf}
          onClose={(next) => {
            setAt(null);
            set(next);
          }}
        />
      ) : null}
    </View>
  );
}

interface WordsProps {
  words: string;
  joined?: string;
  /** What it names is no longer there. */
  isGone?: boolean;
  onPress: () => void;
  onRemove: () => void;
}

function Words({ words, joined, isGone = false, onPress, onRemove }: WordsProps) {
  return (
    <View className="max-w-full flex-row items-center gap-2">
      {joined ? (
        <Txt size={15} tone="muted">
          {joined}
        </Txt>
      ) : null}
      <View className="min-h-11 max-w-full shrink flex-row items-center rounded-control bg-sunk">
        <Pressable
          role="button"
          aria-label={isGone ? t('filter.goneCondition', { what: words }) : t('filter.change', { what: words })}
          onPress={onPress}
          className="min-h-11 shrink justify-center pl-3"
        >
          <Txt size={15} face="medium" tone={isGone ? 'muted' : 'ink'} className={isGone ? 'line-through' : ''}>
            {words}
          </Txt>
        </Pressable>
        <Pressable role="button" aria-label={t('filter.remove', { what: words })} onPress={onRemove} className="h-11 w-11 shrink-0 items-center justify-center">
          <Icon name="close" size={14} />
        </Pressable>
      </View>
    </View>
  );
}
