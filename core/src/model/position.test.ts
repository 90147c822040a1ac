import fc from 'fast-check';
import { byPosition, keyAtEnd, keyBeside, type Positioned } from './position.ts';

/** Applies a move the way a command does, and returns the order that comes of it. */
function moved(siblings: Positioned[], id: string, neighbours: { after?: string | null; before?: string | null }): string[] {
  const others = siblings.filter((one) => one.id !== id);
  const { position, respaced } = keyBeside(others, neighbours);
  return [...others.map((one) => ({ ...one, position: respaced.get(one.id) ?? one.position })), { id, position }].sort(byPosition).map((one) => one.id);
}

const inARow = (ids: string[]): Positioned[] => {
  const placed: Positioned[] = [];
  for (const id of ids) placed.push({ id, position: keyAtEnd(placed) });
  return placed;
};

test.each([
  ['after a neighbour', { after: 'b' }, ['b', 'a', 'c']],
  ['before a neighbour', { before: 'c' }, ['b', 'a', 'c']],
  ['to the top', { after: null }, ['a', 'b', 'c']],
  ['to the end', {}, ['b', 'c', 'a']],
  ['beside somebody who is gone: to the end', { after: 'x' }, ['b', 'c', 'a']],
])('%s', (_name, neighbours, order) => expect(moved(inARow(['a', 'b', 'c']), 'a', neighbours)).toEqual(order));

test('siblings that share a key are spaced anew, in the order they were shown', () => {
  const same = ['a', 'b', 'c', 'd'].map((id) => ({ id, position: 'a0' }));
  expect(moved(same, 'd', { after: 'a' })).toEqual(['a', 'd', 'b', 'c']);
});

test('however often and wherever one moves, it lands where it was put and the others keep their order', () => {
  const ids = ['a', 'b', 'c', 'd', 'e'];
  const move = fc.record({ id: fc.constantFrom(...ids), after: fc.constantFrom(null, ...ids) });
  fc.assert(
    fc.property(fc.array(move, { maxLength: 40 }), (moves) => {
      let placed = inARow(ids);
      for (const { id, after } of moves) {
        if (after === id) continue;
        const before = [...placed].sort(byPosition).map((one) => one.id);
        const others = placed.filter((one) => one.id !== id);
        const { position, respaced } = keyBeside(others, { after });
        placed = [...others.map((one) => ({ ...one, position: respaced.get(one.id) ?? one.position })), { id, position }];
        const now = [...placed].sort(byPosition).map((one) => one.id);
        const wanted = before.filter((one) => one !== id);
        wanted.splice(after === null ? 0 : wanted.indexOf(after) + 1, 0, id);
        expect(now).toEqual(wanted);
      }
    }),
  );
});
