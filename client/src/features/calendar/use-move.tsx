import { shiftedRule, type CalendarEntry } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useGive } from '@/store/live-house.tsx';
import { useNow, usePlace } from '@/store/store.ts';
import { Button, Heading, Sheet, Txt } from '@/ui';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import { oneOf, type One } from './entry.ts';

/** Puts an entry on another day or at another hour. Of a chore it is asked whether only this one is meant, or all that follow too. */
export type Move = (entry: CalendarEntry, to: string) => void;

/** The way to move entries, and the question it may ask. */
export function useMove(): { move: Move; question: React.ReactNode } {
  const { rows, house } = usePlace();
  const now = useNow();
  const give = useGive();
  const [asked, setAsked] = useState<{ one: One; to: string } | null>(null);
  const said = (title: string, to: string) => ({ words: t('said.movedTo', { title, when: sayMoment(to, now, house.zone) }), undo: true });
  const move: Move = (entry, to) => {
    const one = oneOf(entry, rows);
    if (one) return to === one.at ? undefined : setAsked({ one, to });
    if (entry.kind === 'slot') return void give('slot.change', { slot: entry.slot.id, start: to }, said(entry.items[0]!.title, to));
    if (entry.kind === 'ahead') return;
    const { item } = entry;
    if (entry.kind === 'plan') return void give('part.plan', { items: [item.id], plan: to }, said(item.title, to));
    if (item.due !== to) give('item.setDue', { item: item.id, due: to }, said(item.title, to));
  };
  return { move, question: asked ? <WhichOnes one={asked.one} to={asked.to} onDone={() => setAsked(null)} /> : null };
}

function WhichOnes({ one, to, onDone }: { one: One; to: string; onDone: () => void }) {
  const { house } = usePlace();
  const now = useNow();
  const give = useGive();
  const { series, recurrenceId, at } = one;
  const title = series.title;
  const when = sayMoment(to, now, house.zone);
  const rrule = series.rrule === null ? null : shiftedRule(series.rrule, at, to);
  // what comes so long after it was done has no day of its own that others could follow
  const following = series.rrule !== null && rrule !== null;
  const only = () => {
    give('chore.move', { series: series.id, recurrenceId, at: to }, { words: t('said.choreMoved', { title, when }), undo: true });
    onDone();
  };
  const all = () => {
    give('chore.change', { series: series.id, from: recurrenceId, rrule: rrule!, dtstart: to }, { words: t('said.choreChanged', { title }), undo: true });
    onDone();
  };
  return (
    <Sheet open onClose={onDone} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-4 pt-2">
        <Txt>{t('calendar.which', { from: sayMoment(at, now, house.zone), to: when })}</Txt>
        <Button kind="main" onPress={only}>
          {t('calendar.onlyThis')}
        </Button>
        {following ? <Button onPress={all}>{t('calendar.thisAndFollowing')}</Button> : <Txt tone="muted">{t('calendar.notPlainly')}</Txt>}
        <Button kind="quiet" onPress={onDone}>
          {t('common.cancel')}
        </Button>
      </View>
    </Sheet>
  );
}
