import fc from 'fast-check';
import { countingParts, isDone } from '../followup/standing.ts';
import { World } from '../testing/world.ts';

const SHA = 'ab'.repeat(32);

/** "A wedding weekend": four sections, twenty-two items, two with photos, three with notes, six of them ticked. */
function wedding() {
  const w = new World();
  w.join('Marek', 'helper');
  w.join('Tapio');
  const list = w.list('Aino', 'Elsa and Ville', [['Tapio', 'edit']]);
  const names = ['Barn for {couple}', 'Kitchen', 'Rooms', 'Afterwards'];
  const sections = names.map((name) => {
    w.must('Aino', 'section.make', { list, name });
    return w.rows.by('section', 'listId', list).find((section) => section.name === name)!.id;
  });
  const items = Array.from({ length: 22 }, (_, nth) => {
    const section = sections[nth % 4]!;
    return w.item('Aino', nth === 0 ? 'Lay {guests} plates' : `Thing ${nth}`, { list, section, notes: nth < 3 ? 'For {Couple}, on {Saturday}' : '' });
  });
  w.must('Aino', 'item.setDue', { item: items[1]!, due: '2026-08-06T10:00' });
  w.must('Aino', 'item.setDue', { item: items[2]!, due: '2026-08-09' });
  for (const item of items.slice(16)) w.must('Aino', 'part.checkOff', { item, person: null });
  for (const item of items.slice(0, 2)) {
    w.must('Aino', 'attachment.add', { item, name: 'barn.jpg', size: 10 });
    w.system('attachment.arrive', { attachment: w.rows.by('attachment', 'itemId', item)[0]!.id, sha256: SHA, mediaType: 'image/jpeg', width: 4, height: 3 });
  }
  w.must('Aino', 'part.handOver', { items: [items[3]!], persons: [w.person('Marek')] });
  const kept = w.must('Aino', 'template.keep', { list, name: 'A wedding for {couple}', anchor: '2026-08-08', anchorName: 'Saturday' }).id;
  const template = w.rows.all('template')[0]!.id;
  const rows = () => w.rows.by('templateItem', 'templateId', template);
  const named = (title: string) => rows().find((row) => row.title === title)!.id;
  w.must('Aino', 'templateItem.change', { item: named('Thing 4'), holders: [{ role: 'cook' }] });
  const open = () => w.rows.by('item', 'listId', list).filter((item) => !isDone(item, w.rows.by('part', 'itemId', item.id))).length;
  return { w, list, items, kept, template, rows, named, open };
}
const SAID = { anchor: '2027-03-28', blanks: { couple: 'Liisa and Kalle', guests: '48', Saturday: '27 March' } };

test('used, all of it is there, ticked nowhere, every blank filled; the original stays as it was', () => {
  const { w, template, open } = wedding();
  expect(w.rows.all('template')[0]).toMatchObject({ kind: 'list', anchorName: 'Saturday', keptOn: '2026-08-08' });
  w.must('Aino', 'template.use', { template, ...SAID, roles: { Cook: [w.person('Marek')] } });
  const made = w.rows.all('list').find(({ name }) => name === 'A wedding for Liisa and Kalle')!;
  const items = w.rows.by('item', 'listId', made.id);
  expect(items).toHaveLength(22);
  expect(items.every((item) => !isDone(item, w.rows.by('part', 'itemId', item.id)))).toBe(true);
  expect(w.rows.by('section', 'listId', made.id).map(({ name }) => name).sort()).toEqual(['Afterwards', 'Barn for Liisa and Kalle', 'Kitchen', 'Rooms']); // prettier-ignore
  const find = (title: string) => items.find((item) => item.title === title)!;
  expect(find('Lay 48 plates').notes).toBe('For Liisa and Kalle, on 27 March');
  // two days before, and one after, over the night the clocks go forward
  expect([find('Thing 1').due, find('Thing 2').due]).toEqual(['2027-03-26T10:00', '2027-03-29']);
  expect(w.rows.by('attachment', 'itemId', find('Lay 48 plates').id)).toMatchObject([{ name: 'barn.jpg', sha256: SHA }]);
  const holders = (title: string) => countingParts(w.rows.by('part', 'itemId', find(title).id)).map(({ personId }) => personId);
  expect([holders('Thing 3'), holders('Thing 4'), holders('Thing 5')]).toEqual([[w.person('Marek')], [w.person('Marek')], [null]]);
  // two things, told once
  expect(w.told('Marek').filter((kind) => kind === 'handed')).toHaveLength(2);
  expect(open()).toBe(16);
});

