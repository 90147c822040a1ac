import type { Payload } from './decide.ts';
import { isSetAside } from '../recurrence/chores.ts';
import { occurrences } from '../recurrence/occurrences.ts';
import { Steps, TooCostly } from '../recurrence/steps.ts';
import { walk } from '../recurrence/walk.ts';
import { parseRRule } from '../recurrence/rrule.ts';
import type { Series } from '../model/series.ts';
import { World } from '../testing/world.ts';

const series = (w: World) => w.rows.all('series');
const make = (w: World, fields: Partial<Payload<'chore.make'>>) =>
  w.must('Aino', 'chore.make', { title: 'Water', dtstart: '2026-11-24T08:00', ...fields } as Payload<'chore.make'>);
const dues = (w: World) => w.rows.all('item').map(({ due }) => due);

describe('a chore takes no rule that costs time to work out', () => {
  test.each([
    ['FREQ=MINUTELY;COUNT=9999999;BYMONTH=2;BYMONTHDAY=29', '2000-02-29T00:00', 'rule-too-fine'],
    ['FREQ=SECONDLY', '2026-11-24T08:00', 'rule-too-fine'],
    ['FREQ=HOURLY;BYMINUTE=0,30', '2026-11-24T08:00', 'rule-too-fine'],
    ['FREQ=DAILY;BYHOUR=0,1,2,3,4,5,6,7,8,9,10,11,12;BYMINUTE=0,30', '2026-11-24T08:00', 'rule-too-fine'],
    ['FREQ=DAILY;BYSECOND=30', '2026-11-24T08:00', 'rule-too-fine'],
    ['FREQ=DAILY;COUNT=9999999', '2026-11-24T08:00', 'rule-too-many'],
    ['FREQ=DAILY;COUNT=1001', '2026-11-24T08:00', 'rule-too-many'],
    ['FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30', '2026-11-24T08:00', 'never-occurs'],
    ['FREQ=YEARLY;INTERVAL=9;BYMONTH=1;BYMONTHDAY=1', '2026-11-24T08:00', 'never-occurs'],
    ['FREQ=DAILY', '1899-12-31T08:00', 'year-out-of-range'],
    ['FREQ=DAILY', '0000-01-01T08:00', 'year-out-of-range'],
  ])('%s from %s: %s', (rrule, dtstart, code) => {
    const w = new World();
    expect(w.refused('Aino', 'chore.make', { title: 'Water', rrule, dtstart })).toMatchObject({ code });
    if (dtstart >= '1970') {
      const rule = { rrule, afterDone: null, time: dtstart.slice(11) };
      expect(w.refused('Aino', 'item.add', { title: 'Water', plan: dtstart.slice(0, 10), rule })).toMatchObject({ code });
    }
  });

  test('by the hour, a thousand times, and on 29 February it comes', () => {
    for (const rrule of ['FREQ=HOURLY', 'FREQ=DAILY;COUNT=1000', 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29']) make(new World(), { rrule });
  });

  test('so long after it was done ends with the last year there is', () => {
    const w = new World();
    expect(w.refused('Aino', 'chore.make', { title: 'Water', afterDone: 'P9999Y', dtstart: '2026-11-24' })).toMatchObject({ code: 'after-done-too-long' });
    make(w, { afterDone: 'P100Y', dtstart: '2026-11-24' });
    const [item] = w.rows.all('item');
    w.now = '2110-01-01T10:00:00.000Z';
    w.must('Aino', 'part.checkOff', { item: item!.id, person: null });
    expect(dues(w)).toEqual(['2026-11-24']);
  });

  test('the steps of a rule are counted, and end where they were granted', () => {
    const every = parseRRule('FREQ=YEARLY;BYHOUR=0,1,2,3;BYMINUTE=0,15,30,45;BYSECOND=0,1,2,3,4,5,6,7;BYDAY=MO,TU,WE,TH,FR,SA,SU;BYSETPOS=-1');
    const next = walk(every, 0, 0, 1e12, new Steps(20_000));
    const toTheEnd = () => {
      while (next() !== null);
    };
    expect(toTheEnd).toThrow(TooCostly);
    const rare = { rrule: 'FREQ=DAILY;BYMONTHDAY=31;BYMONTH=2', dtstart: '2026-01-01', zone: null };
    expect(() => [...occurrences(rare, { limit: 1, maxSteps: 1_000 })]).toThrow(TooCostly);
    expect([...occurrences({ ...rare, rrule: 'FREQ=DAILY' }, { limit: 500, maxSteps: 1_001 })]).toHaveLength(500);
  });
});

describe('a chore begun in the past', () => {
  test('makes one, its newest', () => {
    const w = new World();
    make(w, { rrule: 'FREQ=DAILY', dtstart: '2016-01-01' });
    expect(dues(w)).toEqual(['2026-11-24']);
    expect(series(w)[0]!.dtstart).toBe('2016-01-01');
  });

  test('typed, changed to begin there, or brought back after years: the same', () => {
    const w = new World();
    w.must('Aino', 'item.add', { title: 'Water', start: '2016-01-01', rule: { rrule: 'FREQ=WEEKLY', afterDone: null, time: null } });
    expect(dues(w)).toEqual(['2026-11-20']);
    const [first] = series(w);
    w.must('Aino', 'chore.change', { series: first!.id, dtstart: '2025-12-01', rrule: 'FREQ=DAILY', missed: 'keep' });
    expect(w.rows.all('item').filter(({ removedAt }) => removedAt === null)).toHaveLength(1);
  });

  test('where none has come yet, it begins with its first', () => {
    const w = new World();
    make(w, { rrule: 'FREQ=WEEKLY;BYDAY=FR', dtstart: '2026-11-24' });
    expect(dues(w)).toEqual(['2026-11-27']);
  });
});

describe('an occurrence that exists is not made again', () => {
  const taken = () => {
    const w = new World();
    make(w, { rrule: 'FREQ=DAILY', dtstart: '2026-11-24' });
    return { w, old: series(w)[0]! };
  };
  const appearsStill = (w: World, old: Series) => {
    w.now = '2026-12-02T10:00:00.000Z';
    for (const day of ['24', '25', '26', '27']) w.system('chore.appear', { series: old.id, recurrenceId: `2026-11-${day}` });
    const ids = w.rows.all('item').map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
  };

  test('changed on one device, ended on another that had not heard of it', () => {
    const { w, old } = taken();
    w.must('Aino', 'chore.change', { series: old.id, rrule: 'FREQ=DAILY;INTERVAL=2' });
    expect(w.refused('Aino', 'chore.end', { series: old.id, recurrenceId: '2026-11-30' })).toMatchObject({ code: 'not-to-come' });
    appearsStill(w, old);
  });

  test('made plain, then ended at a later day, by whatever way that came about', () => {
    const { w, old } = taken();
    const [item] = w.rows.all('item');
    w.must('Aino', 'chore.plain', { item: item!.id });
    expect(w.refused('Aino', 'chore.end', { series: old.id, recurrenceId: '2026-11-30' })).toMatchObject({ code: 'not-to-come' });
    // as an older version left it
    w.rows.put('series', { ...(w.rows.find('series', old.id) as Series), endsBefore: '2026-11-30' });
    w.must('Aino', 'chore.ahead', { series: old.id });
    expect(w.rows.by('item', 'seriesId', old.id).map(({ recurrenceId }) => recurrenceId)).toEqual(['2026-11-25']);
    expect(w.row(item!.id)).toMatchObject({ seriesId: null, removedAt: null });
    appearsStill(w, old);
  });
});

describe('a rule kept from before rules were bounded', () => {
  test('gives nothing, says so, holds nothing up, and can be said anew', () => {
    const w = new World();
    make(w, { rrule: 'FREQ=DAILY', dtstart: '2026-11-24' });
    const old = { ...series(w)[0]!, rrule: 'FREQ=MINUTELY;COUNT=9999999;BYMONTH=2;BYMONTHDAY=29' };
    w.rows.put('series', old);
    expect(isSetAside(old)).toBe(true);
    w.must('Aino', 'part.checkOff', { item: w.rows.all('item')[0]!.id, person: null });
    expect(w.rows.all('item')).toHaveLength(1);
    expect(w.refused('Aino', 'chore.change', { series: old.id, title: 'Water them' })).toMatchObject({ code: 'rule-too-fine' });
    w.must('Aino', 'chore.change', { series: old.id, rrule: 'FREQ=WEEKLY' });
    expect(series(w).filter(isSetAside).map(({ id }) => id)).toEqual([old.id]); // prettier-ignore
  });
});
