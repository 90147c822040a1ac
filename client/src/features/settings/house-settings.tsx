import { PACES } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Choice, Field, Fold, GroupHead, Labelled, Txt } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { DayPartsForm } from './day-parts.tsx';
import { DaysOff } from './days-off.tsx';

/** The house's name and time zone. */
export function HouseSettings() {
  const { house } = useOpenHouse();
  const submit = useSubmit();
  const [name, setName] = useState(house.name);
  const [zone, setZone] = useState(house.zone);
  const [error, setError] = useState<{ field?: string; words: string } | null>(null);
  const save = () => {
    const reason = submit('house.change', { name, zone }, { words: t('said.saved'), ownRefusal: true });
    setError(reason ? { field: reason.field, words: reason.field === 'zone' ? t('house.zoneUnknown') : sayReason(reason) } : null);
  };
  return (
    <View>
      <GroupHead title={t('house.title')} />
      <Fold words={t('house.summary', { name: house.name, zone: house.zone })}>
        <View className="gap-4 px-4 pb-4">
          <Field label={t('house.name')} value={name} maxLength={80} onChangeText={setName} error={error?.field === 'name' ? error.words : null} />
          <Field
            label={t('house.zone')}
            hint={t('house.zoneHint')}
            value={zone}
            onChangeText={setZone}
            autoCapitalize="none"
            error={error?.field === 'zone' ? error.words : null}
          />
          <Labelled words={t('pace.label')}>
            <Choice
              label={t('pace.label')}
              value={house.pace}
              options={PACES.map((value) => ({ value, words: t(`pace.${value}`) }))}
              onChange={(pace) => void submit('house.change', { pace }, { words: t('said.saved'), undo: true })}
            />
            <Txt size={15} tone="muted">
              {t(`pace.${house.pace}Means`)}
            </Txt>
          </Labelled>
          <Button kind="main" onPress={save}>
            {t('common.save')}
          </Button>
        </View>
      </Fold>
      <Fold words={t('dayParts.title')}>
        <DayPartsForm />
      </Fold>
      <Fold words={t('daysOff.title')}>
        <View className="px-4 pb-4">
          <DaysOff />
        </View>
      </Fold>
    </View>
  );
}
