import { isHere, type Person } from '@kotiva/core';
import { spanName, titleOf, type CaptureContext as ReadingContext, type ReadLine, type Span } from '@kotiva/core/capture';
import { t, together } from '@/words';
import { dayMonth } from '@/words/dates.ts';

/** What comes alive now. Reminders are understood already, and stay in the title until there are any. */
const ALIVE: readonly Span['kind'][] = ['due', 'plan', 'start', 'rule', 'effort', 'importance', 'person', 'everyone', 'tag', 'place', 'list'];

/** A reading with what was offered and taken up, without what does not come alive yet. */
export function settled(typed: string, read: ReadLine, taken: ReadonlySet<string>): ReadLine {
  const spans = read.spans.filter((span) => ALIVE.includes(span.kind)).map((span) => (taken.has(spanName(span)) ? { ...span, chosen: true } : span));
  return { ...read, spans, title: titleOf(typed, spans) };
}

/** What a chip says: the exact day, the whole name. */
export function sayChip(span: Span, context: ReadingContext): string {
  const day = (moment: string) => dayMonth(moment) + (moment.length > 10 ? ` ${moment.slice(11)}` : '');
  switch (span.kind) {
    case 'due':
      return t('chip.due', { when: day(span.value) });
    case 'plan':
      return t('chip.plan', { when: day(span.value) });
    case 'start':
      return t('chip.start', { when: day(span.value) });
    case 'rule':
      return span.text.trim();
    case 'effort':
      return t('chip.effort', { minutes: span.value });
    case 'importance':
      return t(`importance.${span.value}`);
    case 'person':
      return namesOf(span.value.ids, context, span.value.policy);
    case 'everyone':
      return t('chip.everyone');
    case 'tag':
      return `#${span.value}`;
    case 'place':
      return t('chip.place', { name: context.places.find(({ id }) => id === span.value)?.name ?? '' });
    case 'list': {
      const list = context.lists.find(({ id }) => id === span.value.list);
      return t('chip.list', { name: list?.sections.find(({ id }) => id === span.value.section)?.name ?? list?.name ?? '' });
    }
    case 'alarm':
    case 'place-reminder':
      return span.text;
  }
}

function namesOf(ids: readonly string[], { people }: ReadingContext, policy: 'each' | 'any' | null): string {
  const names = ids.map((id) => people.find((person) => person.id === id)?.name ?? '');
  return policy === null ? together(names) : t(`chip.${policy}`, { names: together(names) });
}

export interface Draft {
  title: string;
  due?: string;
  plan?: string;
  start?: string;
  effort?: number;
  importance?: number;
  tags?: string[];
  place?: string;
  rule?: { rrule: string | null; afterDone: string | null; time: string | null; words: string };
  persons: string[];
  policy?: 'each' | 'any';
  list?: string;
  section?: string | null;
}

/** The chosen stretches as what is to be made. */
export function draftOf({ title, spans }: ReadLine, everyone: readonly Person[]): Draft {
  const draft: Draft = { title, persons: [] };
  for (const span of spans) {
    if (!span.chosen) continue;
    if (span.kind === 'due' || span.kind === 'plan' || span.kind === 'start') draft[span.kind] = span.value;
    else if (span.kind === 'effort') draft.effort = span.value;
    else if (span.kind === 'importance') draft.importance = span.value;
    else if (span.kind === 'tag') draft.tags = [...(draft.tags ?? []), span.value];
    else if (span.kind === 'place') draft.place = span.value;
    else if (span.kind === 'rule') draft.rule = { ...span.value, words: span.text.trim() };
    else if (span.kind === 'person') {
      draft.persons = [...new Set([...draft.persons, ...span.value.ids])];
      draft.policy = span.value.policy ?? draft.policy;
    } else if (span.kind === 'everyone') {
      draft.persons = everyone.filter(isHere).map(({ id }) => id);
      draft.policy = 'each';
    } else if (span.kind === 'list') Object.assign(draft, { list: span.value.list, section: span.value.section });
  }
  if (draft.persons.length > 1) draft.policy ??= 'each';
  return draft;
}
