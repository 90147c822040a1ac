import { addDays, calendarDateOf } from '@kotiva/core';
import { spanOfDays, type BackSpan } from '@kotiva/core/views/looking-back';
import { isCalendarDate } from '@kotiva/core/model/calendar-date';
import { useGlobalSearchParams, useRouter } from 'expo-router';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { monthAfter, startOfWeek } from '@/words/dates.ts';

export const SPANS = ['week', 'lastWeek', 'month', 'lastMonth', 'own'] as const;
export type SpanName = (typeof SPANS)[number];

function daysOf(name: Exclude<SpanName, 'own'>, today: string): BackSpan {
  const monday = startOfWeek(today);
  const month = today.slice(0, 7);
  switch (name) {
    case 'week':
      return { from: monday, to: today };
    case 'lastWeek':
      return { from: addDays(monday, -7), to: addDays(monday, -1) };
    case 'month':
      return { from: `${month}-01`, to: today };
    case 'lastMonth':
      return { from: `${monthAfter(month, -1)}-01`, to: addDays(`${month}-01`, -1) };
  }
}

/** Which days one looks back over: part of the address. */
export function useSpan(): {
  name: SpanName;
  typed: BackSpan;
  span: BackSpan;
  wasTurned: boolean;
  choose: (name: SpanName) => void;
  set: (typed: BackSpan) => void;
} {
  const { house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  const router = useRouter();
  const asked = useGlobalSearchParams<{ span?: string; from?: string; to?: string }>();
  const isOwn = isCalendarDate(asked.from) && isCalendarDate(asked.to);
  const known = SPANS.find((one) => one === asked.span && one !== 'own') as Exclude<SpanName, 'own'> | undefined;
  const typed = isOwn ? { from: asked.from!, to: asked.to! } : daysOf(known ?? 'week', today);
  const { wasTurned, ...span } = spanOfDays(typed.from, typed.to);
  const set = ({ from, to }: BackSpan) => router.setParams({ from, to, span: undefined });
  const choose = (name: SpanName) => (name === 'own' ? set(span) : router.setParams({ span: name, from: undefined, to: undefined }));
  return { name: isOwn ? 'own' : (known ?? 'week'), typed, span, wasTurned, choose, set };
}
