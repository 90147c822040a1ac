import { NAME_MAX, type Reason } from '@kotiva/core';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { NameSheet } from '@/features/lists';
import { ask } from '@/store/api.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
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
  const { house } = useOpenHouse();
  const now = useNow();
  const [devices, setDevices] = useState<DeviceRow[]>([]);
  const load = () => void ask<{ devices: DeviceRow[] }>('GET', '/me/devices').then((answer) => answer.ok && setDevices(answer.value.devices));
  useEffect(load, []);
  const [naming, setNaming] = useState<Pick<DeviceRow, 'id' | 'label'> | null>(null);
  const name = (id: string, label: string): Reason | null => {
    if (label.length === 0) return { code: 'title-empty', params: {} };
    if (label.length > NAME_MAX) return { code: 'too-long', params: { max: NAME_MAX } };
    void ask('PATCH', `/me/devices/${id}`, { label }).then(load);
    return null;
  };
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
              <>
                <Button kind="quiet" label={t('devices.nameNamed', { device: label })} onPress={() => setNaming({ id, label })}>
                  {t('devices.name')}
                </Button>
                {here ? null : (
                  <Button kind="quiet" onPress={() => void signOut(id)}>
                    {t('account.signOut')}
                  </Button>
                )}
              </>
            }
          />
        ))}
      </Fold>
      {naming ? (
        <NameSheet
          title={naming.label}
          label={t('devices.called')}
          verb={t('common.save')}
          startsAs={naming.label}
          onName={(label) => name(naming.id, label.trim())}
          onClose={() => setNaming(null)}
        />
      ) : null}
    </View>
  );
}
