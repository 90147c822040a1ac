import { type SituationKind, type Situation, type Tag } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { NameSheet } from '@/features/lists';
import { everythingUnder } from '@/features/pages';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Choice, Fold, Row, TagDot, Txt, useSheetAt } from '@/ui';
import { t } from '@/words';
import { openTagged } from './open-tagged.ts';
import { TagSheet } from './tag-sheet.tsx';

/** The words things are found and chosen by: tags, and what has to be so. */
export function Labels() {
  return (
    <View>
      <Tags />
      <Situations />
    </View>
  );
}

const byName = (a: { name: string }, b: { name: string }) => a.name.localeCompare(b.name);

function Tags() {
  const { rows, me } = useOpenHouse();
  const router = useRouter();
  const [openId, setOpen] = useSheetAt('tag');
  const tags = rows
    .all('tag')
    .filter((tag) => !tag.removedAt)
    .sort(byName);
  const mayChange = (tag: Tag) => tag.makerId === me.id || me.role === 'manager';
  const open = tags.find((tag) => tag.id === openId && mayChange(tag));
  const count = (tag: Tag) => openTagged(tag.id, rows);
  const parentOf = (tag: Tag) => tags.find((other) => other.id === tag.parentId)?.name;
  return (
    <Fold words={t('labels.tags', { count: tags.length })}>
      {tags.length === 0 ? (
        <Txt tone="muted" className="px-4 pb-3">
          {t('labels.noTags')}
        </Txt>
      ) : null}
      {tags.map((tag) => (
        <Row
          key={tag.id}
          lead={<TagDot colour={tag.colour} />}
          title={`#${tag.name}`}
          sub={[parentOf(tag) ? t('tags.under', { name: parentOf(tag)! }) : null, t('tags.carriedBy', { count: count(tag) })].filter(Boolean).join(' · ')}
          onPress={() => router.push(everythingUnder('tag', tag.id))}
          trail={
            mayChange(tag) ? (
              <Button kind="quiet" label={t('tags.editNamed', { name: tag.name })} onPress={() => setOpen(tag.id)}>
                {t('common.edit')}
              </Button>
            ) : undefined
          }
        />
      ))}
      {open ? <TagSheet key={open.id} tag={open} onClose={() => setOpen(null)} /> : null}
    </Fold>
  );
}

function Situations() {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const [naming, setNaming] = useState<Situation | 'new' | null>(null);
  const situations = rows
    .all('situation')
    .filter((situation) => !situation.removedAt)
    .sort(byName);
  return (
    <Fold words={t('labels.situations', { count: situations.length })}>
      <Txt tone="muted" size={15} className="px-4 pb-2">
        {t('situations.means')}
      </Txt>
      {situations.map((situation) => (
        <View key={situation.id} className="gap-1 border-b border-line px-4 py-2">
          <View className="flex-row items-center gap-2">
            <Txt face="medium" className="grow shrink basis-0">
              {situation.name}
            </Txt>
            {me.role === 'manager' ? (
              <>
                <Button kind="quiet" label={t('labels.renameNamed', { name: situation.name })} onPress={() => setNaming(situation)}>
                  {t('common.rename')}
                </Button>
                <Button
                  kind="quiet"
                  tone="muted"
                  label={t('labels.removeNamed', { name: situation.name })}
                  onPress={() =>
                    submit('situation.change', { situation: situation.id, removed: true }, { words: t('said.removed', { title: situation.name }), undo: true })
                  }
                >
                  {t('item.remove')}
                </Button>
              </>
            ) : null}
          </View>
          {me.role === 'manager' ? (
            <Choice
              label={t('situations.kindOf', { name: situation.name })}
              value={situation.kind}
              options={(['tool', 'moment', 'event', 'person'] satisfies SituationKind[]).map((value) => ({ value, words: t(`situations.kind.${value}`) }))}
              onChange={(kind) => submit('situation.change', { situation: situation.id, kind })}
            />
          ) : null}
        </View>
      ))}
      <View className="items-start px-4 py-2">
        <Button onPress={() => setNaming('new')}>{t('situations.makeOne')}</Button>
      </View>
      {naming ? (
        <NameSheet
          title={naming === 'new' ? t('situations.makeOne') : naming.name}
          verb={t('common.save')}
          label={t('situations.name')}
          startsAs={naming === 'new' ? '' : naming.name}
          onClose={() => setNaming(null)}
          onName={(name) =>
            naming === 'new'
              ? submit('situation.make', { name, kind: 'tool' }, { ownRefusal: true })
              : submit('situation.change', { situation: naming.id, name }, { ownRefusal: true })
          }
        />
      ) : null}
    </Fold>
  );
}
