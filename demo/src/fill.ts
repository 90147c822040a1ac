import {
  MOST_FILE_BYTES,
  MOST_HOUSE_BYTES,
  addDays,
  calendarDateOf,
  epochOf,
  instantAt,
  instantOf,
  onArriving,
  type CommandName,
  type Noun,
  type Payload,
  type Row,
} from '@kotiva/core';
import { writeFileSync } from 'node:fs';
import { v5, v7 } from 'uuid';
import { Accounts } from '../../server/src/auth/accounts.ts';
import type { Storage } from '../../server/src/db/open.ts';
import { KeptFiles } from '../../server/src/files/kept-files.ts';
import { Timers } from '../../server/src/jobs/timers.ts';
import { holidaysToLookUp, lookUpHolidays } from '../../server/src/jobs/holidays.ts';
import { SqliteHouses } from '../../server/src/db/sqlite-houses.ts';
import { Ledger } from '../../server/src/sync/apply.ts';
import { keepChores, type Giving } from './chores-kept.ts';
import { pageOf, photoOf } from './drawings.ts';
import { positionOf } from './region/frame.ts';
import { KNOWN } from './region/places.ts';
import type { DemoHouse, DemoItem, DemoList, DemoOutsider, DemoPlace, DemoPlaceReminder, DemoProject, DemoTalk, Did } from './scenario/index.ts';
import { GUESTHOUSE, HOME } from './scenario/index.ts';

const ZONE = 'Europe/Helsinki';
export const DEMO_PASSWORD = 'kaislaranta';

/** Fills an empty database with the scenario: through commands, at the times they would have been given; its files where those are kept. */
export async function fillDemo(storage: Storage, now: string, filesFolder: string | null, attach: Attach = () => undefined): Promise<void> {
  const accounts = await demoAccounts(new Accounts(storage.db));
  for (const house of [GUESTHOUSE, HOME]) {
    const filler = new HouseFiller(storage, accounts, house, now, attach);
    filler.fill(storage);
    if (filesFolder !== null) await filler.files(storage, filesFolder);
    filler.putHistoryInTime(storage);
  }
}

/** Lets something keep what has to be kept beside the commands, such as what is to be sent. */
export type Attach = (ledger: Ledger, clock: { now(): string }) => void;

type AccountIds = Map<string, { id: string; name: string }>;

/** One account a person; the family's are in both houses. */
async function demoAccounts(accounts: Accounts): Promise<AccountIds> {
  const names = new Set([...GUESTHOUSE.people, ...HOME.people].map((person) => person.name));
  const made: AccountIds = new Map();
  for (const name of names) made.set(name, (await accounts.create(`${name.toLowerCase()}@kaislaranta.example`, DEMO_PASSWORD, name))!);
  return made;
}

class HouseFiller {
  private readonly houseId = v7();
  private readonly ledger: Ledger;
  private readonly today: string;
  private clock: string;

  constructor(
    storage: Storage,
    private readonly accounts: AccountIds,
    private readonly scenario: DemoHouse,
    private readonly now: string,
    attach: Attach,
  ) {
    this.clock = now;
    this.today = calendarDateOf(now, ZONE);
    this.ledger = new Ledger(new SqliteHouses(storage.raw), { now: () => this.clock });
    attach(this.ledger, { now: () => this.clock });
  }

  fill(storage: Storage): void {
    this.at(95, 8);
    this.people();
    this.at(94, 9);
    this.give(this.scenario.people[0]!.name, 'house.change', { region: this.scenario.region });
    this.holidays();
    const [first] = this.scenario.people;
    for (const [name, place] of Object.entries(this.scenario.places)) this.place(first!.name, name, place);
    for (const [name, kind] of Object.entries(this.scenario.situations)) this.give(first!.name, 'situation.make', { name, kind });
    for (const [name, { owner, ...looks }] of Object.entries(this.scenario.bundles)) this.give(owner, 'bundle.make', { name, ...looks });
    for (const list of this.scenario.lists) this.list(list);
    keepChores(this.scenario.chores, this.today, ZONE, this.giving());
    for (const { list, section, item } of this.inOrder()) this.item(item, list, section);
    for (const [owner, items] of Object.entries(this.scenario.own)) for (const item of items) this.own(owner, item);
    for (const outsider of this.scenario.outsiders ?? []) this.outsider(first!.name, outsider);
    for (const talk of this.scenario.talks ?? []) this.talk(talk);
    this.at(30, 14);
    for (const { by, ...template } of this.scenario.templates ?? [])
      this.give(by, 'template.make', { kind: 'list', isShared: false, sections: [], ...template });
    this.at(6, 15);
    for (const project of this.scenario.projects ?? []) this.project(project);
    this.marks();
    this.pastNudges(storage);
  }

