import { COLOURS, type Bundle, type Colour, type ListIcon } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useGive } from '@/store/live-house.tsx';
import { usePlace } from '@/store/store.ts';
import { Button, Field, Heading, Sheet } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { ColourAndIcon } from './colour-and-icon.tsx';

/** A new bundle of lists, or what an existing one is called, looks like and is for. */
export function BundleSheet({ bundle, onClose }: { bundle?: Bundle; onClose: () => void }) {
  const { rows } = usePlace();
  const give = useGive();
  const [name, setName] = useState(bundle?.name ?? '');
  const [purpose, setPurpose] = useState(bundle?.purpose ?? '');
  const [colour, setColour] = useState<Colour>(bundle?.colour ?? COLOURS[rows.all('bundle').length % COLOURS.length]!);
  const [icon, setIcon] = useState<ListIcon>(bundle?.icon ?? 'package');
  const [error, setError] = useState<string | null>(null);
  const title = t(bundle ? 'bundle.change' : 'bundle.make');
  const save = () => {
    const looks = { name, purpose, colour, icon };
    const reason = bundle ? give('bundle.change', { bundle: bundle.id, ...looks }, { ownRefusal: true }) : give('bundle.make', looks, { ownRefusal: true });
    if (reason) setError(sayReason(reason));
    else onClose();
  };
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        <Field label={t('bundle.name')} value={name} onChangeText={setName} error={error} autoFocus={!bundle} />
        <Field label={t('list.purpose')} value={purpose} onChangeText={setPurpose} maxLength={300} />
        <ColourAndIcon colour={colour} icon={icon} onColour={setColour} onIcon={setIcon} />
        <Button kind="main" onPress={save}>
          {t(bundle ? 'common.save' : 'bundle.makeIt')}
        </Button>
      </View>
    </Sheet>
  );
}