test('what is missing is named, and nothing is made', () => {
  const { w, template } = wedding();
  const before = w.rows.all('item').length;
  const tried = (said: object) => w.refused('Aino', 'template.use', { template, ...SAID, roles: { cook: [] }, ...said });
  expect(tried({ blanks: { couple: 'L', Saturday: '27' } })).toMatchObject({ code: 'template-blank-missing', params: { names: ['guests'] } });
  expect(tried({ blanks: { couple: 'L', Saturday: '27', guests: '  ' } }).code).toBe('template-blank-missing');
  expect(tried({ roles: {} })).toMatchObject({ code: 'template-role-missing', params: { names: ['cook'] } });
  expect(tried({ anchor: null }).code).toBe('template-day-missing');
  expect(tried({ anchor: '2027-02-31' }).code).toBe('malformed');
  expect(tried({ blanks: { ...SAID.blanks, guests: 'x'.repeat(201) } }).code).toBe('too-long');
  expect(tried({ roles: { cook: ['018f0000-0000-7000-8000-000000000000'] } }).code).toBe('unknown-person');
  expect(w.rows.all('item')).toHaveLength(before);
});

test('a name that is taken is said, with one that is free', () => {
  const { w, template } = wedding();
  const use = { template, ...SAID, roles: { cook: [] }, name: 'Spring wedding' };
  w.must('Aino', 'template.use', use);
  expect(w.refused('Aino', 'template.use', use)).toMatchObject({ code: 'list-name-taken', params: { other: 'Spring wedding 2' } });
  w.must('Aino', 'template.use', { ...use, name: 'Spring wedding 2' });
  // into one that is there, as often as one likes
  w.must('Aino', 'template.use', { ...use, name: undefined, list: w.rows.all('list').find(({ name }) => name === 'Spring wedding')!.id });
});

test('what was made changes neither with its template nor with what that was kept from, nor they with it', () => {
  const { w, template, items, named } = wedding();
  w.must('Aino', 'template.use', { template, ...SAID, roles: { cook: [] }, name: 'Made' });
  const made = () => w.rows.by('item', 'listId', w.rows.all('list').find(({ name }) => name === 'Made')!.id).map(({ title }) => title).sort(); // prettier-ignore
  const before = made();
  w.must('Aino', 'templateItem.change', { item: named('Thing 9'), title: 'Something else' });
  w.must('Aino', 'templateItem.change', { item: named('Thing 8'), removed: true });
  w.must('Aino', 'item.change', { item: items[7]!, title: 'Changed in the list' });
  expect(made()).toEqual(before);
  w.must('Aino', 'template.use', { template, ...SAID, roles: { cook: [] }, name: 'Later' });
  const later = w.rows.by('item', 'listId', w.rows.all('list').find(({ name }) => name === 'Later')!.id).map(({ title }) => title);
  expect(later).toHaveLength(21);
  expect(later).toContain('Something else');
  expect(later).toContain('Thing 7');
});

test('undone, nothing of it is left; neither of a template that was kept', () => {
  const { w, template, kept } = wedding();
  const there = () => w.rows.all('item').filter(({ removedAt }) => removedAt === null).length;
  const before = there();
  const { id } = w.must('Aino', 'template.use', { template, ...SAID, roles: { cook: [w.person('Marek')] }, name: 'Made' });
  w.must('Aino', 'undo', { command: id });
  expect(there()).toBe(before);
  expect(w.rows.all('list').find(({ name }) => name === 'Made')!.removedAt).not.toBeNull();
  w.must('Aino', 'undo', { command: kept });
  expect(w.rows.all('template')[0]!.removedAt).not.toBeNull();
  expect(w.refused('Aino', 'template.use', { template, ...SAID, roles: { cook: [] } }).code).toBe('gone');
});

