import { calendarDateOf, choresOfList, contentsOf, isFromAnother, openParts, type List, type Rows } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { FieldsSheet } from '@/features/fields';
import { FollowPanel } from '@/features/following';
import { PutIntoProject } from '@/features/projects';
import { useHomeScreenEntry } from '@/features/pages';
import { KeepTemplateSheet } from '@/features/templates';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Heading, Menu, Sheet, useSheetAt, type MenuEntry } from '@/ui';
import { t } from '@/words';
import { ListSheet } from './list-sheet.tsx';
import { NameSheet } from './name-sheet.tsx';
import { StagesSheet } from './stages-sheet.tsx';
import { SharingSheet } from './sharing-sheet.tsx';

/** Open items of a list that somebody was handed by another: they stay with them though it is archived. */
const handedOverIn = (listId: string, rows: Rows): number =>
  rows.by('item', 'listId', listId).filter((item) => item.removedAt === null && openParts(rows.by('part', 'itemId', item.id)).some(isFromAnother)).length;

/** What is done to a list as a whole: by who may shape it, and by who may change what is in it. */
export function ListMenu({ list, mayShape, mayChange }: { list: List; mayShape: boolean; mayChange: boolean }) {
  const { rows, house, me } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const router = useRouter();
  const [sheet, setSheet] = useSheetAt<'change' | 'share' | 'section' | 'follow' | 'template' | 'stages' | 'fields' | 'project'>('list');
  const close = () => setSheet(null);
  const { done, cleared } = contentsOf(list, rows);
  const chores = choresOfList(list.id, calendarDateOf(now, house.zone), rows).length;
  const again: MenuEntry[] = [
    ...(done.length > 0
      ? [
          {
            key: 'clear',
            words: t('list.clearDone', { count: done.length }),
            onPress: () => void submit('list.clearDone', { list: list.id }, { words: t('said.cleared', { count: done.length }), undo: true }),
          },
        ]
      : []),
    ...(done.length + cleared.length > 0
      ? [
          {
            key: 'again',
            words: t('list.useAgain'),
            onPress: () => void submit('list.useAgain', { list: list.id }, { words: t('said.usedAgain', { name: list.name }), undo: true }),
          },
        ]
      : []),
  ];
  const happened: MenuEntry = { key: 'happened', words: t('activity.open'), onPress: () => router.push(`/activity?list=${list.id}`) };
  const follow: MenuEntry = { key: 'follow', words: t('watch.open'), onPress: () => setSheet('follow') };
  const keep: MenuEntry = { key: 'template', words: t('template.keep'), onPress: () => setSheet('template') };
  const homeScreen = useHomeScreenEntry('list', list);
  const project: MenuEntry = { key: 'project', words: t('project.put'), onPress: () => setSheet('project') };
  const shaping: MenuEntry[] = [
    { key: 'share', words: t('list.share'), onPress: () => setSheet('share') },
    { key: 'section', words: t('section.make'), onPress: () => setSheet('section') },
    { key: 'stages', words: t('stages.title'), onPress: () => setSheet('stages') },
    { key: 'fields', words: t('fields.title'), onPress: () => setSheet('fields') },
    { key: 'change', words: t('list.change'), onPress: () => setSheet('change') },
    {
      key: 'file',
      words: t(list.filedAt ? 'list.unfile' : 'list.file'),
      onPress: () => {
        const count = handedOverIn(list.id, rows);
        const filed = count > 0 ? t('said.filedStays', { name: list.name, count }) : t('said.filed', { name: list.name });
        submit('list.file', { list: list.id, filed: !list.filedAt }, { words: list.filedAt ? t('said.unfiled', { name: list.name }) : filed, undo: true });
      },
    },
    {
      key: 'remove',
      words: chores > 0 ? t('list.removeWithChores', { count: chores }) : t('list.remove'),
      late: true,
      onPress: () => {
        const ended = chores > 0 ? t('said.choresEnded', { count: chores }) : null;
        const words = [t('said.removed', { title: list.name }), ended].filter(Boolean).join(' ');
        if (!submit('list.remove', { list: list.id }, { words, undo: true })) router.replace('/lists');
      },
    },
  ];
  return (
    <>
      <Menu
        label={t('list.more')}
        entries={[...(mayChange ? again : []), follow, happened, keep, homeScreen, ...(me.role === 'helper' ? [] : [project]), ...(mayShape ? shaping : [])]}
      />
      {sheet === 'change' && mayShape ? <ListSheet list={list} onClose={close} /> : null}
      {sheet === 'project' && me.role !== 'helper' ? <PutIntoProject of={{ list }} onClose={close} /> : null}
      {sheet === 'fields' && mayShape ? <FieldsSheet list={list} onClose={close} /> : null}
      {sheet === 'stages' && mayShape ? <StagesSheet list={list} onClose={close} /> : null}
      {sheet === 'template' ? <KeepTemplateSheet of={{ list }} onClose={close} /> : null}
      {sheet === 'share' && mayShape ? <SharingSheet list={list} onClose={close} /> : null}
      {sheet === 'follow' ? (
        <Sheet
          open
          onClose={close}
          title={t('watch.list', { name: list.name })}
          closeLabel={t('common.close')}
          head={<Heading level={2}>{t('watch.list', { name: list.name })}</Heading>}
        >
          <FollowPanel of={{ list }} mayAsk={mayChange} />
        </Sheet>
      ) : null}
      {sheet === 'section' && mayShape ? (
        <NameSheet
          title={t('section.make')}
          verb={t('section.makeIt')}
          label={t('section.name')}
          onClose={close}
          onName={(name) => submit('section.make', { list: list.id, name }, { ownRefusal: true })}
        />
      ) : null}
    </>
  );
}
