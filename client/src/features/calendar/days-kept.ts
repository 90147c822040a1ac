import type { CalendarView, ChangedRow, Reader } from '@kotiva/core';
import { KeptCalendar } from '@kotiva/core/planning/kept-calendar';
import { asNow, Kept } from '@/store/kept.ts';

/** The days of a span, which take what changed and nothing else. */
export class DaysKept extends Kept {
  private readonly calendar: KeptCalendar;

  constructor(at: string, now: () => Reader, view: CalendarView) {
    super(at);
    this.calendar = new KeptCalendar(view, asNow(now));
  }

  get value(): KeptCalendar['days'] {
    return this.calendar.days;
  }

  protected follow(changes: readonly ChangedRow[]): boolean {
    return this.calendar.take(changes);
  }
}
