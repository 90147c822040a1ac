import type { Notice } from '@kotiva/core';
import { noticeKey } from '@kotiva/core/words/notice-key';
import { t, type Slots } from '@/words';
import { dayMonth } from '@/words/dates.ts';
import { slotsOf } from '@/words/problems.ts';

/** A notice as a sentence; a reminder says where it rang, if that was at a place. */
export function sayTold({ kind, params }: Notice, by: string): string {
  if (kind === 'reminder' && typeof params.place === 'string')
    return t(params.on === 'leave' ? 'notices.remindedLeaving' : 'notices.remindedAt', { place: params.place, title: String(params.title) });
  return t(noticeKey({ kind, params }), { name: by, ...slotsOf(params), ...momentsOf(params) });
}

/** "Fri 4 Dec 16:00": short, where one day goes over into another. */
const momentsOf = ({ from, to }: Notice['params']): Slots =>
  Object.fromEntries(
    Object.entries({ from, to }).flatMap(([name, value]) => (typeof value === 'string' && MOMENT.test(value) ? [[name, sayShort(value)]] : [])),
  );

const MOMENT = /^\d{4}-\d\d-\d\d(?:T\d\d:\d\d)?$/;
const sayShort = (moment: string): string => `${dayMonth(moment)}${moment.slice(10).replace('T', ' ')}`;
