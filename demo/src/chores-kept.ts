import {
  addDays,
  countingParts,
  instantAt,
  isOver,
  madeOf,
  nextAppearance,
  type CommandName,
  type House,
  type Item,
  type Payload,
  type Reader,
  type Series,
} from '@kotiva/core';
import type { DemoChore } from './scenario/index.ts';

/** How the filler gives a command and reads what there is. */
export interface Giving {
  rows(): Reader;
  house(): House;
  /** Sets the clock to an instant. */
  at(instant: string): void;
  give<N extends CommandName>(by: string, name: N, payload: Payload<N>): string;
  /** What the clock does. */
  system<N extends CommandName>(name: N, payload: Payload<N>): void;
  person(name: string): string;
  nameOf(personId: string): string;
  list(name: string): string;
}

const THREE_MONTHS = 92;
const HOURS = { morning: 7, day: 13, evening: 20 };
/** What is done at last though not on its day is done so many days later. */
const LATE = 1;

/** Three months of chores as they would have gone: most done on their day, some a day late, some not at all. */
export function keepChores(chores: readonly DemoChore[], today: string, zone: string, demo: Giving): void {
  const made = new Map<DemoChore, string>();
  for (let date = addDays(today, -THREE_MONTHS); date < today; date = addDays(date, 1)) {
    for (const chore of chores) {
      if (addDays(today, -(chore.since ?? THREE_MONTHS)) === date) made.set(chore, begin(chore, date, zone, demo));
      const seriesId = made.get(chore);
      if (seriesId) passDay(chore, seriesId, date, zone, demo);
    }
  }
}

function begin({ title, by, list, time, to, each, kept: _kept, since: _since, ...more }: DemoChore, date: string, zone: string, demo: Giving): string {
  demo.at(instantAt(`${date}T05:00`, zone));
  const command = demo.give(by, 'chore.make', {
    title,
    list: list ? demo.list(list) : undefined,
    dtstart: time ? `${date}T${time}` : date,
    persons: to.map((name) => demo.person(name)),
    policy: each ? 'each' : 'any',
    ...more,
  });
  return demo
    .rows()
    .all('series')
    .find((series) => series.stamps['']?.c === command)!.id;
}

/** Its day begins; then whoever has it does it, or does not. */
function passDay(chore: DemoChore, seriesId: string, date: string, zone: string, demo: Giving): void {
  const morning = instantAt(`${date}T05:00`, zone);
  demo.at(morning);
  const next = nextAppearance(seriesOf(seriesId, demo), morning, demo.house(), demo.rows());
  if (next && next.at <= morning) demo.system('chore.appear', { series: seriesId, recurrenceId: next.occurrence.recurrenceId });
  for (const item of madeOf(seriesId, demo.rows())) {
    if (isOver(item, demo.rows()) || item.due === null) continue;
    const due = item.due.slice(0, 10);
    const kept = chanceOf(`${chore.title} ${item.recurrenceId}`) < chore.kept;
    const doneOn = kept ? due : chore.missed === 'roll' ? null : addDays(due, LATE);
    if (doneOn === date) checkOff(chore, item, date, zone, demo);
  }
}

const seriesOf = (id: string, demo: Giving): Series => demo.rows().find('series', id) as Series;

function checkOff(chore: DemoChore, item: Item, date: string, zone: string, demo: Giving): void {
  const hour = item.due!.length > 10 ? Number(item.due!.slice(11, 13)) : chore.dayPart ? HOURS[chore.dayPart] : 17;
  const minutes = Math.floor(chanceOf(`${chore.title} ${item.recurrenceId} minutes`) * 55);
  demo.at(instantAt(`${date}T${String(hour).padStart(2, '0')}:${String(minutes).padStart(2, '0')}`, zone));
  const holders = countingParts(demo.rows().by('part', 'itemId', item.id)).flatMap(({ personId }) => personId ?? []);
  const by = holders.length > 0 ? demo.nameOf(holders[0]!) : chore.by;
  for (const step of demo.rows().by('item', 'parentId', item.id)) demo.give(by, 'part.checkOff', { item: step.id, person: null });
  if (holders.length === 0) return void demo.give(by, 'part.checkOff', { item: item.id, person: null });
  for (const id of item.policy === 'each' ? holders : holders.slice(0, 1)) demo.give(demo.nameOf(id), 'part.checkOff', { item: item.id, person: id });
}

/** The same for the same words, from 0 to 1: every demo tells the same story. */
function chanceOf(words: string): number {
  let hash = 2_166_136_261;
  for (const letter of words) hash = Math.imul(hash ^ letter.codePointAt(0)!, 16_777_619);
  return ((hash ^ (hash >>> 15)) >>> 0) / 4_294_967_296;
}
