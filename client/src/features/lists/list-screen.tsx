import { byPosition, footingInList, isDone, progressOfList, type Item, type List, type Section } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useCaptureHere } from '@/features/capture';
import { ItemRow, lookup } from '@/features/item';
import { Screen } from '@/features/shell';
import { useGive } from '@/store/live-house.tsx';
import { useNarrowed, usePlace } from '@/store/store.ts';
import { Band, Button, Empty, Fold, GroupHead, Icon, Menu, Txt, useWide, type MenuEntry } from '@/ui';
import { Sortable, SortableRow, type Dropped } from '@/ui/sortable.tsx';
import { sayMeasure, t } from '@/words';
import { ListSheet } from './list-sheet.tsx';
import { NameSheet } from './name-sheet.tsx';
import { SharingSheet } from './sharing-sheet.tsx';

const UNHEADED = '';

/** One list: its sections, what is open in them, what is done folded away. */
export function ListScreen({ listId }: { listId: string }) {
  const { rows } = usePlace();
  const router = useRouter();
  const list = rows.get('list', listId);
  if (typeof list === 'string' || list.removedAt) {
    return (
      <Screen title={t('list.gone')}>
        <Empty words={t('list.goneWhy')} action={t('list.toLists')} onAction={() => router.replace('/lists')} />
      </Screen>
    );
  }
  return <OpenList key={listId} list={list} />;
}

function OpenList({ list }: { list: List }) {
  const { rows, me } = usePlace();
  const give = useGive();
  const wide = useWide();
  const narrow = useNarrowed();
  const [section, setSection] = useState<string | null>(null);
  const footing = footingInList(list.id, me, lookup(rows));
  const mayShape = footing === 'owner' || (footing === 'edit' && me.role === 'manager');
  const mayMove = footing === 'owner' || footing === 'edit';
  useCaptureInto(list, footing === 'view' ? null : section);

  const items = rows
    .by('item', 'listId', list.id)
    .filter(
      (item) =>
        !item.removedAt &&
        item.parentId === null &&
        (narrow === null || rows.by('part', 'itemId', item.id).some((part) => part.personId === narrow && !part.takenBackAt)),
    )
    .sort(byPosition);
  const open = items.filter((item) => !isDone(item, rows.by('part', 'itemId', item.id)));
  const done = items.filter((item) => !open.includes(item));
  const sections = rows
    .by('section', 'listId', list.id)
    .filter((one) => !one.removedAt)
    .sort(byPosition);
  const groups = [{ key: UNHEADED, section: null as Section | null }, ...sections.map((one) => ({ key: one.id, section: one as Section | null }))].map(
    (group) => ({
      ...group,
      items: open.filter((item) => (item.sectionId ?? UNHEADED) === group.key),
    }),
  );
  const progress = progressOfList(list, rows);

  const drop = ({ id, group, after, before }: Dropped) => {
    give(
      'item.move',
      { items: [id], list: list.id, section: group || null, ...(after ? { after } : before ? { before } : {}) },
      { words: t('said.reordered'), undo: true },
    );
  };

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
      actions={<ListMenu list={list} mayShape={mayShape} />}
    >
      {progress.of > 0 ? (
        <View className="flex-row items-center gap-3 px-4 pt-4">
          <Band share={progress.done / progress.of} width={wide ? 240 : 160} height={12} />
          <Txt size={15} face="medium">
            {sayMeasure(progress)}
          </Txt>
        </View>
      ) : null}
      {items.length === 0 ? <Empty words={t(footing === 'view' ? 'list.emptyView' : 'list.empty')} /> : null}
      <Sortable groups={groups.map(({ key, items: inside }) => ({ key, ids: inside.map((item) => item.id) }))} onDrop={drop}>
        <View className="lg:flex-row lg:flex-wrap lg:gap-x-8">
          {groups.map(({ key, section: headed, items: inside }) =>
            inside.length === 0 && !headed ? null : (
              <View key={key || 'unheaded'} className="lg:min-w-[320px] lg:max-w-[440px] lg:grow lg:basis-[320px]">
                {headed ? (
                  <SectionHead
                    section={headed}
                    count={inside.length}
                    mayShape={mayShape}
                    sections={sections}
                    chosen={section === headed.id}
                    onAddHere={footing === 'view' ? null : () => setSection(section === headed.id ? null : headed.id)}
                  />
                ) : null}
                {inside.map((item) => (
                  <ListedItem key={item.id} item={item} mayMove={mayMove && narrow === null} neighbours={inside} sections={sections} />
                ))}
              </View>
            ),
          )}
        </View>
      </Sortable>
      {done.length > 0 ? (
        <Fold words={t('list.done', { count: done.length })}>
          {done.map((item) => (
            <ItemRow key={item.id} item={item} />
          ))}
        </Fold>
      ) : null}
    </Screen>
  );
}

/** What is typed here goes into this list, and into the section that was chosen for it. */
function useCaptureInto(list: List, section: string | null): void {
  const { rows } = usePlace();
  const headed = section ? rows.get('section', section) : null;
  const words =
    headed && typeof headed !== 'string' ? t('capture.intoSection', { list: list.name, section: headed.name }) : t('capture.into', { list: list.name });
  useCaptureHere({ list: list.id, section, words });
}

interface ListedItemProps {
  item: Item;
  mayMove: boolean;
  neighbours: readonly Item[];
  sections: readonly Section[];
}

