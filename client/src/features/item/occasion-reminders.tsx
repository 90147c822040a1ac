import type { Trigger } from '@kotiva/core';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { ask } from '@/store/api.ts';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Labelled, Txt } from '@/ui';
import { t } from '@/words';

interface DeviceRow {
  id: string;
  label: string;
  here: boolean;
}

/** Reminders that no clock and no place decides: one of one's devices is opened, or a situation begins. */
export function OccasionReminders({ own, onSet }: { own: boolean; onSet: (trigger: Trigger) => boolean }) {
  const { rows } = useOpenHouse();
  const [devices, setDevices] = useState<readonly DeviceRow[]>([]);
  useEffect(() => {
    void ask<{ devices: DeviceRow[] }>('GET', '/me/devices').then((answer) => answer.ok && setDevices(answer.value.devices));
  }, []);
  const situations = rows.all('situation').filter((situation) => !situation.removedAt);
  return (
    <View className="gap-4">
      {own && devices.length > 0 ? (
        <Labelled words={t('alarm.whenOpened')}>
          <View role="group" aria-label={t('alarm.whenOpened')} className="flex-row flex-wrap gap-2">
            {devices.map(({ id, label, here }) => (
              <Button key={id} onPress={() => onSet({ kind: 'device', device: id, name: label.slice(0, 80) })}>
                {here ? t('alarm.thisDevice', { device: label }) : label}
              </Button>
            ))}
          </View>
        </Labelled>
      ) : null}
      {situations.length > 0 ? (
        <Labelled words={t('alarm.whenSo')}>
          <View role="group" aria-label={t('alarm.whenSo')} className="flex-row flex-wrap gap-2">
            {situations.map(({ id, name }) => (
              <Button key={id} onPress={() => onSet({ kind: 'situation', situation: id })}>
                {name}
              </Button>
            ))}
          </View>
        </Labelled>
      ) : (
        <Txt size={15} tone="muted">
          {t('alarm.noSituations')}
        </Txt>
      )}
    </View>
  );
}
