import { calendarDateOf, choresOnlyOf, isHere, linksKnownTo, openParts } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Choice, Foot, Heading, Sheet, Txt } from '@/ui';
import { t, together } from '@/words';
import { sayInstant } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';

/** Ending someone's access: first who takes each of the things they still have in hand. */
export function EndSheet({ personId, onClose }: { personId: string; onClose: () => void }) {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const person = rows.find('person', personId);
  const [keptLinks, setKeptLinks] = useState<string[]>([]);
  const [chosen, setChosen] = useState<Record<string, string>>({});
  const [error, setError] = useState<string | null>(null);
  if (person === undefined) return null;
  const items = openParts(rows.all('part'))
    .filter((part) => part.personId === personId)
    .flatMap((part) => {
      const item = rows.find('item', part.itemId);
      return item === undefined || item.removedAt ? [] : [item];
    });
  const chores = choresOnlyOf(personId, calendarDateOf(now, house.zone), rows);
  const others = rows
    .all('person')
    .filter((one) => isHere(one) && one.id !== personId)
    .sort((a, b) => a.name.localeCompare(b.name));
  // who leaves by themselves takes nothing from the others
  const links = me.id === personId ? [] : linksKnownTo(person, now, rows).filter(({ uses }) => uses === 'several');
  const keep = (id: string, kept: boolean) => setKeptLinks(kept ? [...keptLinks, id] : keptLinks.filter((one) => one !== id));
  const end = () => {
    const reason = submit(
      'person.end',
      { person: personId, keepLinks: keptLinks, parts: items.map((item) => ({ item: item.id, to: (chosen[item.id] ?? 'later') as 'later' })) },
      { words: t('said.ended', { name: person.name }), ownRefusal: true },
    );
    if (reason) setError(sayReason(reason));
    else onClose();
  };
  const title = t('end.title', { name: person.name });
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-4 pt-2">
        <Txt tone="muted">
          {items.length > 0 ? t('end.openParts', { name: person.name, count: items.length }) : t('end.nothingOpen', { name: person.name })}
        </Txt>
        {chores.length > 0 ? (
          <Txt tone="waits">{t('end.chores', { name: person.name, titles: together(chores.map(({ title }) => `“${title}”`)), count: chores.length })}</Txt>
        ) : null}
        {items.map((item) => (
          <View key={item.id} className="gap-2 border-b border-line pb-3">
            <Txt face="medium">{item.title}</Txt>
            <Choice
              label={t('end.whoTakes', { title: item.title })}
              value={chosen[item.id] ?? 'later'}
              onChange={(to) => setChosen({ ...chosen, [item.id]: to })}
              options={[
                { value: 'later', words: t('end.later') },
                { value: 'nobody', words: t('end.nobody') },
                ...others.map((one) => ({ value: one.id, words: one.name })),
              ]}
            />
          </View>
        ))}
        {links.map(({ id, role, madeAt }) => (
          <View key={id} className="gap-2 border-b border-line pb-3">
            <Txt>{t('end.link', { name: person.name, role: t(`role.${role}`), when: sayInstant(madeAt, now, house.zone) })}</Txt>
            <Choice
              label={t('end.linkWhat')}
              value={keptLinks.includes(id) ? 'keep' : 'withdraw'}
              onChange={(what) => keep(id, what === 'keep')}
              options={[
                { value: 'withdraw', words: t('end.linkWithdraw') },
                { value: 'keep', words: t('end.linkKeep') },
              ]}
            />
          </View>
        ))}
        {error ? (
          <Txt role="alert" tone="late">
            {error}
          </Txt>
        ) : null}
        <Foot>
          <Button kind="main" onPress={end}>
            {t('end.end')}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}