/** Every drag has a way by a menu too: on a wide screen the row's, on a phone the one of the item's sheet. */
function ListedItem({ item, mayMove, neighbours, sections }: ListedItemProps) {
  const give = useGive();
  const wide = useWide();
  if (!mayMove) return <ItemRow item={item} />;
  const at = neighbours.indexOf(item);
  const move = (where: { after?: string | null; before?: string; section?: string | null }) =>
    void give('item.move', { items: [item.id], list: item.listId, section: item.sectionId, ...where }, { words: t('said.reordered'), undo: true });
  const entries: MenuEntry[] = [
    ...(at > 0
      ? [
          { key: 'top', words: t('move.top'), onPress: () => move({ after: null }) },
          { key: 'up', words: t('move.up'), onPress: () => move({ before: neighbours[at - 1]!.id }) },
        ]
      : []),
    ...(at < neighbours.length - 1 ? [{ key: 'down', words: t('move.down'), onPress: () => move({ after: neighbours[at + 1]!.id }) }] : []),
    ...sections
      .filter((section) => section.id !== item.sectionId)
      .map((section) => ({ key: section.id, words: t('move.toSection', { name: section.name }), onPress: () => move({ section: section.id }) })),
    {
      key: 'remove',
      words: t('item.remove'),
      late: true,
      onPress: () => void give('item.remove', { items: [item.id] }, { words: t('said.removed', { title: item.title }), undo: true }),
    },
  ];
  return (
    <SortableRow id={item.id} label={t('move.drag', { title: item.title })}>
      {(handle) => (
        <ItemRow
          item={item}
          trail={
            <>
              {wide ? <Menu label={t('row.more', { title: item.title })} entries={entries} /> : null}
              {handle}
            </>
          }
        />
      )}
    </SortableRow>
  );
}

interface SectionHeadProps {
  section: Section;
  sections: readonly Section[];
  count: number;
  mayShape: boolean;
  chosen: boolean;
  onAddHere: (() => void) | null;
}

function SectionHead({ section, sections, count, mayShape, chosen, onAddHere }: SectionHeadProps) {
  const give = useGive();
  const [renaming, setRenaming] = useState(false);
  const at = sections.indexOf(section);
  const entries: MenuEntry[] = mayShape
    ? [
        { key: 'rename', words: t('common.rename'), onPress: () => setRenaming(true) },
        ...(at > 0
          ? [{ key: 'up', words: t('move.up'), onPress: () => void give('section.move', { section: section.id, before: sections[at - 1]!.id }) }]
          : []),
        ...(at < sections.length - 1
          ? [{ key: 'down', words: t('move.down'), onPress: () => void give('section.move', { section: section.id, after: sections[at + 1]!.id }) }]
          : []),
        {
          key: 'remove',
          words: t('section.remove'),
          late: true,
          onPress: () => void give('section.remove', { section: section.id }, { words: t('said.sectionRemoved', { name: section.name }), undo: true }),
        },
      ]
    : [];
  return (
    <GroupHead title={section.name} count={count}>
      <View className="flex-row items-center">
        {onAddHere ? (
          <Button
            kind="quiet"
            tone={chosen ? 'ink' : 'plan'}
            label={t('section.addHereTo', { words: t(chosen ? 'section.addingHere' : 'section.addHere'), name: section.name })}
            onPress={onAddHere}
          >
            {t(chosen ? 'section.addingHere' : 'section.addHere')}
          </Button>
        ) : null}
        <Menu label={t('section.more', { name: section.name })} entries={entries} />
      </View>
      {renaming ? (
        <NameSheet
          title={t('common.rename')}
          verb={t('common.save')}
          label={t('section.name')}
          startsAs={section.name}
          onClose={() => setRenaming(false)}
          onName={(name) => give('section.change', { section: section.id, name }, { ownRefusal: true })}
        />
      ) : null}
    </GroupHead>
  );
}

function ListMenu({ list, mayShape }: { list: List; mayShape: boolean }) {
  const give = useGive();
  const router = useRouter();
  const [sheet, setSheet] = useState<'change' | 'share' | 'section' | null>(null);
  if (!mayShape) return null;
  const close = () => setSheet(null);
  const entries: MenuEntry[] = [
    { key: 'share', words: t('list.share'), onPress: () => setSheet('share') },
    { key: 'section', words: t('section.make'), onPress: () => setSheet('section') },
    { key: 'change', words: t('list.change'), onPress: () => setSheet('change') },
    {
      key: 'file',
      words: t(list.filedAt ? 'list.unfile' : 'list.file'),
      onPress: () =>
        void give(
          'list.file',
          { list: list.id, filed: !list.filedAt },
          { words: t(list.filedAt ? 'said.unfiled' : 'said.filed', { name: list.name }), undo: true },
        ),
    },
    {
      key: 'remove',
      words: t('list.remove'),
      late: true,
      onPress: () => {
        if (!give('list.remove', { list: list.id }, { words: t('said.removed', { title: list.name }), undo: true })) router.replace('/lists');
      },
    },
  ];
  return (
    <>
      <Menu label={t('list.more')} entries={entries} />
      {sheet === 'change' ? <ListSheet list={list} onClose={close} /> : null}
      {sheet === 'share' ? <SharingSheet list={list} onClose={close} /> : null}
      {sheet === 'section' ? (
        <NameSheet
          title={t('section.make')}
          verb={t('section.makeIt')}
          label={t('section.name')}
          onClose={close}
          onName={(name) => give('section.make', { list: list.id, name }, { ownRefusal: true })}
        />
      ) : null}
    </>
  );
}
