import { useState } from 'react';
import { View } from 'react-native';
import { playTied, setSound, soundIsOn } from '@/features/item';
import { GroupHead, keysAreOn, setKeys, Switch, useWide } from '@/ui';
import { t } from '@/words';

/** What is so on this device only: a sound on checking off, and keys that do things. */
export function DeviceChoices() {
  const wide = useWide();
  const [sound, chooseSound] = useState(soundIsOn);
  const [keys, chooseKeys] = useState(keysAreOn);
  return (
    <View>
      <GroupHead title={t('device.title')} />
      <View className="px-4 pb-2">
        <Switch
          words={t('device.sound')}
          on={sound}
          onChange={(on) => {
            setSound(on);
            chooseSound(on);
            playTied();
          }}
        />
        {wide ? (
          <Switch
            words={t('device.keys')}
            on={keys}
            onChange={(on) => {
              setKeys(on);
              chooseKeys(on);
            }}
          />
        ) : null}
      </View>
    </View>
  );
}
