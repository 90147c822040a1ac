import { act, cleanup, render, screen } from '@testing-library/react';
import { decide } from '@kotiva/core/commands';
import { MemoryRows, NOUNS, type Command, type CommandName, type Noun, type Reader, type Row } from '@kotiva/core';
import { idOf, World } from '@kotiva/core/testing/world';
import fc from 'fast-check';
import { Provider } from 'react-redux';
import { deciding } from './deciding.ts';
import { houseSlice, noRows, type ChangePage } from './house.ts';
import { selectRows } from './rows.ts';
import { shownOf } from './shown-rows.ts';
import { AsTheyStand, useRows } from './shown.tsx';
import { makeStore } from './store.ts';

const { opened, decidesNow, given, acknowledged, refused, pageApplied, letGo, reached } = houseSlice.actions;

const TITLES = ['Beds', 'Floors', 'Windows'] as const;

function house() {
  const w = new World();
  w.join('Leila', 'helper');
  const list = w.list('Aino', 'Rooms', [['Leila', 'check']]);
  const items = TITLES.map((title) => w.item('Aino', title, { list }));
  return { w, list, items };
}

/** What each part of a screen might ask for. */
const asked = (items: readonly string[], list: string): ((rows: Reader) => unknown)[] => [
  ...items.flatMap((id) => [(rows: Reader) => rows.find('item', id)?.title, (rows: Reader) => rows.by('part', 'itemId', id).map(({ standing }) => standing)]),
  (rows) => titlesIn(rows.by('item', 'listId', list)),
  (rows) => titlesIn(rows.all('item')),
  (rows) => rows.all('person').map(({ name }) => name),
];
const titlesIn = (items: readonly Row<'item'>[]): string[] => items.filter(({ removedAt }) => removedAt === null).map(({ title }) => title).sort(); // prettier-ignore

/** What may happen on a device and on the line to it, in any order. */
const steps = fc.array(
  fc.record({
    what: fc.constantFrom('check', 'rename', 'remove', 'others', 'ack', 'refuse', 'page', 'leave', 'return', 'reset'),
    nth: fc.nat({ max: 2 }),
  }),
  { minLength: 1, maxLength: 25 },
);

class Device {
  readonly store = makeStore();
  private readonly away = new Map<string, Row>();
  private given = 0;

  constructor(
    private readonly w: World,
    private readonly items: readonly string[],
  ) {
    const confirmed = noRows();
    for (const { noun, row } of this.everything()) (confirmed[noun] as Record<string, Row>)[row.id] = row;
    this.store.dispatch(opened({ houseId: w.houseId, accountId: idOf('account Aino'), confirmed, cursor: w.seq, pending: [], refused: [], loaded: true }));
    this.store.dispatch(decidesNow());
  }

  rows(): Reader {
    return selectRows(this.store.getState().house);
  }

  do(what: string, nth: number): void {
    const item = this.items[nth]!;
    const { pending } = this.store.getState().house;
    const first = pending[0];
    if (what === 'check') this.give('part.checkOff', { item, person: null });
    if (what === 'rename') this.give('item.change', { item, title: `${TITLES[nth]} ${this.given}` });
    if (what === 'remove') this.give('item.remove', { items: [item] });
    if (what === 'others') this.w.try('Aino', 'item.change', { item, title: `${TITLES[nth]}, said elsewhere` });
    if (what === 'ack' && first?.ackSeq === null) this.acknowledge(first.command);
    if (what === 'refuse' && first?.ackSeq === null) this.store.dispatch(refused({ id: first.command.id, reason: { code: 'failed', params: {} } }));
    if (what === 'page') this.store.dispatch(pageApplied(this.page(this.missing())));
    if (what === 'leave') this.leave(item);
    if (what === 'return') this.return();
    if (what === 'reset') this.store.dispatch(pageApplied({ ...this.page(this.everything()), reset: true }));
  }

  private give(name: CommandName, payload: unknown): void {
    const id = idOf(`given here ${this.given++}`);
    const command = { id, name, payload, houseId: this.w.houseId, at: this.w.now, seen: this.w.seq } as Command;
    this.store.dispatch(given({ command, recorded: null }));
  }

  private acknowledge({ id, name, payload }: Command): void {
    const done = this.w.try('Aino', name, payload as never, { id });
    if (done.outcome === 'accepted') this.store.dispatch(acknowledged({ id, seq: this.w.seq }));
    else this.store.dispatch(refused({ id, reason: { code: 'failed', params: {} } }));
  }

