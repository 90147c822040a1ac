import {
  agendaOf,
  bestWithin,
  candidatesOf,
  FRESH_PART,
  KeptAgenda,
  MemoryRows,
  nudgeBatches,
  partId,
  type Item,
  type Part,
  type PlanView,
} from '@kotiva/core';
import { filtered, KeptMatches, type Filter } from '@kotiva/core/filtering';
import { readLine } from '@kotiva/core/capture/read-line';
import { GB } from 'chrono-node/en';
import { percentile, report } from './report.ts';

const ROUNDS = 15;
const OPEN_ITEMS = 10_000;
const ME = '0190a000-0000-7000-8000-000000000001';
const VIEW: PlanView = {
  personId: ME,
  now: '2026-11-24T10:00:00.000Z',
  house: { zone: 'Europe/Helsinki', dayParts: { morning: '06:00', day: '10:00', evening: '17:00' } },
};
const LINES = [
  'Ask Leila to order 40 candles by Friday 15 min #shop',
  'Wash the boat covers every other Friday from 4 Dec',
  'Call the dairy tomorrow at 14:30, very important',
  'Linen for 12 Dec group',
  'Sweep the porch',
];

const medianOf = (task: () => unknown): number => {
  const times = Array.from({ length: ROUNDS }, () => {
    const from = performance.now();
    task();
    return performance.now() - from;
  });
  return percentile(times, 0.5);
};

/** One line read, in microseconds, beside the library's dates alone on the same lines. */
export function captureParse(): void {
  const people = ['Aino', 'Petri', 'Oona', 'Eetu', 'Helmi', 'Marek', 'Leila', 'Tapio', 'Noor'].map((name) => ({ id: name, name, mark: name.slice(0, 2) }));
  const context = { today: '2026-11-24', time: '10:42', dayParts: VIEW.house.dayParts, people, places: [{ id: 'quay', name: 'Quay' }], lists: [] };
  const times = 200;
  const perLine = (task: (line: string) => unknown) =>
    (medianOf(() => {
      for (let time = 0; time < times; time++) for (const line of LINES) task(line);
    }) *
      1000) /
    (times * LINES.length);
  report(
    'capture_parse_us',
    perLine((line) => readLine(line, context)),
    'us',
    perLine((line) => GB.parse(line, new Date(VIEW.now))),
  );
}

/** Grouping and ordering 10,000 open items, beside a plain sort of as many titles. */
export function today10k(): void {
  const { rows, items } = manyItems();
  report(
    'today_10k_ms',
    medianOf(() => agendaOf(VIEW, rows)),
    'ms',
    medianOf(() => items.map(({ title }) => title).sort()),
  );
}

/** The same agenda kept over a change: one of 10,000 items gets another title, or another deadline, beside making it anew. */
export function today10kChanged(): void {
  const { rows, items } = manyItems();
  rows.changed();
  const kept = new KeptAgenda(VIEW, rows);
  let nth = 0;
  const change = () => {
    const was = rows.find('item', items[(nth += 613) % items.length]!.id)!;
    rows.put('item', nth % 2 ? { ...was, title: `${was.title}, said otherwise` } : { ...was, due: '2026-11-24T17:00' });
    kept.take(rows.changed().map((one) => ({ ...one, after: rows.find(one.noun, one.id) })));
  };
  report(
    'today_10k_after_one_change_ms',
    medianOf(change),
    'ms',
    medianOf(() => new KeptAgenda(VIEW, rows)),
  );
}

const FILTER: Filter = {
  match: 'all',
  state: 'open',
  conditions: [
    { of: 'date', field: 'due', span: { kind: 'next', days: 30 }, not: false },
    { of: 'person', who: ['me', 'nobody'], not: false },
    { of: 'importance', least: 1, not: false },
    { of: 'effort', most: 30, not: true },
  ],
};

/** Four conditions over 10,000 open items, from nothing, beside a plain filter over the same fields of the same items. */
export function filter10k(): void {
  const { rows, items } = manyItems();
  report(
    'filter_10k_ms',
    medianOf(() => filtered(FILTER, VIEW, rows)),
    'ms',
    medianOf(() => items.filter(({ due, importance, effort }) => due !== null && due >= '2026-11-24' && due < '2026-12-25' && importance >= 1 && effort! > 30)),
  );
}

