import { COLOURS, type Bundle } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Field, Foot, Heading, Sheet } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { ColourAndIcon } from './colour-and-icon.tsx';

type Looks = Pick<Bundle, 'name' | 'purpose' | 'colour' | 'icon'>;

/** A new bundle of lists, or what an existing one is called, looks like and is for. */
export function BundleSheet({ bundle, onClose }: { bundle?: Bundle; onClose: () => void }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const [begin] = useState<Looks>(() => ({
    name: bundle?.name ?? '',
    purpose: bundle?.purpose ?? '',
    colour: bundle?.colour ?? COLOURS[rows.all('bundle').length % COLOURS.length]!,
    icon: bundle?.icon ?? 'package',
  }));
  const [looks, setLooks, done] = useDraft(`bundle/${bundle?.id ?? 'new'}`, begin);
  const { name, purpose, colour, icon } = looks;
  const set = (some: Partial<Looks>) => setLooks((now) => ({ ...now, ...some }));
  const [error, setError] = useState<string | null>(null);
  const title = t(bundle ? 'bundle.change' : 'bundle.make');
  const save = () => {
    const reason = bundle ? submit('bundle.change', { bundle: bundle.id, ...looks }, { ownRefusal: true }) : submit('bundle.make', looks, { ownRefusal: true });
    if (reason) setError(sayReason(reason));
    else {
      done();
      onClose();
    }
  };
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        <Field label={t('bundle.name')} value={name} onChangeText={(next) => set({ name: next })} error={error} autoFocus={!bundle} />
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
