import * as z from 'zod/mini';
import { arrangementId, USUAL_ARRANGEMENT } from '../model/arrangement.ts';
import { BoardBy, Cap, ColumnWidth, Detail, Grouping, Layout, PinLimit, Sorting, TableColumns, ViewName } from '../model/arrangement-schema.ts';
import { capacityId } from '../model/capacity.ts';
import { Minutes } from '../model/capacity-schema.ts';
import { Id } from '../model/row-schema.ts';
import { commandKind } from './kind.ts';
import { needPerson } from './parts.ts';

/** Arranges a view for oneself, on every device one has. What is left out stays as it was. */
export const arrangeView = commandKind({
  name: 'view.arrange',
  payload: z.object({
    view: ViewName,
    group: z.optional(Grouping),
    sort: z.optional(Sorting),
    isDescending: z.optional(z.boolean()),
    detail: z.optional(Detail),
    cap: z.optional(z.nullable(Cap)),
    isOnToday: z.optional(z.boolean()),
    isHidden: z.optional(z.boolean()),
    pinLimit: z.optional(PinLimit),
    layout: z.optional(Layout),
    phoneLayout: z.optional(Layout),
    boardBy: z.optional(BoardBy),
    columns: z.optional(z.nullable(TableColumns)),
    titleWidth: z.optional(ColumnWidth),
  }),
  asks: () => [{ permission: 'keep' }],
  decide({ view, ...chosen }, d) {
    const id = arrangementId(view, d.actor.id);
    if (!d.find('arrangement', id)) d.insert('arrangement', id, { personId: d.actor.id, view, ...USUAL_ARRANGEMENT });
    d.set('arrangement', id, chosen);
  },
});

/** The minutes a person has on each day of the week. */
export const setCapacity = commandKind({
  name: 'capacity.set',
  payload: z.object({ person: Id, minutes: z.array(Minutes).check(z.length(7)) }),
  asks: ({ person }, d) => [person === d.actorOrNull?.id ? { permission: 'self', is: true } : { permission: 'manage' }],
  decide({ person, minutes }, d) {
    needPerson(person, d, 'person');
    const id = capacityId(person);
    if (d.find('capacity', id)) d.set('capacity', id, { minutes });
    else d.insert('capacity', id, { personId: person, minutes });
  },
});
