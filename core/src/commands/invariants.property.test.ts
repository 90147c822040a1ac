import fc from 'fast-check';
import { counts, isDone } from '../followup/standing.ts';
import type { Noun } from '../model/nouns.ts';
import { DEEPEST } from '../reader/tree.ts';
import { idOf, World } from '../testing/world.ts';
import { byPosition } from '../model/position.ts';
import { isUndoable } from './undoable.ts';

const PEOPLE = ['Aino', 'Leila', 'Eetu'] as const;

/** One random thing somebody does; the numbers choose among what there is. */
const aDoing = fc.record({ who: fc.constantFrom(...PEOPLE), what: fc.nat(23), a: fc.nat(30), b: fc.nat(30) });
type Doing = typeof aDoing extends fc.Arbitrary<infer D> ? D : never;

function house(): World {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Eetu');
  const list = w.list('Aino', 'Rooms', [
    ['Leila', 'check'],
    ['Eetu', 'edit'],
  ]);
  const other = w.list('Eetu', 'Yard', [['Aino', 'edit']]);
  const parent = w.item('Aino', 'Towels', { list, persons: [w.person('Leila')] });
  w.item('Aino', 'Big ones', { parent });
  w.item('Eetu', 'Rake', { list: other });
  return w;
}

const nth = (rows: readonly { id: string }[], n: number): string => rows[n % Math.max(1, rows.length)]?.id ?? idOf('none');

/** Tries it; a refusal is part of life. Returns the command's id if it was accepted. */
function attempt(w: World, { who, what, a, b }: Doing): string | null {
  const items = w.rows.all('item');
  const item = items[a % items.length]!.id;
  const second = items[b % items.length]!.id;
  const person = w.person(PEOPLE[b % PEOPLE.length]!);
  const lists = w.rows.all('list');
  const tries = [
    () => w.try(who, 'item.add', { title: `Thing ${a}`, list: lists[b % lists.length]!.id, persons: b % 3 === 0 ? [person] : [] }),
    () => w.try(who, 'item.add', { title: `Step ${a}`, parent: item }),
    () => w.try(who, 'item.change', { item, title: `Better ${b}`, tags: b % 2 ? ['wood'] : ['shore', 'wood'] }),
    () => w.try(who, 'item.move', { items: [item], list: lists[b % lists.length]!.id, after: b % 2 ? second : null }),
    () => w.try(who, 'item.remove', { items: [item] }),
    () => w.try(who, 'part.handOver', { items: [item], persons: [person], policy: b % 2 ? 'each' : 'any' }),
    () => w.try(who, 'part.takeBack', { item, persons: [person] }),
    () => w.try(who, 'part.passOn', { item, from: w.person(who), to: person }),
    () => w.try(who, 'part.excuse', { item, person, excused: b % 2 === 0 }),
    () => w.try(who, 'part.accept', { item }),
    () => w.try(who, 'part.decline', { item, reason: '' }),
    () => w.try(who, 'part.checkOff', { item, person: b % 2 ? w.person(who) : null }),
    () => w.try(who, 'part.uncheck', { item, person: b % 2 ? w.person(who) : null }),
    () => w.try(who, 'part.plan', { items: [item], plan: `2026-12-${String(1 + (b % 28)).padStart(2, '0')}` }),
    () => w.try(who, 'part.shelve', { items: [item] }),
    () => w.try(who, 'item.move', { items: [item], parent: second }),
    () => w.try(who, 'item.copy', { items: [item], list: lists[b % lists.length]!.id }),
    () => w.try(who, 'list.useAgain', { list: lists[b % lists.length]!.id }),
    () =>
      w.try(who, 'item.addMany', {
        list: lists[a % lists.length]!.id,
        items: [{ title: `One ${a}` }, { title: 'Under it', under: 0 }, { title: 'Done', ticked: b % 2 === 0 }],
      }),
    () => w.try(who, 'item.setPolicy', { item, policy: b % 2 ? 'each' : 'any' }),
    () => w.try(who, 'tag.make', { name: `tag ${a}` }),
    () => w.try(who, 'tag.change', { tag: nth(w.rows.all('tag'), a), parent: b % 4 === 0 ? null : nth(w.rows.all('tag'), b) }),
    () => w.try(who, 'item.move', { items: [item], parent: null, list: lists[0]!.id }),
    () => w.try(who, 'undo', { command: idOf(`command ${Math.max(0, w.given - 1 - (a % 8))}`) }),
  ];
  const done = tries[what % tries.length]!();
  return done.outcome === 'accepted' ? done.id : null;
}

