import type { DayParts } from '../model/house.ts';

export interface KnownName {
  id: string;
  name: string;
}

/** What a line is read against: the day it is typed, and the names it may mean. */
export interface CaptureContext {
  /** Calendar date and wall-clock hour of the house. */
  today: string;
  time: string;
  dayParts: DayParts;
  /** Of 3/12 the first figure is the month, as whoever types is used to; with dots the day comes first everywhere. */
  isMonthFirst?: boolean;
  /** With `members` it is a group, which stands for them: known by its whole name alone. */
  people: readonly (KnownName & { mark: string; members?: readonly string[] })[];
  places: readonly KnownName[];
  lists: readonly (KnownName & { sections: readonly KnownName[] })[];
  /** Guesses taken back, by `spanName`. */
  declined?: ReadonlySet<string>;
  /** Which person a name means, by name in lower case, once it was asked. */
  meant?: ReadonlyMap<string, string>;
}
