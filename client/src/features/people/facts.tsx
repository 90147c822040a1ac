import { calendarDateOf, daySheet, latenessOf, type Person } from '@kotiva/core';
import { View } from 'react-native';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { useBeyond } from '@/store/use-beyond.ts';
import { Address, Txt } from '@/ui';
import { t } from '@/words';
import { sayDuration } from '@/words/amounts.ts';
import { dayMonth } from '@/words/dates.ts';

/** How to reach somebody, when they are away, and, for managers and themselves, how likely they are late. */
export function Facts({ person }: { person: Person }) {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const today = calendarDateOf(now, house.zone);
  const away = rows
    .by('timeAway', 'personId', person.id)
    .filter((one) => one.removedAt === null && one.to >= today)
    .sort((a, b) => (a.from < b.from ? -1 : 1))[0];
  const sees = me.role === 'manager' || me.id === person.id;
  const [band] = sees ? daySheet([person], { now, house }, rows, rows.by('capacity', 'personId', person.id)) : [];
  useBeyond(sees ? { person: person.id } : null);
  const lateness = sees ? latenessOf(person.id, rows, now, house.zone) : null;
  if (!person.email && !person.phone && !person.contact && !away && !lateness && !band?.load) return null;
  return (
    <View className="gap-1 px-4 pt-2">
      {person.phone ? <Address url={`tel:${person.phone.replace(/[^+\d]/g, '')}`} words={t('facts.phone', { phone: person.phone })} /> : null}
      {person.email ? <Address url={`mailto:${person.email}`} words={person.email} /> : null}
      {person.contact ? <Txt size={15}>{person.contact}</Txt> : null}
      {away ? (
        <Txt size={15} tone="waits">
          {away.from <= today ? t('facts.awayNow', { to: dayMonth(away.to) }) : t('facts.awayFrom', { from: dayMonth(away.from), to: dayMonth(away.to) })}
        </Txt>
      ) : null}
      {band && band.load > 0 ? (
        <Txt size={15} tone="muted">
          {band.capacity === null
            ? t('facts.load', { load: sayDuration(band.load) })
            : t('facts.loadOf', { load: sayDuration(band.load), of: sayDuration(band.capacity) })}
        </Txt>
      ) : null}
      {lateness ? (
        <Txt size={15} tone="muted">
          {t(`lateness.${lateness.words}`, { late: lateness.late, of: lateness.of })}
        </Txt>
      ) : null}
    </View>
  );
}
