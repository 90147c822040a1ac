import { COLOURS, PATTERNS, type CommandName, type Payload } from '@kotiva/core';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v5 } from 'uuid';
import type { Storage } from '../db/open.ts';
import { openIn } from '../testing/empty-storage.ts';
import { SqliteHouses } from '../db/sqlite-houses.ts';
import { Ledger } from '../sync/apply.ts';
import { Setbacks } from './setbacks.ts';
import { Timers } from './timers.ts';

const NAMES = '6ba7b811-9dad-11d1-80b4-00c04fd430c8';
const HOUSE = v5('house', NAMES);
const START = Date.parse('2026-11-24T10:00:00.000Z');
const MINUTE = 60_000;
const DAY = 24 * 60 * MINUTE;

class PowerCut extends Error {}

/** A house on a real file whose process can be cut off and begun again; time is what it is told to be. */
class Machine {
  private readonly folder = mkdtempSync(join(tmpdir(), 'kotiva-timers-'));
  private storage!: Storage;
  private ledger!: Ledger;
  timers!: Timers;
  nowMs = START;
  private commands = 0;

  /** `cut` says whether the power goes at a point; points are before and after each commit of a round. */
  constructor(private readonly cut: (point: 'before' | 'after') => boolean = () => false) {
    this.boot();
  }

  boot(): void {
    this.storage = openIn(this.folder);
    const clock = { now: () => new Date(this.nowMs).toISOString() };
    this.ledger = new Ledger(new SqliteHouses(this.storage.raw), clock);
    const apply = this.ledger.apply.bind(this.ledger);
    const cutting = Object.create(this.ledger) as Ledger;
    cutting.apply = (...round) => {
      if (this.cut('before')) throw new PowerCut();
      const outcome = apply(...round);
      if (this.cut('after')) throw new PowerCut();
      return outcome;
    };
    // a power cut is no fault to be set aside
    const passOn = (_line: string, error: unknown) => {
      if (error instanceof PowerCut) throw error;
    };
    this.timers = new Timers(this.storage.raw, cutting, clock, new Setbacks(clock, passOn));
  }

  /** Runs what is due; after a power cut the process begins again and runs anew. */
  tick(): number {
    let cuts = 0;
    for (;;) {
      try {
        this.timers.run();
        return cuts;
      } catch (error) {
        if (!(error instanceof PowerCut)) throw error;
        cuts += 1;
        this.storage.close();
        this.boot();
      }
    }
  }

  give<N extends CommandName>(by: string, name: N, payload: Payload<N>): void {
    const id = v5(`command ${this.commands++}`, NAMES);
    const outcome = this.ledger.apply(
      { id, houseId: HOUSE, name, payload, at: new Date(this.nowMs).toISOString(), seen: 1e9 },
      { id: v5(by, NAMES), name: by },
    );
    if (outcome.outcome === 'refused') throw new Error(`${name}: ${outcome.reason.code}`);
  }

  rows() {
    return this.ledger.rows(HOUSE);
  }

  /** What was told of nudging, to whom and when. */
  told(): string[] {
    const name = (id: string) =>
      this.rows()
        .all('person')
        .find((person) => person.id === id)!.name;
    return this.rows()
      .all('notice')
      .filter(({ kind }) => kind === 'nudge' || kind === 'nudges' || kind === 'no-answer')
      .map(({ kind, personId, at, params }) => `${at} ${name(personId)} ${kind} ${String(params['title'] ?? params['count'])}${params['late'] ? ' late' : ''}`)
      .sort();
  }

  destroy(): void {
    this.storage.close();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** Three people with eleven things between them, some with deadlines, some seen. */
function furnish(machine: Machine): void {
  const looks = (nth: number, name: string) => ({ name, mark: name.slice(0, 2), colour: COLOURS[nth]!, pattern: PATTERNS[nth]! });
  machine.give('Aino', 'house.make', { name: 'House', zone: 'Europe/Helsinki', person: looks(0, 'Aino') });
  ['Leila', 'Noor', 'Tapio'].forEach((name, nth) => {
    const token = name.padEnd(40, 'x');
    machine.give('Aino', 'invitation.make', { role: 'helper', uses: 'one', token });
    machine.give(name, 'person.join', { token, ...looks(nth + 1, name) });
  });
  const people = ['Leila', 'Noor', 'Tapio'].map(
    (name) =>
      machine
        .rows()
        .all('person')
        .find((person) => person.name === name)!.id,
  );
  for (let nth = 0; nth < 11; nth++) {
    machine.nowMs += 7 * MINUTE;
    const due = nth % 3 === 0 ? undefined : `2026-${nth % 2 ? '11' : '12'}-${String(10 + ((nth * 5) % 19)).padStart(2, '0')}${nth % 4 === 1 ? 'T17:00' : ''}`;
    machine.give('Aino', 'item.add', { title: `Thing ${nth}`, persons: [people[nth % 3]!], due });
  }
}

const generator = (seed: number) => () => (seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648) / 2_147_483_648;

/** A month of ticks, every so many minutes. */
function month(machine: Machine, everyMinutes: number): number {
  const end = START + 31 * DAY;
  let cuts = 0;
  for (; machine.nowMs < end; machine.nowMs += everyMinutes * MINUTE) cuts += machine.tick();
  return cuts;
}

test('cut off at any point over a month, what was told is what an undisturbed house was told', () => {
  const calm = new Machine();
  furnish(calm);
  month(calm, 5);
  const expected = calm.told();
  calm.destroy();
  expect(expected.length).toBeGreaterThan(20);
  for (const seed of [1, 2, 3, 4]) {
    const random = generator(seed);
    const cut = new Machine((point) => random() < (point === 'before' ? 0.3 : 0.25));
    furnish(cut);
    expect(month(cut, 5)).toBeGreaterThan(3);
    expect(cut.told()).toEqual(expected);
    cut.destroy();
  }
});

test('after standing still for weeks, what is overdue is sent once, and said to be late', () => {
  const machine = new Machine();
  furnish(machine);
  machine.nowMs = START + 25 * DAY + 3 * 60 * MINUTE;
  machine.tick();
  machine.tick();
  const told = machine.told();
  const people = new Set(told.map((one) => one.split(' ')[1]));
  // one notice each, however many moments have passed
  expect(told).toHaveLength(people.size);
  expect(told.every((one) => one.endsWith('late'))).toBe(true);
  machine.destroy();
});

test('the clock set back an hour sends nothing again', () => {
  const machine = new Machine();
  furnish(machine);
  machine.nowMs = START + 10 * DAY;
  machine.tick();
  const told = machine.told();
  machine.nowMs -= 60 * MINUTE;
  machine.tick();
  expect(machine.told()).toEqual(told);
  machine.destroy();
});

test('an answer a moment before its time is not nudged', () => {
  const machine = new Machine();
  furnish(machine);
  machine.nowMs = Date.parse(machine.timers.nextAt()!) - 1;
  const before = machine.told().length;
  for (const part of machine.rows().all('part')) {
    if (part.personId === null) continue;
    const name = machine
      .rows()
      .all('person')
      .find((person) => person.id === part.personId)!.name;
    machine.give(name, 'part.checkOff', { item: part.itemId, person: part.personId });
  }
  machine.nowMs += 40 * DAY;
  machine.tick();
  expect(machine.told()).toHaveLength(before);
  expect(machine.timers.nextAt()).toBeNull();
  machine.destroy();
});
