import type { Rows } from '../reader/finding.ts';
import { FRESH, partId } from '../commands/parts.ts';
import type { Filter } from '../model/filter.ts';
import type { Item } from '../model/item.ts';
import { occurrenceItemId } from '../model/series.ts';
import type { Part } from '../model/part.ts';
import type { CalendarEntry } from '../planning/calendar.ts';
import type { PlanView } from '../planning/rows.ts';
import type { Ahead } from '../recurrence/whose-turn.ts';
import { meeting, meetingOnceThere } from './filter.ts';

/** Whether what stands on a day meets a filter: an item, time booked for one that does, or a chore still to come, by what it will be. */
export function entriesMeeting(filter: Filter, view: PlanView, rows: Rows): (entry: CalendarEntry) => boolean {
  const meets = meeting(filter, view, rows);
  const willMeet = meetingOnceThere(filter, view, rows);
  return (entry) => {
    if (entry.kind === 'slot') return entry.items.some((item) => meets(item));
    return entry.kind === 'ahead' ? willMeet(...asItem(entry.ahead)) : meets(entry.item);
  };
}

/** The item it would be, and whose. */
function asItem({ series, occurrence, assigned }: Ahead): [item: Item, parts: Part[]] {
  const { makerId, houseId, seq, stamps } = series;
  const item: Item = {
    ...series,
    id: occurrenceItemId(series.id, occurrence.recurrenceId),
    parentId: null,
    due: occurrence.at,
    start: null,
    seriesId: series.id,
    recurrenceId: occurrence.recurrenceId,
    turn: assigned.turn,
    missedAt: null,
    position: '',
    noteId: null,
    stageId: null,
    removedAt: null,
    purgedAt: null,
  };
  const parts = assigned.personIds.map((personId) => ({
    ...FRESH,
    houseId,
    seq,
    stamps,
    id: partId(item.id, personId),
    itemId: item.id,
    personId,
    giverId: makerId,
    originId: makerId,
  }));
  return [item, parts];
}
