import fc from 'fast-check';
import { nudgeOf } from '../followup/nudge-batches.ts';
import { partId } from './parts.ts';
import { World } from '../testing/world.ts';

function pier() {
  const w = new World();
  w.join('Tapio', 'helper');
  w.join('Petri', 'manager');
  const list = w.list('Aino', 'The new pier', [['Tapio', 'check'], ['Petri', 'edit']]); // prettier-ignore
  const [permit, planks, build] = ['Permit', 'Order planks', 'Build it'].map((title) => w.item('Aino', title, { list })) as [string, string, string];
  const waits = (item: string, on: string, who = 'Aino') => w.must(who, 'wait.set', { item, on } as never);
  const refused = (item: string, on: string) => w.refused('Aino', 'wait.set', { item, on } as never);
  const isHeld = (item: string) => w.rows.by('wait', 'itemId', item).some(({ endedAt }) => endedAt === null);
  const tick = (item: string) => w.must('Aino', 'part.checkOff', { item, person: null } as never);
  const untick = (item: string) => w.must('Aino', 'part.uncheck', { item, person: null } as never);
  return { w, list, permit, planks, build, waits, refused, isHeld, tick, untick };
}

test('it goes on by itself once what it waits for is done, waits again once that is opened, and an undo of either is exact', () => {
  const { w, planks, build, waits, isHeld, tick, untick } = pier();
  waits(build, planks);
  const held = () => w.rows.by('wait', 'itemId', build)[0]!;
  expect([isHeld(build), held().words]).toEqual([true, 'Order planks']);
  const { id } = tick(planks);
  expect(held()).toMatchObject({ endedAt: w.now, isFollowed: true });
  untick(planks);
  expect(held()).toMatchObject({ endedAt: null, isFollowed: false });
  tick(planks);
  w.must('Aino', 'item.remove', { items: [planks] } as never);
  expect(isHeld(build)).toBe(false);
  expect(id).toBeTruthy();
  const again = w.item('Aino', 'Order more planks', { list: w.row(build).listId! });
  waits(build, again);
  const ticked = tick(again);
  w.must('Aino', 'undo', { command: ticked.id });
  expect(isHeld(build)).toBe(true);
});

test('what was ended by hand stays ended, whatever becomes of what it waited for', () => {
  const { w, planks, build, waits, isHeld, tick, untick } = pier();
  waits(build, planks);
  const { id } = w.must('Aino', 'wait.end', { wait: w.rows.by('wait', 'itemId', build)[0]!.id });
  tick(planks);
  untick(planks);
  expect(isHeld(build)).toBe(false);
  // undone once that is done, it doesn't wait for what is over
  tick(planks);
  w.must('Aino', 'undo', { command: id });
  expect(isHeld(build)).toBe(false);
  untick(planks);
  expect(isHeld(build)).toBe(true);
});

test('who has it in hand is told once nothing is in the way any more, and isn’t asked about it before', () => {
  const { w, permit, planks, build, waits, tick } = pier();
  w.must('Aino', 'part.handOver', { items: [build], persons: [w.person('Tapio')] } as never);
  waits(build, planks);
  waits(build, permit, 'Petri');
  const house = w.rows.all('house')[0]!;
  const part = () => w.rows.find('part', partId(build, w.person('Tapio'))) as never;
  expect(nudgeOf(part(), house, w.rows)).toBeNull();
  const told = () => w.rows.all('notice').filter(({ kind, withdrawnAt }) => kind === 'goes-on' && withdrawnAt === null).map(({ personId }) => personId); // prettier-ignore
  w.now = '2026-11-30T10:00:00.000Z';
  tick(planks);
  expect(told()).toEqual([]);
  w.now = '2026-12-02T10:00:00.000Z';
  tick(permit);
  expect(told().sort()).toEqual([w.person('Petri'), w.person('Tapio')].sort());
  // three days from when nothing was in the way, not from the handover
  expect(nudgeOf(part(), house, w.rows)!.at > '2026-12-05T00').toBe(true);
});

test('nothing waits for itself: over others, over its steps and over what it is a step of, by setting, moving and undoing', () => {
  const { w, list, permit, planks, build, waits, refused } = pier();
  waits(build, planks);
  waits(planks, permit);
  expect(refused(permit, build)).toMatchObject({ code: 'wait-round', params: { way: '“Permit” → “Build it” → “Order planks” → “Permit”' } });
  expect(refused(build, build).code).toBe('wait-round');
  const step = w.item('Aino', 'First row', { parent: build });
  expect(refused(step, build).code).toBe('wait-round');
  expect(refused(build, step).code).toBe('wait-round');
  // the permit can't wait for a step of what waits for it in the end
  expect(refused(permit, step).code).toBe('wait-round');
  const paint = w.item('Aino', 'Paint it', { list });
  waits(permit, paint);
  // as a step of it, painting could not begin before it, which waits for the painting
  expect(w.refused('Aino', 'item.move', { items: [paint], parent: build } as never).code).toBe('wait-round');
  const { id } = w.must('Aino', 'wait.end', { wait: w.rows.by('wait', 'itemId', permit)[0]!.id });
  w.must('Aino', 'item.move', { items: [paint], parent: build } as never);
  expect(w.refused('Aino', 'undo', { command: id }).code).toBe('wait-round');
});

