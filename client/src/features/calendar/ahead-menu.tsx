import { isHere, type Ahead } from '@kotiva/core';
import { useState } from 'react';
import { DuePanel } from '@/features/item';
import { useGive } from '@/store/live-house.tsx';
import { useNow, usePlace } from '@/store/store.ts';
import { Button, Heading, Menu, Sheet } from '@/ui';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';

/** What can be done about one occurrence that is still to come: moved, left out, given to somebody, swapped with another. */
export function AheadMenu({ ahead: { series, occurrence } }: { ahead: Ahead }) {
  const { house } = usePlace();
  const now = useNow();
  const give = useGive();
  const [open, setOpen] = useState<'move' | 'give' | null>(null);
  const one = { series: series.id, recurrenceId: occurrence.recurrenceId };
  const close = () => setOpen(null);
  const move = (at: string | null) => {
    if (at === null) return close();
    if (!give('chore.move', { ...one, at }, { words: t('said.choreMoved', { title: series.title, when: sayMoment(at, now, house.zone) }), undo: true }))
      close();
  };
  return (
    <>
      <Menu
        label={t('row.more', { title: series.title })}
        entries={[
          { key: 'move', words: t('calendar.move'), onPress: () => setOpen('move') },
          { key: 'give', words: t('calendar.give'), onPress: () => setOpen('give') },
          {
            key: 'skip',
            words: t('rule.skip'),
            onPress: () => void give('chore.skip', one, { words: t('said.skipped', { title: series.title }), undo: true }),
          },
          {
            key: 'end',
            words: t('rule.noMore'),
            late: true,
            onPress: () => void give('chore.end', one, { words: t('said.choreEnded', { title: series.title }), undo: true }),
          },
        ]}
      />
      {open ? (
        <Sheet open onClose={close} title={series.title} closeLabel={t('common.close')} head={<Heading level={2}>{series.title}</Heading>}>
          {open === 'move' ? (
            <DuePanel due={occurrence.at} onSave={move} onClose={close} verb={t('calendar.moveHere')} none={null} />
          ) : (
            <GiveTo one={one} title={series.title} onDone={close} />
          )}
        </Sheet>
      ) : null}
    </>
  );
}

function GiveTo({ one, title, onDone }: { one: { series: string; recurrenceId: string }; title: string; onDone: () => void }) {
  const { rows } = usePlace();
  const give = useGive();
  return rows
    .all('person')
    .filter((person) => isHere(person) && person.role !== 'outside')
    .map((person) => (
      <Button
        key={person.id}
        kind="quiet"
        onPress={() => {
          if (!give('chore.giveTurn', { ...one, person: person.id }, { words: t('said.choreGiven', { title, name: person.name }), undo: true })) onDone();
        }}
      >
        {person.name}
      </Button>
    ));
}
