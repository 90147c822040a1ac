import { addDays, epochOf, instantAt } from './clock.ts';

interface Day {
  /** Minutes since the epoch at which the day begins. */
  start: number;
  /** 1440, but for the days on which the clocks change. */
  length: number;
}

/**
 * Wall-clock moments of one zone as minutes since the epoch. Asks the calendar once a day and adds from there, so that
 * thousands of moments are compared in a few milliseconds; on a day when the clocks change it asks for each.
 */
export class ZoneMinutes {
  private readonly days = new Map<string, Day>();

  constructor(private readonly zone: string) {}

  at(moment: string): number {
    const day = this.day(moment.slice(0, 10));
    if (moment.length === 10) return day.start;
    if (day.length !== 1440) return minutesOf(instantAt(moment, this.zone));
    return day.start + Number(moment.slice(11, 13)) * 60 + Number(moment.slice(14, 16));
  }

  /** When a deadline has passed: with an hour, at that hour; without, when the next day begins. */
  deadline(due: string): number {
    if (due.length > 10) return this.at(due);
    const { start, length } = this.day(due);
    return start + length;
  }

  private day(date: string): Day {
    const known = this.days.get(date);
    if (known) return known;
    const start = minutesOf(instantAt(date, this.zone));
    const made = { start, length: minutesOf(instantAt(addDays(date, 1), this.zone)) - start };
    this.days.set(date, made);
    return made;
  }
}

export const minutesOf = (instant: string): number => Math.floor(epochOf(instant) / 60_000);
