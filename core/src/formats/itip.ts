import ICAL from 'ical.js';
import type { Item } from '../model/item.ts';
import { instantAt } from '../time/clock.ts';

/** iCalendar messages about one to-do (RFC 5545 VTODO, RFC 5546 methods). */

export interface Party {
  name: string;
  email: string;
}

export interface TodoRequest {
  item: Pick<Item, 'id' | 'title' | 'notes' | 'due' | 'start' | 'seq'>;
  organizer: Party;
  attendee: Party;
  message: string;
  /** UTC instant: DTSTAMP. */
  now: string;
  /** IANA zone of the house: an hour is sent as UTC, a day as a date. */
  zone: string;
}

/** Asks somebody to do it: METHOD:REQUEST. Sent again after a change it carries a higher SEQUENCE. */
export const todoRequest = (request: TodoRequest): string => message('REQUEST', request, { partstat: 'NEEDS-ACTION', rsvp: 'TRUE' });

/** It is no longer asked for: METHOD:CANCEL. */
export const todoCancel = (request: TodoRequest): string => message('CANCEL', request, {});

function message(method: 'REQUEST' | 'CANCEL', { item, organizer, attendee, message: words, now, zone }: TodoRequest, asked: Record<string, string>): string {
  const calendar = new ICAL.Component(['vcalendar', [], []]);
  calendar.updatePropertyWithValue('version', '2.0');
  calendar.updatePropertyWithValue('prodid', '-//Kotiva//Kotiva 1.0//EN');
  calendar.updatePropertyWithValue('method', method);
  const todo = new ICAL.Component('vtodo');
  todo.updatePropertyWithValue('uid', item.id);
  todo.updatePropertyWithValue('dtstamp', utc(now));
  todo.updatePropertyWithValue('sequence', item.seq);
  todo.updatePropertyWithValue('summary', item.title);
  const description = [words, item.notes].filter((text) => text.trim() !== '').join('\n\n');
  if (description) todo.updatePropertyWithValue('description', description);
  if (item.due) todo.updatePropertyWithValue('due', timeOf(item.due, zone));
  if (item.start) todo.updatePropertyWithValue('dtstart', timeOf(item.start, zone));
  todo.updatePropertyWithValue('status', method === 'CANCEL' ? 'CANCELLED' : 'NEEDS-ACTION');
  addParty(todo, 'organizer', organizer, {});
  addParty(todo, 'attendee', attendee, asked);
  calendar.addSubcomponent(todo);
  return calendar.toString();
}

function addParty(todo: ICAL.Component, name: string, { name: cn, email }: Party, more: Record<string, string>): void {
  const property = new ICAL.Property(name);
  property.setParameter('cn', cn.replaceAll('"', '’'));
  for (const [key, value] of Object.entries(more)) property.setParameter(key, value);
  property.setValue(`mailto:${email}`);
  todo.addProperty(property);
}

const utc = (instant: string): ICAL.Time => ICAL.Time.fromJSDate(dateOf(instant), true);

/** The library takes its own kind of date: an epoch it is given, never the present. */
const dateOf = (instant: string): Date => new Date(instant);

const timeOf = (moment: string, zone: string): ICAL.Time => (moment.length > 10 ? utc(instantAt(moment, zone)) : ICAL.Time.fromDateString(moment));

/** What an attendee answers. RFC 5545 PARTSTAT of a VTODO. */
export interface TodoReply {
  uid: string;
  attendee: string;
  partstat: 'ACCEPTED' | 'DECLINED' | 'TENTATIVE' | 'COMPLETED' | 'IN-PROCESS' | 'DELEGATED' | 'NEEDS-ACTION';
  /** 0–100, if it was given. */
  percent: number | null;
  comment: string;
  /** UTC instant of COMPLETED, if it was given. */
  completedAt: string | null;
}

const PARTSTATS: readonly string[] = ['ACCEPTED', 'DECLINED', 'TENTATIVE', 'COMPLETED', 'IN-PROCESS', 'DELEGATED', 'NEEDS-ACTION'];

/** Reads METHOD:REPLY. Null: it is none, or can't be read; nothing in it is trusted beyond its shape. */
export function readTodoReply(text: string): TodoReply | null {
  try {
    const calendar = new ICAL.Component(ICAL.parse(text) as never);
    if (String(calendar.getFirstPropertyValue('method') ?? '').toUpperCase() !== 'REPLY') return null;
    const todos = calendar.getAllSubcomponents('vtodo');
    const todo = todos[0];
    const attendees = todo?.getAllProperties('attendee') ?? [];
    if (todos.length !== 1 || !todo || attendees.length !== 1) return null;
    const partstat = String(attendees[0]!.getParameter('partstat') ?? '').toUpperCase();
    const uid = todo.getFirstPropertyValue('uid');
    if (!PARTSTATS.includes(partstat) || typeof uid !== 'string') return null;
    const percent = Number(todo.getFirstPropertyValue('percent-complete') ?? Number.NaN);
    return {
      uid,
      attendee: String(attendees[0]!.getFirstValue())
        .replace(/^mailto:/i, '')
        .toLowerCase(),
      partstat: partstat as TodoReply['partstat'],
      percent: Number.isInteger(percent) && percent >= 0 && percent <= 100 ? percent : null,
      comment: String(todo.getFirstPropertyValue('comment') ?? '').slice(0, 20_000),
      completedAt: instantOfTime(todo.getFirstPropertyValue('completed')),
    };
  } catch {
    return null;
  }
}

function instantOfTime(value: unknown): string | null {
  if (!(value instanceof ICAL.Time) || value.isDate) return null;
  const { year, month, day, hour, minute, second } = value;
  const two = (n: number) => String(n).padStart(2, '0');
  const instant = `${year}-${two(month)}-${two(day)}T${two(hour)}:${two(minute)}:${two(second)}.000Z`;
  return /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])T([01]\d|2[0-3]):[0-5]\d:[0-5]\d\.000Z$/.test(instant) ? instant : null;
}
