import { byPosition, isDone, pinId, type Item, type Reader } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { Pressable, View } from 'react-native';
import { everythingUnder } from '@/features/pages';
import { projectsOf } from '@/features/projects';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Menu, Txt, useWide, type MenuEntry } from '@/ui';
import { t } from '@/words';
import type { Frame } from './item-frame.tsx';
import { chooseItemSize, type ItemSize } from './item-size.ts';
import { nameOf } from './knot-of.ts';
import { useOpenItem } from './open-item.ts';
import { underOf } from './step-of.ts';
import { sayRemoved } from './say-removed.ts';

interface ItemHeadProps {
  item: Item;
  frame: Frame;
  canChange: boolean;
  onFollow: () => void;
  onCopy: () => void;
  onKeep: () => void;
  onProject: () => void;
  onClose: () => void;
}

/** Above the sheet: where the item lies, and what is seldom done to it. */
export function ItemHead({ item, frame, canChange, onFollow, onCopy, onKeep, onProject, onClose }: ItemHeadProps) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const router = useRouter();
  const wide = useWide();
  const resize = (size: ItemSize) => {
    chooseItemSize(size);
    if (size === 'page') router.push(`/items/${item.id}`);
    else if (frame === 'page') router.replace(`${item.listId ? `/lists/${item.listId}` : '/'}?item=${item.id}`);
  };
  const list = item.listId ? rows.find('list', item.listId) : null;
  const section = item.sectionId ? rows.find('section', item.sectionId) : null;
  const where = [list, section].flatMap((row) => (row ? [row.name] : [])).join(' · ');
  const pin = rows.find('pin', pinId(item.id, me.id));
  const isPinned = pin !== undefined && pin.endedAt === null;
  const entries: MenuEntry[] = [
    {
      key: 'pin',
      words: t(isPinned ? 'pin.off' : 'pin.on'),
      onPress: () => void submit('item.pin', { item: item.id, on: !isPinned }, { words: t(isPinned ? 'said.pinOff' : 'said.pinOn'), undo: true }),
    },
    { key: 'follow', words: t('watch.open'), onPress: onFollow },
  ];
  if (me.role !== 'helper') entries.push({ key: 'project', words: t('project.put'), onPress: onProject });
  entries.push({ key: 'template', words: t('template.keep'), onPress: onKeep });
  entries.push(...sizeEntries(wide, frame, resize));
  if (canChange) {
    entries.push(
      ...moveEntries(
        item,
        rows,
        (where) =>
          void submit(
            'item.move',
            { items: [item.id], list: item.listId, section: item.sectionId, parent: item.parentId, ...where },
            { words: t('said.reordered'), undo: true },
          ),
      ),
    );
    entries.push({ key: 'copy', words: t('item.copy'), onPress: onCopy });
    entries.push({
      key: 'confirm',
      words: t(item.confirm ? 'item.noConfirm' : 'item.confirm'),
      onPress: () =>
        void submit('item.change', { item: item.id, confirm: !item.confirm }, { undo: true, words: t(item.confirm ? 'said.noConfirm' : 'said.confirm') }),
    });
    entries.push({
      key: 'pace',
      words: t(item.pace === 'off' ? 'item.nudge' : 'item.noNudges'),
      onPress: () =>
        void submit(
          'item.change',
          { item: item.id, pace: item.pace === 'off' ? null : 'off' },
          { undo: true, words: t(item.pace === 'off' ? 'said.nudges' : 'said.noNudges') },
        ),
    });
    entries.push({
      key: 'remove',
      words: t('item.remove'),
      late: true,
      onPress: () => {
        if (!submit('item.remove', { items: [item.id] }, { words: sayRemoved(item, rows), undo: true })) onClose();
      },
    });
  }
  // of what another handed from where one can't look, whose it is
  const isOwn = item.listId === null && item.makerId === me.id;
  return (
    <View className="flex-row items-center">
      <View className="min-w-0 grow shrink basis-0 flex-row flex-wrap items-center gap-x-3">
        {list ? (
          <Way words={where} label={t('item.openList', { name: where })} onPress={() => router.push(`/lists/${list.id}`)} />
        ) : (
          <Txt size={13} tone="muted">
            {isOwn ? t('item.ownPile') : t('row.from', { name: nameOf(rows, item.makerId) })}
          </Txt>
        )}
        <Under item={item} />
      </View>
      <Menu label={t('item.more')} entries={entries} />
    </View>
  );
}

