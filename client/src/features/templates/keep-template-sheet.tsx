import type { Item, List, MeetingNote } from '@kotiva/core';
import { rowsToKeep } from '@kotiva/core/templates/rows-to-keep';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse, type Store } from '@/store/store.ts';
import { Button, Foot, Heading, MomentInput, Sheet, Txt } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { allTemplates, ShareSwitch, TemplateNames } from './template-sheet.tsx';

type Source = { list: List } | { item: Item } | { note: MeetingNote };

/** A list, an item with its steps or a talk’s notes: kept to be used again; what has days says which day they are counted from. */
export function KeepTemplateSheet({ of, onClose }: { of: Source; onClose: () => void }) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const router = useRouter();
  const store = useStore() as Store;
  const source = 'list' in of ? { list: of.list.id } : 'item' in of ? { item: of.item.id } : { note: of.note.id };
  const items = 'note' in source ? [] : rowsToKeep(source, rows);
  const days = items.flatMap(({ due, start }) => [due, start].filter((day) => day !== null)).sort();
  const [begin] = useState(() => ({
    name: 'list' in of ? of.list.name : 'item' in of ? of.item.title.slice(0, 80) : '',
    anchor: days.at(-1)?.slice(0, 10) ?? '',
    anchorName: '',
    isShared: false,
  }));
  const [draft, setDraft, done] = useDraft(`keep-template/${Object.values(source)[0]}`, begin);
  const [error, setError] = useState<string | null>(null);
  const change = (some: Partial<typeof draft>) => {
    setDraft({ ...draft, ...some });
    setError(null);
  };
  const save = () => {
    const known = new Set(allTemplates(store).map(({ id }) => id));
    const payload = { ...source, name: draft.name, isShared: draft.isShared, anchorName: draft.anchorName, anchor: draft.anchor || null };
    const reason = submit('template.keep', payload, { words: t('said.templateKept', { name: draft.name.trim() }), undo: true, ownRefusal: true });
    if (reason) return setError(sayReason(reason));
    done();
    onClose();
    const made = allTemplates(store).find(({ id }) => !known.has(id));
    if (made) router.push(`/templates/${made.id}`);
  };
  const title = t('template.keep');
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        <Txt tone="muted">{'note' in of ? t('template.keepNoteMeans') : t('template.keepMeans', { count: items.length })}</Txt>
        <TemplateNames draft={draft} onChange={change} onSubmit={save} error={error} hasDay={days.length > 0}>
          {days.length > 0 ? (
            <View className="gap-3">
              <MomentInput label={t('template.anchor')} kind="date" value={draft.anchor} onChange={(anchor) => change({ anchor })} />
              <Txt size={15} tone="muted">
                {t(draft.anchor ? 'template.anchorMeans' : 'template.anchorNone')}
              </Txt>
            </View>
          ) : null}
        </TemplateNames>
        {me.role === 'helper' ? null : <ShareSwitch on={draft.isShared} onChange={(isShared) => change({ isShared })} />}
        <Foot>
          <Button kind="main" onPress={save}>
            {t('template.keepIt')}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}
