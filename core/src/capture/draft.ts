import { onArriving, type Trigger } from '../model/alarm.ts';
import { titleOf, type ReadLine } from './pieces.ts';
import { countOf, type PastedLine } from './read-lines.ts';
import { spanName, type SpanValue } from './span.ts';

/** A reading with what was offered and taken up. */
export function settled(typed: string, read: ReadLine, taken: ReadonlySet<string>): ReadLine {
  const spans = read.spans.map((span) => (taken.has(spanName(span)) ? { ...span, chosen: true } : span));
  return { ...read, spans, title: titleOf(typed, spans) };
}

export interface Draft {
  title: string;
  due?: string;
  plan?: string;
  start?: string;
  effort?: number;
  importance?: number;
  tags?: string[];
  place?: string;
  rule?: { rrule: string | null; afterDone: string | null; time: string | null; words: string };
  alarms?: Trigger[];
  persons: string[];
  policy?: 'each' | 'any';
  list?: string;
  section?: string | null;
}

/** The chosen stretches as what is to be made. `everyone`: the ids of whom that means. */
export function draftOf({ title, spans }: ReadLine, everyone: readonly string[]): Draft {
  const draft: Draft = { title, persons: [] };
  for (const span of spans) {
    if (!span.chosen) continue;
    if (span.kind === 'due' || span.kind === 'plan' || span.kind === 'start') draft[span.kind] = span.value;
    else if (span.kind === 'effort') draft.effort = span.value;
    else if (span.kind === 'importance') draft.importance = span.value;
    else if (span.kind === 'alarm') draft.alarms = [...(draft.alarms ?? []), triggerOf(span.value)];
    else if (span.kind === 'place-reminder') remindAt(span.value, draft);
    else if (span.kind === 'tag') draft.tags = [...(draft.tags ?? []), span.value];
    else if (span.kind === 'place') draft.place = span.value;
    else if (span.kind === 'rule') draft.rule = { ...span.value, words: span.text.trim() };
    else if (span.kind === 'person') {
      draft.persons = [...new Set([...draft.persons, ...span.value.ids])];
      draft.policy = span.value.policy ?? draft.policy;
    } else if (span.kind === 'everyone') {
      draft.persons = [...everyone];
      draft.policy = 'each';
    } else if (span.kind === 'list') Object.assign(draft, { list: span.value.list, section: span.value.section });
  }
  hangAlarms(draft);
  if (draft.persons.length > 1) draft.policy ??= 'each';
  return draft;
}

/** What reminds on coming to a place is done there; on leaving it, anywhere. */
function remindAt({ place, when }: SpanValue['place-reminder'], draft: Draft): void {
  draft.alarms = [...(draft.alarms ?? []), onArriving(place, when)];
  if (when === 'enter') draft.place ??= place;
}

/** "2 days before" hangs on the date the line gives: its deadline, else its plan. With none the wish waits for a deadline. */
function hangAlarms(draft: Draft): void {
  const to = draft.due ? 'due' : draft.plan ? 'plan' : draft.start ? 'start' : 'due';
  draft.alarms = draft.alarms?.map((trigger) => (trigger.kind === 'relative' ? { ...trigger, to } : trigger));
}

/** Before the deadline it stands with in the line, or at a moment of its own. */
const triggerOf = (value: SpanValue['alarm']): Trigger =>
  'at' in value ? { kind: 'absolute', at: value.at } : { kind: 'relative', to: 'due', offset: `-${value.before}` };

/** One of several to be made in one command, as `item.addMany` takes it. */
export type NewLine = Omit<Draft, 'list' | 'section'> & { under: number | null; ticked: boolean };

/** Rows of one command of several lines, some left for what the house adds to them. */
const MOST_ROWS = 1_800;

/** What comes back is worked out by its rule as it is made: it counts for as many rows. */
const ROWS_OF_RULE = 15;

/** Rows a line becomes, at most: the item, its own part and entry; of each person a part and a notice; reminders; new tags. */
const rowsOf = ({ rule, persons, alarms = [], tags = [] }: Omit<Draft, 'list' | 'section'>): number =>
  3 + (rule ? ROWS_OF_RULE : 0) + 2 * persons.length + alarms.length * Math.max(1, persons.length) + tags.length;

/**
 * Pasted lines as what goes in one command each, at most so many: an item and all under it stay together as far as they fit; steps
 * beyond stand by themselves rather than be lost.
 */
export function batchesOf(lines: readonly PastedLine[], read: (text: string) => Draft, most: number): NewLine[][] {
  const batches: NewLine[][] = [[]];
  let rows = 0;
  const add = (line: PastedLine, under: number | null) => {
    const { list: _list, section: _section, title, ...fields } = read(line.text);
    const more = rowsOf({ title, ...fields });
    const full = batches.at(-1)!.length >= most || rows + more > MOST_ROWS;
    if (full) batches.push([]);
    rows = full ? more : rows + more;
    const nth = batches.at(-1)!.push({ ...fields, title: title || line.text, under: full ? null : under, ticked: line.ticked }) - 1;
    const batch = batches.length;
    for (const step of line.steps) add(step, batches.length === batch ? nth : null);
  };
  for (const line of lines) {
    const { length } = batches.at(-1)!;
    if (length > 0 && length + countOf([line]) > most) {
      batches.push([]);
      rows = 0;
    }
    add(line, null);
  }
  return batches.filter((batch) => batch.length > 0);
}
