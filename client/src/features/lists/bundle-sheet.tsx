import { allows, byPosition, COLOURS, type Bundle, type List } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useLiveHouse, useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Field, Foot, Heading, LabelledToggles, Sheet } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { ColourAndIcon } from './colour-and-icon.tsx';

type Draft = Pick<Bundle, 'name' | 'purpose' | 'colour' | 'icon'> & { lists: string[] };

/** A new bundle of lists, or what an existing one is called, looks like and is for; and which lists are in it. */
export function BundleSheet({ bundle, onClose }: { bundle?: Bundle; onClose: () => void }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const movable = useMovableLists();
  const moveInAndOut = useMoveInAndOut();
  const [begin] = useState<Draft>(() => ({
    name: bundle?.name ?? '',
    purpose: bundle?.purpose ?? '',
    colour: bundle?.colour ?? COLOURS[rows.all('bundle').length % COLOURS.length]!,
    icon: bundle?.icon ?? 'package',
    lists: movable.filter(({ bundleId }) => bundle !== undefined && bundleId === bundle.id).map(({ id }) => id),
  }));
  const [draft, setDraft, done] = useDraft(`bundle/${bundle?.id ?? 'new'}`, begin);
  const { lists: chosen, ...looks } = draft;
  const { name, purpose, colour, icon } = looks;
  const lists = chosen.filter((id) => movable.some((list) => list.id === id));
  const set = (some: Partial<Draft>) => setDraft((now) => ({ ...now, ...some }));
  const [error, setError] = useState<string | null>(null);
  const title = t(bundle ? 'bundle.change' : 'bundle.make');
  const save = () => {
    const reason = bundle
      ? submit('bundle.change', { bundle: bundle.id, ...looks }, { ownRefusal: true })
      : submit('bundle.make', { ...looks, lists }, { ownRefusal: true });
    if (reason) return setError(sayReason(reason));
    if (bundle) moveInAndOut(bundle.id, lists, movable);
    done();
    onClose();
  };
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        <Field label={t('bundle.name')} value={name} onChangeText={(next) => set({ name: next })} error={error} autoFocus={!bundle} />
        {movable.length > 0 ? (
          <LabelledToggles
            label={t('bundle.lists')}
            on={lists}
            options={movable.map((list) => ({ value: list.id, words: list.name }))}
            onChange={(next) => set({ lists: next })}
          />
        ) : null}
        <Field label={t('list.purpose')} value={purpose} onChangeText={(next) => set({ purpose: next })} maxLength={300} />
        <ColourAndIcon colour={colour} icon={icon} onColour={(next) => set({ colour: next })} onIcon={(next) => set({ icon: next })} />
        <Foot>
          <Button kind="main" onPress={save}>
            {t(bundle ? 'common.save' : 'bundle.makeIt')}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}

/** Lists one may put into a bundle, or take out. */
function useMovableLists(): List[] {
  const { rows, me } = useOpenHouse();
  return rows
    .all('list')
    .filter((list) => !list.removedAt && !list.filedAt && allows({ permission: 'share', list: list.id }, me, rows))
    .sort(byPosition);
}

/** Puts those lists into a bundle, and takes the others out of it. */
function useMoveInAndOut() {
  const { submit } = useLiveHouse();
  return (bundleId: string, inside: readonly string[], among: readonly List[]) => {
    for (const list of among) {
      const is = list.bundleId === bundleId;
      if (inside.includes(list.id) !== is) submit('list.change', { list: list.id, bundle: is ? null : bundleId });
    }
  };
}