test('one item with its steps; somebody named in it who left is asked for like a role', () => {
  const w = new World();
  w.join('Marek', 'helper');
  w.join('Tapio', 'helper');
  const jetty = w.item('Aino', 'Ready the jetty for {season}', { persons: [w.person('Marek')] });
  const planks = w.item('Aino', 'Planks', { parent: jetty });
  w.item('Aino', 'Count them', { parent: planks });
  w.must('Aino', 'template.keep', { item: jetty, name: 'Jetty' });
  const template = w.rows.all('template')[0]!.id;
  const marek = w.person('Marek');
  w.must('Aino', 'person.end', { person: marek, parts: [{ item: jetty, to: 'nobody' }] });
  expect(w.refused('Aino', 'template.use', { template, blanks: { season: 'spring' } })).toMatchObject({
    code: 'template-role-missing',
    params: { names: ['Marek'] },
  });
  w.must('Aino', 'template.use', { template, blanks: { season: 'spring' }, roles: { [marek]: [w.person('Tapio')] } });
  const made = w.rows.all('item').find(({ title }) => title === 'Ready the jetty for spring')!;
  const step = w.rows.by('item', 'parentId', made.id)[0]!;
  expect([step.title, w.rows.by('item', 'parentId', step.id)[0]!.title]).toEqual(['Planks', 'Count them']);
  expect(w.part(made.id, 'Tapio').standing).toBe('needs-action');
});

test('a private place is in no template of the house; helpers make none', () => {
  const w = new World();
  w.join('Leila', 'helper');
  const list = w.list('Aino', 'Errands', [['Leila', 'check']]);
  w.must('Aino', 'place.make', { name: 'Sister’s', position: { lat: 62.3, lon: 27.1 }, address: '', seenBy: [w.person('Aino')] } as never);
  w.item('Aino', 'Bring the cake', { list, place: w.rows.all('place')[0]!.id });
  expect(w.refused('Aino', 'template.keep', { list, name: 'Errands', isShared: true }).code).toBe('names-private');
  w.must('Aino', 'template.keep', { list, name: 'Errands' });
  expect(w.refused('Leila', 'template.make', { name: 'Hers', isShared: true }).code).toBe('not-allowed');
});

