import * as fc from 'fast-check';
import type { ListKind } from '../model/list.ts';
import type { Row } from '../model/nouns.ts';
import type { ChangedRow } from '../reader/tracked.ts';
import { choresAhead } from '../recurrence/whose-turn.ts';
import { addDays } from '../time/clock.ts';
import { idOf, World } from './world.ts';

/** Who lives there and does it. */
export const PEOPLE = ['Aino', 'Petri', 'Oona'] as const;
const TODAY = '2026-11-24';
const TAGS = ['wood', 'shore'] as const;
const LIST_KINDS: readonly ListKind[] = ['working', 'undated', 'reference'];

const RULES = ['FREQ=DAILY', 'FREQ=WEEKLY;BYDAY=TU,FR', 'FREQ=DAILY;INTERVAL=3'] as const;
const TURNS = ['fixed', 'turns', 'fair'] as const;

const WAYS = [
  'add',
  'add for somebody',
  'step',
  'check',
  'uncheck',
  'hand over',
  'take back',
  'plan',
  'later',
  'shelve',
  'pull',
  'due',
  'wait',
  'go on',
  'remove',
  'bring back',
  'move',
  'file away',
  'keep for looking up',
  'order',
  'leave',
  'tag',
  'put tags below',
  'let go of a tag',
  'say',
  'weigh',
  'repeat',
  'repeat otherwise',
  'leave one out',
  'move one',
  'give one',
  'go away',
  'book',
  'free',
  'have time',
] as const;

/** Something that happens, whether it may or not. */
export const doing = fc.record({ way: fc.constantFrom(...WAYS), nth: fc.nat(8), other: fc.nat(8), who: fc.nat(2) });

type Way = (typeof WAYS)[number];

/** A house in which all kinds of things happen, one after the other, and what each of them changed. */
export class EventfulHouse {
  readonly w = new World();
  readonly lists: string[];
  private made = 0;

  constructor() {
    for (const name of ['Petri', 'Oona']) this.w.join(name);
    const shares: [string, 'edit'][] = [['Petri', 'edit'], ['Oona', 'edit']]; // prettier-ignore
    this.lists = ['Rooms', 'Boats'].map((name) => this.w.list('Aino', name, shares));
    // done long ago, and so in nobody's agenda until it is open again
    const { now } = this.w;
    this.w.now = '2026-08-03T09:00:00.000Z';
    this.w.must('Aino', 'part.checkOff', { item: this.w.item('Aino', 'Long done', { list: this.lists[0], due: '2026-08-03' }), person: null });
    this.w.now = now;
    for (const name of TAGS) this.w.must('Aino', 'tag.make', { name });
    for (const nth of [0, 1, 2]) this.w.item('Aino', `Thing ${nth}`, { list: this.lists[nth % 2], due: addDays(TODAY, nth - 1) });
  }

  /** Of the first or the second, whatever became of it. */
  tag(nth: number): string {
    return this.w.rows.all('tag')[nth]!.id;
  }

  /** One of what is to come of the chores, whichever. */
  private coming(nth: number): { series: string; recurrenceId: string } {
    const coming = choresAhead(addDays(TODAY, 14), this.w.rows, this.w.rows.all('house')[0]!);
    const one = coming[nth % Math.max(1, coming.length)];
    return { series: one?.series.id ?? idOf('none'), recurrenceId: one?.occurrence.recurrenceId ?? TODAY };
  }

  /** Some of those who live there. */
  private readonly persons = (nth: number): string[] => PEOPLE.slice(nth).map((name) => this.w.person(name));