  /** Files, taken in as if they had come over the wire. */
  async files(storage: Storage, folder: string): Promise<void> {
    const limits = { file: MOST_FILE_BYTES, house: MOST_HOUSE_BYTES };
    const kept = new KeptFiles(storage.raw, this.ledger, { now: () => this.clock }, folder, limits);
    for (const [title, files] of Object.entries(this.scenario.files ?? {}))
      for (const file of files) {
        const item = this.titled(title);
        this.at(file.ago, 13);
        if ('url' in file) {
          this.give(file.by, 'attachment.link', { item, url: file.url, name: file.name });
          continue;
        }
        const bytes = 'photo' in file ? await photoOf(file.photo) : pageOf(file.page, file.lines);
        const id = v5('0', this.give(file.by, 'attachment.add', { item, name: file.name, size: bytes.length }));
        writeFileSync(kept.folder.comingPath(id), bytes);
        await kept.finish(id);
      }
    await kept.sweep();
  }

  /** A house is filled thing by thing; what happened is read in the order of time, as in one that was lived in. */
  putHistoryInTime({ raw }: Storage): void {
    const entries = raw.prepare('SELECT id, seq FROM activity WHERE "houseId" = ? ORDER BY "arrivedAt", seq').all(this.houseId) as {
      id: string;
      seq: number;
    }[];
    const last = Math.max(...entries.map(({ seq }) => seq));
    const put = raw.prepare('UPDATE activity SET seq = ? WHERE id = ?');
    raw.transaction(() => entries.forEach(({ id }, nth) => put.run(Math.ceil(((nth + 1) * last) / entries.length), id)))();
  }

  private place(by: string, name: string, { radius, hours, unmapped }: DemoPlace): void {
    const known = unmapped ? null : KNOWN[name]!;
    this.give(by, 'place.make', {
      name,
      radius,
      openingHours: hours,
      position: known && positionOf(known.at),
      address: known?.address,
    });
  }

  private holidays(): void {
    const wanted = holidaysToLookUp(this.house(), this.now);
    if (wanted) this.system('house.setHolidays', lookUpHolidays(wanted.region, wanted.until));
  }

  private giving(): Giving {
    return {
      rows: () => this.ledger.rows(this.houseId),
      house: () => this.house(),
      at: (instant) => {
        this.clock = instant;
      },
      give: (by, name, payload) => this.give(by, name, payload),
      system: (name, payload) => this.system(name, payload),
      person: (name) => this.person(name),
      nameOf: (id) => (this.ledger.rows(this.houseId).find('person', id) as Row<'person'>).name,
      list: (name) => this.find('list', (row) => row.name === name),
    };
  }

  private house(): Row<'house'> {
    return this.ledger.rows(this.houseId).find('house', this.houseId) as Row<'house'>;
  }

  /** What the clock does, nobody being signed in. */
  private system<N extends CommandName>(name: N, payload: Payload<N>): void {
    const outcome = this.ledger.apply({ id: v7(), houseId: this.houseId, name, payload, at: this.clock, seen: 0 }, null);
    if (outcome.outcome === 'refused') throw new Error(`${name} in ${this.scenario.name}: ${outcome.reason.code}`);
  }

  /** Somebody without an account, and what they were asked. */
  private outsider(by: string, { asked, ...person }: DemoOutsider): void {
    this.at(20, 9);
    this.give(by, 'person.add', person);
    for (const item of asked) {
      this.at(item.ago ?? 3, 11);
      this.add(item.by, { ...item, to: [person.name] }, {});
    }
  }

  private talk({ by, with: other, weekday, time, matters, items = [], notes }: DemoTalk): void {
    const person = this.person(other);
    for (const [ago, text] of Object.entries(notes)) {
      this.at(Number(ago), 11);
      this.give(by, 'note.make', { persons: [person], date: calendarDateOf(this.clock, ZONE), text });
    }
    this.at(3, 15);
    this.give(by, 'talk.set', { person, weekday, time });
    for (const words of matters) this.give(by, 'matter.add', { person, words });
    for (const title of items) this.give(by, 'matter.add', { person, item: this.titled(title) });
  }

  /** Reminders, waits and days away. */
  private marks(): void {
    const { reminders = {}, placeReminders = {}, waits = {}, away = {} } = this.scenario;
    this.at(1, 12);
    for (const [title, { who, before }] of Object.entries(reminders))
      this.give(who, 'alarm.set', { item: this.titled(title), trigger: { kind: 'relative', to: 'due', offset: `-${before}` } });
    for (const [title, reminder] of Object.entries(placeReminders)) this.placeReminder(title, reminder);
    for (const [title, { by, words, askIn }] of Object.entries(waits))
      this.give(by, 'wait.set', { item: this.titled(title), words, askOn: askIn === undefined ? null : addDays(this.today, askIn) });
    for (const [who, [from, to]] of Object.entries(away))
      this.give(who, 'away.add', { person: this.person(who), from: addDays(this.today, from), to: addDays(this.today, to) });
  }

