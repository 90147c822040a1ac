import { v5 } from 'uuid';
import type { Item } from '../model/item.ts';
import { natureOf } from '../model/nature-schema.ts';
import { isHere } from '../model/person.ts';
import { TITLE_MAX } from '../model/row.ts';
import type { Series } from '../model/series.ts';
import type { TemplateItem } from '../model/template.ts';
import { firstsOf } from '../templates/firsts.ts';
import { inOrder, layOut, type LaidOut } from '../templates/laid-out.ts';
import { copyAttachments } from './copied-files.ts';
import { insertDependency } from './dependencies.ts';
import type { Deciding } from './deciding.ts';
import { stillThere } from './filling-templates.ts';
import { insertItem } from './inserting.ts';
import { FRESH, makePart, partId, settleNobody } from './parts.ts';

/** A chore lays out so many rows of a template each time. */
export const MOST_CHORE_ROWS = 200;

/** What a template holds, as steps of one of a chore: their days by its own, theirs who were said. The chore's maker gives them. */
export function layOutTemplate(item: Item, series: Series, d: Deciding): void {
  // a row from before there were any has none
  const template = series.templateId ? d.find('template', series.templateId) : undefined;
  if (!template || template.removedAt !== null) return;
  const filling = { anchor: item.due?.slice(0, 10) ?? null, blanks: series.filling?.blanks ?? {}, roles: series.filling?.roles ?? {} };
  const told = new Set<string>();
  const rows = inOrder(d.by('templateItem', 'templateId', template.id)).slice(0, MOST_CHORE_ROWS);
  for (const one of rows) {
    const id = stepId(one.id, item);
    if (d.find('item', id)) d.set('item', id, { removedAt: null });
    else makeStep(id, layOut(one, filling), item, series, told, d);
  }
  const byId = new Map(rows.map((one) => [one.id, one]));
  for (const one of rows)
    for (const first of firstsOf(one, byId))
      insertDependency(stepId(one.id, item), stepId(first, item), layOut(byId.get(first)!, filling).title, series.makerId, d);
}

const stepId = (templateItemId: string, item: Item): string => v5(`made:${templateItemId}`, item.id);

function makeStep(id: string, { of, title, notes, due, start, personIds }: LaidOut, item: Item, { makerId }: Series, told: Set<string>, d: Deciding): void {
  const parentId = of.parentId === null ? item.id : stepId(of.parentId, item);
  const { listId, sectionId } = item;
  const days = start !== null && due !== null && start.slice(0, 10) > due.slice(0, 10) ? { due, start: null } : { due, start };
  insertItem(d, { ...nature(of, d), ...days, notes, title: title.slice(0, TITLE_MAX) || of.title, listId, sectionId, parentId, makerId }, id);
  for (const personId of personIds) giveStep(id, personId, title, makerId, told, d);
  settleNobody(id, d);
  copyAttachments(of.id, id, d, makerId);
}

const nature = (of: TemplateItem, d: Deciding) => ({ ...natureOf(of), ...stillThere(of, d) });

/** Told once, of the first: whoever has several has them of one thing. */
function giveStep(itemId: string, personId: string, title: string, makerId: string, told: Set<string>, d: Deciding): void {
  const person = d.find('person', personId);
  if (!person || !isHere(person) || d.find('part', partId(itemId, personId))) return;
  const own = personId === makerId;
  const standing = own ? ('accepted' as const) : FRESH.standing;
  makePart(itemId, personId, d, { standing, seenAt: own ? d.now : null, giverId: makerId, originId: makerId, givenAt: d.now });
  if (!told.has(personId)) d.notify(personId, 'handed', itemId, { title, message: '' });
  told.add(personId);
}