test('it is said once, of what is still open, and of no more than twenty', () => {
  const { w, list, permit, build, waits, refused, tick } = pier();
  waits(build, permit);
  expect(refused(build, permit).code).toBe('waits-already');
  const over = w.item('Aino', 'Over already', { list });
  tick(over);
  expect(refused(build, over)).toMatchObject({ code: 'wait-over', params: { title: 'Over already' } });
  for (let nth = 1; nth < 20; nth++) waits(build, w.item('Aino', `First ${nth}`, { list }));
  expect(refused(build, w.item('Aino', 'One more', { list }))).toMatchObject({ code: 'too-many', params: { max: 20 } });
  const popular = w.item('Aino', 'Popular', { list });
  for (let nth = 0; nth < 200; nth++) waits(w.item('Aino', `Then ${nth}`, { list }), popular);
  expect(refused(w.item('Aino', 'Then the last', { list }), popular)).toMatchObject({ code: 'too-many', params: { max: 200 } });
  const hidden = w.item('Petri', 'Petri’s own');
  expect(refused(build, hidden).code).toBe('not-allowed');
});

test('whatever is set to wait, moved, ticked and taken back, no way leads from anything to itself, and nothing waits for what is done', () => {
  const step = fc.record({ what: fc.constantFrom('wait', 'move', 'tick', 'untick', 'end', 'remove', 'back', 'undo'), a: fc.nat(5), b: fc.nat(5) });
  fc.assert(
    fc.property(fc.array(step, { maxLength: 25 }), (steps) => {
      const w = new World();
      const list = w.list('Aino', 'Pier');
      const items = Array.from({ length: 6 }, (_, nth) => w.item('Aino', `Item ${nth}`, { list }));
      const done: string[] = [];
      for (const { what, a, b } of steps) {
        const [item, other] = [items[a]!, items[b]!];
        const open = w.rows.by('wait', 'itemId', item).find(({ endedAt }) => endedAt === null);
        const tried = {
          wait: () => w.try('Aino', 'wait.set', { item, on: other } as never),
          move: () => w.try('Aino', 'item.move', (a === b ? { items: [item], list } : { items: [item], parent: other }) as never),
          tick: () => w.try('Aino', 'part.checkOff', { item, person: null } as never),
          untick: () => w.try('Aino', 'part.uncheck', { item, person: null } as never),
          end: () => (open ? w.try('Aino', 'wait.end', { wait: open.id }) : null),
          remove: () => w.try('Aino', 'item.remove', { items: [item] } as never),
          back: () => w.try('Aino', 'item.bringBack', { items: [item] } as never),
          undo: () => (done.length === 0 ? null : w.try('Aino', 'undo', { command: done[a % done.length]! })),
        }[what]();
        if (tried?.outcome === 'accepted') done.push(tried.id);
      }
      for (const item of items) expect(leadsBack(item, w)).toBe(false);
      for (const wait of w.rows.all('wait').filter(({ endedAt }) => endedAt === null)) {
        const first = w.row(wait.onItemId!);
        expect(first.removedAt !== null || w.parts(first.id).some(({ standing }) => standing === 'completed')).toBe(false);
      }
    }),
    { numRuns: 150 },
  );
});

/** The rule told in another way: what has to be over before something can be over, walked until nothing new is met. */
function leadsBack(start: string, w: World): boolean {
  const met = new Set<string>();
  const before = (id: string): string[] => {
    const item = w.row(id);
    const steps = w.rows.by('item', 'parentId', id).filter(({ removedAt }) => removedAt === null).map((step) => step.id); // prettier-ignore
    const own: string[] = [];
    for (let up: string | null = item.id; up !== null; up = w.row(up).parentId)
      own.push(...w.rows.by('wait', 'itemId', up).filter(({ endedAt, isFollowed }) => endedAt === null || isFollowed).map(({ onItemId }) => onItemId!)); // prettier-ignore
    return [...steps, ...own];
  };
  const waiting = before(start);
  for (let id = waiting.pop(); id !== undefined; id = waiting.pop()) {
    if (id === start) return true;
    if (met.has(id)) continue;
    met.add(id);
    waiting.push(...before(id));
  }
  return false;
}
