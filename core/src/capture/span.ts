/** What a stretch of a typed line was recognised as. */
export type SpanKind =
  'due' | 'plan' | 'start' | 'rule' | 'effort' | 'importance' | 'person' | 'everyone' | 'tag' | 'place' | 'place-reminder' | 'alarm' | 'list';

/** A rule that makes a thing come back: RFC 5545 RRULE, or a duration (ISO 8601) after the last time it was done. */
export interface Recurrence {
  rrule: string | null;
  afterDone: string | null;
  /** Wall-clock hour of each occurrence, if one was said. */
  time: string | null;
}

export interface SpanValue {
  due: string;
  plan: string;
  start: string;
  rule: Recurrence;
  /** Minutes. */
  effort: number;
  importance: 1 | 2 | 3;
  /** Ids of people; `each`: everyone does their part, `any`: whoever comes first. */
  person: { ids: string[]; policy: 'each' | 'any' | null };
  everyone: true;
  tag: string;
  place: string;
  'place-reminder': { place: string; when: 'enter' | 'leave' };
  /** ISO 8601 duration before the deadline (RFC 5545 TRIGGER), or a moment. */
  alarm: { before: string } | { at: string };
  list: { list: string; section: string | null };
}

/** A question instead of a guess. */
export type Doubt =
  | { code: 'weekday-disagrees'; weekday: string; date: string; actual: string }
  | { code: 'no-such-day'; said: string }
  /** A day of the month that some months don't have. */
  | { code: 'short-month'; day: number }
  | { code: 'which-person'; name: string; ids: string[] };

interface Stretch {
  /** Offsets into the typed line, UTF-16: from the first character to behind the last. */
  from: number;
  to: number;
  /** As it was typed. */
  text: string;
}

export type Span = {
  [K in SpanKind]: Stretch & { kind: K; value: SpanValue[K]; /** False: only offered, and its words stay in the title. */ chosen: boolean };
}[SpanKind];

/** A stretch that is asked about: its words stay in the title until the answer. */
export type Question = Stretch & { doubt: Doubt };

/** How a wrong guess is told apart when it was taken back: it goes back into the title as typed. */
export const spanName = ({ kind, text }: Pick<Span, 'kind' | 'text'>): string => `${kind}:${text.trim().toLowerCase()}`;
