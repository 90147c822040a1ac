import * as fc from 'fast-check';
import type { Row } from '../model/nouns.ts';
import type { ChangedRow } from '../reader/tracked.ts';
import type { ListKind } from '../model/list.ts';
import { idOf, World } from '../testing/world.ts';
import { addDays } from '../time/clock.ts';
import { agendaOf } from './agenda.ts';
import { KeptAgenda } from './kept-agenda.ts';
import type { PlanView } from './rows.ts';

/** An agenda that is kept is the agenda worked out from nothing, whatever happens in the house. */

const PEOPLE = ['Aino', 'Petri', 'Oona'] as const;
const TODAY = '2026-11-24';
const LIST_KINDS: readonly ListKind[] = ['working', 'undated', 'reference'];

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
] as const;
const doing = fc.record({ way: fc.constantFrom(...WAYS), nth: fc.nat(8), other: fc.nat(8), who: fc.nat(2) });

class House {
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
    for (const nth of [0, 1, 2]) this.w.item('Aino', `Thing ${nth}`, { list: this.lists[nth % 2], due: addDays(TODAY, nth - 1) });
  }

  act({ way, nth, other, who }: { way: (typeof WAYS)[number]; nth: number; other: number; who: number }): void {
    const { w } = this;
    const by = PEOPLE[who]!;
    const person = w.person(PEOPLE[other % 3]!);
    const all = w.rows.all('item');
    const item = all[nth % all.length]!.id;
    const list = this.lists[other % 2]!;
    const day = addDays(TODAY, (other % 5) - 2);
    const title = `Made ${this.made++}`;
    const wait = w.rows.all('wait')[nth % Math.max(1, w.rows.all('wait').length)]?.id ?? idOf('none');
    const ways: Record<(typeof WAYS)[number], () => unknown> = {
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
    };
    ways[way]();
  }

  /** A device lets go of a thing with all that names it. */
  private forgotten(item: string): void {
    for (const part of this.w.rows.by('part', 'itemId', item)) this.w.rows.evict('part', part.id);
    this.w.rows.evict('item', item);
  }

  since(): ChangedRow[] {
    return this.w.rows.changed().map((one) => ({ ...one, after: this.w.rows.find(one.noun, one.id) as Row | undefined }));
  }
}

test('after each thing that is done it is what it would be worked out from nothing; what is as it was is the same object', () => {
  let accepted = 0;
  fc.assert(
    fc.property(fc.array(doing, { minLength: 1, maxLength: 25 }), fc.constantFrom(...PEOPLE), (doings, name) => {
      const house = new House();
      const view: PlanView = { personId: house.w.person(name), now: house.w.now, house: house.w.rows.all('house')[0]! };
      house.w.rows.changed();
      const kept = new KeptAgenda(view, house.w.rows);
      for (const one of doings) {
        const { seq } = house.w;
        if (house.w.rows.all('item').length === 0) return;
        house.act(one);
        accepted += Number(house.w.seq > seq);
        const before = kept.entries;
        expect(kept.take(house.since())).toBe(true);
        const anew = agendaOf(view, house.w.rows);
        expect(kept.entries).toEqual(anew);
        if (JSON.stringify(before) === JSON.stringify(anew)) expect(kept.entries).toBe(before);
      }
      const nextMinute = new KeptAgenda(view, house.w.rows, kept);
      expect(nextMinute.entries).toBe(kept.entries);
    }),
    { numRuns: 200 },
  );
  // it was not all refused
  expect(accepted).toBeGreaterThan(500);
});