  private placeReminder(title: string, { by, at, ...whom }: DemoPlaceReminder): void {
    const item = this.titled(title);
    const arriving = onArriving(this.find('place', (row) => row.name === at));
    if ('first' in whom) {
      const among = whom.first.map((name) => this.person(name));
      this.give(by, 'alarm.set', { item, trigger: { ...arriving, who: 'first', among } });
    } else for (const name of whom.for) this.give(by, 'alarm.set', { item, person: this.person(name), trigger: arriving });
  }

  private project({ by, answerable, ends, partOf, lists = [], items = [], stages, fields, ...looks }: DemoProject): void {
    const listNamed = (name: string) => this.find('list', (row) => row.name === name);
    this.give(by, 'project.make', {
      ...looks,
      answerable: this.person(answerable),
      ends: ends === undefined ? null : addDays(this.today, ends),
      parent: partOf ? this.find('project', (row) => row.name === partOf) : null,
      lists: lists.map(listNamed),
      items: items.map((title) => this.titled(title)),
      notes: [],
    });
    if (fields) this.fields(by, fields);
    if (!stages) return;
    const named = stages.names.map((name, nth) => ({ name, isDone: nth === stages.names.length - 1 }));
    this.give(by, 'list.setStages', { list: listNamed(stages.list), stages: named });
  }

  private fields(by: string, { list, make, values }: NonNullable<DemoProject['fields']>): void {
    const listId = this.find('list', (row) => row.name === list);
    for (const field of make) this.give(by, 'field.make', { list: listId, ...field });
    const ids = make.map(({ name }) => this.find('ownField', (row) => row.name === name));
    for (const [title, given] of Object.entries(values)) {
      const said = given.flatMap((value, nth) => (value === null ? [] : [{ field: ids[nth]!, value }]));
      this.give(by, 'item.setFields', { item: this.titled(title), values: said });
    }
  }

  private titled(title: string): string {
    return this.find('item', (row) => row.title === title);
  }

  /** What people were asked meanwhile, at the times they were. */
  private pastNudges(storage: Storage): void {
    const timers = new Timers(storage.raw, this.ledger, { now: () => this.clock });
    for (let at = timers.nextAt(); at !== null && at < this.now; at = timers.nextAt()) {
      this.clock = at;
      timers.run();
    }
  }

  private people(): void {
    const [first, ...others] = this.scenario.people;
    const { role: _role, minutes: _minutes, ...looks } = first!;
    this.give(first!.name, 'house.make', { name: this.scenario.name, zone: ZONE, person: looks });
    for (const { role, minutes: _theirs, ...person } of others) {
      const token = v7().replaceAll('-', '') + person.mark;
      this.give(first!.name, 'invitation.make', { role, uses: 'one', token });
      this.give(person.name, 'person.join', { token, ...person });
    }
    for (const { name, minutes } of this.scenario.people) if (minutes) this.give(name, 'capacity.set', { person: this.person(name), minutes });
  }

  private list({ name, purpose, colour, icon, kind, bundle, owner, edit = [], check = [], view = [], sections }: DemoList): void {
    // a bundle is seen by its maker, so its maker puts the lists in it
    const maker = bundle ? this.scenario.bundles[bundle]!.owner : owner;
    const shares = [
      ...edit.map((who) => [who, 'edit'] as const),
      ...check.map((who) => [who, 'check'] as const),
      ...view.map((who) => [who, 'view'] as const),
    ].filter(([who]) => who !== maker);
    if (maker !== owner && !shares.some(([who]) => who === owner)) shares.push([owner, 'edit']);
    this.give(maker, 'list.make', {
      name,
      purpose,
      colour,
      icon,
      kind,
      bundle: bundle ? this.find('bundle', (row) => row.name === bundle) : null,
      sections: Object.keys(sections),
      shares: shares.map(([who, access]) => ({ person: this.person(who), access })),
    });
    if (maker !== owner) this.give(maker, 'list.giveTo', { list: this.find('list', (row) => row.name === name), person: this.person(owner) });
  }

  /** Oldest first, as they would have come. */
  private inOrder() {
    return this.scenario.lists
      .flatMap((list) => Object.entries(list.sections).flatMap(([section, items]) => items.map((item) => ({ list, section, item }))))
      .map((one, index) => ({ ...one, index }))
      .sort((a, b) => (b.item.ago ?? 12) - (a.item.ago ?? 12) || a.index - b.index);
  }

