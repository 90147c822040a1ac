import * as z from 'zod/mini';
import { isDone } from '../followup/standing.ts';
import { Id } from '../model/row-schema.ts';
import { madeOf } from '../recurrence/chores.ts';
import { askToChange } from './chore-fields.ts';
import { layOutTemplate, MOST_CHORE_ROWS } from './laying-templates.ts';
import { byKey, FILLING, refuseMissing, seesTemplate } from './filling-templates.ts';
import { commandKind } from './kind.ts';
import { refuse } from './reasons.ts';
import { itemsOf } from './templates.ts';

/** Each one of a chore has what a template holds as its steps: what it asks for is settled now, its day is that of the one. */
export const setChoreTemplate = commandKind({
  name: 'chore.setTemplate',
  payload: z.object({ series: Id, template: z.nullable(Id), ...FILLING }),
  asks: ({ series, template }, d) => [
    askToChange(d.need('series', series), d),
    ...(template === null ? [] : [{ permission: 'self', is: seesTemplate(template, d) } as const]),
  ],
  decide({ series: seriesId, template: templateId, blanks, roles }, d) {
    const series = d.need('series', seriesId);
    if (templateId === null) return void d.set('series', series.id, { templateId: null, filling: null });
    const template = d.need('template', templateId);
    if (template.removedAt !== null) refuse('gone', { noun: 'template' }, 'template');
    const items = itemsOf(templateId, d);
    if (items.length === 0) refuse('template-empty', { name: template.name }, 'template');
    if (items.length > MOST_CHORE_ROWS) refuse('too-many', { max: MOST_CHORE_ROWS }, 'template');
    const filling = { blanks: byKey(blanks), roles: byKey(roles) };
    refuseMissing(template, items, { anchor: series.dtstart, ...filling }, d);
    const now = d.set('series', series.id, { templateId, filling });
    const open = madeOf(series.id, d).filter((item) => item.removedAt === null && !isDone(item, d.by('part', 'itemId', item.id)));
    for (const item of open) layOutTemplate(item, now, d);
    const [first] = open;
    if (first) d.enter('chore.change', { itemId: first.id }, { from: (first.due ?? series.dtstart).slice(0, 10) });
  },
});
