import { useState } from 'react';
import { View } from 'react-native';
import { playTied, setSound, soundIsOn } from '@/features/item';
import { GroupHead, keysAreOn, LabelledChoice, setKeys, Switch, useWide } from '@/ui';
import { t } from '@/words';
import {
  dateOrder,
  setDateOrder,
  type DateOrder,
  hourCycle,
  sayHour,
  setHourCycle,
  setWeekStart,
  WEEK_STARTS,
  weekStart,
  type HourCycle,
  type WeekStart,
} from '@/words/customs.ts';
import { sayWeekdayLong, shortDayIn } from '@/words/dates.ts';

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

/** How hours and weeks are read here; the next page that is opened has it. */
export function CustomsChoice() {
  const [hours, setHours] = useState(hourCycle);
  const [order, setOrder] = useState(dateOrder);
  const [start, setStart] = useState(weekStart);
  return (
    <View>
      <GroupHead title={t('customs.title')} />
      <View className="gap-3 px-4 pb-2">
        <LabelledChoice<HourCycle>
          label={t('customs.hours')}
          value={hours}
          options={(['24', '12'] as const).map((value) => ({ value, words: sayHour('17:30', value) }))}
          onChange={(next) => {
            setHourCycle(next);
            setHours(next);
          }}
        />
        <LabelledChoice<DateOrder>
          label={t('customs.dates')}
          value={order}
          options={(['day', 'month'] as const).map((value) => ({ value, words: shortDayIn(value, '2026-12-04') }))}
          onChange={(next) => {
            setDateOrder(next);
            setOrder(next);
          }}
        />
        <LabelledChoice<`${WeekStart}`>
          label={t('customs.weekStart')}
          value={`${start}`}
          options={WEEK_STARTS.map((day) => ({ value: `${day}` as const, words: sayWeekdayLong(day) }))}
          onChange={(next) => {
            setWeekStart(Number(next) as WeekStart);
            setStart(Number(next) as WeekStart);
          }}
        />
      </View>
    </View>
  );
}
