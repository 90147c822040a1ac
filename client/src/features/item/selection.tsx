import { createContext, useContext, useMemo, useState } from 'react';
import { View } from 'react-native';
import { Button, Txt } from '@/ui';
import { t } from '@/words';
import type { Decision } from './decide.ts';
import { Decisions } from './fetched.ts';

/** Several rows chosen to be decided about together. `chosen` null: nothing is being chosen. */
export interface Selection {
  chosen: ReadonlySet<string> | null;
  start: (id?: string) => void;
  toggle: (id: string) => void;
  set: (ids: readonly string[]) => void;
  stop: () => void;
}

const SelectionContext = createContext<Selection | null>(null);

/** Of the screen a row is on; null where nothing can be chosen. */
export const useSelection = (): Selection | null => useContext(SelectionContext);

/** Rows inside can be chosen: by a long press, or once choosing has begun by a tap. */
export function Selecting({ children }: { children: React.ReactNode }) {
  const [chosen, setChosen] = useState<ReadonlySet<string> | null>(null);
  const selection = useMemo<Selection>(
    () => ({
      chosen,
      start: (id) => setChosen((now) => new Set([...(now ?? []), ...(id ? [id] : [])])),
      toggle: (id) => setChosen((now) => (now?.has(id) ? new Set([...now].filter((other) => other !== id)) : new Set([...(now ?? []), id]))),
      set: (ids) => setChosen(new Set(ids)),
      stop: () => setChosen(null),
    }),
    [chosen],
  );
  return <SelectionContext.Provider value={selection}>{children}</SelectionContext.Provider>;
}

/** How many are chosen, all or none of them, and what is to become of them. Ids that are no longer there are not chosen. */
export function SelectionBar({ ids, only }: { ids: readonly string[]; only?: readonly Decision[] }) {
  const selection = useSelection();
  if (!selection?.chosen) return null;
  const chosen = ids.filter((id) => selection.chosen!.has(id));
  const all = chosen.length === ids.length;
  return (
    <View
      role="region"
      aria-label={t('sort.selected', { count: chosen.length })}
      className="sticky top-0 z-10 gap-2 border-b border-line bg-ground px-4 py-3"
      {...({ dataSet: { over: '' } } as object)}
    >
      <View className="flex-row flex-wrap items-center gap-x-2">
        <Txt face="medium">{t('sort.selected', { count: chosen.length })}</Txt>
        <Button kind="quiet" onPress={() => selection.set(all ? [] : ids)}>
          {t(all ? 'sort.selectNone' : 'sort.selectAll')}
        </Button>
        <Button kind="quiet" tone="muted" onPress={selection.stop}>
          {t('common.cancel')}
        </Button>
      </View>
      {chosen.length > 0 ? <Decisions items={chosen} only={only} onDone={selection.stop} /> : <Txt tone="muted">{t('sort.selectHint')}</Txt>}
    </View>
  );
}

/** Begins choosing, for who does not know of the long press. */
export function SelectButton({ onStart }: { onStart?: () => void }) {
  const selection = useSelection();
  if (!selection || selection.chosen) return null;
  return (
    <Button
      onPress={() => {
        selection.start();
        onStart?.();
      }}
    >
      {t('sort.select')}
    </Button>
  );
}
