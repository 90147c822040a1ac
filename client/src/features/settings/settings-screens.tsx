import { useState } from 'react';
import { View } from 'react-native';
import { FirstHouseScreen, useMe, useSession } from '@/features/account';
import { BesideMore } from '@/features/more';
import { Screen } from '@/features/shell';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Empty, GroupHead, Icon, Row } from '@/ui';
import { t } from '@/words';
import { CaptureTokens } from './capture-tokens.tsx';
import { CustomsChoice, DeviceChoices } from './device-choices.tsx';
import { Devices } from './devices.tsx';
import { FileRoom } from './file-room.tsx';
import { HouseSettings } from './house-settings.tsx';
import { Labels } from './labels.tsx';
import { NoticeSettings } from './notice-settings.tsx';
import { OwnLooks } from './own-looks.tsx';
import { Profile } from './profile.tsx';
import { SignOuts } from './sign-outs.tsx';
import { ThemeChoice } from './theme-choice.tsx';

/** A page of settings: beside the list of More where there is room. */
function SettingsPage({ title, sub, children }: { title: string; sub: string; children: React.ReactNode }) {
  return (
    <BesideMore>
      <Screen title={title} sub={sub}>
        <View className="max-w-[720px]">{children}</View>
      </Screen>
    </BesideMore>
  );
}

/** How one appears, when one can be reached, one's password and one's houses. */
export function YouScreen() {
  const { me } = useOpenHouse();
  const [making, setMaking] = useState(false);
  if (making) return <FirstHouseScreen onCancel={() => setMaking(false)} />;
  return (
    <SettingsPage title={t('profile.title')} sub={me.name}>
      <Profile />
      <Houses onMake={() => setMaking(true)} />
    </SettingsPage>
  );
}

function Houses({ onMake }: { onMake: () => void }) {
  const { house } = useOpenHouse();
  const { houses } = useMe();
  const { choose } = useSession();
  return (
    <View>
      <GroupHead title={t('houses.title')} />
      {houses.map((one) => (
        <Row
          key={one.houseId}
          lead={<Icon name="house" tone={one.houseId === house.id ? 'pine' : 'muted'} />}
          title={one.name}
          sub={t(`role.${one.role as 'member'}`)}
          right={one.houseId === house.id ? t('houses.here') : undefined}
          rightTone="pine"
          onPress={() => choose(one.houseId)}
        />
      ))}
      <View className="items-start px-4 py-2">
        <Button kind="quiet" onPress={onMake}>
          {t('houses.makeAnother')}
        </Button>
      </View>
    </View>
  );
}

/** How it looks and sounds here, where one is signed in, and signing out. */
export function DeviceScreen() {
  return (
    <SettingsPage title={t('settings.device')} sub={t('more.sub.device')}>
      <ThemeChoice />
      <OwnLooks />
      <CustomsChoice />
      <DeviceChoices />
      <Devices />
      <SignOuts />
    </SettingsPage>
  );
}

export function NotificationsScreen() {
  return (
    <SettingsPage title={t('notify.title')} sub={t('more.sub.notifications')}>
      <NoticeSettings />
    </SettingsPage>
  );
}

/** Its name, its time, its holidays: a manager's. */
export function HouseScreen() {
  const { me, house } = useOpenHouse();
  return (
    <SettingsPage title={t('house.title')} sub={t('house.summary', { name: house.name, zone: house.zone })}>
      {me.role === 'manager' ? <HouseSettings /> : <Empty words={t('house.managersOnly')} />}
      <FileRoom />
    </SettingsPage>
  );
}

/** What comes in from elsewhere. */
export function DataScreen() {
  return (
    <SettingsPage title={t('settings.data')} sub={t('more.sub.data')}>
      <CaptureTokens />
    </SettingsPage>
  );
}

/** The words things are found and chosen by. */
export function LabelsScreen() {
  return (
    <Screen title={t('labels.title')}>
      <Labels />
    </Screen>
  );
}