function expectSound(w: World): void {
  for (const item of w.rows.all('item')) {
    const parts = w.parts(item.id);
    const somebodys = parts.filter((part) => part.personId !== null && part.takenBackAt === null);
    const nobodys = parts.filter((part) => part.personId === null && part.takenBackAt === null);
    // nobody's part counts exactly while nobody has it
    expect(nobodys).toHaveLength(somebodys.length > 0 ? 0 : 1);
    // an item is done only through parts that are
    if (isDone(item, parts)) expect(parts.filter(counts).some((part) => part.standing === 'completed')).toBe(true);
    for (const part of parts) {
      expect(part.standing === 'completed').toBe(part.completedAt !== null);
      if (part.completedAt) expect(part.completedAt <= part.arrivedAt!).toBe(true);
    }
    // a step is where its item is, and above it stands nothing that is below it
    const parent = item.parentId ? w.row(item.parentId) : null;
    if (parent) expect([item.listId, item.sectionId]).toEqual([parent.listId, parent.sectionId]);
    if (parent && item.removedAt === null) expect(parent.removedAt).toBeNull();
    expectEnds(item.id, (id) => w.row(id).parentId);
    for (const tag of item.tagIds) expect(w.rows.find('tag', tag)).toMatchObject({ removedAt: null });
  }
  for (const tag of w.rows.all('tag')) expectEnds(tag.id, (id) => (w.rows.find('tag', id) as { parentId: string | null }).parentId);
  for (const list of w.rows.all('list')) {
    const inList = w.rows.by('item', 'listId', list.id).filter((item) => item.parentId === null && !item.removedAt);
    const order = [...inList].sort(byPosition);
    for (let nth = 1; nth < order.length; nth++) expect(order[nth - 1]!.position <= order[nth]!.position).toBe(true);
  }
}

/** The history and what is told name who did it, and nobody hears of their own doing. */
function expectWhoDidIt(w: World, command: string, personId: string): void {
  const made = (rows: readonly { stamps: Record<string, { c: string }> }[]) => rows.filter(({ stamps }) => stamps['']?.c === command);
  for (const entry of made(w.rows.all('activity'))) expect(entry).toMatchObject({ actorId: personId });
  for (const notice of made(w.rows.all('notice'))) {
    expect(notice).toMatchObject({ byId: personId });
    expect(notice).not.toMatchObject({ personId });
  }
}

/** Going up comes to an end, and not too high. */
function expectEnds(id: string, parentOf: (id: string) => string | null): void {
  let steps = 0;
  for (let at: string | null = id; at !== null; at = parentOf(at)) expect((steps += 1)).toBeLessThanOrEqual(DEEPEST + 1);
}

test('whatever people do in whatever order, the house stays sound', () => {
  fc.assert(
    fc.property(fc.array(aDoing, { maxLength: 25 }), (doings) => {
      const w = house();
      for (const doing of doings) {
        const id = attempt(w, doing);
        if (id !== null) expectWhoDidIt(w, id, w.person(doing.who));
        w.later(1);
      }
      expectSound(w);
    }),
    { numRuns: 300 },
  );
});

/** What undoing leaves behind on purpose: the history, what was told, and who wrote a field last. */
const KEPT: Noun[] = ['activity', 'notice'];
function picture(w: World): Map<string, unknown> {
  const rows = new Map<string, unknown>();
  for (const noun of ['item', 'part', 'comment', 'list', 'share', 'section', 'tag'] as const) {
    if (KEPT.includes(noun)) continue;
    for (const { seq: _seq, stamps: _stamps, ...row } of w.rows.all(noun)) rows.set(`${noun} ${row.id}`, row);
  }
  return rows;
}
/** A row that did not exist before is as good as none when it is removed, taken back or no longer shared. */
const isGone = (row: unknown): boolean => {
  const { removedAt, takenBackAt, access } = row as Record<string, unknown>;
  return (removedAt ?? null) !== null || (takenBackAt ?? null) !== null || access === null;
};

function liesInRemoved(rows: Map<string, unknown>, itemId: string): boolean {
  const item = rows.get(`item ${itemId}`) as { listId: string | null } | undefined;
  return !!item?.listId && isGone(rows.get(`list ${item.listId}`));
}

test('undoing at once puts every row back as it was', () => {
  fc.assert(
    fc.property(fc.array(aDoing, { maxLength: 12 }), aDoing, (before, last) => {
      const w = house();
      for (const doing of before) attempt(w, doing);
      const then = picture(w);
      const id = attempt(w, last);
      fc.pre(id !== null && isUndoable(w.rows.command(id) === undefined ? '' : (w.rows.command(id) as { name: string }).name));
      const laidInRemoved = w.rows.all('item').some(({ id: item }) => liesInRemoved(then, item));
      const undone = w.try(last.who, 'undo', { command: id! });
      // what was taken out of a removed list isn't put back into it
      if (laidInRemoved && undone.outcome === 'refused') return expect(undone.reason.code).toBe('lies-in-removed');
      expect(undone.outcome).toBe('accepted');
      const now = picture(w);
      for (const [key, row] of now) {
        const old = then.get(key);
        if (old === undefined) {
          // tags made on the way are words that stay
          const itemOf = now.get(`item ${(row as { itemId?: string }).itemId}`);
          if (!key.startsWith('tag ')) expect(isGone(row) || (itemOf !== undefined && isGone(itemOf))).toBe(true);
        } else if (!isGone(old) || !isGone(row)) expect({ key, row }).toEqual({ key, row: old });
      }
      expectSound(w);
    }),
    { numRuns: 300 },
  );
});
