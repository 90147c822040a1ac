import type { Ahead } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { DuePanel, nameOf } from '@/features/item';
import { RuleEditor, sayAssigned } from '@/features/rule';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Heading, Sheet, Txt } from '@/ui';
import { t, together } from '@/words';
import { sayExactly, sayMoment } from '@/words/dates.ts';
import { sayRule } from '@/words/rules.ts';
import { oneAhead, type One } from './one.ts';
import { GiveTo, SwapWith } from './turns.tsx';
import { WhichOnes } from './which-ones.tsx';

type Panel = 'move' | 'give' | 'swap' | 'change';

/** An occurrence that is still to come: what, when, whose and why; moved, left out, given or changed from there on. */
export function OccurrenceSheet({ ahead, onClose }: { ahead: Ahead; onClose: () => void }) {
  const [panel, setPanel] = useState<Panel | null>(null);
  const [movedTo, setMovedTo] = useState<string | null>(null);
  const one = oneAhead(ahead);
  const { series, recurrenceId, at } = one;
  if (movedTo !== null) return <WhichOnes one={one} to={movedTo} onDone={onClose} />;
  const back = () => setPanel(null);
  return (
    <Sheet open onClose={onClose} title={series.title} closeLabel={t('common.close')} head={<Heading level={2}>{series.title}</Heading>}>
      {panel === 'move' ? (
        <DuePanel
          of={`move/${series.id} ${recurrenceId}`}
          due={at}
          onSave={(to) => (to === null || to === at ? back() : setMovedTo(to))}
          onClose={back}
          verb={t('calendar.moveHere')}
          none={null}
        />
      ) : panel === 'give' ? (
        <GiveTo one={one} onDone={onClose} />
      ) : panel === 'swap' ? (
        <SwapWith one={one} onDone={onClose} />
      ) : panel === 'change' ? (
        <View className="gap-4 pt-2">
          <RuleEditor of={{ item: null, series, recurrenceId }} onClose={onClose} />
        </View>
      ) : (
        <View className="gap-4 pt-2">
          <About ahead={ahead} />
          <Ways one={one} onOpen={setPanel} onDone={onClose} />
        </View>
      )}
    </Sheet>
  );
}

function About({ ahead: { series, occurrence, assigned } }: { ahead: Ahead }) {
  const { rows } = useOpenHouse();
  const names = assigned.personIds.map((id) => nameOf(rows, id));
  const why = sayAssigned(assigned.turn, assigned.personIds[0] ?? null, rows);
  const rule = sayRule(series);
  return (
    <View className="gap-1">
      <Txt face="bold">{sayExactly(occurrence.at)}</Txt>
      <Txt>{why ?? (names.length > 0 ? together(names) : t('occurrence.nobody'))}</Txt>
      <Txt tone="muted">{rule.charAt(0).toUpperCase() + rule.slice(1)}</Txt>
      {series.notes ? <Txt tone="muted">{series.notes}</Txt> : null}
      {series.steps.length > 0 ? <Txt tone="muted">{t('occurrence.steps', { steps: together(series.steps) })}</Txt> : null}
    </View>
  );
}

function Ways({ one, onOpen, onDone }: { one: One; onOpen: (panel: Panel) => void; onDone: () => void }) {
  const { house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const { series, recurrenceId, at, personId } = one;
  const { title } = series;
  const it = { series: series.id, recurrenceId };
  const act = (name: 'chore.skip' | 'chore.end', words: string) => {
    if (!submit(name, it, { words, undo: true })) onDone();
  };
  return (
    <View className="gap-2">
      <Button onPress={() => onOpen('move')}>{t('calendar.move')}</Button>
      <Button onPress={() => onOpen('give')}>{t('calendar.give')}</Button>
      {series.personIds.length > 1 && personId !== null ? <Button onPress={() => onOpen('swap')}>{t('calendar.swap')}</Button> : null}
      <Button onPress={() => act('chore.skip', t('said.skipped', { title }))}>{t('rule.skip')}</Button>
      <Button onPress={() => onOpen('change')}>{t('occurrence.change', { when: sayMoment(at, now, house.zone) })}</Button>
      <Button onPress={() => act('chore.end', t('said.choreEnded', { title }))}>{t('occurrence.end')}</Button>
    </View>
  );
}
