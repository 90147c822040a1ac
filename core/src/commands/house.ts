import * as z from 'zod/mini';
import { USUAL_DAY_PARTS } from '../model/house.ts';
import { DayOff, DayParts, Holidays, Pace, Region, ZONE } from '../model/house-schema.ts';
import { NO_CONTACT, USUAL_REST } from '../model/person.ts';
import { Colour, Mark, Pattern } from '../model/person-schema.ts';
import { Id, Name, Title } from '../model/row-schema.ts';
import { calendarDateOf, isMoment, isZone } from '../time/clock.ts';
import { commandKind } from './kind.ts';
import { insertItem } from './inserting.ts';
import { refuse } from './reasons.ts';
import { keyAtEnd } from '../model/position.ts';

/** Makes a house with its first manager, and four hints as items that can be checked off. */
export const makeHouse = commandKind({
  name: 'house.make',
  payload: z.object({
    name: Name,
    zone: ZONE,
    person: z.object({ name: Name, mark: Mark, colour: Colour, pattern: Pattern }),
    hints: z.optional(z.object({ list: Name, items: z.array(Title).check(z.maxLength(8)) })),
    dayParts: z.optional(DayParts),
  }),
  asks: () => [{ permission: 'enter' }],
  decide({ name, zone, person, hints, dayParts }, d) {
    const { houseId, account } = d.context;
    if (!account) refuse('not-a-member');
    if (d.find('house', houseId)) refuse('house-exists');
    if (!isZone(zone)) refuse('malformed', {}, 'zone');
    d.insert('house', houseId, {
      name,
      zone,
      dayParts: dayParts ?? USUAL_DAY_PARTS,
      createdAt: d.now,
      createdOn: calendarDateOf(d.now, zone),
      hintsListId: null,
      pace: 'usual',
      region: null,
      holidays: null,
      daysOff: [],
    });
    const personId = d.newId();
    d.insert('person', personId, { ...person, accountId: account.id, role: 'manager', ...NO_CONTACT, rest: USUAL_REST, joinedAt: d.now, endedAt: null });
    d.enter('house.make', {}, { name });
    if (!hints) return;
    const listId = d.newId();
    d.insert('list', listId, {
      ownerId: personId,
      bundleId: null,
      name: hints.list,
      purpose: '',
      colour: person.colour,
      icon: 'list',
      kind: 'working',
      stages: [],
      position: keyAtEnd([]),
      filedAt: null,
      clearedAt: null,
      removedAt: null,
    });
    d.set('house', houseId, { hintsListId: listId });
    for (const title of hints.items) insertItem(d, { title, listId, sectionId: null, parentId: null, makerId: personId });
  },
});

export const changeHouse = commandKind({
  name: 'house.change',
  payload: z.object({
    name: z.optional(Name),
    zone: z.optional(ZONE),
    dayParts: z.optional(DayParts),
    pace: z.optional(Pace),
    region: z.optional(z.nullable(Region)),
    daysOff: z.optional(z.array(DayOff).check(z.maxLength(400))),
  }),
  asks: () => [{ permission: 'manage' }],
  decide(fields, d) {
    if (fields.zone !== undefined && !isZone(fields.zone)) refuse('malformed', {}, 'zone');
    for (const { date } of fields.daysOff ?? []) if (!isMoment(date)) refuse('malformed', { value: date }, 'daysOff');
    d.set('house', Id.parse(d.context.houseId), fields.daysOff ? { ...fields, daysOff: inOrder(fields.daysOff) } : fields);
    d.enter('house.change', {}, { name: fields.name ?? null });
  },
});

/** By date, one a day: the one said last. */
const inOrder = (days: readonly DayOff[]): DayOff[] => [...new Map(days.map((day) => [day.date, day])).values()].sort((a, b) => (a.date < b.date ? -1 : 1));

/** The holidays of its region were looked up. If another region was chosen meanwhile they are not its any more. */
export const setHolidays = commandKind({
  name: 'house.setHolidays',
  payload: Holidays,
  asks: () => [{ permission: 'system' }],
  decide(holidays, d) {
    const id = Id.parse(d.context.houseId);
    if (d.need('house', id).region === holidays.region) d.set('house', id, { holidays });
  },
});
