import { byArrival, calendarDateOf, isHere, openParts } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useDispatch } from 'react-redux';
import { memo } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { useAgenda } from '@/store/agenda.ts';
import { narrowed, useNarrowed, useNow, useOpenHouse } from '@/store/store.ts';
import { Band, PersonMark } from '@/ui';
import { t } from '@/words';

/** A full day's worth of things in the little band below a mark. */
const FULL = 8;

/** Everyone in the house. A tap narrows the screen to one of them, another widens it; a long press opens their page. */
export const PeopleStrip = memo(function PeopleStrip() {
  const { rows, house, me } = useOpenHouse();
  const now = useNow();
  const narrow = useNarrowed();
  const dispatch = useDispatch();
  const router = useRouter();
  const people = rows
    .all('person')
    .filter(isHere)
    .sort((a, b) => (a.id === me.id ? -1 : b.id === me.id ? 1 : byArrival(a, b)));
  const today = calendarDateOf(now, house.zone);
  const mine = useAgenda();
  const openOf = (personId: string) =>
    personId === me.id
      ? mine.filter(({ where }) => where === 'today').length
      : openParts(rows.all('part')).filter((part) => part.personId === personId && isForToday(part.itemId)).length;
  const isForToday = (itemId: string) => {
    const item = rows.find('item', itemId);
    return item !== undefined && !item.removedAt && (item.due ?? '9').slice(0, 10) <= today;
  };
  return (
    <ScrollView horizontal showsHorizontalScrollIndicator={false} role="group" aria-label={t('people.strip')} contentContainerClassName="gap-1 px-3">
      {people.map((person) => {
        const count = openOf(person.id);
        const on = narrow === person.id;
        return (
          <Pressable
            key={person.id}
            role="button"
            aria-pressed={on}
            aria-label={t('people.inStrip', { name: person.name, mark: person.mark, count })}
            onPress={() => dispatch(narrowed(person.id))}
            onLongPress={() => router.push(`/people/${person.id}`)}
            className={`min-h-11 w-11 items-center gap-1 ${narrow && !on ? 'opacity-45' : ''}`}
          >
            <PersonMark looks={person} size={34} />
            <View>
              <Band share={count / FULL} width={34} height={6} colour={person.colour} />
            </View>
          </Pressable>
        );
      })}
    </ScrollView>
  );
});
