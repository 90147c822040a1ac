import type { CalendarEntry } from '@kotiva/core';
import { useState } from 'react';
import { WhichOnes, type One } from '@/features/occurrence';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import { oneOf } from './entry.ts';

/** Puts an entry on another day or at another hour. Of a chore it is asked whether only this one is meant, or all that follow too. */
export type Move = (entry: CalendarEntry, to: string) => void;

/** The way to move entries, and the question it may ask. */
export function useMove(): { move: Move; question: React.ReactNode } {
  const { rows, house, me } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const [asked, setAsked] = useState<{ one: One; to: string } | null>(null);
  const said = (title: string, to: string) => ({ words: t('said.movedTo', { title, when: sayMoment(to, now, house.zone) }), undo: true });
  const move: Move = (entry, to) => {
    const one = oneOf(entry, rows);
    if (one) return to === one.at ? undefined : setAsked({ one, to });
    if (entry.kind === 'slot') return void submit('slot.change', { slot: entry.slot.id, start: to }, said(entry.items[0]!.title, to));
    if (entry.kind === 'ahead') return;
    const { item } = entry;
    const [holder] = entry.personIds;
    if (entry.kind === 'plan' && holder !== undefined && holder !== me.id)
      return void submit('part.planFor', { item: item.id, person: holder, plan: to }, said(item.title, to));
    if (entry.kind === 'plan') return void submit('part.plan', { items: [item.id], plan: to }, said(item.title, to));
    if (item.due !== to) submit('item.setDue', { item: item.id, due: to }, said(item.title, to));
  };
  return { move, question: asked ? <WhichOnes one={asked.one} to={asked.to} onDone={() => setAsked(null)} /> : null };
}
