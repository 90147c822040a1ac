import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { ask } from '@/store/api.ts';
import { useNow, usePlace } from '@/store/store.ts';
import { Button, Fold, Row } from '@/ui';
import { t } from '@/words';
import { sayInstant } from '@/words/dates.ts';

interface DeviceRow {
  id: string;
  label: string;
  lastSeenAt: string;
  here: boolean;
}

/** The browsers one is signed in on; each can be signed out from here. */
export function Devices() {
  const { house } = usePlace();
  const now = useNow();
  const [devices, setDevices] = useState<DeviceRow[]>([]);
  const load = () => void ask<{ devices: DeviceRow[] }>('GET', '/me/devices').then((answer) => answer.ok && setDevices(answer.value.devices));
  useEffect(load, []);
  const signOut = async (id: string) => {
    await ask('DELETE', `/me/devices/${id}`);
    load();
  };
  return (
    <View>
      <Fold words={t('devices.title', { count: devices.length })}>
        {devices.map(({ id, label, lastSeenAt, here }) => (
          <Row
            key={id}
            title={label}
            sub={here ? t('devices.here') : t('devices.seen', { when: sayInstant(lastSeenAt, now, house.zone) })}
            trail={
              here ? null : (
                <Button kind="quiet" onPress={() => void signOut(id)}>
                  {t('account.signOut')}
                </Button>
              )
            }
          />
        ))}
      </Fold>
    </View>
  );
}
