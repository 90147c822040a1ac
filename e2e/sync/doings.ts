import { isHere, isOwnPart, type List, type MemoryRows, type Person } from '@kotiva/core';
import { given, openItems, withOne, type Doing } from './doing.ts';
import type { Editor } from './editor.ts';
import { PLACE_DOINGS } from './places-doings.ts';
import type { Random } from './random.ts';

const lists = (rows: MemoryRows): List[] => rows.all('list').filter((list) => !list.removedAt);
const people = (rows: MemoryRows): Person[] => rows.all('person').filter(isHere);
const mine = (rows: MemoryRows, me: Person) => rows.all('part').filter((part) => isOwnPart(part, me));

/** An occurrence of a chore that has become an item. */
const occurrencesSeen = (rows: MemoryRows) =>
  openItems(rows).flatMap(({ seriesId, recurrenceId }) => (seriesId && recurrenceId ? [{ series: seriesId, recurrenceId }] : []));
const DAILY = { rrule: 'FREQ=DAILY', dtstart: '2026-11-24T16:00' };

/** What people do at random, on what they see. A refusal is part of it. */
const DOINGS: [number, Doing][] = [
  [3, (e, r, rows) => given(e.give('item.add', { title: `Thing ${r.below(1000)}`, list: r.pick(lists(rows))?.id, section: r.pick(rows.all('section'))?.id }))],
  [1, (e, r, rows) => withOne(r.pick(openItems(rows)), (item) => e.give('item.add', { title: `Step ${r.below(1000)}`, parent: item.id }))],
  [1, (e, r) => given(e.give('item.add', { title: `Own ${r.below(1000)}` }))],
  [1, (e, r) => given(e.give('list.make', { name: `List ${r.below(100)}`, colour: 'moss', icon: 'leaf', sections: r.chance(0.5) ? ['One', 'Two'] : [] }))],
  [
    3,
    (e, r, rows) =>
      withOne(r.pick(lists(rows)), (list) =>
        e.give('list.share', { list: list.id, person: r.pick(people(rows))!.id, access: r.pick(['edit', 'check', 'view', null] as const)! }),
      ),
  ],
  [1, (e, r, rows) => withOne(r.pick(lists(rows)), (list) => e.give('list.giveTo', { list: list.id, person: r.pick(people(rows))!.id }))],
  [1, (e, r, rows) => withOne(r.pick(lists(rows)), (list) => e.give('section.make', { list: list.id, name: `Section ${r.below(100)}` }))],
  [
    4,
    (e, r, rows) =>
      withOne(r.pick(openItems(rows)), (item) =>
        e.give('part.handOver', {
          items: [item.id],
          persons: [r.pick(people(rows))!.id],
          policy: r.chance(0.5) ? r.pick(['any', 'each'] as const) : undefined,
          message: r.chance(0.5) ? 'Please' : '',
        }),
      ),
  ],
  [
    2,
    (e, r, rows) =>
      withOne(r.pick(rows.all('part')), (part) =>
        part.personId ? e.give('part.takeBack', { item: part.itemId, persons: [part.personId] }) : e.give('part.take', { item: part.itemId }),
      ),
  ],
  [2, (e, r, rows, me) => withOne(r.pick(mine(rows, me)), (part) => e.give('part.passOn', { item: part.itemId, from: me.id, to: r.pick(people(rows))!.id }))],
  [4, (e, r, rows) => withOne(r.pick(rows.all('part')), (part) => e.give('part.checkOff', { item: part.itemId, person: part.personId }))],
  [2, (e, r, rows) => withOne(r.pick(rows.all('part')), (part) => e.give('part.uncheck', { item: part.itemId, person: part.personId }))],
  [2, (e, r, rows, me) => withOne(r.pick(mine(rows, me)), (part) => e.give('part.accept', { item: part.itemId }))],
  [1, (e, r, rows, me) => withOne(r.pick(mine(rows, me)), (part) => e.give('part.decline', { item: part.itemId, reason: 'Busy' }))],
  [1, (e, r, rows, me) => withOne(r.pick(mine(rows, me)), (part) => e.give('part.askBack', { item: part.itemId, question: 'Which?' }))],
  [2, (e, r, rows) => withOne(r.pick(openItems(rows)), (item) => e.give('item.change', { item: item.id, title: `Better ${r.below(1000)}` }))],
  [
    1,
    (e, r, rows) =>
      withOne(r.pick(openItems(rows)), (item) => e.give('item.change', { item: item.id, notes: `${item.notes}\nline ${r.below(10)}`, notesBase: item.notes })),
  ],
  [2, (e, r, rows) => withOne(r.pick(openItems(rows)), (item) => e.give('item.setDue', { item: item.id, due: `2026-12-${10 + r.below(20)}` }))],
  [2, (e, r, rows) => withOne(r.pick(openItems(rows)), (item) => e.give('item.change', { item: item.id, tags: [r.pick(['wood', 'shore', 'shop'])!] }))],
  [1, (e, r, rows) => withOne(r.pick(rows.all('tag')), (tag) => e.give('tag.remove', { tag: tag.id }))],
  [2, (e, r, rows) => withOne(r.pick(openItems(rows)), (item) => e.give('part.plan', { items: [item.id], plan: `2026-12-${10 + r.below(20)}` }))],
  [1, (e, r, rows) => withOne(r.pick(openItems(rows)), (item) => e.give('part.shelve', { items: [item.id], shelved: r.chance(0.7) }))],
  [1, (e, r, rows) => withOne(r.pick(openItems(rows)), (item) => e.give(r.pick(['part.pull', 'part.takeOff', 'part.later'] as const)!, { items: [item.id] }))],
  [
    2,
    (e, r, rows) =>
      withOne(r.pick(openItems(rows)), (item) =>
        e.give('item.move', { items: [item.id], list: r.pick(lists(rows))?.id ?? null, after: r.chance(0.5) ? (r.pick(openItems(rows))?.id ?? null) : null }),
      ),
  ],
  [1, (e, r, rows) => withOne(r.pick(openItems(rows)), (item) => e.give('item.remove', { items: [item.id] }))],
  [1, (e, r, rows) => withOne(r.pick(openItems(rows)), (item) => e.give('item.move', { items: [item.id], parent: r.pick(openItems(rows))!.id }))],
  [1, (e, r, rows) => withOne(r.pick(openItems(rows)), (item) => e.give('item.copy', { items: [item.id], list: r.pick(lists(rows))?.id ?? null }))],
  [1, (e, r, rows) => withOne(r.pick(lists(rows)), (list) => e.give('list.useAgain', { list: list.id }))],
  [1, (e, r, rows) => withOne(r.pick(lists(rows)), (list) => e.give('list.clearDone', { list: list.id, cleared: r.chance(0.7) }))],
  [1, (e, r, rows) => withOne(r.pick(rows.all('part')), (part) => e.give('part.nudge', { item: part.itemId, persons: [part.personId ?? part.id] }))],
  [
    1,
    (e, r, rows) =>
      withOne(r.pick(people(rows)), (person) => e.give('person.setRest', { person: person.id, rest: { hours: null, daysOff: [r.below(7) + 1] } })),
  ],
  [
    2,
    (e, r, rows) =>
      withOne(r.pick(openItems(rows)), (item) =>
        e.give('alarm.set', { item: item.id, trigger: { kind: 'relative', to: r.pick(['due', 'plan'] as const)!, offset: `-P${1 + r.below(5)}D` } }),
      ),
  ],
  [
    2,
    (e, r, rows) => {
      const [turn, missed] = [r.pick(['fixed', 'turns', 'fair'] as const)!, r.pick(['keep', 'roll'] as const)!];
      const persons = [...new Set([r.pick(people(rows))!.id, r.pick(people(rows))!.id])];
      return given(e.give('chore.make', { title: `Chore ${r.below(100)}`, list: r.pick(lists(rows))?.id, ...DAILY, turn, missed, persons, steps: ['Begin'] }));
    },
  ],
  [1, (e, r, rows) => withOne(r.pick(openItems(rows)), (item) => e.give('chore.make', { item: item.id, ...DAILY }))],
  [2, (e, r, rows) => withOne(r.pick(occurrencesSeen(rows)), (one) => e.give(r.pick(['chore.skip', 'chore.end'] as const)!, one))],
  [1, (e, r, rows) => withOne(r.pick(occurrencesSeen(rows)), (one) => e.give('chore.move', { ...one, at: `2026-12-${10 + r.below(20)}` }))],
  [1, (e, r, rows) => withOne(r.pick(occurrencesSeen(rows)), (one) => e.give('chore.giveTurn', { ...one, person: r.pick(people(rows))!.id }))],
  [
    1,
    (e, r, rows) =>
      withOne(r.pick(occurrencesSeen(rows)), ({ series, recurrenceId }) =>
        e.give('chore.change', {
          series,
          from: r.chance(0.5) ? recurrenceId : null,
          title: `Chore ${r.below(100)}`,
          ...(r.chance(0.5) ? { dtstart: '2026-11-24T18:00' } : {}),
        }),
      ),
  ],
  [1, (e, r, rows) => withOne(r.pick(openItems(rows).filter(({ seriesId }) => seriesId)), (item) => e.give('chore.plain', { item: item.id }))],
  [1, (e, r, rows) => withOne(r.pick(rows.all('series')), (series) => e.give('chore.ahead', { series: series.id }))],
  [
    1,
    (e, r, rows) => withOne(r.pick(people(rows)), (person) => e.give('away.add', { person: person.id, from: '2026-11-24', to: `2026-12-0${1 + r.below(9)}` })),
  ],
  [1, (e, r, rows) => withOne(r.pick(rows.all('alarm')), (alarm) => e.give('alarm.remove', { alarms: [alarm.id] }))],
  [1, (e, r, rows) => withOne(r.pick(openItems(rows)), (item) => e.give('wait.set', { item: item.id, words: 'the van' }))],
  [1, (e, r, rows) => withOne(r.pick(rows.all('wait')), (wait) => e.give('wait.end', { wait: wait.id }))],
  [
    1,
    (e, r, rows) => withOne(r.pick(people(rows)), (person) => e.give('away.add', { person: person.id, from: '2026-12-01', to: `2026-12-${10 + r.below(9)}` })),
  ],
  [
    1,
    (e, r, rows) =>
      withOne(r.pick(openItems(rows)), (item) => e.give('slot.book', { items: [item.id], start: `2026-12-0${1 + r.below(9)}T16:00`, minutes: 30 })),
  ],
  [
    1,
    (e, r, rows) =>
      withOne(r.pick(rows.all('slot')), (slot) =>
        r.chance(0.5) ? e.give('slot.change', { slot: slot.id, minutes: 60 }) : e.give('slot.free', { slot: slot.id }),
      ),
  ],
  [2, (e, r, rows) => withOne(r.pick(people(rows)), (person) => e.give('matter.add', { person: person.id, words: 'The keys', shared: r.chance(0.5) }))],
  [
    2,
    (e, r, rows) =>
      withOne(r.pick(rows.all('matter')), (matter) =>
        r.chance(0.5) ? e.give('matter.share', { matter: matter.id, shared: r.chance(0.5) }) : e.give('matter.settle', { matters: [matter.id] }),
      ),
  ],
  [1, (e, r, rows) => withOne(r.pick(people(rows)), (person) => e.give('note.make', { persons: [person.id], date: '2026-12-01', shared: r.chance(0.5) }))],
  [
    1,
    (e, r, rows) =>
      withOne(r.pick(rows.all('meetingNote')), (note) =>
        e.give('note.change', { note: note.id, shared: r.chance(0.5), persons: [r.pick(people(rows))!.id], text: `Said ${r.below(10)}` }),
      ),
  ],
  [1, (e, r) => given(e.give('notice.choose', { push: r.chance(0.5) ? ['reminders'] : [] }))],
  [1, (e, r) => given(e.give('view.arrange', { view: 'today', sort: r.pick(['due', 'title'] as const)!, cap: r.chance(0.5) ? 5 : null }))],
  [
    1,
    (e, r, rows) =>
      withOne(r.pick(people(rows)), (person) => e.give('capacity.set', { person: person.id, minutes: Array.from({ length: 7 }, () => r.below(480)) })),
  ],
  [
    1,
    (e, r, rows) =>
      withOne(r.pick(lists(rows)), (list) =>
        e.give('item.addMany', { list: list.id, items: [{ title: 'Several' }, { title: 'A step of it', under: 0 }, { title: 'Done before', ticked: true }] }),
      ),
  ],
  [1, (e, r, rows) => withOne(r.pick(openItems(rows)), (item) => e.give('comment.say', { item: item.id, text: 'Well' }))],
  [
    1,
    (e, r, rows) =>
      withOne(r.pick(people(rows)), (person) => e.give('person.setRole', { person: person.id, role: r.pick(['manager', 'member', 'helper'] as const)! })),
  ],
  ...PLACE_DOINGS,
];
const TOTAL = DOINGS.reduce((sum, [weight]) => sum + weight, 0);

/** One random thing; returns the id of the command given, if one was. */
export function doSomething(editor: Editor, random: Random): string | null {
  const { me } = editor;
  if (!me) return null;
  let at = random.below(TOTAL);
  for (const [weight, doing] of DOINGS) {
    if (at < weight) return doing(editor, random, editor.rows, me) ?? null;
    at -= weight;
  }
  return null;
}
