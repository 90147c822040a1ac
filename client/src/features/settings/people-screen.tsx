import { isHere } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Screen } from '@/features/shell';
import { useOpenHouse } from '@/store/store.ts';
import { Button, PersonMark, Row, useSheetAt } from '@/ui';
import { t } from '@/words';
import { GroupsPart } from './groups-part.tsx';
import { EndSheet } from './end-sheet.tsx';
import { Invitations } from './invitations.tsx';
import { PersonSheet } from './person-sheet.tsx';

/** Everyone in the house, and links that let more in. */
export function PeopleScreen() {
  const { rows, me } = useOpenHouse();
  const router = useRouter();
  const [sheet, setSheet] = useSheetAt('person');
  const [ending, setEnding] = useState<string | null>(null);
  const manager = me.role === 'manager';
  const people = rows
    .all('person')
    .filter(isHere)
    .sort((a, b) => a.name.localeCompare(b.name));
  return (
    <Screen title={t('people.title')} sub={t('more.sub.people', { count: people.length })}>
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
                {t('common.edit')}
              </Button>
            ) : null
          }
        />
      ))}
      {manager ? (
        <>
          <View className="px-4 py-3">
            <Button icon="plus" onPress={() => setSheet('new')}>
              {t('people.addWithout')}
            </Button>
          </View>
          <Invitations />
        </>
      ) : null}
      <GroupsPart />
      {sheet && manager && (sheet === 'new' || people.some(({ id }) => id === sheet)) ? (
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
