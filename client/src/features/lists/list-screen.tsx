import { allows, stagesOf, contentsOf, progressOfList, type Item, type List } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { ArrangeButton } from '@/features/arrange';
import { useCaptureHere } from '@/features/capture';
import { IN_LISTS, ItemRow, SelectButton, Selecting, SelectionBar, usePinned } from '@/features/item';
import { fieldChoices, fieldsAmong } from '@/features/fields';
import { everythingUnder } from '@/features/pages';
import { Screen } from '@/features/shell';
import { useArrangement } from '@/store/arrangement.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useNarrowed, useOpenHouse } from '@/store/store.ts';
import { Band, Button, Empty, Fold, GroupHead, Icon, LongRows, Txt, useWide } from '@/ui';
import { t } from '@/words';
import { sayMeasure } from '@/words/amounts.ts';
import { ArrangedItems } from './arranged-items.tsx';
import { ListMenu } from './list-menu.tsx';
import { Older } from './older.tsx';
import { StageCounts } from './stage-counts.tsx';
import { SectionedItems } from './sectioned-items.tsx';

/** One list: its sections, what is open in them, what is done folded away. */
export function ListScreen({ listId }: { listId: string }) {
  const { rows } = useOpenHouse();
  const router = useRouter();
  const list = rows.find('list', listId);
  if (list === undefined || list.removedAt) {
    return (
      <Screen title={t('list.gone')}>
        <Empty words={t('list.goneWhy')} action={t('list.toLists')} onAction={() => router.replace('/lists')} />
      </Screen>
    );
  }
  return <OpenList key={listId} list={list} />;
}

function OpenList({ list }: { list: List }) {
  const { rows, me } = useOpenHouse();
  const router = useRouter();
  const wide = useWide();
  const narrow = useNarrowed();
  const [section, setSection] = useState<string | null>(null);
  const { arranged } = useArrangement(list.id);
  const [mayShape, mayChange, mayAdd] = (['share', 'change', 'add'] as const).map((permission) => allows({ permission, list: list.id }, me, rows)) as [
    boolean,
    boolean,
    boolean,
  ];
  useCaptureInto(list, mayAdd ? section : null, narrow);

  const isInView = (item: Item) => narrow === null || rows.by('part', 'itemId', item.id).some((part) => part.personId === narrow && !part.takenBackAt);
  const contents = contentsOf(list, rows);
  const pinned = usePinned();
  const isOnTop = ({ id }: Item) => pinned.some((one) => one.id === id);
  const onTop = contents.open.filter((item) => isInView(item) && isOnTop(item));
  const open = contents.open.filter((item) => isInView(item) && !isOnTop(item));
  const done = contents.done.filter(isInView);
  const progress = progressOfList(list, rows);
  const byField = fieldChoices(fieldsAmong([list.id], rows));
  const asUsual = arranged.group === 'usual' && arranged.sort === 'usual';

  return (
    <Screen
      strip
      title={list.name}
      sub={list.purpose || undefined}
      lead={
        <View className="h-8 justify-center">
          <Icon name={list.icon} size={24} colour={list.colour} />
        </View>
      }
      actions={<ListMenu list={list} mayShape={mayShape} mayChange={mayChange} />}
    >
      <Selecting>
        <Hints list={list} />
        {progress.of > 0 ? (
          <View className="flex-row flex-wrap items-center gap-x-3 px-4 pt-2">
            <Band share={progress.done / progress.of} width={wide ? 240 : 120} height={12} />
            <Txt size={15} face="medium">
              {sayMeasure(progress)}
            </Txt>
            <View className="ml-auto flex-row">
              <Button kind="quiet" tone="muted" icon="filter" onPress={() => router.push(everythingUnder('list', list.id))}>
                {t('filter.narrow')}
              </Button>
              <ArrangeButton
                view={list.id}
                groupings={['usual', ...(stagesOf(list).length > 0 ? (['stage'] as const) : []), 'date', 'person', 'tag', ...byField.groupings, 'none']}
                fields={byField.fields}
                usualGroup={t('group.sections')}
                usualSort={t('sortBy.own')}
              >
                {(close) => (
                  <View className="items-start">
                    <SelectButton onStart={close} />
                  </View>
                )}
              </ArrangeButton>
            </View>
          </View>
        ) : null}
        <StageCounts list={list} items={[...onTop, ...open, ...done]} />
        <SelectionBar ids={[...onTop, ...open, ...done].map((item) => item.id)} only={IN_LISTS} />
        {onTop.length + open.length + done.length === 0 ? <Empty words={t(mayAdd ? 'list.empty' : 'list.emptyView')} /> : null}
        {onTop.length > 0 ? (
          <View>
            <GroupHead title={t('pin.title')} count={onTop.length} />
            {onTop.map((item) => (
              <ItemRow key={item.id} item={item} detail={arranged.detail} />
            ))}
          </View>
        ) : null}
        {asUsual ? (
          <SectionedItems
            list={list}
            open={open}
            detail={arranged.detail}
            mayShape={mayShape}
            mayMove={mayChange && narrow === null}
            addingTo={!mayAdd ? null : { section, choose: setSection }}
          />
        ) : (
          <ArrangedItems open={open} arranged={arranged} />
        )}
        {done.length > 0 ? (
          <Fold words={t('list.done', { count: done.length })}>
            <LongRows rows={done} keyOf={(item) => item.id}>
              {(item) => <ItemRow item={item} />}
            </LongRows>
            <Older listId={list.id} />
          </Fold>
        ) : null}
        <Cleared list={list} items={contents.cleared} mayChange={mayChange} />
      </Selecting>
    </Screen>
  );
}

/** What is typed here goes into this list, into the section chosen for it, and to who the screen is narrowed to. */
function useCaptureInto(list: List, section: string | null, person: string | null): void {
  const { rows } = useOpenHouse();
  const headed = section ? rows.find('section', section) : null;
  const words = headed ? t('capture.intoSection', { list: list.name, section: headed.name }) : t('capture.into', { list: list.name });
  useCaptureHere({ list: list.id, section, person: person ?? undefined, words });
}

/** What was cleared out of sight can be looked at, and brought back. */
function Cleared({ list, items, mayChange }: { list: List; items: readonly Item[]; mayChange: boolean }) {
  const submit = useSubmit();
  if (items.length === 0) return null;
  return (
    <Fold words={t('list.cleared', { count: items.length })}>
      {mayChange ? (
        <View className="items-start px-4 pb-2">
          <Button onPress={() => void submit('list.clearDone', { list: list.id, cleared: false }, { words: t('said.uncleared'), undo: true })}>
            {t('list.unclear')}
          </Button>
        </View>
      ) : null}
      <LongRows rows={items} keyOf={(item) => item.id}>
        {(item) => <ItemRow item={item} />}
      </LongRows>
    </Fold>
  );
}

/** The first hints of a new house are put away in one go, and don't come back. */
function Hints({ list }: { list: List }) {
  const { house } = useOpenHouse();
  const submit = useSubmit();
  const router = useRouter();
  if (house.hintsListId !== list.id) return null;
  const putAway = () => {
    if (!submit('list.remove', { list: list.id }, { words: t('said.hintsAway'), undo: true })) router.replace('/');
  };
  return (
    <View className="flex-row items-center gap-3 border-b border-line bg-sunk pl-4 pr-2">
      <Txt size={15} className="min-w-0 grow shrink basis-0 py-2">
        {t('hints.what')}
      </Txt>
      <Button kind="quiet" onPress={putAway}>
        {t('hints.away')}
      </Button>
    </View>
  );
}
