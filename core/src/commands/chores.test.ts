import type { Item } from '../model/item.ts';
import type { Series } from '../model/series.ts';
import { nextAppearance } from '../recurrence/chores.ts';
import { choresAhead, holderOf } from '../recurrence/whose-turn.ts';
import { World } from '../testing/world.ts';
import type { Payload } from './decide.ts';

/** Wednesdays and Saturdays at 16:00, in turns; today is Tuesday 24 November. */
const SAUNA = { title: 'Heat the sauna', rrule: 'FREQ=WEEKLY;BYDAY=WE,SA', dtstart: '2026-11-24T16:00', turn: 'turns' as const };

function house(more: Partial<Payload<'chore.make'>> = {}) {
  const w = new World();
  for (const name of ['Petri', 'Oona', 'Eetu']) w.join(name);
  const persons = ['Petri', 'Oona', 'Eetu'].map((name) => w.person(name));
  w.must('Aino', 'chore.make', { ...SAUNA, persons, ...more });
  const made = () =>
    w.rows
      .all('item')
      .filter((item) => item.seriesId !== null && item.parentId === null)
      .sort((a, b) => (a.recurrenceId! < b.recurrenceId! ? -1 : 1));
  const open = () => made().filter((item) => item.removedAt === null && w.parts(item.id).every(({ standing }) => standing !== 'completed'));
  const who = (item: Item) => nameOf(holderOf(item, w.rows));
  const nameOf = (id: string | null) => w.rows.all('person').find((person) => person.id === id)?.name ?? null;
  const done = (item: Item, by = who(item)!, more: { at?: string } = {}) => w.must(by, 'part.checkOff', { item: item.id, person: w.person(by) }, more);
  const series = () => w.rows.all('series').at(-1)!;
  const houseRow = () => w.rows.all('house')[0]!;
  const ahead = (until: string) =>
    choresAhead(until, w.rows, houseRow()).map(({ occurrence, assigned }) => `${occurrence.at.slice(5, 10)} ${nameOf(assigned.personIds[0] ?? null)}`);
  /** What the clock does, up to a moment. */
  const clock = (now: string) => {
    w.now = now;
    for (let tries = 0; tries < 50; tries++) {
      const due = w.rows.all('series').flatMap((one) => {
        const next = nextAppearance(one, w.now, houseRow(), w.rows);
        return next && next.at <= now ? [{ series: one.id, recurrenceId: next.occurrence.recurrenceId }] : [];
      })[0];
      if (!due) return;
      w.system('chore.appear', due);
    }
    throw new Error('the clock never came to rest');
  };
  return { w, made, open, who, done, series, ahead, clock };
}

const days = (items: Item[]) => items.map((item) => item.due!.slice(5, 10));

