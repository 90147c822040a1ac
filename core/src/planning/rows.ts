import type { House } from '../model/house.ts';
import type { Item } from '../model/item.ts';
import type { List, Share } from '../model/list.ts';
import type { Part } from '../model/part.ts';
import type { Wait } from '../model/wait-schema.ts';

/** What planning reads: a part of `Reader` that a device has. */
export interface PlanRows {
  all(noun: 'item'): Item[];
  by(noun: 'part', field: 'itemId' | 'open' | 'completedDay' | 'planMonth', value: string): Part[];
  by(noun: 'item', field: 'parentId' | 'listId' | 'dueMonth', value: string): Item[];
  by(noun: 'wait', field: 'itemId', value: string): Wait[];
  by(noun: 'share', field: 'listId', value: string): Share[];
  get(noun: 'list', id: string): List | 'absent' | 'not-held';
  get(noun: 'item', id: string): Item | 'absent' | 'not-held';
}

/** For whom and when: the same question always has the same answer. */
export interface PlanView {
  personId: string;
  /** UTC instant. */
  now: string;
  house: Pick<House, 'zone' | 'dayParts'>;
}