  private item(item: DemoItem, list: DemoList, section: string): void {
    const listId = this.find('list', (row) => row.name === list.name);
    const sectionId = this.find('section', (row) => row.listId === listId && row.name === section);
    const by = item.by ?? list.owner;
    this.at(item.ago ?? 12, 9);
    const itemId = this.withSteps(by, item, { list: listId, section: sectionId });
    if (item.done) this.give(by, 'part.checkOff', { item: itemId, person: null });
    for (const [who, did] of Object.entries(item.did ?? {})) this.answer(itemId, who, did, item.ago ?? 12);
  }

  private withSteps(by: string, item: DemoItem, place: { list?: string; section?: string }): string {
    const itemId = this.add(by, item, place);
    for (const [index, title] of (item.steps ?? []).entries()) {
      const step = this.add(by, { title }, { parent: itemId });
      if (index < (item.stepsDone ?? 0)) this.give(by, 'part.checkOff', { item: step, person: null });
    }
    if (item.shelved) this.give(by, 'part.shelve', { items: [itemId] });
    return itemId;
  }

  private own(owner: string, item: DemoItem): void {
    this.at(item.ago ?? 2, 10);
    this.withSteps(owner, item, {});
  }

  private add(by: string, item: DemoItem, place: { list?: string; section?: string; parent?: string }): string {
    const command = this.give(by, 'item.add', {
      title: item.title,
      notes: item.notes,
      due: item.due ? this.moment(item.due) : undefined,
      importance: item.importance,
      effort: item.effort,
      energy: item.energy,
      tags: item.tags,
      place: item.place ? this.find('place', (row) => row.name === item.place) : undefined,
      situations: item.needs?.map((name) => this.find('situation', (row) => row.name === name)),
      plan: item.plan ? this.moment(item.plan) : undefined,
      start: item.start ? this.moment(item.start) : undefined,
      confirm: item.confirm,
      persons: (item.to ?? []).map((who) => this.person(who)),
      policy: item.each ? 'each' : 'any',
      message: item.message ?? '',
      ...place,
    });
    return this.find('item', (row) => row.stamps['']?.c === command);
  }

  private answer(item: string, who: string, did: Did, ago: number): void {
    // answers come an hour after the handover or later, checks on the day they were made
    this.at('done' in did ? Math.min(ago, 0) : Math.max(0, ago - 1), 'done' in did ? 7 : 8);
    if ('excused' in did) {
      const giver = this.ledger
        .rows(this.houseId)
        .by('part', 'itemId', item)
        .find((part) => part.personId === this.person(who))!.giverId!;
      const name = this.scenario.people.find((one) => this.person(one.name) === giver)!.name;
      return void this.give(name, 'part.excuse', { item, person: this.person(who), excused: true });
    }
    this.give(who, 'part.see', { item });
    if ('pass' in did) this.give(who, 'part.passOn', { item, from: this.person(who), to: this.person(did.pass), message: did.words });
    if ('take' in did) this.give(who, 'part.accept', { item });
    if ('percent' in did) this.give(who, 'part.progress', { item, percent: did.percent });
    if ('decline' in did) this.give(who, 'part.decline', { item, reason: did.decline });
    if ('ask' in did) this.give(who, 'part.askBack', { item, question: did.ask });
    if ('done' in did) this.give(who, 'part.checkOff', { item, person: this.person(who) });
  }

  private give<N extends CommandName>(by: string, name: N, payload: Payload<N>): string {
    const id = v7();
    const outcome = this.ledger.apply({ id, houseId: this.houseId, name, payload, at: this.clock, seen: Number.MAX_SAFE_INTEGER }, this.accounts.get(by)!);
    if (outcome.outcome === 'refused') throw new Error(`${name} by ${by} in ${this.scenario.name}: ${outcome.reason.code} ${JSON.stringify(payload)}`);
    return id;
  }

  private find<N extends Noun>(noun: N, matches: (row: Row<N>) => boolean): string {
    const found = this.ledger.rows(this.houseId).all(noun).find(matches);
    if (!found) throw new Error(`no such ${noun} in ${this.scenario.name}`);
    return found.id;
  }

  private person(name: string): string {
    return this.find('person', (row) => row.name === name);
  }

  /** Sets the clock to an hour some days ago, never past the day's present. */
  private at(daysAgo: number, hour: number): void {
    const then = instantAt(`${addDays(this.today, -daysAgo)}T${String(hour).padStart(2, '0')}:00`, ZONE);
    this.clock = then < this.now ? then : instantOf(epochOf(this.now) - 60_000);
  }

  private moment(due: string): string {
    const [days, hour] = due.split(' ');
    const date = addDays(this.today, Number(days));
    return hour ? `${date}T${hour}` : date;
  }
}
