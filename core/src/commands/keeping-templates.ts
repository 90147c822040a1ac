import { v5 } from 'uuid';
import * as z from 'zod/mini';
import { countingParts } from '../followup/standing.ts';
import { isPlain } from '../model/attachment.ts';
import type { Item } from '../model/item.ts';
import { natureOf } from '../model/nature-schema.ts';
import { byPosition } from '../model/position.ts';
import { seesPlace } from '../model/place.ts';
import { isHere } from '../model/person.ts';
import { CalendarDate, Id, Name } from '../model/row-schema.ts';
import { offsetTo } from '../templates/offsets.ts';
import { rowsToKeep } from '../templates/rows-to-keep.ts';
import { dependsOn } from '../followup/waiting.ts';
import { isEdge } from './dependencies.ts';
import { insertCopy } from './copied-files.ts';
import type { Deciding } from './deciding.ts';
import { commandKind, SLICE } from './kind.ts';
import { refuse } from './reasons.ts';
import type { CommandRequest } from './required-permissions.ts';
import { KEPT_AT_ONCE, leftAfter } from './slicing.ts';
import { askToShare, BLANK_ITEM, insertTemplate, placeKey, refuseTooLarge } from './templates.ts';

/** A template of what is there: a snapshot, ticked off nowhere. What happens to its source later changes nothing in it. */
export const keepTemplate = commandKind({
  name: 'template.keep',
  payload: z.object({
    list: z.optional(Id),
    item: z.optional(Id),
    /** One's own notes of a talk. */
    note: z.optional(Id),
    name: Name,
    isShared: z._default(z.boolean(), false),
    /** The day its dates are kept by; without one they are left out. */
    anchor: z.optional(z.nullable(CalendarDate)),
    anchorName: z.optional(z.string().check(z.trim(), z.maxLength(40))),
    /** Of a slice: its rows, and the command it is of. */
    rows: SLICE,
    root: z.optional(Id),
  }),
  asks: ({ list, item, note, isShared }, d) => [
    note ? askForNote(note, !list && !item, d) : list ? { permission: 'see', list } : { permission: 'see', item: item ?? '' },
    { permission: 'keep' },
    ...askToShare(isShared, d),
  ],
  decide({ list: listId, item: itemId, note, rows, root: sliceOf, anchor = null, anchorName = '', name, isShared }, d) {
    if (note) return void insertTemplate(d.context.commandId, { name, isShared, kind: 'talk', text: d.need('meetingNote', note).text }, d);
    const root = d.context.slice ? (sliceOf ?? refuse('malformed', { field: 'root' })) : d.context.commandId;
    const all = d.context.slice ? (rows ?? []).map((id) => d.need('item', id)) : rowsToKeep({ list: listId, item: itemId }, d);
    if (!d.context.slice) refuseTooLarge(all.map(({ id, parentId }) => ({ parentId: id === itemId ? null : parentId })));
    const list = listId === undefined ? undefined : d.need('list', listId);
    const top = itemId === undefined ? undefined : d.need('item', itemId);
    const sections = listId === undefined ? [] : d.by('section', 'listId', listId).filter(({ removedAt }) => removedAt === null).sort(byPosition); // prettier-ignore
    const looks = list ? { purpose: list.purpose, colour: list.colour, icon: list.icon, listKind: list.kind } : {};
    const idOf = (id: string) => v5(`kept:${id}`, root);
    const template = insertTemplate(
      root,
      {
        ...looks,
        name,
        isShared,
        anchorName,
        keptOn: anchor,
        kind: top ? 'item' : 'list',
        sections: sections.map(({ id, name: called }) => ({ id: idOf(id), name: called })),
      },
      d,
    );
    const known = new Set(template.sections.map(({ id }) => id));
    const rest = d.context.slice ? all : leftAfter(all, d.context.ahead, KEPT_AT_ONCE);
    const first = d.context.slice ? firstPlace(template.id, d) : (d.context.ahead ?? 0) * KEPT_AT_ONCE;
    for (const [nth, item] of rest.entries()) {
      const sectionId = item.sectionId !== null && known.has(idOf(item.sectionId)) ? idOf(item.sectionId) : null;
      const parentId = item.parentId === null || item.id === itemId ? null : idOf(item.parentId);
      const days = { due: offsetOf(anchor, item.due), start: offsetOf(anchor, item.start) };
      const holders = countingParts(d.by('part', 'itemId', item.id)).flatMap(({ personId }) => (personId === null ? [] : [{ person: personId }]));
      refusePrivate(isShared, item, d);
      // what is over by now may have to be done first the next time
      const firstIds = d
        .by('wait', 'itemId', item.id)
        .filter(isEdge)
        .map((wait) => idOf(dependsOn(wait)!));
      const kept = { ...BLANK_ITEM, ...natureOf(item), ...days, holders, firstIds, title: item.title, sectionId, parentId, templateId: template.id };
      const made = d.insert('templateItem', idOf(item.id), { ...kept, position: placeKey(first + nth) });
      for (const file of d.by('attachment', 'itemId', item.id))
        if (file.removedAt === null && file.arrivedAt !== null && isPlain(file)) insertCopy(file, made.id, idOf(file.id), file.authorId, d);
    }
  },
});

/** One's own, and nothing else at once. */
const askForNote = (id: string, isAlone: boolean, d: Deciding): CommandRequest => ({
  permission: 'self',
  is: isAlone && d.find('meetingNote', id)?.makerId === d.actorOrNull?.id,
});

/** So many have been kept by the slices before. */
const firstPlace = (templateId: string, d: Deciding): number => d.by('templateItem', 'templateId', templateId).length;

const offsetOf = (anchor: string | null, moment: string | null) => (anchor === null || moment === null ? null : offsetTo(anchor, moment));

/** What everybody uses names nothing that only some may know. */
function refusePrivate(isShared: boolean, { placeId, title }: Item, d: Deciding): void {
  if (!isShared || placeId === null) return;
  const place = d.find('place', placeId);
  const everyone = d.all('person').filter((person) => isHere(person) && person.role !== 'outside');
  if (place && everyone.some(({ id }) => !seesPlace(place, id))) refuse('names-private', { title, name: place.name }, 'isShared');
}
