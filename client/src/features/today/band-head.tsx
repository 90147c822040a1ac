import type { DayBand } from '@kotiva/core';
import isEqual from 'fast-deep-equal';
import { memo } from 'react';
import { Pressable, View } from 'react-native';
import { useDispatch } from 'react-redux';
import { narrowed, useOpenHouse } from '@/store/store.ts';
import { Band, PersonMark, Txt } from '@/ui';
import { t } from '@/words';
import { sayHours } from '@/words/amounts.ts';

/** Whose band it is, and how full the day is: a tap narrows the screen to that person. Others' loads are for managers. */
export const BandHead = memo(function BandHead({ band: { person, load, guesses, capacity } }: { band: DayBand }) {
  const { me } = useOpenHouse();
  const dispatch = useDispatch();
  const showsLoad = me.id === person.id || me.role === 'manager';
  const full = capacity !== null && load > capacity;
  const words = capacity === null ? t('load.hours', { hours: sayHours(load) }) : t('load.of', { load: sayHours(load), capacity: sayHours(capacity) });
  const guess = guesses > 0 ? t('load.guesses', { count: guesses }) : '';
  return (
    <View role="rowheader" className="w-44">
      <Pressable role="button" onPress={() => dispatch(narrowed(person.id))} className="min-h-14 flex-row items-center gap-2.5">
        <PersonMark looks={person} size={36} />
        <View className="min-w-0 shrink">
          <Txt face="bold" numberOfLines={1}>
            {person.name}
          </Txt>
          {showsLoad && (load > 0 || capacity !== null) ? (
            <View className="flex-row items-center gap-1.5">
              {capacity === null ? null : <Band share={capacity === 0 ? Number(load > 0) : load / capacity} width={48} height={8} colour={person.colour} />}
              <Txt size={13} face={full ? 'bold' : 'read'} tone={full ? 'waits' : 'muted'} numberOfLines={1}>
                {words}
              </Txt>
              {guess ? <Txt className="sr-only">{guess}</Txt> : null}
            </View>
          ) : null}
        </View>
      </Pressable>
    </View>
  );
}, isEqual);
