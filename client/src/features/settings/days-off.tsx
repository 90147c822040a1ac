import { calendarDateOf, daysOffOf } from '@kotiva/core';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { ask } from '@/store/api.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, ErrorLine, Field, MomentInput, Row, Txt } from '@/ui';
import { t } from '@/words';
import { dayMonth, sayDay } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';

interface RegionName {
  region: string;
  name: string;
}

const MATCHES = 6;
const NEXT = 3;

/** The days nobody is expected to work on: the public ones of a region, and the house's own. Chores move away from them. */
export function DaysOff() {
  const { house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  const next = [...daysOffOf(house)].filter(([date]) => date >= today).sort(([a], [b]) => (a < b ? -1 : 1));
  return (
    <View className="gap-5">
      <RegionChoice />
      {next.length > 0 ? (
        <Txt size={15} tone="muted">
          {t('daysOff.next', {
            days: next
              .slice(0, NEXT)
              .map(([date, name]) => (name ? `${sayDay(date, today)} (${name})` : sayDay(date, today)))
              .join(', '),
          })}
        </Txt>
      ) : null}
      <OwnDaysOff today={today} />
    </View>
  );
}

function RegionChoice() {
  const { house } = useOpenHouse();
  const submit = useSubmit();
  const [regions, setRegions] = useState<RegionName[] | null>(null);
  const [typed, setTyped] = useState('');
  const [offline, setOffline] = useState(false);
  useEffect(() => {
    void ask<{ regions: RegionName[] }>('GET', '/regions').then((answer) => (answer.ok ? setRegions(answer.value.regions) : setOffline(true)));
  }, []);
  const words = typed.trim().toLocaleLowerCase();
  const found = words === '' || !regions ? [] : regions.filter(({ name }) => name.toLocaleLowerCase().includes(words));
  const choose = (region: string | null) => {
    submit('house.change', { region }, { words: t('said.saved'), undo: true });
    setTyped('');
  };
  const now = house.region === null ? null : (regions?.find(({ region }) => region === house.region)?.name ?? house.region);
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap items-center gap-2">
        <Txt className="shrink">{now === null ? t('daysOff.noRegion') : t('daysOff.region', { region: now })}</Txt>
        {now === null ? null : (
          <Button kind="quiet" onPress={() => choose(null)}>
            {t('daysOff.dropRegion')}
          </Button>
        )}
      </View>
      <Field
        label={t('daysOff.find')}
        hint={t('daysOff.findHint')}
        value={typed}
        onChangeText={setTyped}
        error={offline ? t('daysOff.offline') : words !== '' && regions && found.length === 0 ? t('daysOff.none') : null}
        maxLength={60}
      />
      <View className="flex-row flex-wrap gap-2">
        {found.slice(0, MATCHES).map(({ region, name }) => (
          <Button key={region} onPress={() => choose(region)}>
            {name}
          </Button>
        ))}
        {found.length > MATCHES ? (
          <Txt size={15} tone="muted" className="self-center">
            {t('daysOff.more', { count: found.length - MATCHES })}
          </Txt>
        ) : null}
      </View>
    </View>
  );
}

function OwnDaysOff({ today }: { today: string }) {
  const { house } = useOpenHouse();
  const submit = useSubmit();
  const [date, setDate] = useState('');
  const [name, setName] = useState('');
  const [error, setError] = useState<string | null>(null);
  const keep = (daysOff: typeof house.daysOff) => submit('house.change', { daysOff }, { words: t('said.saved'), undo: true, ownRefusal: true });
  const add = () => {
    if (!date) return setError(t('daysOff.needsDay'));
    const reason = keep([...house.daysOff, { date, name: name.trim() }]);
    setError(reason ? sayReason(reason) : null);
    if (reason) return;
    setDate('');
    setName('');
  };
  const coming = house.daysOff.filter((day) => day.date >= today);
  return (
    <View className="gap-3">
      <Txt size={15} face="medium" tone="muted">
        {t('daysOff.own')}
      </Txt>
      {coming.length > 0 ? (
        <View className="-mx-4">
          {coming.map((day) => (
            <Row
              key={day.date}
              title={day.name || dayMonth(day.date)}
              sub={day.name ? dayMonth(day.date) : undefined}
              trail={
                <Button
                  kind="quiet"
                  label={t('daysOff.removeNamed', { when: dayMonth(day.date) })}
                  onPress={() => keep(house.daysOff.filter((one) => one !== day))}
                >
                  {t('away.remove')}
                </Button>
              }
            />
          ))}
        </View>
      ) : null}
      <View className="flex-row flex-wrap items-end gap-3">
        <MomentInput label={t('daysOff.day')} kind="date" value={date} onChange={setDate} />
        <Field label={t('daysOff.name')} value={name} onChangeText={setName} maxLength={80} className="grow" />
      </View>
      <ErrorLine says={error} />
      <View className="items-start">
        <Button label={t('daysOff.add')} onPress={add}>
          {t('away.add')}
        </Button>
      </View>
    </View>
  );
}
