import { addDays, calendarDateOf, daysBetween, dependsOn, waitsOf, type Wait } from '@kotiva/core';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { DuePanel, nameOf, personOf, useOpenItem } from '@/features/item';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, GroupHead, Menu, Row, type MenuEntry } from '@/ui';
import { t } from '@/words';
import { wordsOfWait } from '@/words/waits.ts';
import { sayMoment } from '@/words/dates.ts';
import { ActionSheet } from './action-sheet.tsx';

/** What one marked as waiting, on items and on single steps, also for people outside: wherever they lie, all together. */
export const MyWaits = memo(function MyWaits({ personId, title = t('wait.mine') }: { personId: string | null; title?: string }) {
  const { rows, me } = useOpenHouse();
  const waits = waitsOf(me.id, rows).filter((wait) => personId === null || wait.personId === personId);
  if (waits.length === 0) return null;
  return (
    <View role="region" aria-label={title}>
      <GroupHead title={title} count={waits.length} tone="waits" />
      {waits.map((wait) => (
        <WaitRow key={wait.id} wait={wait} />
      ))}
    </View>
  );
});

const sayWaited = (days: number): string => (days === 0 ? t('wait.today') : t('wait.days', { count: days }));

function WaitRow({ wait }: { wait: Wait }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const open = useOpenItem();
  const [choosing, setChoosing] = useState(false);
  const item = rows.find('item', wait.itemId);
  if (item === undefined) return null;
  const above = item.parentId ? rows.find('item', item.parentId) : undefined;
  /** Who is reached by mail alone is written to from here. */
  const writeTo = ({ personId, words }: Wait, title: string): MenuEntry[] => {
    const person = personId === null ? null : personOf(rows, personId);
    if (person?.role !== 'outside' || !person.email) return [];
    const address = `mailto:${encodeURIComponent(person.email)}?subject=${encodeURIComponent(title)}&body=${encodeURIComponent(t('wait.letter', { words }))}`;
    return [{ key: 'write', words: t('wait.write', { name: person.name }), onPress: () => window.location.assign(address) }];
  };
  const askOn = (day: string | null) => {
    const words = day ? t('said.askOn', { when: sayMoment(day, now, house.zone) }) : t('said.noAskOn');
    if (!submit('wait.change', { wait: wait.id, askOn: day?.slice(0, 10) ?? null }, { words, undo: true })) setChoosing(false);
  };
  const today = calendarDateOf(now, house.zone);
  const words = wordsOfWait(wait, rows);
  const isOnItem = dependsOn(wait) !== null;
  const overdue = wait.askOn !== null && wait.askOn <= today;
  return (
    <>
      <Row
        title={item.title}
        sub={[
          above === undefined ? null : t('wait.stepOf', { title: above.title }),
          wait.personId ? t('wait.forFrom', { words, name: nameOf(rows, wait.personId) }) : t('wait.for', { words }),
          sayWaited(daysBetween(calendarDateOf(wait.since, house.zone), today)),
          wait.askOn ? t('wait.askOn', { when: sayMoment(wait.askOn, now, house.zone) }) : isOnItem ? null : t('wait.noDay'),
        ]
          .filter(Boolean)
          .join(' · ')}
        right={overdue ? t('wait.askNow') : undefined}
        rightTone="waits"
        wraps
        onPress={() => open(item.id)}
        trail={
          <>
            <Button
              kind="quiet"
              label={t('follow.actionOn', { verb: t(isOnItem ? 'wait.goOn' : 'wait.end'), title: item.title })}
              onPress={() => submit('wait.end', { wait: wait.id }, { words: t('said.waitEnded', { words }), undo: true })}
            >
              {t(isOnItem ? 'wait.goOn' : 'wait.end')}
            </Button>
            <Menu
              label={t('row.more', { title: item.title })}
              entries={[
                { key: 'week', words: t('wait.inAWeek'), onPress: () => askOn(addDays(today, 7)) },
                { key: 'day', words: t('wait.anotherDay'), onPress: () => setChoosing(true) },
                ...writeTo(wait, item.title),
              ]}
            />
          </>
        }
      />
      {choosing ? (
        <ActionSheet title={t('wait.day')} onClose={() => setChoosing(false)}>
          <DuePanel of={`wait/${wait.id}`} due={wait.askOn} onSave={askOn} onClose={() => setChoosing(false)} none={t('wait.noDay')} />
        </ActionSheet>
      ) : null}
    </>
  );
}