  act({ way, nth, other, who }: { way: Way; nth: number; other: number; who: number }): void {
    const { w } = this;
    const by = PEOPLE[who]!;
    const person = w.person(PEOPLE[other % 3]!);
    const all = w.rows.all('item');
    const item = all[nth % all.length]!.id;
    const list = this.lists[other % 2]!;
    const day = addDays(TODAY, (other % 5) - 2);
    const title = `Made ${this.made++}`;
    const wait = w.rows.all('wait')[nth % Math.max(1, w.rows.all('wait').length)]?.id ?? idOf('none');
    const chores = w.rows.all('series');
    const series = chores[nth % Math.max(1, chores.length)]?.id ?? idOf('none');
    const next = () => this.coming(nth * 8 + other);
    const slot = w.rows.all('slot')[nth % Math.max(1, w.rows.all('slot').length)]?.id ?? idOf('none');
    const ways: Record<Way, () => unknown> = {
      add: () => w.try(by, 'item.add', { title, list: nth % 2 ? list : undefined, due: nth % 3 ? day : undefined }),
      'add for somebody': () => w.try(by, 'item.add', { title, list, persons: [person] }),
      step: () => w.try(by, 'item.add', { title, parent: item, due: nth % 2 ? day : undefined }),
      check: () => w.try(by, 'part.checkOff', { item, person: nth % 2 ? null : person }),
      uncheck: () => w.try(by, 'part.uncheck', { item, person: nth % 2 ? null : person }),
      'hand over': () => w.try(by, 'part.handOver', { items: [item], persons: [person] }),
      'take back': () => w.try(by, 'part.takeBack', { item, persons: [person] }),
      plan: () => w.try(by, 'part.plan', { items: [item], plan: day }),
      later: () => w.try(by, 'part.later', { items: [item] }),
      shelve: () => w.try(by, 'part.shelve', { items: [item] }),
      pull: () => w.try(by, 'part.pull', { items: [item] }),
      due: () => w.try(by, 'item.setDue', { item, due: other % 3 ? day : null }),
      wait: () => w.try(by, 'wait.set', { item, words: 'the paint', askOn: other % 2 ? day : null }),
      'go on': () => w.try(by, 'wait.end', { wait }),
      remove: () => w.try(by, 'item.remove', { items: [item] }),
      'bring back': () => w.try(by, 'item.bringBack', { items: [item] }),
      move: () => w.try(by, 'item.move', { items: [item], list }),
      'file away': () => w.try('Aino', 'list.file', { list, filed: nth % 2 === 0 }),
      'keep for looking up': () => w.try('Aino', 'list.change', { list, kind: LIST_KINDS[nth % 3]! }),
      order: () => w.try(by, 'part.order', { items: [item, all[other % all.length]!.id] }),
      leave: () => this.forgotten(item),
      tag: () => w.try(by, 'item.change', { item, tags: [TAGS[other % 2]!] }),
      'put tags below': () => w.try('Aino', 'tag.change', { tag: this.tag(0), parent: other % 2 ? this.tag(1) : null }),
      'let go of a tag': () => w.try('Aino', 'tag.remove', { tag: this.tag(other % 2) }),
      say: () => w.try(by, 'comment.say', { item, text: 'How far is it?' }),
      weigh: () => w.try(by, 'item.change', { item, importance: (other % 4) as 0 }),
      repeat: () =>
        w.try(by, 'chore.make', { title, list, dtstart: day, rrule: RULES[nth % 3]!, turn: TURNS[other % 3]!, persons: this.persons(who), effort: 10 + nth }),
      'repeat otherwise': () =>
        w.try(by, 'chore.change', { series, ...[{ title }, { turn: TURNS[other % 3]! }, { persons: this.persons(who) }, { effort: 5 + other }][nth % 4] }),
      'leave one out': () => w.try(by, 'chore.skip', next()),
      'move one': () => w.try(by, 'chore.move', { ...next(), at: day }),
      'give one': () => w.try(by, 'chore.giveTurn', { ...next(), person }),
      'go away': () => w.try(by, 'away.add', { person: w.person(by), from: day, to: addDays(day, nth) }),
      book: () => w.try(by, 'slot.book', { items: [item], start: `${day}T1${other % 10}:00`, minutes: 30 }),
      free: () => w.try(by, 'slot.free', { slot }),
      'have time': () => w.try(by, 'capacity.set', { person: w.person(by), minutes: [nth, 60, 60, 60, 60, 0, other] }),
    };
    ways[way]();
  }

  /** A device lets go of a thing with all that names it. */
  private forgotten(item: string): void {
    for (const part of this.w.rows.by('part', 'itemId', item)) this.w.rows.evict('part', part.id);
    this.w.rows.evict('item', item);
  }

  /** What changed since this was asked last. */
  since(): ChangedRow[] {
    return this.w.rows.changed().map((one) => ({ ...one, after: this.w.rows.find(one.noun, one.id) as Row | undefined }));
  }
}