describe('the next one', () => {
  test('the first stands there at once, the next when it is checked off, and goes again when that is undone', () => {
    const { w, open, who, done } = house();
    expect([days(open()), who(open()[0]!)]).toEqual([['11-25'], 'Petri']);
    const first = open()[0]!;
    const { id } = done(first);
    expect([days(open()), who(open()[0]!)]).toEqual([['11-28'], 'Oona']);
    w.must('Petri', 'undo', { command: id });
    expect(open().map((item) => item.id)).toEqual([first.id]);
    done(first);
    expect([days(open()), who(open()[0]!)]).toEqual([['11-28'], 'Oona']);
    w.must('Petri', 'part.uncheck', { item: first.id, person: w.person('Petri') });
    expect(open().map((item) => item.id)).toEqual([first.id]);
  });

  test('one that somebody has begun with is asked about, and stays if wished', () => {
    const { w, open, done } = house();
    const first = open()[0]!;
    const { id } = done(first);
    const next = open()[0]!;
    w.must('Oona', 'part.progress', { item: next.id, percent: 50 });
    const uncheck = { item: first.id, person: w.person('Petri') };
    expect(w.refused('Petri', 'part.uncheck', uncheck).code).toBe('next-touched');
    w.must('Petri', 'part.uncheck', { ...uncheck, next: 'keep' });
    expect(open()).toHaveLength(2);
    done(first);
    expect(open().map((item) => item.id)).toEqual([next.id]);
    expect(w.must('Petri', 'undo', { command: id }).notes.map(({ code }) => code)).toContain('left-alone');
  });

  test('two who check the same one off, in any order, bring one', () => {
    const { w, open, done } = house({ turn: 'fixed', policy: 'any' });
    const first = open()[0]!;
    done(first, 'Oona');
    done(first, 'Eetu');
    expect(days(open())).toEqual(['11-28']);
    expect(w.parts(first.id).filter(({ standing }) => standing === 'completed')).toHaveLength(2);
  });

  test('done late, the rule does not move; by the clock it comes when its day begins', () => {
    const { open, done, clock } = house({ missed: 'keep' });
    clock('2026-11-27T21:59:00.000Z');
    expect(days(open())).toEqual(['11-25']);
    clock('2026-11-27T22:00:00.000Z');
    expect(days(open())).toEqual(['11-25', '11-28']);
    done(open()[0]!);
    expect(days(open())).toEqual(['11-28']);
  });

  test('“only when the last is done”: the clock brings none', () => {
    const { open, clock } = house({ whenDone: true });
    clock('2026-12-20T10:00:00.000Z');
    expect(days(open())).toEqual(['11-25']);
  });

  test('after it was done, counted from the day of the tap', () => {
    const { w, open, clock } = house({ rrule: null, afterDone: 'P6W', dtstart: '2026-11-24', turn: 'fixed', persons: [] });
    clock('2027-02-01T10:00:00.000Z');
    expect(days(open())).toEqual(['11-24']);
    w.must('Aino', 'part.checkOff', { item: open()[0]!.id, person: null }, { at: '2026-11-26T09:00:00.000Z' });
    expect(days(open())).toEqual(['01-07']);
  });

  test('with its steps, open again each time', () => {
    const { w, open, done } = house({ steps: ['Carry wood', 'Open the damper'] });
    const steps = (item: Item) => w.rows.by('item', 'parentId', item.id);
    const first = open()[0]!;
    w.must('Petri', 'part.checkOff', { item: steps(first)[0]!.id, person: null });
    done(first);
    expect(
      steps(open()[0]!)
        .map(({ title }) => title)
        .sort(),
    ).toEqual(['Carry wood', 'Open the damper']);
    expect(steps(open()[0]!).every((step) => w.parts(step.id).every(({ standing }) => standing === 'needs-action'))).toBe(true);
  });
});

describe('missed', () => {
  test('a server that was down over five: each kept, or only the newest open', () => {
    const keep = house({ missed: 'keep' });
    keep.clock('2026-12-10T10:00:00.000Z');
    expect(days(keep.open())).toEqual(['11-25', '11-28', '12-02', '12-05', '12-09']);
    const roll = house({ missed: 'roll' });
    roll.clock('2026-12-10T10:00:00.000Z');
    expect(days(roll.open())).toEqual(['12-09']);
    expect(roll.made().filter(({ missedAt }) => missedAt !== null)).toHaveLength(4);
  });

  test('a tap made before the next came turns missed into done; one made after does not', () => {
    const { w, open, made, done, clock } = house({ missed: 'roll' });
    const first = open()[0]!;
    clock('2026-11-28T08:00:00.000Z');
    const tap = { item: first.id, person: w.person('Petri') };
    expect(w.refused('Petri', 'part.checkOff', tap).code).toBe('was-missed');
    done(first, 'Petri', { at: '2026-11-27T20:00:00.000Z' });
    expect(made()[0]).toMatchObject({ missedAt: null, removedAt: null });
    expect(days(open())).toEqual(['11-28']);
  });
});

