import { groupBy, sortBy, wholeHouse, type Arrangeable, type Tag } from '@kotiva/core';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { ArrangeButton, useHeading } from '@/features/arrange';
import { useCaptureHere } from '@/features/capture';
import { IN_LISTS, ItemRow, SelectButton, Selecting, SelectionBar } from '@/features/item';
import { Screen } from '@/features/shell';
import { useArrangement } from '@/store/arrangement.ts';
import { useNarrowed, useOpenHouse } from '@/store/store.ts';
import { Button, Choice, Empty, GroupHead, LongRows, useWide } from '@/ui';
import { t } from '@/words';

/** Everything open, from every list: by list or by person, narrowed to a person or a tag. */
export function WholeScreen() {
  const { rows, me } = useOpenHouse();
  const narrow = useNarrowed();
  const heading = useHeading();
  const wide = useWide();
  const { arranged } = useArrangement('whole');
  const [tagId, setTag] = useState<string | null>(null);
  const [choosing, setChoosing] = useState(false);
  const all = useMemo(() => wholeHouse(me.id, rows), [me.id, rows]);
  const tags = rows.all('tag').filter((tag) => !tag.removedAt);
  const tag = tags.find((one) => one.id === tagId) ?? null;
  const gathered = tag ? withChildren(tag, tags) : null;
  const hasPerson = ({ item }: Arrangeable) =>
    narrow === null || rows.by('part', 'itemId', item.id).some((part) => part.personId === narrow && !part.takenBackAt && part.standing !== 'completed');
  const entries = all.filter((entry) => hasPerson(entry) && (gathered === null || entry.item.tagIds.some((id) => gathered.has(id))));
  const person = narrow === null || narrow === me.id ? undefined : narrow;
  useCaptureHere({ person, tag: tag?.name, words: tag ? t('capture.withTag', { tag: tag.name }) : undefined });

  const group = arranged.group === 'usual' ? 'list' : arranged.group;
  const sorted = sortBy(entries, arranged.sort, rows);
  const draw = (some: readonly Arrangeable[], inList: boolean) => (
    <LongRows rows={some} keyOf={({ item }) => item.id}>
      {({ item }) => <ItemRow item={item} sub={inList ? undefined : listOf(item.listId)} detail={arranged.detail} />}
    </LongRows>
  );
  function listOf(id: string | null): string | undefined {
    const list = id ? rows.get('list', id) : 'absent';
    return typeof list === 'string' ? undefined : list.name;
  }

  return (
    <Screen title={t('whole.title')} sub={t('whole.count', { count: entries.length })} strip>
      <Selecting>
        <View className="flex-row flex-wrap items-center px-2 pt-1">
          <TagButton tag={tag} isOpen={choosing} onPress={() => setChoosing(!choosing)} />
          <View className="ml-auto">
            <ArrangeButton view="whole" groupings={['usual', 'person', 'date', 'tag', 'none']} usualGroup={t('group.list')} usualSort={t('sortBy.own')}>
              {(close) => (
                <View className="items-start">
                  <SelectButton onStart={close} />
                </View>
              )}
            </ArrangeButton>
          </View>
        </View>
        {choosing ? (
          <TagChoice
            tags={tags}
            tagId={tagId}
            onChoose={(id) => {
              setTag(id);
              setChoosing(false);
            }}
          />
        ) : null}
        <SelectionBar ids={entries.map(({ item }) => item.id)} only={IN_LISTS} />
        {entries.length === 0 ? <Empty words={t('whole.nothing')} /> : null}
        {group === 'none' ? (
          draw(sorted, false)
        ) : (
          <View className={wide ? 'columns' : ''}>
            {groupBy(sorted, group, rows).map((one) => (
              <View key={one.key ?? 'none'} className={wide ? 'column-group' : ''}>
                <GroupHead title={heading(one)} count={one.entries.length} />
                {draw(one.entries, group === 'list')}
              </View>
            ))}
          </View>
        )}
      </Selecting>
    </Screen>
  );
}

/** A broader tag gathers those under it. */
function withChildren(tag: Tag, tags: readonly Tag[]): Set<string> {
  const found = new Set([tag.id]);
  // a set that grows is walked to its end: each tag once, also where two lie under each other
  for (const id of found) for (const child of tags) if (child.parentId === id) found.add(child.id);
  return found;
}

function TagButton({ tag, isOpen, onPress }: { tag: Tag | null; isOpen: boolean; onPress: () => void }) {
  const words = tag ? t('whole.onlyTag', { tag: tag.name }) : t('whole.byTag');
  return (
    <Button kind="quiet" tone={tag ? 'pine' : 'muted'} expanded={isOpen} onPress={onPress}>
      {words}
    </Button>
  );
}

/** Everything under one tag with one touch; a broader tag gathers those under it. */
function TagChoice({ tags, tagId, onChoose }: { tags: readonly Tag[]; tagId: string | null; onChoose: (id: string | null) => void }) {
  const byName = [...tags].sort((a, b) => a.name.localeCompare(b.name));
  return (
    <View className="border-b border-line bg-ground px-4 py-3">
      <Choice
        label={t('whole.byTag')}
        value={tagId ?? ''}
        options={[{ value: '', words: t('whole.everyTag') }, ...byName.map((tag) => ({ value: tag.id, words: `#${tag.name}` }))]}
        onChange={(id) => onChoose(id || null)}
      />
    </View>
  );
}
