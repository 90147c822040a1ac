import { byPosition, COLOURS, type List, type ListIcon, type ListKind } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { selectRows } from '@/store/rows.ts';
import { useOpenHouse, type Store } from '@/store/store.ts';
import { Button, Choice, Field, Fold, Foot, Heading, Labelled, Sheet, Txt } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { ColourAndIcon } from './colour-and-icon.tsx';

/** A new list, or what an existing one is called, looks like and is for. */
export function ListSheet({ list, onClose }: { list?: List; onClose: () => void }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const router = useRouter();
  const store = useStore() as Store;
  const colours = rows.all('list').length;
  const begin = {
    name: list?.name ?? '',
    purpose: list?.purpose ?? '',
    colour: list?.colour ?? COLOURS[colours % COLOURS.length]!,
    icon: list?.icon ?? ('list' as ListIcon),
    kind: list?.kind ?? ('working' as ListKind),
    bundle: list?.bundleId ?? '',
    sections: '',
  };
  const [draft, setDraft, done] = useDraft(`list/${list?.id ?? 'new'}`, begin);
  const change = (some: Partial<typeof draft>) => setDraft({ ...draft, ...some });
  const { name, purpose, colour, icon, kind, bundle, sections } = draft;
  const [error, setError] = useState<string | null>(null);
  const bundles = rows
    .all('bundle')
    .filter((one) => !one.removedAt)
    .sort(byPosition);

  const save = () => {
    const before = new Set(rows.all('list').map(({ id }) => id));
    const looks = { name, purpose, colour, icon, kind, bundle: bundle || null };
    const names = sections
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean);
    const reason = list
      ? submit('list.change', { list: list.id, ...looks }, { ownRefusal: true })
      : submit('list.make', { ...looks, sections: names }, { words: t('said.listMade', { name }), undo: true, ownRefusal: true });
    if (reason) return setError(sayReason(reason));
    done();
    onClose();
    const made = list ? undefined : madeSince(before);
    if (made) router.push(`/lists/${made.id}`);
  };

  function madeSince(before: ReadonlySet<string>): List | undefined {
    return selectRows(store.getState().house)
      .all('list')
      .find(({ id }) => !before.has(id));
  }

  const title = t(list ? 'list.change' : 'lists.make');
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        <Field label={t('list.name')} value={name} onChangeText={(name) => change({ name })} onSubmitEditing={save} error={error} autoFocus={!list} />
        <Further isFolded={!list}>
          <Field label={t('list.purpose')} value={purpose} onChangeText={(purpose) => change({ purpose })} maxLength={300} />
          {list ? null : (
            <Field label={t('list.sections')} hint={t('list.sectionsHint')} value={sections} onChangeText={(sections) => change({ sections })} multiline />
          )}
          <ColourAndIcon colour={colour} icon={icon} onColour={(colour) => change({ colour })} onIcon={(icon) => change({ icon })} />
          <Labelled words={t('list.kind')}>
            <Choice
              label={t('list.kind')}
              value={kind}
              onChange={(kind) => change({ kind })}
              options={(['working', 'undated', 'reference'] as const).map((value) => ({ value, words: t(`kind.${value}`) }))}
            />
            <Txt size={15} tone="muted">
              {t(`kind.${kind}Means`)}
            </Txt>
          </Labelled>
          {bundles.length > 0 ? (
            <Labelled words={t('list.bundle')}>
              <Choice
                label={t('list.bundle')}
                value={bundle}
                onChange={(bundle) => change({ bundle })}
                options={[{ value: '', words: t('list.noBundle') }, ...bundles.map((one) => ({ value: one.id, words: one.name }))]}
              />
            </Labelled>
          ) : null}
        </Further>
        <Foot>
          <Button kind="main" onPress={save}>
            {t(list ? 'common.save' : 'lists.makeIt')}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}

/** A new list needs no more than a name: the rest is there for whoever wants it, now or later. */
function Further({ isFolded, children }: { isFolded: boolean; children: React.ReactNode }) {
  const all = <View className="gap-5">{children}</View>;
  return isFolded ? <Fold words={t('list.further')}>{all}</Fold> : all;
}