/** The same filter kept over a change, as a count on the screen is: one of 10,000 items has another deadline, beside keeping it anew. */
export function filter10kChanged(): void {
  const { rows, items } = manyItems();
  rows.changed();
  const kept = new KeptMatches(FILTER, VIEW, rows);
  let nth = 0;
  const change = () => {
    const was = rows.find('item', items[(nth += 613) % items.length]!.id)!;
    rows.put('item', { ...was, due: nth % 2 ? '2026-11-26' : null });
    kept.take(rows.changed().map((one) => ({ ...one, after: rows.find(one.noun, one.id) })));
  };
  report(
    'filter_10k_after_one_change_ms',
    medianOf(change),
    'ms',
    medianOf(() => new KeptMatches(FILTER, VIEW, rows)),
  );
}

/** The best set for two hours out of all that could be done, beside only finding what could. */
export function fitsNowMs(): void {
  const { rows } = manyItems(400);
  const candidates = candidatesOf(VIEW, rows, () => true);
  report(
    'fits_now_ms',
    medianOf(() => bestWithin(candidates, 120)),
    'ms',
    medianOf(() => candidatesOf(VIEW, rows, () => true)),
  );
}

function manyItems(count = OPEN_ITEMS): { rows: MemoryRows; items: Item[] } {
  const rows = new MemoryRows('seen');
  const items: Item[] = [];
  for (let nth = 0; nth < count; nth++) {
    const id = `0190a000-0000-7000-8000-1${String(nth).padStart(11, '0')}`;
    const day = `2026-${nth % 3 === 0 ? '11' : '12'}-${String(1 + (nth % 28)).padStart(2, '0')}`;
    const item = {
      id,
      houseId: ME,
      seq: 1,
      stamps: {},
      listId: null,
      sectionId: null,
      parentId: null,
      makerId: ME,
      title: `Thing ${(nth * 7919) % count}`,
      notes: '',
      due: nth % 4 === 0 ? null : nth % 2 ? day : `${day}T${String(8 + (nth % 12)).padStart(2, '0')}:30`,
      start: null,
      importance: nth % 4,
      effort: 5 + (nth % 55),
      energy: null,
      dayPart: null,
      tagIds: [],
      situationIds: [],
      placeId: null,
      wanted: null,
      seriesId: null,
      recurrenceId: null,
      turn: null,
      missedAt: null,
      position: `a${nth}`,
      policy: 'any',
      confirm: false,
      pace: null,
      createdAt: VIEW.now,
      removedAt: null,
      noteId: null,
      stageId: null,
      purgedAt: null,
    } as Item;
    const given = { seenAt: VIEW.now, giverId: ME, originId: ME, givenAt: VIEW.now, plan: nth % 5 === 0 ? day : null };
    const part: Part = { ...FRESH_PART, id: partId(id, ME), houseId: ME, seq: 1, stamps: {}, itemId: id, personId: ME, standing: 'accepted', ...given };
    rows.put('item', item);
    rows.put('part', part);
    items.push(item);
  }
  return { rows, items };
}

/** Next nudges of 10,000 open parts a second, beside only walking over them. */
export function nudgePlan(): void {
  const { rows } = manyItems();
  const people = Array.from({ length: 20 }, (_, nth) => `0190a000-0000-7000-8000-3${String(nth).padStart(11, '0')}`);
  for (const [nth, id] of people.entries()) {
    const rest = { hours: { from: '21:00', to: '07:00' }, daysOff: [1 + (nth % 7)] };
    rows.put('person', { id, houseId: ME, seq: 1, stamps: {}, endedAt: null, rest } as never);
  }
  for (const [nth, part] of rows.all('part').entries()) {
    const given = { personId: people[nth % people.length]!, giverId: ME, originId: ME, givenAt: '2026-11-01T09:00:00.000Z', standing: 'needs-action' as const };
    rows.put('part', { ...part, ...given });
  }
  const house = { ...VIEW.house, pace: 'usual' as const };
  const parts = rows.all('part');
  const perSecond = (ms: number) => parts.length / (ms / 1000);
  report(
    'nudge_plan_per_s',
    perSecond(medianOf(() => nudgeBatches(house, rows))),
    '1/s',
    perSecond(medianOf(() => parts.filter((part) => rows.find('item', part.itemId) && rows.by('part', 'itemId', part.itemId).length > 0))),
  );
}
