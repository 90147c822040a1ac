import { addDays, alarmMoment, anchorDates, calendarDateOf, isHere, partId, wallClockOf, type Anchor, type Item, type Trigger } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Choice, ErrorLine, Field, Fold, Foot, MomentInput, Switch, Txt } from '@/ui';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';
import { givenParts, nameOf } from './knot-of.ts';
import { OccasionReminders } from './occasion-reminders.tsx';
import { PlaceReminderForm } from './place-reminder-form.tsx';
import { alarmsOf, sayRing, sayTrigger, sayTriggerFor } from './say-alarm.ts';

const BEFORE = ['PT0M', '-PT15M', '-PT1H', '-P1D', '-P2D', '-P1W'] as const;

/** One's reminders of an item: those there are, the usual moments with what they come to, and a moment of one's own. */
export function RemindersPanel({ item, canChange, onClose }: { item: Item; canChange: boolean; onClose: () => void }) {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const [whose, setWhose] = useState(me.id);
  const [everyTime, setEveryTime] = useState(false);
  const comesBack = item.seriesId !== null && canChange;
  const [error, setError] = useState<string | null>(null);
  const part = rows.find('part', partId(item.id, whose));
  const dates = anchorDates(item, part ?? null);
  const alarms = alarmsOf(rows, item.id, whose);
  const saying = { rows, now, zone: house.zone };
  const others = canChange ? givenParts(rows, item.id).filter((one) => one.personId !== me.id && !one.passedTo && isStillHere(one.personId)) : [];

  function isStillHere(id: string | null): boolean {
    const person = id ? rows.find('person', id) : undefined;
    return person !== undefined && isHere(person);
  }
  function set(trigger: Trigger): boolean {
    const words = t('said.reminder', { when: sayTrigger(trigger, saying) });
    const reason = submit('alarm.set', { item: item.id, person: whose, trigger, everyTime: comesBack && everyTime }, { words, undo: true, ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
    return !reason;
  }
  const isPast = (trigger: Trigger): boolean => {
    const moment = alarmMoment(trigger, dates, house);
    return moment !== null && moment <= now;
  };
  const resulting = (trigger: Trigger): string | null => {
    const moment = alarmMoment(trigger, dates, house);
    return moment === null || moment <= now ? null : sayMoment(wallClockOf(moment, house.zone), now, house.zone);
  };
  const to = item.due ? 'due' : dates.plan ? 'plan' : item.start ? 'start' : 'due';
  const usual = [...laterMoments(now, house.zone, house.dayParts.evening), ...BEFORE.map((offset) => ({ kind: 'relative', to, offset }) as const)].flatMap(
    (trigger) => {
      if (alarms.some((alarm) => JSON.stringify(alarm.trigger) === JSON.stringify(plain(trigger)))) return [];
      const when = resulting(trigger);
      const words = trigger.kind === 'absolute' ? trigger.words : sayTrigger(trigger, saying);
      // without a date the wish can be kept; what has passed is not offered
      if (when === null && (trigger.kind === 'absolute' || dates[to] !== null)) return [];
      return [{ trigger: plain(trigger), words: when ? t('alarm.offer', { words, when }) : words }];
    },
  );

  return (
    <View className="my-2 gap-3 rounded-sheet bg-ground p-4">
      {others.length > 0 ? (
        <Choice
          label={t('alarm.whom')}
          value={whose}
          options={[{ value: me.id, words: t('alarm.me') }, ...others.map((one) => ({ value: one.personId!, words: nameOf(rows, one.personId) }))]}
          onChange={setWhose}
        />
      ) : null}
      {alarms.map((alarm) => (
        <View key={alarm.id} className="min-h-11 flex-row items-center gap-2">
          <View className="min-w-0 grow shrink basis-0">
            <Txt face="medium">{sayTriggerFor(alarm, { ...saying, me })}</Txt>
            <Txt size={15} tone="muted">
              {sayRing(alarm, house, rows, now)}
            </Txt>
          </View>
          {alarm.personId === me.id || alarm.makerId === me.id ? (
            <Button
              kind="quiet"
              label={t('alarm.removeNamed', { what: sayTrigger(alarm.trigger, saying) })}
              onPress={() => submit('alarm.remove', { alarms: [alarm.id], everyTime: comesBack && everyTime }, { words: t('said.noReminder'), undo: true })}
            >
              {t('alarm.remove')}
            </Button>
          ) : null}
        </View>
      ))}
      {comesBack ? <Switch words={t('alarm.everyTime')} on={everyTime} onChange={setEveryTime} /> : null}
      {dates[to] === null ? (
        <Txt size={15} tone="waits">
          {t('alarm.noDate')}
        </Txt>
      ) : null}
      <View role="group" aria-label={t('alarm.usual')} className="flex-row flex-wrap gap-2">
        {usual.map(({ trigger, words }) => (
          <Button key={words} onPress={() => set(trigger)}>
            {words}
          </Button>
        ))}
      </View>
      <View className="-mx-4">
        <Fold words={t('alarm.atPlace')}>
          <View className="px-4 pb-3">
            <PlaceReminderForm item={item} onSet={set} />
          </View>
        </Fold>
        <Fold words={t('alarm.occasion')}>
          <View className="px-4 pb-3">
            <OccasionReminders onSet={set} own={whose === me.id} />
          </View>
        </Fold>
        <Fold words={t('alarm.own')}>
          <View className="gap-4 px-4 pb-2">
            <OwnOffset onSet={set} sayMoment={resulting} isPast={isPast} to={to} />
            <OwnMoment onSet={set} isPast={isPast} today={calendarDateOf(now, house.zone)} />
          </View>
        </Fold>
      </View>
      <ErrorLine says={error} />
      <View className="flex-row">
        <Button kind="quiet" onPress={onClose}>
          {t('common.close')}
        </Button>
      </View>
    </View>
  );
}

type Timed = Extract<Trigger, { kind: 'absolute' | 'relative' }>;

const plain = (trigger: Timed & { words?: string }): Timed =>
  trigger.kind === 'absolute' ? { kind: 'absolute', at: trigger.at } : { kind: 'relative', to: trigger.to, offset: trigger.offset };

/** Moments people mean often, whatever the dates: this evening, tomorrow morning, next week. */
function laterMoments(now: string, zone: string, evening: string) {
  const today = calendarDateOf(now, zone);
  const monday = addDays(today, (8 - new Date(`${today}T00:00:00Z`).getUTCDay()) % 7 || 7);
  return [
    { kind: 'absolute', at: `${today}T${evening}`, words: t('alarm.evening') },
    { kind: 'absolute', at: `${addDays(today, 1)}T08:00`, words: t('alarm.tomorrow') },
    { kind: 'absolute', at: `${monday}T08:00`, words: t('alarm.nextWeek') },
  ] as const;
}

const UNITS = { minutes: 'PTxM', hours: 'PTxH', days: 'PxD', weeks: 'PxW' } as const;
type Unit = keyof typeof UNITS;

/** So long before or after one of the dates, with what that comes to before it is set. */
interface OwnProps {
  onSet: (trigger: Trigger) => boolean;
  isPast: (trigger: Trigger) => boolean;
}

function OwnOffset({ to, onSet, sayMoment, isPast }: OwnProps & { to: Anchor; sayMoment: (trigger: Trigger) => string | null }) {
  const [count, setCount] = useState('3');
  const [unit, setUnit] = useState<Unit>('days');
  const [side, setSide] = useState<'before' | 'after'>('before');
  const [anchor, setAnchor] = useState<Anchor>(to);
  const [error, setError] = useState<string | null>(null);
  const valid = /^[1-9]\d{0,2}$/.test(count.trim());
  const trigger: Trigger = { kind: 'relative', to: anchor, offset: `${side === 'before' ? '-' : ''}${UNITS[unit].replace('x', count.trim())}` };
  const when = valid ? sayMoment(trigger) : null;
  const past = valid && isPast(trigger);
  return (
    <View className="gap-3">
      <Field
        label={t('alarm.count')}
        value={count}
        inputMode="numeric"
        onChangeText={(next) => {
          setCount(next);
          setError(null);
        }}
        error={error}
        className="max-w-[140px]"
      />
      <Choice
        label={t('alarm.unit')}
        value={unit}
        options={(['minutes', 'hours', 'days', 'weeks'] as const).map((value) => ({ value, words: t(`alarm.unit.${value}`) }))}
        onChange={setUnit}
      />
      <Choice
        label={t('alarm.side')}
        value={side}
        options={[
          { value: 'before', words: t('alarm.side.before') },
          { value: 'after', words: t('alarm.side.after') },
        ]}
        onChange={setSide}
      />
      <Choice
        label={t('alarm.anchor')}
        value={anchor}
        options={(['due', 'plan', 'start'] as const).map((value) => ({ value, words: t(`alarm.anchor.${value}`) }))}
        onChange={setAnchor}
      />
      <Foot>
        <View className="flex-row flex-wrap items-center gap-3">
          <Button kind="main" onPress={() => (valid ? void onSet(trigger) : setError(t('alarm.notANumber')))}>
            {t(past ? 'alarm.setAnyway' : 'alarm.set')}
          </Button>
          {past ? (
            <Txt role="alert" size={15} tone="waits" className="min-w-0 shrink">
              {t('alarm.pastAlready')}
            </Txt>
          ) : when ? (
            <Txt size={15} tone="muted">
              {t('alarm.rings', { when })}
            </Txt>
          ) : null}
        </View>
      </Foot>
    </View>
  );
}

function OwnMoment({ today, onSet, isPast }: OwnProps & { today: string }) {
  const [date, setDate] = useState(today);
  const [time, setTime] = useState('');
  const trigger = { kind: 'absolute' as const, at: `${date}T${time}` };
  const past = date !== '' && time !== '' && isPast(trigger);
  return (
    <View className="flex-row flex-wrap items-end gap-3">
      <MomentInput label={t('alarm.day')} kind="date" value={date} onChange={setDate} />
      <MomentInput label={t('due.hour')} kind="time" value={time} onChange={setTime} />
      <Button disabled={!date || !time || past} onPress={() => onSet(trigger)}>
        {t('alarm.setThen')}
      </Button>
      <ErrorLine says={past ? t('alarm.momentPast') : null} />
    </View>
  );
}