/** What it is a step of, its projects, its tags and its place: each is the way there. */
function Under({ item }: { item: Item }) {
  const { rows, me } = useOpenHouse();
  const router = useRouter();
  const openItem = useOpenItem();
  const tags = item.tagIds.map((id) => rows.find('tag', id)).flatMap((tag) => (tag === undefined || tag.removedAt ? [] : [tag]));
  const place = item.placeId ? rows.find('place', item.placeId) : undefined;
  const ways = [
    ...tags.map(({ id, name }) => ({ of: 'tag' as const, id, words: `#${name}` })),
    ...(place === undefined || place.removedAt ? [] : [{ of: 'place' as const, id: place.id, words: place.name }]),
  ];
  const parent = item.parentId === null ? undefined : rows.find('item', item.parentId);
  // whoever has a step alone reads of what it is one
  const under = parent === undefined ? underOf(item, me.id, rows) : null;
  return (
    <>
      {under ? (
        <Txt size={15} tone="muted" numberOfLines={1}>
          {t('item.stepOf', { title: under })}
        </Txt>
      ) : null}
      {parent === undefined ? null : (
        <Way words={t('item.stepOf', { title: parent.title })} label={t('item.stepOf', { title: parent.title })} onPress={() => openItem(parent.id)} />
      )}
      {projectsOf(item, rows).map(({ id, name }) => (
        <Way key={id} words={name} label={t('item.ofProject', { name })} onPress={() => router.push(`/projects/${id}`)} />
      ))}
      {ways.map(({ of, id, words }) => (
        <Way key={id} words={words} label={t('item.everythingUnder', { name: words })} onPress={() => router.push(everythingUnder(of, id))} />
      ))}
    </>
  );
}

function Way({ words, label, onPress }: { words: string; label: string; onPress: () => void }) {
  return (
    <Pressable role="link" aria-label={label} onPress={onPress} className="min-h-11 max-w-full justify-center">
      <Txt size={15} tone="plan" numberOfLines={1}>
        {words}
      </Txt>
    </Pressable>
  );
}

/** How else it can stand; what is chosen holds for the next one opened here too. */
function sizeEntries(wide: boolean, frame: Frame, resize: (size: ItemSize) => void): MenuEntry[] {
  const sizes: { size: ItemSize; of: Frame }[] = [
    { size: 'page', of: 'page' },
    ...(wide ? [{ size: 'beside', of: 'beside' } as const] : []),
    { size: 'over', of: 'sheet' },
  ];
  return sizes.filter(({ of }) => of !== frame).map(({ size }) => ({ key: size, words: t(`item.size.${size}`), onPress: () => resize(size) }));
}

/** The menu's ways of what dragging does. */
function moveEntries(item: Item, rows: Reader, move: (where: { after?: string | null; before?: string }) => void): MenuEntry[] {
  const siblings = (
    item.parentId
      ? rows.by('item', 'parentId', item.parentId)
      : item.listId
        ? rows.by('item', 'listId', item.listId).filter((one) => one.parentId === null && one.sectionId === item.sectionId)
        : []
  )
    .filter((one) => !one.removedAt && !isDone(one, rows.by('part', 'itemId', one.id)))
    .sort(byPosition);
  const at = siblings.findIndex((one) => one.id === item.id);
  if (at < 0) return [];
  const entries: MenuEntry[] = [];
  if (at > 0)
    entries.push(
      { key: 'top', words: t('move.top'), onPress: () => move({ after: null }) },
      { key: 'up', words: t('move.up'), onPress: () => move({ before: siblings[at - 1]!.id }) },
    );
  if (at < siblings.length - 1) entries.push({ key: 'down', words: t('move.down'), onPress: () => move({ after: siblings[at + 1]!.id }) });
  return entries;
}