  private leave(id: string): void {
    const row = this.store.getState().house.confirmed.rows.find('item', id);
    if (!row) return;
    this.away.set(id, row);
    this.store.dispatch(letGo([{ noun: 'item', id }]));
  }

  private return(): void {
    const put = [...this.away.keys()].map((id) => ({ noun: 'item' as Noun, row: this.w.row(id) as Row }));
    this.away.clear();
    this.store.dispatch(reached(put));
  }

  private everything(): ChangePage['put'] {
    return NOUNS.flatMap((noun) => this.w.rows.all(noun).map((row: Row) => ({ noun, row })));
  }

  private missing(): ChangePage['put'] {
    const { rows } = this.store.getState().house.confirmed;
    return this.everything().filter(({ noun, row }) => rows.find(noun, row.id) !== row);
  }

  private page(put: ChangePage['put']): ChangePage {
    return { seq: this.w.seq, from: 0, put, evict: [] };
  }
}

function Part({ nth, ask }: { nth: number; ask: (rows: Reader) => unknown }) {
  return <p data-testid={`part ${nth}`}>{JSON.stringify(ask(useRows()))}</p>;
}

test('whatever comes, is given, acknowledged, refused, let go or fetched again: each part shows what holds', () => {
  deciding.bring(decide);
  fc.assert(
    fc.property(steps, (doing) => {
      const { w, list, items } = house();
      const device = new Device(w, items);
      const parts = asked(items, list);
      const { unmount } = render(
        <Provider store={device.store}>
          {parts.map((ask, nth) => (
            <Part key={nth} nth={nth} ask={ask} />
          ))}
        </Provider>,
      );
      for (const { what, nth } of doing) {
        act(() => device.do(what, nth));
        const shown = parts.map((_, part) => screen.getByTestId(`part ${part}`).textContent);
        expect(shown).toEqual(parts.map((ask) => JSON.stringify(ask(device.rows())) ?? ''));
      }
      unmount();
    }),
    { numRuns: 60 },
  );
});

/** By noun and id, what has changed between two moments: as it was. */
function changedBetween(before: ReturnType<typeof everyRow>, after: ReturnType<typeof everyRow>): ReturnType<typeof everyRow> {
  const keys = new Set([...before.keys(), ...after.keys()]);
  return new Map([...keys].filter((key) => said(before.get(key)) !== said(after.get(key))).map((key) => [key, before.get(key)]));
}
const said = (row: Row | undefined): string => JSON.stringify(row && { ...row, seq: 0 });
const everyRow = (rows: Reader) =>
  new Map<string, Row | undefined>(NOUNS.flatMap((noun) => rows.all(noun).map((row: Row) => [`${noun} ${row.id}`, row] as const)));

test('on a page what was just ticked stays as it was, whatever comes meanwhile, until it is let go; all else shows what holds', () => {
  deciding.bring(decide);
  const doing = fc.array(
    fc.record({
      what: fc.constantFrom('tick', 'tick', 'let go', 'check', 'rename', 'remove', 'others', 'ack', 'refuse', 'page'),
      nth: fc.nat({ max: 2 }),
    }),
    { minLength: 1, maxLength: 25 },
  );
  fc.assert(
    fc.property(doing, (steps) => {
      cleanup();
      const { w, list, items } = house();
      const device = new Device(w, items);
      const shown = shownOf(device.store);
      const parts = asked(items, list);
      const stays = new Map<string, Row | undefined>();
      render(
        <Provider store={device.store}>
          <AsTheyStand>
            {parts.map((ask, nth) => (
              <Part key={nth} nth={nth} ask={ask} />
            ))}
          </AsTheyStand>
        </Provider>,
      );
      for (const { what, nth } of [...steps, { what: 'let go', nth: 0 }]) {
        const before = everyRow(device.rows());
        if (what === 'let go') {
          act(shown.letGo);
          stays.clear();
        } else if (what === 'tick') {
          act(() => shown.stay(() => device.do('check', nth)));
          for (const [key, was] of changedBetween(before, everyRow(device.rows()))) if (!stays.has(key)) stays.set(key, was);
        } else act(() => device.do(what, nth));
        const standing = new MemoryRows('all');
        for (const [key, row] of new Map([...everyRow(device.rows()), ...stays])) if (row) standing.put(key.split(' ')[0] as Noun, row);
        expect(parts.map((_, part) => screen.getByTestId(`part ${part}`).textContent)).toEqual(parts.map((ask) => JSON.stringify(ask(standing)) ?? ''));
      }
    }),
    { numRuns: 60 },
  );
});
