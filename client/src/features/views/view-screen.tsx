import type { SavedView } from '@kotiva/core';
import { isNarrowing, liveConditions, readFilter } from '@kotiva/core/filtering';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { useCaptureHere } from '@/features/capture';
import { BeyondFilter, FilteredItems, NarrowBar, useDemands, useFiltering, useNarrowing } from '@/features/narrow';
import { useHomeScreenEntry } from '@/features/pages';
import { Screen } from '@/features/shell';
import { useArrangement } from '@/store/arrangement.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Empty, Menu, useSheet } from '@/ui';
import { t } from '@/words';
import { SaveView } from './save-view.tsx';
import { ViewSheet } from './view-sheet.tsx';

/** What meets a filter that was kept, as of now. */
export function ViewScreen({ viewId }: { viewId: string }) {
  const { rows } = useOpenHouse();
  const view = rows.find('savedView', viewId);
  if (view === undefined || view.removedAt !== null)
    return (
      <Screen title={t('view.gone')}>
        <Empty words={t('view.goneWhy')} />
      </Screen>
    );
  return <Kept key={view.id} view={view} />;
}

function Kept({ view }: { view: SavedView }) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const kept = useMemo(() => readFilter(view.filter), [view.filter]);
  const narrowing = useNarrowing(kept.filter);
  const filtering = useFiltering();
  const { filter, isChanged } = narrowing;
  const entries = filtering(filter);
  const { conditions, gone } = liveConditions(filter, rows);
  useCaptureHere(useDemands(filter));
  const mayChange = view.ownerId === me.id || (view.isShared && me.role === 'manager');
  const isAllGone = conditions.length === 0 && gone.length > 0;
  const saveChange = () => void submit('savedView.change', { view: view.id, filter }, { words: t('said.viewChanged', { name: view.name }), undo: true });
  return (
    <Screen title={view.name} sub={t('whole.countAll', { count: entries.length })} actions={<ViewMenu view={view} mayChange={mayChange} />}>
      <FilteredItems view={view.id} usual={beginningOf(view)} entries={entries} empty={t(isAllGone ? 'view.allGone' : 'view.nothing')}>
        <NarrowBar narrowing={{ ...narrowing, unknown: narrowing.unknown + (isChanged ? 0 : kept.unknown) }}>
          {isChanged && isNarrowing(filter) ? (
            <>
              {mayChange ? (
                <Button kind="quiet" onPress={saveChange}>
                  {t('view.saveChange')}
                </Button>
              ) : null}
              <SaveView narrowing={narrowing} arrangedAs={view.id} words={t('view.saveAnother')} />
            </>
          ) : null}
        </NarrowBar>
        <BeyondFilter filter={filter} />
      </FilteredItems>
    </Screen>
  );
}

/** How a view is arranged for who has not arranged it otherwise. */
const beginningOf = ({ group, sort, layout, boardBy }: SavedView) => ({ group, sort, layout, boardBy });

function ViewMenu({ view, mayChange }: { view: SavedView; mayChange: boolean }) {
  const { arranged, arrange } = useArrangement(view.id, beginningOf(view));
  const submit = useSubmit();
  const router = useRouter();
  const [naming, setNaming] = useSheet('rename');
  const homeScreen = useHomeScreenEntry('savedView', view);
  const remove = () => {
    router.replace('/lists');
    submit('savedView.change', { view: view.id, removed: true }, { words: t('said.viewRemoved', { name: view.name }), undo: true });
  };
  return (
    <>
      <Menu
        label={t('view.more', { name: view.name })}
        entries={[
          {
            key: 'today',
            words: t(arranged.isOnToday ? 'view.offToday' : 'view.onToday'),
            onPress: () => arrange({ isOnToday: !arranged.isOnToday }),
          },
          homeScreen,
          ...(mayChange
            ? [
                { key: 'change', words: t('view.rename'), onPress: () => setNaming(true) },
                { key: 'remove', words: t('view.remove'), onPress: remove },
              ]
            : []),
        ]}
      />
      {naming && mayChange ? (
        <ViewSheet
          title={t('view.rename')}
          verb={t('common.save')}
          view={view}
          onSave={(name, isShared) =>
            submit('savedView.change', { view: view.id, name, isShared }, { words: t('said.viewChanged', { name }), undo: true, ownRefusal: true })
          }
          onClose={() => setNaming(false)}
        />
      ) : null}
    </>
  );
}
