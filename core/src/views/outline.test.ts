import fc from 'fast-check';
import { dropped, indented, outdented, outlineOf, shifted, type OutlineNode, type OutlineRow, type OutlineSpot } from './outline.ts';

/** Steps as they are written down: two spaces a level. */
function written(text: string): Tree {
  const tree = new Tree();
  const above: string[] = [];
  for (const line of text.split('\n').filter((one) => one.trim())) {
    const depth = line.search(/\S/) / 2;
    const id = line.trim();
    tree.add(id, depth === 0 ? null : above[depth - 1]!);
    above[depth] = id;
  }
  return tree;
}

class Tree {
  nodes: OutlineNode[] = [];
  add(id: string, parentId: string | null) {
    this.nodes.push({ id, parentId });
  }
  children = (parentId: string | null) => this.nodes.filter((node) => node.parentId === parentId);
  rows = (): OutlineRow[] => outlineOf(this.children(null), this.children);
  /** What the server would do with the spot. */
  move(id: string, spot: OutlineSpot | null): Tree {
    if (!spot) return this;
    const node = { id, parentId: spot.parentId };
    const others = this.nodes.filter((one) => one.id !== id);
    const at = spot.after === null ? 0 : others.findIndex((one) => one.id === spot.after) + 1;
    others.splice(at, 0, node);
    const moved = new Tree();
    moved.nodes = others;
    return moved;
  }
  toString = () =>
    this.rows()
      .map(({ node, depth }) => `${'  '.repeat(depth)}${node.id}`)
      .join('\n');
}

const TRIP = `pack
  clothes
    socks
  tools
drive`;

describe('indent and outdent', () => {
  test('indenting puts a step under the one above it, as its last', () => {
    const tree = written(TRIP);
    expect(`${tree.move('drive', indented(tree.rows(), 'drive'))}`).toBe('pack\n  clothes\n    socks\n  tools\n  drive');
    expect(`${tree.move('tools', indented(tree.rows(), 'tools'))}`).toBe('pack\n  clothes\n    socks\n    tools\ndrive');
  });
  test('the first of its level has nothing to go under', () => {
    const rows = written(TRIP).rows();
    expect(indented(rows, 'pack')).toBeNull();
    expect(indented(rows, 'clothes')).toBeNull();
    expect(indented(rows, 'socks')).toBeNull();
  });
  test('outdenting puts it right after what it was under, with what is under it', () => {
    const tree = written(TRIP);
    expect(`${tree.move('clothes', outdented(tree.rows(), 'clothes'))}`).toBe('pack\n  tools\nclothes\n  socks\ndrive');
    expect(outdented(tree.rows(), 'drive')).toBeNull();
  });
  test('up and down pass a sibling, not its steps', () => {
    const tree = written(TRIP);
    expect(`${tree.move('drive', shifted(tree.rows(), 'drive', -1))}`).toBe('drive\npack\n  clothes\n    socks\n  tools');
    expect(`${tree.move('clothes', shifted(tree.rows(), 'clothes', 1))}`).toBe('pack\n  tools\n  clothes\n    socks\ndrive');
    expect(shifted(tree.rows(), 'drive', 1)).toBeNull();
  });
});

describe('dragging', () => {
  test.each([
    ['down past the next', 'clothes', 'tools', 0, 'pack\n  tools\n  clothes\n    socks\ndrive'],
    ['to the top', 'drive', 'pack', 0, 'drive\npack\n  clothes\n    socks\n  tools'],
    ['in place, one to the right', 'drive', 'drive', 1, 'pack\n  clothes\n    socks\n  tools\n  drive'],
    ['in place, two to the right', 'drive', 'drive', 2, 'pack\n  clothes\n    socks\n  tools\n    drive'],
    ['in place, far to the right: one deeper than the one above', 'drive', 'drive', 9, 'pack\n  clothes\n    socks\n  tools\n    drive'],
    ['one to the left, out of its parent', 'tools', 'tools', -1, 'pack\n  clothes\n    socks\ntools\ndrive'],
    ['not shallower than what comes after it', 'clothes', 'clothes', -1, 'pack\n  clothes\n    socks\n  tools\ndrive'],
  ])('%s', (_name, id, over, levels, expected) => {
    const tree = written(TRIP);
    expect(`${tree.move(id, dropped(tree.rows(), id, over, levels))}`).toBe(expected);
  });
  test('not into itself', () => {
    expect(dropped(written(TRIP).rows(), 'pack', 'socks', 1)).toBeNull();
  });
});

describe('whatever is done', () => {
  /** Any tree: each node under an earlier one, or at the top. */
  const trees = fc.array(fc.integer({ min: -1, max: 30 }), { minLength: 1, maxLength: 14 }).map((parents) => {
    const tree = new Tree();
    parents.forEach((parent, nth) => tree.add(`s${nth}`, nth === 0 || parent < 0 ? null : `s${parent % nth}`));
    return tree;
  });
  const asSet = (tree: Tree) =>
    tree
      .rows()
      .map(({ node }) => node.id)
      .sort();

  test('a drop loses nothing, makes no circle, and lands where it says', () => {
    fc.assert(
      fc.property(trees, fc.nat(), fc.nat(), fc.integer({ min: -4, max: 4 }), (tree, a, b, levels) => {
        const rows = tree.rows();
        const id = rows[a % rows.length]!.node.id;
        const over = rows[b % rows.length]!.node.id;
        const spot = dropped(rows, id, over, levels);
        const moved = tree.move(id, spot);
        // a node in a circle, or under itself, would no longer be reached from the top
        expect(asSet(moved)).toEqual(asSet(tree));
        if (spot?.after) expect(rows.find(({ node }) => node.id === spot.after)!.node.parentId).toBe(spot.parentId);
      }),
      { numRuns: 400 },
    );
  });
  test('outdenting what was indented brings it back to its level, after the one it was under', () => {
    fc.assert(
      fc.property(trees, fc.nat(), (tree, a) => {
        const rows = tree.rows();
        const { node, depth } = rows[a % rows.length]!;
        const spot = indented(rows, node.id);
        fc.pre(spot !== null);
        const there = tree.move(node.id, spot);
        expect(there.rows().find((row) => row.node.id === node.id)!.depth).toBe(depth + 1);
        const back = there.move(node.id, outdented(there.rows(), node.id));
        expect(`${back}`).toBe(`${tree}`);
      }),
      { numRuns: 300 },
    );
  });
});