test('made anew or from a file: what is used has exactly its shape', () => {
  const word = fc.string({ minLength: 1, maxLength: 12 }).filter((text) => text.trim() !== '' && !text.includes('{') && !text.includes('}'));
  const items = fc
    .array(fc.record({ title: word, up: fc.option(fc.nat(30)), days: fc.option(fc.integer({ min: -400, max: 400 })) }), { minLength: 1, maxLength: 30 })
    .map((all) =>
      all.map(({ title, up, days }, nth) => ({
        title: title.trim(),
        under: up === null || nth === 0 ? null : up % nth,
        due: days === null ? null : { days, time: null },
      })),
    );
  fc.assert(
    fc.property(items, (rows) => {
      const w = new World();
      w.must('Aino', 'template.make', { name: 'T', items: rows } as never);
      const template = w.rows.all('template')[0]!.id;
      const { id } = w.must('Aino', 'template.use', { template, anchor: '2027-03-28', name: 'Made' });
      const list = w.rows.all('list').find(({ name }) => name === 'Made')!.id;
      const made = w.rows.by('item', 'listId', list);
      const path = (item: { title: string; parentId: string | null }): string =>
        item.parentId === null ? item.title : `${path(made.find((one) => one.id === item.parentId)!)}/${item.title}`;
      const wanted = (nth: number): string => (rows[nth]!.under === null ? rows[nth]!.title : `${wanted(rows[nth]!.under)}/${rows[nth]!.title}`);
      expect(made.map(path).sort()).toEqual(rows.map((_, nth) => wanted(nth)).sort());
      expect(made.filter(({ due }) => due !== null)).toHaveLength(rows.filter(({ due }) => due !== null).length);
      w.must('Aino', 'undo', { command: id });
      expect(w.rows.by('item', 'listId', list).filter(({ removedAt }) => removedAt === null)).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

test('bounds: too many blanks, a step of what comes after it, an hour that leaves the day', () => {
  const w = new World();
  const tried = (items: object[]) => w.refused('Aino', 'template.make', { name: 'T', items } as never).code;
  expect(tried(Array.from({ length: 61 }, (_, nth) => ({ title: `{blank ${nth}}` })))).toBe('too-many-blanks');
  expect(tried([{ title: 'a', under: 0 }])).toBe('malformed');
  expect(tried([{ title: 'a', due: { days: 0, time: '30:00' } }])).toBe('malformed');
  expect(tried([{ title: 'a', due: { days: 99_999, time: null } }])).toBe('too-many');
  expect(tried(Array.from({ length: 501 }, () => ({ title: 'a' })))).toBe('too-many');
  w.must('Aino', 'template.make', { name: 'T', items: Array.from({ length: 60 }, (_, nth) => ({ title: `{blank ${nth}}` })) } as never);
});

describe('a chore that uses a template each time', () => {
  function cellar() {
    const w = new World();
    w.join('Marek', 'helper');
    const list = w.list('Aino', 'Cellar', [['Marek', 'check']]);
    w.must('Aino', 'chore.make', { title: 'Cellar round', list, rrule: 'FREQ=MONTHLY;BYDAY=1FR', dtstart: '2026-12-04', whenDone: true } as never);
    const items = [
      { title: 'Look at {barrel}', due: { days: -1, time: '10:00' }, holders: [{ role: 'looker' }] },
      { title: 'Write it down', under: 0 },
    ];
    w.must('Aino', 'template.make', { name: 'Round', items } as never);
    const [series, template] = [w.rows.all('series')[0]!.id, w.rows.all('template')[0]!.id];
    const open = () => w.rows.by('item', 'listId', list).filter(({ seriesId, removedAt, id }) => seriesId !== null && removedAt === null && w.parts(id).some(({ standing }) => standing !== 'completed'))[0]!; // prettier-ignore
    const stepsOf = (id: string) => w.rows.by('item', 'parentId', id).filter(({ removedAt }) => removedAt === null);
    const said = { series, template, blanks: { barrel: 'the oak one' }, roles: { Looker: [w.person('Marek')] } };
    return { w, series, template, open, stepsOf, said };
  }

  test('what it asks for is settled once; each one has its steps, its days by its own day, and whoever does them', () => {
    const { w, open, stepsOf, said } = cellar();
    expect(w.refused('Aino', 'chore.setTemplate', { ...said, blanks: {} }).code).toBe('template-blank-missing');
    w.must('Aino', 'chore.setTemplate', said);
    const first = open();
    expect(stepsOf(first.id)).toMatchObject([{ title: 'Look at the oak one', due: '2026-12-03T10:00' }]);
    expect(stepsOf(stepsOf(first.id)[0]!.id)).toMatchObject([{ title: 'Write it down' }]);
    w.must('Aino', 'part.checkOff', { item: first.id, person: null });
    const second = open();
    expect(second.due).toBe('2027-01-01');
    expect(stepsOf(second.id)).toMatchObject([{ title: 'Look at the oak one', due: '2026-12-31T10:00' }]);
    expect(w.part(stepsOf(second.id)[0]!.id, 'Marek')).toMatchObject({ standing: 'needs-action', giverId: w.person('Aino') });
  });

  test('a template that is changed makes what comes; one that is gone, or no longer wanted, nothing more', () => {
    const { w, series, template, open, stepsOf, said } = cellar();
    w.must('Aino', 'chore.setTemplate', said);
    const next = () => (w.must('Aino', 'part.checkOff', { item: open().id, person: null }), stepsOf(open().id).map(({ title }) => title));
    const [item] = w.rows.by('templateItem', 'templateId', template).filter(({ parentId }) => parentId === null);
    w.must('Aino', 'templateItem.change', { item: item!.id, title: 'Smell at {barrel}' });
    expect(next()).toEqual(['Smell at the oak one']);
    w.must('Aino', 'template.change', { template, removed: true });
    expect(next()).toEqual([]);
    w.must('Aino', 'template.change', { template, removed: false });
    w.must('Aino', 'chore.setTemplate', { series, template: null });
    expect(next()).toEqual([]);
  });

  test('undone, the steps are gone again; another’s own template is nobody else’s to use', () => {
    const { w, open, stepsOf, said } = cellar();
    const { id } = w.must('Aino', 'chore.setTemplate', said);
    w.must('Aino', 'undo', { command: id });
    expect(stepsOf(open().id)).toEqual([]);
    w.join('Tapio');
    w.must('Tapio', 'template.make', { name: 'His', items: [{ title: 'One' }] } as never);
    const his = w.rows.all('template').find(({ name }) => name === 'His')!.id;
    expect(w.refused('Aino', 'chore.setTemplate', { ...said, template: his }).code).toBe('not-allowed');
  });
});

test('what has to be done first is kept, also where it was done, and is so among what is made; in a circle it is refused with the way', () => {
  const { w, items, list, named } = wedding();
  w.must('Aino', 'wait.set', { item: items[5]!, on: items[4]! } as never);
  w.must('Aino', 'wait.set', { item: items[6]!, on: items[5]! } as never);
  w.must('Aino', 'wait.set', { item: items[6]!, words: 'the van' } as never);
  w.must('Aino', 'part.checkOff', { item: items[4]!, person: null });
  w.must('Aino', 'template.keep', { list, name: 'Again' } as never);
  const again = w.rows.all('template').find(({ name }) => name === 'Again')!.id;
  const rows = () => w.rows.by('templateItem', 'templateId', again);
  const of = (title: string) => rows().find((row) => row.title === title)!;
  expect([of('Thing 5').firstIds, of('Thing 6').firstIds, of('Thing 7').firstIds]).toEqual([[of('Thing 4').id], [of('Thing 5').id], []]);
  const { id } = w.must('Aino', 'template.use', { template: again, name: 'Next', ...SAID, roles: {} } as never);
  const next = w.rows.all('list').find(({ name }) => name === 'Next')!.id;
  const made = (title: string) => w.rows.by('item', 'listId', next).find((item) => item.title === title)!.id;
  const waits = (title: string) => w.rows.by('wait', 'itemId', made(title)).filter(({ endedAt }) => endedAt === null).map(({ onItemId, words }) => [onItemId, words]); // prettier-ignore
  expect([waits('Thing 5'), waits('Thing 6')]).toEqual([[[made('Thing 4'), 'Thing 4']], [[made('Thing 5'), 'Thing 5']]]);
  w.must('Aino', 'part.checkOff', { item: made('Thing 4'), person: null });
  expect(waits('Thing 5')).toEqual([]);
  w.must('Aino', 'undo', { command: id });
  expect(w.rows.by('item', 'listId', next).every(({ removedAt }) => removedAt !== null)).toBe(true);
  const circle = { item: of('Thing 4').id, firsts: [of('Thing 6').id] };
  expect(w.refused('Aino', 'templateItem.change', circle as never)).toMatchObject({ code: 'wait-round', field: 'firsts' });
  expect(w.refused('Aino', 'templateItem.change', { item: of('Thing 4').id, firsts: [named('Thing 6')] } as never).code).toBe('gone');
  const file = { name: 'Circle', items: [{ title: 'One', firsts: [1] }, { title: 'Two', under: 0 }] }; // prettier-ignore
  expect(w.refused('Aino', 'template.make', file as never).code).toBe('wait-round');
});

test('notes of a talk begin with a template: its blanks named when missing, the template nobody else’s, one undo', () => {
  const w = new World();
  w.join('Petri');
  const petri = w.person('Petri');
  w.must('Aino', 'note.make', { persons: [petri], date: '2026-11-20', text: 'Went well in {project}:\n\n- {' });
  const note = w.rows.all('meetingNote')[0]!.id;
  expect(w.refused('Petri', 'template.keep', { note, name: 'Fridays' }).code).toMatch(/not-allowed|malformed/);
  expect(w.refused('Aino', 'template.keep', { note, list: w.list('Petri', 'Private'), name: 'Fridays' }).code).toBe('not-allowed');
  w.must('Aino', 'template.keep', { note, name: 'Fridays' });
  const template = w.rows.all('template')[0]!.id;
  // a snapshot
  w.must('Aino', 'note.change', { note, text: 'Something else' });
  const start = { persons: [petri], date: '2026-11-27', template };
  expect(w.refused('Aino', 'note.make', start)).toMatchObject({ code: 'template-blank-missing', params: { names: ['project'] } });
  expect(w.refused('Petri', 'note.make', { ...start, persons: [w.person('Aino')], blanks: { project: 'x' } }).code).toMatch(/not-allowed|malformed/);
  const { id } = w.must('Aino', 'note.make', { ...start, blanks: { Project: 'the pier' } });
  const begun = () => w.rows.all('meetingNote').filter(({ date, removedAt }) => date === '2026-11-27' && removedAt === null);
  expect(begun()).toMatchObject([{ text: 'Went well in the pier:\n\n- {', personIds: [petri] }]);
  // it makes no list, and is no chore's
  expect(w.refused('Aino', 'template.use', { template, blanks: { project: 'x' } })).toMatchObject({ code: 'template-empty' });
  expect(w.refused('Aino', 'templateItem.add', { template, title: 'One' }).code).toMatch(/not-allowed|malformed/);
  w.must('Aino', 'undo', { command: id });
  expect(begun()).toEqual([]);
});

test('a blank filled with much doesn’t grow notes beyond what notes may be', () => {
  const w = new World();
  w.must('Aino', 'template.make', { name: 'Long', kind: 'talk', text: '{a}'.repeat(6_000) } as never);
  const template = w.rows.all('template')[0]!.id;
  const start = { persons: [w.person('Aino')], date: '2026-11-27', template, blanks: { a: 'x'.repeat(200) } };
  expect(w.refused('Aino', 'note.make', start)).toMatchObject({ code: 'too-long' });
});
