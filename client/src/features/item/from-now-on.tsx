import { choreFileOf, isDone, type Attachment, type Item, type Reader, mayChangeChore } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { attachmentsOf } from '@/features/files';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Txt } from '@/ui';
import { t, together } from '@/words';
import { choreOf } from './chore-of.ts';

/** What may be added to one of a chore, as it stood when it was last looked at or decided about. */
interface Known {
  steps: ReadonlySet<string>;
  notes: string;
  tags: string;
  wanted: string;
  files: ReadonlySet<string>;
}

const stepsOf = (item: Item, rows: Reader): Item[] => rows.by('item', 'parentId', item.id).filter(({ removedAt }) => removedAt === null);

/** What has come and is simply with it. */
const filesOf = (item: Item, rows: Reader): Attachment[] => attachmentsOf(rows, item.id).filter((file) => file.partId === null && file.arrivedAt !== null);

const knownOf = (item: Item, rows: Reader): Known => ({
  steps: new Set(stepsOf(item, rows).map(({ id }) => id)),
  notes: item.notes,
  tags: item.tagIds.join(),
  wanted: JSON.stringify(item.wanted ?? null),
  files: new Set(filesOf(item, rows).map(({ id }) => id)),
});

/** After a step, a note or a tag was added to one of a chore: only to this one, or to those to come as well. */
export function FromNowOn({ item }: { item: Item }) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const [known, setKnown] = useState(() => knownOf(item, rows));
  const series = choreOf(item, rows);
  if (!series || isDone(item, rows.by('part', 'itemId', item.id)) || !mayChangeChore(series, me, rows)) return null;
  const steps = stepsOf(item, rows).filter(({ id, makerId, title }) => !known.steps.has(id) && makerId === me.id && !series.steps.includes(title));
  const notes = item.notes !== known.notes && item.notes !== series.notes;
  const tags = item.tagIds.join() !== known.tags && item.tagIds.join() !== series.tagIds.join();
  const wanted = JSON.stringify(item.wanted ?? null) !== known.wanted && JSON.stringify(item.wanted ?? null) !== JSON.stringify(series.wanted ?? null);
  const files = filesOf(item, rows).filter((file) => !known.files.has(file.id) && file.authorId === me.id && choreFileOf(file, series.fileIds ?? []) === null);
  const added = [
    ...steps.map(({ title }) => t('fromNowOn.step', { title })),
    notes ? t('fromNowOn.notes') : null,
    tags ? t('fromNowOn.tags') : null,
    wanted ? t('fromNowOn.wanted') : null,
    ...files.map(({ name }) => t('fromNowOn.file', { name })),
  ].filter((words) => words !== null);
  if (added.length === 0) return null;
  const settle = () => setKnown(knownOf(item, rows));
  const keep = () => {
    const payload = { item: item.id, steps: steps.map(({ title }) => title), notes, tags, wanted, files: files.map(({ id }) => id) };
    if (!submit('chore.fromNowOn', payload, { words: t('said.fromNowOn', { title: series.title }), undo: true })) settle();
  };
  return (
    <View role="group" aria-label={t('fromNowOn.label')} className="mt-4 gap-3 rounded-sheet bg-ground p-4">
      <Txt>{t('fromNowOn.asks', { what: together(added), title: series.title })}</Txt>
      <View className="flex-row flex-wrap gap-2">
        <Button kind="main" onPress={keep}>
          {t('fromNowOn.keep')}
        </Button>
        <Button onPress={settle}>{t('calendar.onlyThis')}</Button>
      </View>
    </View>
  );
}
