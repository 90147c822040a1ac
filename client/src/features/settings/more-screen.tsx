import { isHere } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { FirstHouseScreen, useMe, useSession } from '@/features/account';
import { Screen } from '@/features/shell';
import { useOpenHouse } from '@/store/store.ts';
import { Button, GroupHead, Icon, PersonMark, Row } from '@/ui';
import { t } from '@/words';
import { DeviceChoices } from './device-choices.tsx';
import { Devices } from './devices.tsx';
import { HouseSettings } from './house-settings.tsx';
import { Labels } from './labels.tsx';
import { CaptureTokens } from './capture-tokens.tsx';
import { SignOuts } from './sign-outs.tsx';
import { Invitations } from './invitations.tsx';
import { EndSheet } from './end-sheet.tsx';
import { NoticeSettings } from './notice-settings.tsx';
import { PersonSheet } from './person-sheet.tsx';
import { Profile } from './profile.tsx';
import { ThemeChoice } from './theme-choice.tsx';

/** People, invitations, the house, oneself. */
export function MoreScreen() {
  const { rows, me, house } = useOpenHouse();
  const { houses, demo } = useMe();
  const { choose } = useSession();
  const router = useRouter();
  const [sheet, setSheet] = useState<string | 'new' | null>(null);
  const [ending, setEnding] = useState<string | null>(null);
  const [making, setMaking] = useState(false);
  const manager = me.role === 'manager';
  const people = rows
    .all('person')
    .filter(isHere)
    .sort((a, b) => a.name.localeCompare(b.name));
  if (making) return <FirstHouseScreen onCancel={() => setMaking(false)} />;
  return (
    <Screen title={t('nav.more')} sub={house.name}>
      <View className="lg:grid lg:grid-cols-2 lg:gap-x-10">
        <View>
          <GroupHead title={t('people.title')} count={people.length} />
          {people.map((person) => (
            <Row
              key={person.id}
              lead={<PersonMark looks={person} size={32} />}
              title={person.name}
              sub={t(`role.${person.role}`)}
              onPress={() => router.push(`/people/${person.id}`)}
              trail={
                manager ? (
                  <Button kind="quiet" label={t('people.changeNamed', { name: person.name })} onPress={() => setSheet(person.id)}>
                    {t('common.change')}
                  </Button>
                ) : null
              }
            />
          ))}
          {manager ? (
            <View className="px-4 py-3">
              <Button icon="plus" onPress={() => setSheet('new')}>
                {t('people.addWithout')}
              </Button>
            </View>
          ) : null}
          {manager ? <Invitations /> : null}
        </View>
        <View>
          <View className="items-start px-2 pt-3">
            <Button kind="quiet" onPress={() => router.push('/activity')}>
              {t('activity.open')}
            </Button>
            <Button kind="quiet" onPress={() => router.push('/places')}>
              {t('places.open')}
            </Button>
            {demo ? (
              <Button kind="quiet" onPress={() => router.push('/phones')}>
                {t('phones.open')}
              </Button>
            ) : null}
          </View>
          <Profile />
          <ThemeChoice />
          <NoticeSettings />
          <DeviceChoices />
          {manager ? <HouseSettings /> : null}
          <Labels />
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
            <Button kind="quiet" onPress={() => setMaking(true)}>
              {t('houses.makeAnother')}
            </Button>
          </View>
          <CaptureTokens />
          <Devices />
          <SignOuts />
        </View>
      </View>
      {sheet ? (
        <PersonSheet
          personId={sheet === 'new' ? null : sheet}
          onClose={() => setSheet(null)}
          onEnd={(id) => {
            setSheet(null);
            setEnding(id);
          }}
        />
      ) : null}
      {ending ? <EndSheet personId={ending} onClose={() => setEnding(null)} /> : null}
    </Screen>
  );
}
