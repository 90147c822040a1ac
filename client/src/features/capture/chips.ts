import type { CaptureContext as ReadingContext, Span } from '@kotiva/core/capture';
import { t, together } from '@/words';
import { sayHour } from '@/words/customs.ts';
import { dayMonth } from '@/words/dates.ts';

/** What a chip says: the exact day, the whole name. */
export function sayChip(span: Span, context: ReadingContext): string {
  const day = (moment: string) => dayMonth(moment) + (moment.length > 10 ? ` ${sayHour(moment)}` : '');
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
    case 'place-reminder':
      return t(`alarm.${span.value.when}.own`, { place: context.places.find(({ id }) => id === span.value.place)?.name ?? '' });
    case 'alarm':
      return span.text;
  }
}

function namesOf(ids: readonly string[], { people }: ReadingContext, policy: 'each' | 'any' | null): string {
  const names = ids.map((id) => people.find((person) => person.id === id)?.name ?? '');
  return policy === null ? together(names) : t(`chip.${policy}`, { names: together(names) });
}
