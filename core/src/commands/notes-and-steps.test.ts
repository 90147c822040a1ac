import { isDone } from '../followup/standing.ts';
import { World } from '../testing/world.ts';

describe('notes and steps', () => {
  let world: World;
  let item: string;
  const notes = '# Before the ice\nCall Raimo\n- [x] Oars\n  - the left one\n- Sail';
  beforeEach(() => {
    world = new World();
    world.join('Leila');
    world.join('Tapio', 'helper');
    const list = world.list('Aino', 'Boats', [['Leila', 'check']]);
    item = world.item('Aino', 'Lay up the boats', { list, persons: [world.person('Tapio')] });
    world.must('Aino', 'item.change', { item, notes });
  });
  const steps = (of = item) => world.rows.by('item', 'parentId', of).filter(({ removedAt }) => removedAt === null);
  const titles = (of = item) => steps(of).map(({ title, id }) => [title, isDone(world.row(id), world.parts(id))]);

  test('lines become steps with their ticks, those further in below, and one undo brings them back', () => {
    const { id } = world.must('Aino', 'item.notesToSteps', { item, lines: [2, 3, 4] });
    expect(titles()).toEqual([
      ['Oars', true],
      ['Sail', false],
    ]);
    expect(titles(steps()[0]!.id)).toEqual([['the left one', false]]);
    expect(world.row(item).notes).toBe('# Before the ice\nCall Raimo');
    world.must('Aino', 'undo', { command: id });
    expect(titles()).toEqual([]);
    expect(world.row(item).notes).toBe(notes);
  });

  test('and back, without a lost word; what says more than a line stays', () => {
    world.must('Aino', 'item.notesToSteps', { item, lines: [2, 3, 4] });
    const given = world.item('Aino', 'Buy varnish', { parent: item, persons: [world.person('Leila')] });
    const { notes: said } = world.must('Aino', 'item.stepsToNotes', { item, steps: steps().map(({ id }) => id) });
    expect(world.row(item).notes).toBe('# Before the ice\nCall Raimo\n\n- [x] Oars\n  - [ ] the left one\n- [ ] Sail');
    expect(titles()).toEqual([['Buy varnish', false]]);
    expect(said).toEqual([{ code: 'steps-stay', params: { count: 1 } }]);
    expect(world.refused('Aino', 'item.stepsToNotes', { item, steps: [given] }).code).toBe('steps-say-more');
  });

  test('whoever works on it writes the notes and makes steps of them; what it is called stays its maker’s', () => {
    for (const [nth, who] of (['Leila', 'Tapio'] as const).entries()) {
      world.must(who, 'item.change', { item, notes: `Line ${nth}`, notesBase: world.row(item).notes });
      world.must(who, 'item.notesToSteps', { item, lines: [0] });
      expect(world.refused(who, 'item.change', { item, notes: 'x', title: 'Theirs' }).code).toBe('not-allowed');
    }
    expect(titles()).toEqual([
      ['Line 0', false],
      ['Line 1', false],
    ]);
  });

  test('lines somebody else has changed since are not taken by their number', () => {
    const seen = world.seq;
    world.must('Leila', 'item.change', { item, notes: 'Other words' });
    expect(world.refused('Aino', 'item.notesToSteps', { item, lines: [0] }, { seen }).code).toBe('changed-since');
    expect(world.refused('Aino', 'item.notesToSteps', { item, lines: [7] }).code).toBe('nothing-chosen');
  });

  test('the history tells which lines were added and taken away', () => {
    world.must('Leila', 'item.change', { item, notes: notes.replace('Call Raimo', 'Call Raimo before noon'), notesBase: notes });
    const [entry] = world.rows.by('activity', 'itemId', item).sort((a, b) => b.seq - a.seq);
    expect(entry!.params).toEqual({ field: 'notes', added: ['Call Raimo before noon'], removed: ['Call Raimo'] });
  });

  test('what two wrote together does not fit: the second is told, and nothing is cut', () => {
    const half = 'x'.repeat(12_000);
    world.must('Leila', 'item.change', { item, notes: half, notesBase: notes });
    expect(world.refused('Aino', 'item.change', { item, notes: 'y'.repeat(12_000), notesBase: notes }).code).toBe('too-long');
    expect(world.row(item).notes).toBe(half);
  });
});