describe('whose turn', () => {
  test('away, a turn goes to the next, and who was away comes first afterwards', () => {
    const { w, ahead } = house();
    w.must('Aino', 'away.add', { person: w.person('Oona'), from: '2026-11-27', to: '2026-11-30' });
    expect(ahead('2026-12-12')).toEqual(['11-28 Eetu', '12-02 Oona', '12-05 Petri', '12-09 Eetu', '12-12 Oona']);
  });

  test('away entered later passes the turn on, unless it was taken: then its giver decides', () => {
    const { w, open, who } = house();
    w.must('Petri', 'away.add', { person: w.person('Petri'), from: '2026-11-25', to: '2026-11-25' });
    expect(who(open()[0]!)).toBe('Oona');
    w.must('Oona', 'part.accept', { item: open()[0]!.id });
    w.must('Oona', 'away.add', { person: w.person('Oona'), from: '2026-11-25', to: '2026-11-26' });
    expect(who(open()[0]!)).toBe('Oona');
  });

  test('everyone away: it waits for a decision, and is not lost', () => {
    const { w, open, who } = house();
    for (const name of ['Petri', 'Oona', 'Eetu']) w.must('Aino', 'away.add', { person: w.person(name), from: '2026-11-25', to: '2026-11-25' });
    expect([who(open()[0]!), open()[0]!.turn!.kind]).toEqual([null, 'nobody']);
  });

  test('two swap one evening, by themselves, and the round goes on as if they had not', () => {
    const { w, series, open, ahead } = house();
    w.must('Petri', 'chore.swap', { series: series().id, one: '2026-11-25T16:00', other: '2026-12-02T16:00' });
    expect(holderOf(open()[0]!, w.rows)).toBe(w.person('Eetu'));
    expect(ahead('2026-12-12')).toEqual(['11-28 Oona', '12-02 Petri', '12-05 Petri', '12-09 Oona', '12-12 Eetu']);
    expect(w.refused('Petri', 'chore.swap', { series: series().id, one: '2026-11-28T16:00', other: '2026-12-12T16:00' }).code).toBe('not-allowed');
  });

  test('given away once: who takes it has had the turn, who gave it comes next', () => {
    const { w, series, ahead } = house();
    w.must('Petri', 'chore.giveTurn', { series: series().id, recurrenceId: '2026-11-25T16:00', person: w.person('Eetu') });
    expect(ahead('2026-12-05')).toEqual(['11-28 Petri', '12-02 Oona', '12-05 Eetu']);
  });

  test('whose turn it is is said for a year and a little; what is further off is nobody’s to give away', () => {
    const allowed = (recurrenceId: string) =>
      ['Petri', 'Oona', 'Eetu'].filter((name) => {
        const { w, series } = house();
        return w.try(name, 'chore.giveTurn', { series: series().id, recurrenceId, person: w.person('Eetu') }).outcome === 'accepted';
      });
    expect(allowed('2027-11-27T16:00')).toHaveLength(1);
    for (const far of ['2028-11-25T16:00', '2199-12-28T16:00']) expect(allowed(far)).toEqual([]);
  });

  test('fair: least minutes in four weeks ÷ capacity, and why is kept', () => {
    const { w, open, who, done, clock } = house({ turn: 'fair', effort: 60 });
    const round: string[] = [];
    for (let nth = 0; nth < 6; nth++) {
      const item = open()[0]!;
      round.push(who(item)!);
      done(item);
      clock(w.now);
    }
    expect(round).toEqual(['Eetu', 'Oona', 'Petri', 'Eetu', 'Oona', 'Petri']);
    expect(open()[0]!.turn).toMatchObject({ kind: 'fair', minutes: 120 });
    w.must('Aino', 'capacity.set', { person: w.person('Eetu'), minutes: [0, 0, 0, 0, 0, 0, 0] });
    done(open()[0]!);
    clock(w.now);
    expect(who(open()[0]!)).not.toBe('Eetu');
  });
});

