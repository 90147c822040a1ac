import type { Drawing } from '../drawings.ts';
import type { Colour, Energy, FieldKind, ListIcon, ListKind, Pattern, Payload, Role, SituationKind } from '@kotiva/core';

/** The made-up guesthouse Kaislaranta by a lake, and the family above it. Nobody and nothing in it is real. */

export interface DemoPerson {
  name: string;
  mark: string;
  colour: Colour;
  pattern: Pattern;
  role: Exclude<Role, 'outside'>;
  /** Minutes on each day of the week, Monday first. */
  minutes?: number[];
}

/** What became of somebody's part. */
export type Did =
  | { take: true }
  | { done: true }
  | { seen: true }
  | { decline: string }
  | { ask: string }
  | { percent: number }
  | { pass: string; words: string }
  | { excused: true };

export interface DemoItem {
  title: string;
  /** Days from the day it is filled, with an hour if it has one: `+3 17:00`, `-1`, `0 12:00`. */
  due?: string;
  to?: string[];
  each?: boolean;
  message?: string;
  /** Days ago it was made and handed over. */
  ago?: number;
  did?: Record<string, Did>;
  confirm?: boolean;
  importance?: number;
  tags?: string[];
  /** By name, as the house has them. */
  place?: string;
  needs?: string[];
  /** Days from the day it is filled, for its maker or who it is given to. */
  plan?: string;
  /** Not before. */
  start?: string;
  /** Put on the shelf by its maker. */
  shelved?: boolean;
  /** Minutes. */
  effort?: number;
  energy?: Energy;
  steps?: string[];
  stepsDone?: number;
  /** Nobody's, and checked off by its maker. */
  done?: boolean;
  by?: string;
  notes?: string;
}

/** What comes back, with how well it was kept so far. */
export interface DemoChore extends Partial<
  Pick<Payload<'chore.make'>, 'rrule' | 'afterDone' | 'offDay' | 'missed' | 'whenDone' | 'turn' | 'dayPart' | 'effort' | 'steps'>
> {
  title: string;
  by: string;
  list?: string;
  /** Wall-clock hour. */
  time?: string;
  to: string[];
  each?: boolean;
  /** Share of its occurrences that were done on their day. */
  kept: number;
  /** Days ago it began; three months where nothing is said. */
  since?: number;
}

export interface DemoList {
  name: string;
  purpose: string;
  colour: Colour;
  icon: ListIcon;
  kind?: ListKind;
  bundle?: string;
  owner: string;
  edit?: string[];
  check?: string[];
  view?: string[];
  sections: Record<string, DemoItem[]>;
}

export interface DemoBundle {
  owner: string;
  purpose: string;
  colour: Colour;
  icon: ListIcon;
}

/** Somebody without an account. */
export interface DemoOutsider {
  name: string;
  mark: string;
  colour: Colour;
  pattern: Pattern;
  email?: string;
  phone?: string;
  contact?: string;
  /** What they were asked to do, by whom. */
  asked: (DemoItem & { by: string })[];
}

/** What two people talk about, and have. */
export interface DemoTalk {
  by: string;
  with: string;
  /** ISO weekday and hour. */
  weekday: number;
  time: string;
  matters: string[];
  /** Items by title. */
  items?: string[];
  /** Days ago, and what was written. */
  notes: Record<number, string>;
}

/** Where it is stands in the region's list, under its name. */
export interface DemoPlace {
  /** Metres. */
  radius?: number;
  /** As OpenStreetMap writes them. */
  hours?: string;
  /** Known by its name alone. */
  unmapped?: boolean;
}

/** For some people each, or for whoever of them gets there first. */
/** What is done again, and who thought it out. */
export type DemoTemplate = { by: string } & Omit<Payload<'template.make'>, 'kind' | 'isShared' | 'sections'> &
  Partial<Pick<Payload<'template.make'>, 'kind' | 'isShared' | 'sections'>>;

/** A field of a list. */
export interface DemoField {
  name: string;
  kind: FieldKind;
  unit?: string;
  options?: { name: string; colour: Colour }[];
}

/** What belongs together and ends: lists, items and notes of talks by what they are called. */
export interface DemoProject {
  by: string;
  name: string;
  purpose: string;
  colour: Colour;
  icon: ListIcon;
  answerable: string;
  /** Days from the day it is filled. */
  ends?: number;
  partOf?: string;
  lists?: string[];
  items?: string[];
  /** Stages that one of the lists has: its name, and theirs; the last means done. */
  stages?: { list: string; names: string[] };
  /** Fields of a list, and by title what its items say in them, in their order. */
  fields?: { list: string; make: DemoField[]; values: Record<string, (string | number | null)[]> };
}

export type DemoPlaceReminder = { by: string; at: string } & ({ for: string[] } | { first: string[] });

/** A drawn photo, a page of PDF, or the address of something. */
export type DemoFile = { by: string; ago: number } & (
  { photo: Drawing; name: string } | { page: string; lines: readonly string[]; name: string } | { url: string; name: string }
);

export interface DemoHouse {
  name: string;
  people: DemoPerson[];
  /** By name. */
  bundles: Record<string, DemoBundle>;
  lists: DemoList[];
  own: Record<string, DemoItem[]>;
  places: Record<string, DemoPlace>;
  situations: Record<string, SituationKind>;
  outsiders?: DemoOutsider[];
  talks?: DemoTalk[];
  chores: DemoChore[];
  /** Whose public holidays it keeps. */
  region: string;
  /** By the title of the item: who is reminded, and so long before its deadline. */
  reminders?: Record<string, { who: string; before: string }>;
  placeReminders?: Record<string, DemoPlaceReminder>;
  /** By the title of the item or step: who marked it, for what, and in how many days to ask again. */
  waits?: Record<string, { by: string; words: string; askIn?: number }>;
  /** By the title of the item. */
  templates?: readonly DemoTemplate[];
  projects?: readonly DemoProject[];
  files?: Record<string, readonly DemoFile[]>;
  /** By name: days away, from and to, counted from today. */
  away?: Record<string, [from: number, to: number]>;
}

export const t = (title: string, more: Omit<DemoItem, 'title'> = {}): DemoItem => ({ title, ...more });

/** Nobody's yet: a title, the minutes it takes, and the energy. */
export const open = (title: string, effort?: number, energy?: Energy, more: Omit<DemoItem, 'title'> = {}): DemoItem => ({ title, effort, energy, ...more });
/** Checked off by its maker some days ago. */
export const past = (title: string, ago: number, effort?: number): DemoItem => ({ title, done: true, ago, effort });
