import type { Command } from '@kotiva/core';

/** What was typed into a command that was refused: which field it belongs to, so that it is found there again. */
export interface Typed {
  text: string;
  /** Where its draft is kept, and what stands there. */
  place: string;
  draft: unknown;
  itemId: string | null;
}

type Payload = Record<string, unknown>;
const textIn = (payload: Payload, field: string): string => (typeof payload[field] === 'string' ? payload[field] : '').trim();

const FIELDS: { [name: string]: (payload: Payload) => Typed } = {
  'item.add': (payload) => ({ text: textIn(payload, 'title'), place: 'capture', draft: textIn(payload, 'title'), itemId: null }),
  'item.change': (payload) => {
    const [text, itemId] = [textIn(payload, 'notes'), String(payload['item'])];
    return { text, place: `notes/${itemId}`, draft: { base: payload['notesBase'] ?? '', text }, itemId };
  },
  'comment.say': (payload) => ofItem(payload, 'text', 'remark'),
  'comment.correct': (payload) => {
    const text = textIn(payload, 'text');
    return { text, place: `correct/${String(payload['comment'])}`, draft: text, itemId: null };
  },
  'part.askBack': (payload) => ofItem(payload, 'question', 'ask-back'),
  'part.decline': (payload) => ofItem(payload, 'reason', 'decline'),
  'part.nudge': (payload) => ofItem(payload, 'words', 'nudge'),
  'part.sendBack': (payload) => {
    const typed = ofItem(payload, 'reason', 'send-back');
    return { ...typed, place: `${typed.place}/${String(payload['person'])}` };
  },
  'part.passOn': (payload) => {
    const typed = ofItem(payload, 'message', 'pass-on');
    return { ...typed, place: `${typed.place}/${String(payload['from'])}` };
  },
  'part.handOver': (payload) => {
    const itemId = String((payload['items'] as string[] | undefined)?.[0]);
    const text = textIn(payload, 'message');
    return { text, place: `hand-over/${itemId}`, draft: { chosen: payload['persons'], message: text }, itemId };
  },
  'item.setFields': (payload) => {
    const values = (payload['values'] as { field: string; value: unknown }[] | undefined) ?? [];
    const typed = values.flatMap(({ field, value }) => (typeof value === 'string' ? [[field, value] as const] : []));
    const itemId = String(payload['item']);
    return { text: typed.map(([, value]) => value).join(', '), place: `fields/${itemId}`, draft: Object.fromEntries(typed), itemId };
  },
  'note.change': (payload) => {
    const text = textIn(payload, 'text');
    return { text, place: `talk/${String(payload['note'])}`, draft: text, itemId: null };
  },
};

function ofItem(payload: Payload, field: string, place: string): Typed {
  const [text, itemId] = [textIn(payload, field), String(payload['item'])];
  return { text, place: `${place}/${itemId}`, draft: text, itemId };
}

/** Null: nothing was typed for it. */
export function typedInto({ name, payload }: Pick<Command, 'name' | 'payload'>): Typed | null {
  const typed = FIELDS[name]?.(payload as Payload);
  return typed && typed.text !== '' ? typed : null;
}