describe('one, or this and the following', () => {
  test('only this one moved or left out', () => {
    const { w, series, done, open, ahead } = house();
    const id = series().id;
    w.must('Aino', 'chore.move', { series: id, recurrenceId: '2026-11-28T16:00', at: '2026-11-30T18:00' });
    w.must('Aino', 'chore.skip', { series: id, recurrenceId: '2026-12-02T16:00' });
    expect(ahead('2026-12-09')).toEqual(['11-30 Oona', '12-05 Eetu', '12-09 Petri']);
    done(open()[0]!);
    expect(open()[0]).toMatchObject({ due: '2026-11-30T18:00', recurrenceId: '2026-11-28T16:00' });
    expect(w.refused('Aino', 'chore.move', { series: id, recurrenceId: '2026-11-25T16:00', at: '2026-11-26' }).code).toBe('not-to-come');
    expect(w.refused('Aino', 'chore.move', { series: id, recurrenceId: '2026-11-29T16:00', at: '2026-11-26' }).code).toBe('not-to-come');
  });

  test('another hour from one on: what is past stays, the round goes on', () => {
    const { w, series, done, open, made, ahead } = house();
    const old = series();
    done(open()[0]!);
    w.must('Aino', 'chore.change', { series: old.id, from: '2026-12-02T16:00', dtstart: '2026-12-02T18:00' });
    expect(days(open())).toEqual(['11-28']);
    expect(w.rows.all('series')).toHaveLength(2);
    expect(series()).toMatchObject({ followsId: old.id, dtstart: '2026-12-02T18:00' });
    expect(ahead('2026-12-09')).toEqual(['12-02 Eetu', '12-05 Petri', '12-09 Oona']);
    expect(made()[0]).toMatchObject({ due: '2026-11-25T16:00', seriesId: old.id });
  });

  test('an earlier day of its week from one on: this week’s is there too, and what is past is not touched', () => {
    const { w, ahead, series } = house({ rrule: 'FREQ=WEEKLY;BYDAY=FR', dtstart: '2026-11-27', turn: 'fixed', persons: [] });
    const days = (until: string) => ahead(until).map((one) => one.slice(0, 5));
    expect(days('2026-12-18')).toEqual(['12-04', '12-11', '12-18']);
    w.must('Aino', 'chore.change', { series: series().id, from: '2026-12-11', rrule: 'FREQ=WEEKLY;BYDAY=WE', dtstart: '2026-12-09' });
    expect(days('2026-12-18')).toEqual(['12-04', '12-09', '12-16']);
    // not before the one that went before it
    w.must('Aino', 'chore.change', { series: series().id, from: '2026-12-16', rrule: 'FREQ=WEEKLY;BYDAY=MO', dtstart: '2026-12-07' });
    expect(days('2026-12-21')).toEqual(['12-04', '12-09', '12-21']);
  });

  test('all that are not over: the open one goes along, with what was done to it', () => {
    const { w, series, open } = house();
    const item = open()[0]!;
    w.must('Petri', 'part.progress', { item: item.id, percent: 30 });
    const { id } = w.must('Aino', 'chore.change', { series: series().id, title: 'Heat the big sauna', dtstart: '2026-11-24T17:00' });
    expect(w.row(item.id)).toMatchObject({ title: 'Heat the big sauna', due: '2026-11-25T17:00' });
    expect(w.part(item.id, 'Petri').percent).toBe(30);
    expect(open()).toHaveLength(1);
    w.must('Aino', 'undo', { command: id });
    expect(w.row(item.id)).toMatchObject({ title: 'Heat the sauna', due: '2026-11-25T16:00' });
  });

  test('from a day to come: all before it stays, the open ones too, and the changed one begins on that day', () => {
    const { w, series, open, clock, ahead } = house({ missed: 'keep', turn: 'fixed', persons: [] });
    clock('2026-12-03T10:00:00.000Z');
    expect(days(open())).toEqual(['11-25', '11-28', '12-02']);
    const old = series();
    w.must('Aino', 'chore.change', { series: old.id, from: '2027-03-01', dtstart: '2027-03-01T18:00' });
    expect(days(open())).toEqual(['11-25', '11-28', '12-02']);
    expect(ahead('2026-12-12').map((one) => one.slice(0, 5))).toEqual(['12-05', '12-09', '12-12']);
    // nothing of it comes before its day, whatever is done or left undone till then
    clock('2027-03-02T10:00:00.000Z');
    const made = open();
    expect(made.filter(({ seriesId }) => seriesId !== old.id)).toEqual([]);
    expect(made.at(-1)!.due).toBe('2027-02-27T16:00');
    clock('2027-03-03T10:00:00.000Z');
    expect(open().at(-1)).toMatchObject({ seriesId: series().id, due: '2027-03-03T18:00' });
    expect(series().followsId).toBe(old.id);
  });

  test('where only a day is said it begins at the hour and in the week of its rule', () => {
    const { w, series, ahead } = house({ rrule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=FR', dtstart: '2026-11-27T16:00', turn: 'fixed', persons: [] });
    w.must('Aino', 'chore.change', { series: series().id, from: '2026-12-14', title: 'Heat the big sauna' });
    expect(series().dtstart).toBe('2026-12-25T16:00');
    expect(ahead('2027-01-08').map((one) => one.slice(0, 5))).toEqual(['12-11', '12-25', '01-08']);
  });

  test('single exceptions outlive a change of the chore: moved, left out, given', () => {
    const { w, series, open, ahead } = house({ turn: 'fixed', persons: [] });
    const id = series().id;
    w.must('Aino', 'chore.move', { series: id, recurrenceId: '2026-12-05T16:00', at: '2026-12-06T16:00' });
    w.must('Aino', 'chore.skip', { series: id, recurrenceId: '2026-12-09T16:00' });
    w.must('Aino', 'chore.giveTurn', { series: id, recurrenceId: '2026-12-12T16:00', person: w.person('Eetu') });
    w.must('Aino', 'chore.change', { series: id, from: open()[0]!.recurrenceId, dtstart: '2026-11-25T18:00' });
    expect(ahead('2026-12-16')).toEqual(['11-28 null', '12-02 null', '12-06 null', '12-12 Eetu', '12-16 null']);
    // Wednesdays and Sundays now: what was a Saturday’s goes with the Sunday of its week
    w.must('Aino', 'chore.change', { series: series().id, from: open()[0]!.recurrenceId, rrule: 'FREQ=WEEKLY;BYDAY=WE,SU' });
    expect(ahead('2026-12-16')).toEqual(['11-29 null', '12-02 null', '12-06 null', '12-13 Eetu', '12-16 null']);
  });

  test('an open one that was put on another day stays there when its chore is changed', () => {
    const { w, series, open } = house({ turn: 'fixed', persons: [] });
    w.must('Aino', 'item.setDue', { item: open()[0]!.id, due: '2026-11-26T16:00' });
    w.must('Aino', 'chore.change', { series: series().id, from: open()[0]!.recurrenceId, title: 'Heat the big sauna', dtstart: '2026-11-25T18:00' });
    expect(open().map(({ title, due, recurrenceId }) => [title, due, recurrenceId])).toEqual([['Heat the big sauna', '2026-11-26T18:00', '2026-11-25T18:00']]);
  });

  test('no more of it: what was due before today stays open, whichever of it is looked at', () => {
    const { w, series, open, clock, ahead } = house({ missed: 'keep', turn: 'fixed', persons: [] });
    clock('2026-12-03T10:00:00.000Z');
    w.must('Aino', 'chore.end', { series: series().id, recurrenceId: '2026-11-28T16:00' });
    expect(days(open())).toEqual(['11-25', '11-28', '12-02']);
    expect(ahead('2026-12-31')).toEqual([]);
  });

  test('taken once: who said yes to one has the later ones as taken; one given by hand is asked anew', () => {
    const { w, open, who, done, series } = house();
    const standing = (name: string) => w.part(open()[0]!.id, name).standing;
    w.must('Petri', 'part.accept', { item: open()[0]!.id });
    done(open()[0]!);
    expect([who(open()[0]!), standing('Oona')]).toEqual(['Oona', 'needs-action']);
    w.must('Oona', 'part.decline', { item: open()[0]!.id, reason: 'Not this week' });
    w.must('Aino', 'chore.giveTurn', { series: series().id, recurrenceId: open()[0]!.recurrenceId!, person: w.person('Petri') });
    expect(standing('Petri')).toBe('needs-action');
    done(open()[0]!, 'Petri');
    // whoever is next, each time: only Petri has said yes
    const asked = Array.from({ length: 3 }, () => {
      const name = who(open()[0]!)!;
      const found = [name, standing(name)];
      done(open()[0]!, name);
      return found;
    });
    expect(asked.sort()).toEqual([
      ['Eetu', 'needs-action'],
      ['Oona', 'needs-action'],
      ['Petri', 'accepted'],
    ]);
    // who did it has taken it
    expect(standing(who(open()[0]!)!)).toBe('accepted');
  });

  test('no more from one on', () => {
    const { w, series, open, ahead, done } = house();
    w.must('Aino', 'chore.end', { series: series().id, recurrenceId: '2026-12-02T16:00' });
    expect(ahead('2026-12-31')).toEqual(['11-28 Oona']);
    done(open()[0]!);
    done(open()[0]!);
    expect(open()).toEqual([]);
  });

  test('a plain item becomes a chore and one of a chore a plain item', () => {
    const { w, open, clock } = house({ turn: 'fixed', persons: [] });
    const covers = w.item('Aino', 'Wash the boat covers', { persons: [w.person('Eetu')] });
    w.must('Aino', 'chore.make', { item: covers, rrule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=FR', dtstart: '2026-12-04' });
    expect(w.row(covers)).toMatchObject({ due: '2026-12-04', recurrenceId: '2026-12-04' });
    w.must('Eetu', 'part.checkOff', { item: covers, person: w.person('Eetu') });
    const next = open().find(({ title }) => title === 'Wash the boat covers')!;
    expect([next.due, holderOf(next, w.rows)]).toEqual(['2026-12-18', w.person('Eetu')]);
    w.must('Aino', 'chore.plain', { item: next.id });
    w.must('Eetu', 'part.checkOff', { item: next.id, person: w.person('Eetu') });
    clock('2027-03-01T10:00:00.000Z');
    expect(w.rows.all('item').filter(({ title }) => title === 'Wash the boat covers')).toHaveLength(2);
  });

  test('one that is removed is left out, and the next comes; brought back it stands again', () => {
    const { w, open } = house();
    const first = open()[0]!;
    w.must('Aino', 'item.remove', { items: [first.id] });
    expect(days(open())).toEqual(['11-28']);
    w.must('Aino', 'item.bringBack', { items: [first.id] });
    expect(days(open())).toEqual(['11-25', '11-28']);
  });
});

test('said in a line: the item is the first of a chore', () => {
  const { w } = house();
  const id = w.item('Aino', 'Sweep the porch', {
    rule: { rrule: 'FREQ=WEEKLY;BYDAY=FR', afterDone: null, time: '09:00', words: 'every Friday at 9:00' },
    start: '2026-12-04',
  });
  expect(w.row(id)).toMatchObject({ due: '2026-12-04T09:00', recurrenceId: '2026-12-04T09:00', start: null });
});

test.each([
  // it is Tuesday 24 November, 12:00
  ['FREQ=DAILY', '09:00', '2026-11-25T09:00'],
  ['FREQ=DAILY', '12:00', '2026-11-24T12:00'],
  ['FREQ=DAILY', '13:00', '2026-11-24T13:00'],
  ['FREQ=DAILY', null, '2026-11-24'],
  ['FREQ=DAILY;COUNT=2', '09:00', '2026-11-25T09:00'],
  ['FREQ=WEEKLY', '09:00', '2026-12-01T09:00'],
  ['FREQ=WEEKLY;BYDAY=TU,TH', '09:00', '2026-11-26T09:00'],
  ['FREQ=MONTHLY', '09:00', '2026-12-24T09:00'],
  ['FREQ=DAILY;BYHOUR=10,11,12,13,14', '10:00', '2026-11-24T13:00'],
  ['FREQ=DAILY;INTERVAL=3', '09:00', '2026-11-25T09:00'],
  ['FREQ=DAILY;INTERVAL=2;BYHOUR=10,14', '10:00', '2026-11-24T14:00'],
  ['FREQ=WEEKLY;INTERVAL=2;BYDAY=TU', '09:00', '2026-12-01T09:00'],
  ['FREQ=HOURLY;INTERVAL=2', '09:00', '2026-11-24T13:00'],
  ['FREQ=MONTHLY;INTERVAL=3;BYMONTHDAY=24', '09:00', '2026-12-24T09:00'],
])('%s at %s, said at noon without a day, begins at %s: nothing is late as it is made', (rrule, time, first) => {
  const w = new World();
  const id = w.item('Aino', 'Feed the hens', { rule: { rrule, afterDone: null, time, words: 'again and again' } });
  expect(w.row(id).due).toBe(first);
});

test('counted from when it was done, at an hour that has passed, it begins tomorrow; said for today it is today’s, late or not', () => {
  const w = new World();
  const rule = { rrule: null, afterDone: 'P3D', time: '09:00', words: '3 days after' };
  expect(w.row(w.item('Aino', 'Water the beds', { rule })).due).toBe('2026-11-25T09:00');
  expect(w.row(w.item('Aino', 'Water the pots', { rule, start: '2026-11-24' })).due).toBe('2026-11-24T09:00');
});

test('“every 3 days at 9”, said at noon, goes on every third day from its first', () => {
  const w = new World();
  const id = w.item('Aino', 'Feed the hens', { rule: { rrule: 'FREQ=DAILY;INTERVAL=3', afterDone: null, time: '09:00', words: 'every 3 days' } });
  w.later(24 * 60);
  w.must('Aino', 'part.checkOff', { item: id, person: null });
  const dues = w.rows.all('item').map(({ due }) => due);
  expect(dues.sort()).toEqual(['2026-11-25T09:00', '2026-11-28T09:00']);
});

test('“every month” typed on the 31st comes every month', () => {
  const w = new World();
  const id = w.item('Aino', 'Pay the rent', { rule: { rrule: 'FREQ=MONTHLY', afterDone: null, time: null, words: 'every month' }, plan: '2026-12-31' });
  expect(w.rows.all('series')[0]!.rrule).toBe('FREQ=MONTHLY;BYMONTHDAY=28,29,30,31;BYSETPOS=-1');
  expect(w.row(id).due).toBe('2026-12-31');
});

test('reminded before it, whoever has it; what was said of one moment does not come back', () => {
  const { w, open, done } = house({
    alarms: [
      { kind: 'relative', to: 'due', offset: '-PT1H' },
      { kind: 'absolute', at: '2026-11-25T12:00' },
    ],
  });
  const rings = () => w.rows.by('alarm', 'itemId', open()[0]!.id).map(({ personId, trigger }) => [personId, trigger.kind]);
  expect(rings()).toEqual([[w.person('Petri'), 'relative']]);
  done(open()[0]!);
  expect(rings()).toEqual([[w.person('Oona'), 'relative']]);
});

test('a rule that is none, kept from before rules were checked, brings nothing and stops nothing', () => {
  const { w, series, open, done, clock } = house();
  w.rows.put('series', { ...series(), rrule: 'FREQ=MONTHLY;BYMONTHDAY=45' });
  clock('2026-12-20T10:00:00.000Z');
  done(open()[0]!);
  expect(open()).toEqual([]);
});

test.each<[string, Partial<Series>, string]>([
  ['31 February', { rrule: 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=31' }, 'never-occurs'],
  ['an end before its start', { rrule: 'FREQ=DAILY;UNTIL=20200101' }, 'never-occurs'],
  ['no interval', { rrule: 'FREQ=DAILY;INTERVAL=0' }, 'bad-rule'],
  ['a place in the set that cannot be', { rrule: 'FREQ=MONTHLY;BYDAY=MO;BYSETPOS=400' }, 'bad-rule'],
  ['a day that does not exist', { dtstart: '2026-02-31' }, 'malformed'],
  ['neither rule nor after', { rrule: null }, 'malformed'],
  ['turns of nobody', { turn: 'turns', personIds: [] }, 'malformed'],
])('refused with what is wrong: %s', (_name, { personIds, ...fields }, code) => {
  const w = new World();
  expect(w.refused('Aino', 'chore.make', { ...SAUNA, turn: 'fixed', ...(fields as object), persons: personIds ?? [] }).code).toBe(code);
});

describe('what a chore goes with', () => {
  /** Aino's list with a daily chore of Leila's, a fortnight in, one of them late. */
  function fortnight() {
    const w = new World();
    w.join('Leila', 'member');
    const list = w.list('Aino', 'Boats', [['Leila', 'check']]);
    w.must('Aino', 'chore.make', { title: 'Pump', list, rrule: 'FREQ=DAILY', dtstart: '2026-11-24', missed: 'keep', persons: [w.person('Leila')] });
    const series = () => w.rows.all('series')[0]!;
    const open = () => w.rows.all('item').filter((item) => !item.removedAt && item.seriesId !== null).map(({ recurrenceId }) => recurrenceId); // prettier-ignore
    w.later(2 * 1_440);
    for (const recurrenceId of ['2026-11-25', '2026-11-26']) w.system('chore.appear', { series: series().id, recurrenceId });
    return { w, list, series, open };
  }

  test('with its list it ends: what was due before stays open, today’s and what comes does not; brought back it goes on', () => {
    const { w, list, series, open } = fortnight();
    expect(open()).toEqual(['2026-11-24', '2026-11-25', '2026-11-26']);
    w.must('Aino', 'list.remove', { list });
    expect(series().endsBefore).toBe('2026-11-26');
    expect(open()).toEqual(['2026-11-24', '2026-11-25']);
    w.later(60);
    w.must('Aino', 'list.remove', { list, removed: false });
    expect(series().endsBefore).toBeNull();
  });

  test('one that was ended before its list was removed stays ended when the list comes back', () => {
    const { w, list, series } = fortnight();
    w.must('Aino', 'chore.end', { series: series().id, recurrenceId: '2026-11-26' });
    w.must('Aino', 'list.remove', { list });
    w.must('Aino', 'list.remove', { list, removed: false });
    expect(series().endsBefore).toBe('2026-11-26');
  });

  test('with the last who has it it ends; one that others have too goes on', () => {
    const { w, series } = fortnight();
    w.join('Eetu', 'member');
    w.must('Aino', 'chore.make', { title: 'Bail', rrule: 'FREQ=DAILY', dtstart: '2026-11-27', turn: 'turns', persons: [w.person('Leila'), w.person('Eetu')] });
    const parts = w.rows.all('part').filter(({ personId }) => personId === w.person('Leila')).map(({ itemId }) => ({ item: itemId, to: 'nobody' as const })); // prettier-ignore
    w.must('Aino', 'person.end', { person: w.person('Leila'), parts });
    expect(series().endsBefore).toBe('2026-11-26');
    expect(w.rows.all('series').find(({ title }) => title === 'Bail')!.endsBefore).toBeNull();
  });
});
