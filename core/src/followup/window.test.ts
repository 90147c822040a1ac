import * as fc from 'fast-check';
import { isInHand } from '../model/part.ts';
import { nextAppearance } from '../recurrence/chores.ts';
import { World } from '../testing/world.ts';
import { addDays } from '../time/clock.ts';
import { beyondWindow, isLiving, NEWEST_OF_LIST, NEWEST_OF_SERIES } from './window.ts';

const TODAY = '2026-11-24';
const living = (w: World, item: string) => isLiving(w.row(item), w.parts(item));
/** Of items and what names them. */
const beyond = (w: World, from = w.seq) =>
  beyondWindow(w.rows, from, TODAY).flatMap(({ noun, id }) => ((w.rows.find(noun, id) as { itemId?: string | null }).itemId === null ? [] : [`${noun}:${id}`]));

/** Aino's house; what she does in her own pile is in no list, so that nothing but its age speaks for it. */
function house() {
  const w = new World();
  w.join('Leila');
  const add = (title: string, more: object = {}) => w.item('Aino', title, more);
  const done = (item: string) => (w.must('Aino', 'part.checkOff', { item, person: null }), item);
  return { w, add, done };
}

describe('what somebody has still to do with', () => {
  test('an open item, and a step of one', () => {
    const { w, add } = house();
    const item = add('Boat');
    expect([living(w, item), living(w, add('Oars', { parent: item }))]).toEqual([true, true]);
  });

  test('one that came back, until it is put away', () => {
    const { w, add } = house();
    const item = add('Boat', { persons: [w.person('Leila')] });
    w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
    expect(living(w, item)).toBe(true);
    w.must('Aino', 'part.putAway', { items: [item] });
    expect(living(w, item)).toBe(false);
  });

  test('one that waits to be looked at', () => {
    const { w, add } = house();
    const item = add('Boat', { persons: [w.person('Leila')], confirm: true });
    w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
    w.must('Aino', 'part.putAway', { items: [item] });
    expect(living(w, item)).toBe(true);
  });

  test('neither what one did oneself, nor what was removed', () => {
    const { w, add, done } = house();
    const removed = add('Oars');
    w.must('Aino', 'item.remove', { items: [removed] });
    expect([living(w, done(add('Boat'))), living(w, removed)]).toEqual([false, false]);
  });
});

describe('what a device may let go of', () => {
  test('a thing that is done and rests, with all that names it', () => {
    const { w, add, done } = house();
    const item = done(add('Boat'));
    w.must('Aino', 'comment.say', { item, text: 'Grey' });
    const named = (['part', 'comment', 'activity'] as const).flatMap((noun) => w.rows.by(noun, 'itemId', item).map(({ id }) => `${noun}:${id}`));
    expect(named.length).toBeGreaterThan(3);
    expect(beyond(w).sort()).toEqual([`item:${item}`, ...named].sort());
  });

  test('not if anything of it was written since', () => {
    const { w, add, done } = house();
    const item = done(add('Boat'));
    const from = w.seq;
    w.must('Aino', 'comment.say', { item, text: 'Grey' });
    expect(beyond(w, from)).toEqual([]);
  });

  test('a step goes when all of its item does, not before', () => {
    const { w, add, done } = house();
    const item = add('Boat');
    const step = done(add('Oars', { parent: item }));
    expect(beyond(w)).toEqual([]);
    done(item);
    expect(beyond(w)).toEqual(expect.arrayContaining([`item:${item}`, `item:${step}`]));
  });

  test('of a list the newest stay, without what happened to them', () => {
    const { w, add, done } = house();
    const list = w.list('Aino', 'Boathouse');
    const items = Array.from({ length: NEWEST_OF_LIST + 2 }, (_, nth) => done(add(`Oar ${nth}`, { list })));
    const gone = beyond(w);
    expect(gone.filter((key) => key.startsWith('item:')).sort()).toEqual(items.slice(0, 2).map((id) => `item:${id}`).sort()); // prettier-ignore
    expect(gone.filter((key) => key.startsWith('activity:')).length).toBeGreaterThanOrEqual(2 * items.length);
    w.must('Aino', 'list.file', { list, filed: true });
    expect(beyond(w).filter((key) => key.startsWith('item:'))).toHaveLength(items.length);
  });

  test('of a chore the last stay: they say whose turn it is', () => {
    const { w, add } = house();
    const item = add('Ashes', { persons: [w.person('Aino')] });
    w.must('Aino', 'chore.make', { item, rrule: 'FREQ=DAILY', dtstart: TODAY, persons: [w.person('Aino'), w.person('Leila')], turn: 'turns' });
    const series = w.rows.all('series')[0]!;
    const occurrences = () => w.rows.by('item', 'seriesId', series.id);
    for (let day = TODAY; occurrences().length < NEWEST_OF_SERIES + 3; day = addDays(day, 1)) {
      w.now = `${day}T10:00:00.000Z`;
      const next = nextAppearance(series, w.now, w.rows.all('house')[0]!, w.rows);
      if (next && next.at <= w.now) w.system('chore.appear', { series: series.id, recurrenceId: next.occurrence.recurrenceId });
      const open = occurrences().find(({ id }) => living(w, id));
      if (open) w.must('Aino', 'part.checkOff', { item: open.id, person: w.parts(open.id).find(isInHand)!.personId });
    }
    expect(occurrences().length - beyond(w).filter((key) => key.startsWith('item:')).length).toBeGreaterThanOrEqual(NEWEST_OF_SERIES);
    expect(beyond(w).filter((key) => key.startsWith('item:')).length).toBeGreaterThan(0);
  });

  test('whatever happened: a thing with its steps goes whole or stays whole, and nothing open goes', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(5), fc.nat(20)), { maxLength: 30 }), fc.nat(60), (doings, back) => {
        const { w, add } = house();
        const items: string[] = [];
        for (const [what, which] of doings) {
          const item = items[which % Math.max(1, items.length)];
          if (what === 0 || item === undefined) items.push(add(`Thing ${items.length}`));
          else if (what === 1 && w.row(item).removedAt === null) items.push(add(`Step ${items.length}`, { parent: item }));
          else if (what === 2) w.try('Aino', 'part.checkOff', { item, person: null });
          else if (what === 3) w.try('Aino', 'part.uncheck', { item, person: null });
          else if (what === 4) w.try('Aino', 'item.remove', { items: [item] });
          else w.try('Aino', 'comment.say', { item, text: 'Well' });
        }
        const gone = new Set(beyond(w, w.seq - back));
        for (const { id, parentId } of w.rows.all('item')) {
          if (living(w, id)) expect(gone.has(`item:${id}`)).toBe(false);
          if (parentId !== null) expect(gone.has(`item:${parentId}`)).toBe(gone.has(`item:${id}`));
          for (const part of w.rows.by('part', 'itemId', id)) expect(gone.has(`part:${part.id}`)).toBe(gone.has(`item:${id}`));
        }
      }),
    );
  });
});
