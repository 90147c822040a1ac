import type { Reason } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Button, Field, Foot, Heading, Sheet } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';

interface NameSheetProps {
  title: string;
  label: string;
  verb: string;
  startsAs?: string;
  /** Returns why the name does not do, if it does not. */
  onName: (name: string) => Reason | null;
  onClose: () => void;
}

/** Asks for one name. */
export function NameSheet({ title, label, verb, startsAs = '', onName, onClose }: NameSheetProps) {
  const [name, setName] = useState(startsAs);
  const [error, setError] = useState<string | null>(null);
  const save = () => {
    const reason = onName(name);
    if (reason) setError(sayReason(reason));
    else onClose();
  };
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-4 pt-2">
        <Field label={label} value={name} onChangeText={setName} error={error} autoFocus onSubmitEditing={save} />
        <Foot>
          <Button kind="main" onPress={save}>
            {verb}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}
