import { memo } from 'react';
import { calendarDateOf, stepsThatWait, type Detail, type AgendaEntry } from '@kotiva/core';
import { ItemRow, nameOf } from '@/features/item';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Menu, SwipeRow, useWide, type Tone } from '@/ui';
import { t } from '@/words';
import { sayHour } from '@/words/customs.ts';
import { sayDue, sayMoment } from '@/words/dates.ts';
import { useRowWords } from './row-words.ts';

interface TodayRowProps {
  entry: AgendaEntry;
  sub?: string;
  handle?: React.ReactNode;
  detail?: Detail;
}

/** One thing of a day: where it is from, what its date says, and its words behind it. */
export const TodayRow = memo(function TodayRow({ entry, sub, handle, detail }: TodayRowProps) {
  const { item } = entry;
  const wide = useWide();
  const words = useRowWords(entry);
  const right = useRight(entry);
  const from = useFrom(entry);
  const row = (tools?: React.ReactNode) => <ItemRow item={item} sub={sub ?? from} handle={handle} tools={tools} detail={detail} {...right} />;
  if (wide) return row(words.length > 0 ? <Menu label={t('row.more', { title: item.title })} entries={words} /> : undefined);
  return <SwipeRow words={words}>{row()}</SwipeRow>;
});

function useFrom({ item, part }: AgendaEntry): string | undefined {
  const { rows, me } = useOpenHouse();
  const list = item.listId ? rows.find('list', item.listId) : undefined;
  const parent = item.parentId ? rows.find('item', item.parentId) : undefined;
  const waiting = stepsThatWait(item, me.id, rows);
  return (
    [
      list?.name ?? null,
      parent?.title ?? null,
      part.giverId && part.giverId !== part.personId ? t('row.from', { name: nameOf(rows, part.giverId) }) : null,
      waiting > 0 ? t('row.waits', { count: waiting }) : null,
    ]
      .filter(Boolean)
      .join(' · ') || undefined
  );
}

/** At the right: late, carried over, the hour, or the day that brings it up. */
function useRight({ item, part, late, carriedOver, where }: AgendaEntry): { right?: string; rightTone?: Tone } {
  const { house } = useOpenHouse();
  const now = useNow();
  const today = calendarDateOf(now, house.zone);
  if (where === 'done') return {};
  if (late && item.due) return { right: sayDue(item.due, true, now, house.zone), rightTone: 'late' };
  if (carriedOver) return { right: t('row.carriedOver'), rightTone: 'plan' };
  if (part.plan && part.plan.length > 10 && part.plan.startsWith(today)) return { right: sayHour(part.plan), rightTone: 'plan' };
  if (part.plan && where !== 'today') return { right: sayMoment(part.plan, now, house.zone), rightTone: 'plan' };
  return item.due ? { right: sayDue(item.due, false, now, house.zone) } : {};
}
