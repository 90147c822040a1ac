import type { Reader, Offset, Template, TemplateItem } from '@kotiva/core';
import type { Asked } from '@kotiva/core/templates/asked';
import { t, together } from '@/words';
import { sayDuration } from '@/words/amounts.ts';

const dayOf = ({ anchorName }: Pick<Template, 'anchorName'>): string => anchorName || t('template.itsDay');

/** "2 days before Saturday, 10:00". */
export function sayOffset({ days, time }: Offset, template: Pick<Template, 'anchorName'>): string {
  const day = dayOf(template);
  const said = days === 0 ? t('template.onDay', { day }) : days < 0 ? t('template.before', { day, count: -days }) : t('template.after', { day, count: days });
  return time === null ? said : t('template.at', { day: said, time });
}

export const sayHolders = ({ holders }: Pick<TemplateItem, 'holders'>, rows: Reader): string =>
  together(
    holders.map((holder) => {
      if ('role' in holder) return holder.role;
      const person = rows.find('person', holder.person);
      return person === undefined ? t('person.someone') : person.name;
    }),
  );

/** What stands below an item of a template: its day, who, how long, what is with it. */
export function sayTemplateItem(item: TemplateItem, template: Template, rows: Reader): string {
  const firsts = (item.firstIds ?? []).flatMap((id) => {
    const first = rows.find('templateItem', id);
    return first === undefined || first.removedAt !== null ? [] : [`“${first.title}”`];
  });
  const files = rows.by('attachment', 'itemId', item.id).filter(({ removedAt }) => removedAt === null).length;
  return [
    item.due ? sayOffset(item.due, template) : null,
    sayHolders(item, rows) || null,
    firsts.length > 0 ? t('template.afterThese', { titles: together(firsts) }) : null,
    item.effort === null ? null : sayDuration(item.effort),
    item.notes ? t('template.hasNotes') : null,
    files > 0 ? t('template.files', { count: files }) : null,
  ]
    .filter(Boolean)
    .join(' · ');
}

/** "Asks for Saturday, couple and guests; cook". */
export function sayAsked({ anchor, blanks, roles, gone }: Asked, template: Template): string | null {
  const names = [...(anchor ? [dayOf(template)] : []), ...blanks, ...roles, ...gone.map(({ name }) => name)];
  return names.length === 0 ? null : t('template.asks', { names: together(names) });
}
