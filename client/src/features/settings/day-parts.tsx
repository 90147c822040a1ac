import type { DayParts } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, ErrorLine, MomentInput, Txt } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';

const PARTS = ['morning', 'day', 'evening'] as const;

/** When the parts of the day begin in this house: they group Today, and fold when they are over. */
export function DayPartsForm() {
  const { house } = useOpenHouse();
  const submit = useSubmit();
  const [parts, setParts] = useState<DayParts>(house.dayParts);
  const [error, setError] = useState<string | null>(null);
  const save = () => {
    if (PARTS.some((part) => !parts[part])) return setError(t('dayParts.each'));
    if (!(parts.morning < parts.day && parts.day < parts.evening)) return setError(t('dayParts.order'));
    const reason = submit('house.change', { dayParts: parts }, { words: t('said.saved'), undo: true, ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
  };
  return (
    <View className="gap-3 px-4 pb-4">
      <Txt size={15} tone="muted">
        {t('dayParts.means')}
      </Txt>
      <View className="flex-row flex-wrap gap-3">
        {PARTS.map((part) => (
          <MomentInput
            key={part}
            label={t('dayParts.from', { part: t(`dayPart.${part}`) })}
            kind="time"
            value={parts[part]}
            onChange={(at) => setParts({ ...parts, [part]: at })}
          />
        ))}
      </View>
      <ErrorLine says={error} />
      <View className="items-start">
        <Button onPress={save}>{t('common.save')}</Button>
      </View>
    </View>
  );
}
