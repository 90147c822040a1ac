import { NOUNS, onArriving, type Noun, type Row } from '@kotiva/core';
import { World } from '@kotiva/core/testing/world';
import { visible } from './visibility.ts';

function guesthouse() {
  const w = new World();
  w.join('Petri', 'manager');
  w.join('Eetu');
  w.join('Leila', 'helper');
  w.join('Noor', 'helper');
  const sees = (name: string, noun: Noun): string[] => {
    const person = w.rows.all('person').find((one) => one.name === name)!;
    return [...visible(w.rows, person, NOUNS)]
      .filter(([kind]) => kind === noun)
      .map(([, row]) => ('title' in row ? row.title : 'name' in row ? row.name : 'text' in row ? row.text : row.id))
      .sort();
  };
  return { w, sees };
}

test('a private list is seen by its owner alone, managers included', () => {
  const { w, sees } = guesthouse();
  const list = w.list('Eetu', 'Presents');
  w.item('Eetu', 'A book', { list, tags: ['birthday'] });
  w.must('Eetu', 'section.make', { list, name: 'For Petri' });
  for (const name of ['Aino', 'Petri', 'Leila']) for (const noun of ['list', 'section', 'item', 'tag'] as const) expect(sees(name, noun)).toEqual([]);
  expect([sees('Eetu', 'list'), sees('Eetu', 'section'), sees('Eetu', 'item'), sees('Eetu', 'tag')]).toEqual([
    ['Presents'],
    ['For Petri'],
    ['A book'],
    ['birthday'],
  ]);
});

test('shared with anyone beside its owner, managers see it too', () => {
  const { w, sees } = guesthouse();
  const list = w.list('Eetu', 'Tools', [['Leila', 'view']]);
  w.item('Eetu', 'Axe', { list });
  expect([sees('Petri', 'list'), sees('Leila', 'item'), sees('Noor', 'list')]).toEqual([['Tools'], ['Axe'], []]);
  w.must('Eetu', 'list.share', { list, person: w.person('Leila'), access: null });
  expect([sees('Petri', 'list'), sees('Leila', 'item')]).toEqual([[], []]);
});

test('a handover gives sight of the item, its steps, its tags and who else has it, never of the list or what lies beside', () => {
  const { w, sees } = guesthouse();
  const list = w.list('Aino', 'Secret plans');
  const item = w.item('Aino', 'Jackets', { list, tags: ['boats'], persons: [w.person('Leila'), w.person('Noor')], policy: 'each' });
  w.item('Aino', 'Small sizes', { parent: item });
  w.item('Aino', 'A surprise', { list, tags: ['birthday'] });
  expect(sees('Leila', 'item')).toEqual(['Jackets', 'Small sizes']);
  expect(sees('Leila', 'tag')).toEqual(['boats']);
  expect(sees('Leila', 'list')).toEqual([]);
  expect(sees('Leila', 'part')).toHaveLength(4);
  w.must('Aino', 'part.takeBack', { item, persons: [w.person('Leila')] });
  expect(sees('Leila', 'item')).toEqual([]);
});

test('being addressed lets in on the item, its steps and its thread, from then on, and nothing beside; ended, on nothing', () => {
  const { w, sees } = guesthouse();
  const list = w.list('Aino', 'Secret plans');
  const item = w.item('Aino', 'Jackets', { list });
  w.item('Aino', 'Small sizes', { parent: item });
  w.item('Aino', 'A surprise', { list });
  w.must('Aino', 'comment.say', { item, text: 'Which ones?' });
  w.later(60);
  const noor = w.person('Noor');
  w.must('Aino', 'comment.say', { item, text: '@Noor, look', mentions: [noor], letIn: [noor] });
  expect(sees('Noor', 'item')).toEqual(['Jackets', 'Small sizes']);
  expect(sees('Noor', 'comment')).toEqual(['@Noor, look', 'Which ones?']);
  expect(sees('Noor', 'list')).toEqual([]);
  // what happened before is not theirs to read
  expect(sees('Noor', 'activity').length).toBeLessThan(sees('Aino', 'activity').length);
  w.must('Aino', 'guest.end', { item, person: noor });
  for (const noun of ['item', 'comment', 'guest', 'activity'] as const) expect(sees('Noor', noun)).toEqual([]);
});

test('agendas and notes of talks are their writer’s, managers included, until they are shared', () => {
  const { w, sees } = guesthouse();
  w.must('Aino', 'matter.add', { person: w.person('Leila'), words: 'Holidays' });
  w.must('Aino', 'note.make', { persons: [w.person('Leila')], date: '2026-11-25', text: 'Fewer towels' });
  for (const name of ['Petri', 'Leila']) expect([sees(name, 'matter'), sees(name, 'meetingNote')]).toEqual([[], []]);
  expect([sees('Aino', 'matter').length, sees('Aino', 'meetingNote')]).toEqual([1, ['Fewer towels']]);
  w.must('Aino', 'matter.share', { matter: w.rows.all('matter')[0]!.id, shared: true });
  w.must('Aino', 'note.change', { note: w.rows.all('meetingNote')[0]!.id, shared: true });
  expect([sees('Leila', 'matter').length, sees('Leila', 'meetingNote')]).toEqual([1, ['Fewer towels']]);
  expect([sees('Petri', 'matter'), sees('Petri', 'meetingNote')]).toEqual([[], []]);
});

test('reminders are seen by who is reminded and who set them; what one wants to be told of by oneself', () => {
  const { w, sees } = guesthouse();
  const list = w.list('Aino', 'Tools', [['Leila', 'check']]);
  const item = w.item('Aino', 'Axe', { list, persons: [w.person('Leila')], due: '2026-12-01', alarms: [{ kind: 'relative', to: 'due', offset: '-P1D' }] });
  w.must('Leila', 'notice.choose', { push: [] });
  w.must('Leila', 'wait.set', { item, words: 'the stone' });
  expect(['Aino', 'Leila', 'Petri', 'Noor'].map((name) => sees(name, 'alarm').length)).toEqual([1, 1, 0, 0]);
  expect(['Aino', 'Leila', 'Petri', 'Noor'].map((name) => sees(name, 'noticeChoices').length)).toEqual([0, 1, 0, 0]);
  expect(['Aino', 'Leila', 'Petri', 'Noor'].map((name) => sees(name, 'wait').length)).toEqual([1, 1, 1, 0]);
});

test('own piles, plans and the shelf are one’s own', () => {
  const { w, sees } = guesthouse();
  w.item('Leila', 'Good scissors');
  expect([sees('Aino', 'item'), sees('Leila', 'item')]).toEqual([[], ['Good scissors']]);
  const item = w.item('Aino', 'Towels', { persons: [w.person('Leila')] });
  w.must('Leila', 'part.plan', { items: [item], plan: '2026-12-01' });
  const planOf = (reader: string) => {
    const person = w.rows.all('person').find((one) => one.name === reader)!;
    const part = [...visible(w.rows, person, ['part'])].map(([, row]) => row as { itemId: string; personId: string | null; plan: string | null });
    return part.find((one) => one.itemId === item && one.personId === w.person('Leila'))?.plan;
  };
  expect([planOf('Leila'), planOf('Aino')]).toEqual(['2026-12-01', null]);
});

test('booked time is one’s own, managers included', () => {
  const { w, sees } = guesthouse();
  const item = w.item('Aino', 'Towels', { persons: [w.person('Leila')] });
  w.must('Leila', 'slot.book', { items: [item], start: '2026-12-01T09:00', minutes: 45 });
  expect(['Aino', 'Leila', 'Petri', 'Noor'].map((name) => sees(name, 'slot').length)).toEqual([0, 1, 0, 0]);
});

test('a reason is read by giver and person, a notice by whom it is for, an invitation by managers', () => {
  const { w, sees } = guesthouse();
  const list = w.list('Aino', 'Rooms', [['Eetu', 'edit']]);
  const item = w.item('Aino', 'Towels', { list, persons: [w.person('Leila')] });
  w.must('Leila', 'part.decline', { item, reason: 'My back' });
  expect([sees('Aino', 'comment'), sees('Leila', 'comment'), sees('Eetu', 'comment')]).toEqual([['My back'], ['My back'], []]);
  expect([sees('Aino', 'notice'), sees('Eetu', 'notice')].map((some) => some.length)).toEqual([1, 0]);
  expect([sees('Petri', 'invitation'), sees('Eetu', 'invitation')].map((some) => some.length > 0)).toEqual([true, false]);
});

test('a bundle is seen by its maker and by whoever sees a list in it', () => {
  const { w, sees } = guesthouse();
  w.must('Aino', 'bundle.make', { name: 'By the water' });
  const bundle = w.rows.all('bundle')[0]!.id;
  expect([sees('Aino', 'bundle'), sees('Leila', 'bundle')]).toEqual([['By the water'], []]);
  w.must('Aino', 'list.make', { name: 'Boathouse', colour: 'moss', icon: 'anchor', bundle, shares: [{ person: w.person('Leila'), access: 'check' }] });
  expect([sees('Leila', 'bundle'), sees('Noor', 'bundle')]).toEqual([['By the water'], []]);
});

test('who has left sees nothing any more', () => {
  const { w, sees } = guesthouse();
  w.list('Aino', 'Rooms', [['Leila', 'check']]);
  w.must('Aino', 'person.end', { person: w.person('Leila') });
  expect(NOUNS.flatMap((noun) => sees('Leila', noun))).toEqual([]);
});

test('where anybody was is known to them alone; a place of chosen people to those; a reminder for several to each of them', () => {
  const { w, sees } = guesthouse();
  w.must('Aino', 'place.make', { name: 'Quay' });
  w.must('Eetu', 'place.make', { name: 'Doctor', seenBy: [w.person('Leila')] });
  const [quay, doctor] = ['Quay', 'Doctor'].map((name) => w.rows.all('place').find((place) => place.name === name)!.id) as [string, string];
  expect([sees('Eetu', 'place'), sees('Leila', 'place'), sees('Aino', 'place')]).toEqual([['Doctor', 'Quay'], ['Doctor', 'Quay'], ['Quay']]);
  for (const name of ['Eetu', 'Leila']) w.must(name, 'visit.report', { place: quay, on: 'enter', at: w.now });
  for (const name of ['Eetu', 'Leila', 'Aino', 'Petri']) expect(sees(name, 'visit')).toHaveLength(name === 'Eetu' || name === 'Leila' ? 1 : 0);
  w.must('Eetu', 'place.change', { place: doctor, seenBy: [] });
  expect(sees('Leila', 'place')).toEqual(['Quay']);

  const list = w.list('Aino', 'Quay', [
    ['Eetu', 'edit'],
    ['Leila', 'check'],
    ['Noor', 'check'],
  ]);
  const item = w.item('Aino', 'Tie the boat', { list });
  const among = ['Eetu', 'Leila'].map((name) => w.person(name));
  w.must('Aino', 'alarm.set', { item, trigger: { ...onArriving(quay), who: 'first', among } });
  for (const name of ['Aino', 'Eetu', 'Leila']) expect(sees(name, 'alarm')).toHaveLength(1);
  expect(sees('Noor', 'alarm')).toEqual([]);

  // that it rang, when and for whom, tells nobody who was there
  w.must('Aino', 'alarm.set', { item, person: w.person('Leila'), trigger: onArriving(quay) });
  w.later(60);
  for (const on of ['leave', 'enter'] as const) {
    w.later(1);
    w.must('Leila', 'visit.report', { place: quay, on, at: w.now });
  }
  expect(w.rows.all('alarm').every(({ rungFor }) => rungFor === w.now)).toBe(true);
  for (const name of ['Aino', 'Eetu', 'Leila']) {
    const person = w.rows.all('person').find((one) => one.name === name)!;
    for (const [noun, row] of visible(w.rows, person, ['alarm'])) {
      const { rungFor, rungById, stamps, personId, trigger } = row as Row<'alarm'>;
      const own = personId === person.id && trigger.kind === 'place' && trigger.who === 'own';
      expect([noun, rungFor, rungById, stamps['rungFor'] === undefined]).toEqual(own ? ['alarm', w.now, person.id, false] : ['alarm', null, null, true]);
    }
  }
});

test('a round is seen by who makes it and who planned it', () => {
  const { w, sees } = guesthouse();
  w.must('Aino', 'place.make', { name: 'Shop', position: { lat: 62, lon: 27 } });
  const place = w.rows.all('place')[0]!.id;
  const list = w.list('Aino', 'To buy', [['Eetu', 'edit']]);
  const items = [w.item('Aino', 'Milk', { list, place })];
  w.must('Aino', 'round.start', { date: '2026-11-24', means: 'bike', startId: null, endId: null, stops: [{ place, items }] });
  const round = w.rows.all('errandRound')[0]!.id;
  expect([sees('Aino', 'errandRound').length, sees('Petri', 'errandRound').length]).toEqual([1, 0]);
  w.must('Aino', 'round.handOver', { round, person: w.person('Eetu') });
  expect([sees('Aino', 'errandRound').length, sees('Eetu', 'errandRound').length, sees('Petri', 'errandRound').length]).toEqual([1, 1, 0]);
  expect(w.told('Eetu')).toContain('round');
  expect(w.part(items[0]!, 'Eetu').standing).toBe('needs-action');
});

test('a day that came with a handover is seen by giver, person and who may change the list, by nobody else who sees the item', () => {
  const { w } = guesthouse();
  const list = w.list('Aino', 'Quay', [
    ['Eetu', 'edit'],
    ['Noor', 'view'],
  ]);
  const item = w.item('Aino', 'Rake', { list, persons: [w.person('Leila'), w.person('Noor')], policy: 'each', plan: '2026-12-01' });
  const planOf = (reader: string) => {
    const person = w.rows.all('person').find((one) => one.name === reader)!;
    const parts = [...visible(w.rows, person, ['part'])].map(([, row]) => row as Row<'part'>);
    return parts.find((one) => one.itemId === item && one.personId === w.person('Leila'))?.plan;
  };
  const all = () => ['Aino', 'Leila', 'Eetu', 'Petri', 'Noor'].map(planOf);
  expect(all()).toEqual(['2026-12-01', '2026-12-01', '2026-12-01', '2026-12-01', null]);
  w.must('Leila', 'part.plan', { items: [item], plan: '2026-12-02' });
  expect(all()).toEqual(['2026-12-02', '2026-12-02', '2026-12-02', '2026-12-02', null]);
});

test('who stands in sees what somebody away gave, and nothing of their own pile or lists', () => {
  const { w, sees } = guesthouse();
  const list = w.list('Petri', 'Secret plans');
  w.item('Petri', 'Gate', { list, persons: [w.person('Leila')] });
  w.item('Petri', 'His own', { list });
  w.must('Petri', 'away.add', { person: w.person('Petri'), from: '2026-11-25', to: '2026-11-27', standIn: w.person('Eetu') });
  expect([sees('Eetu', 'item'), sees('Eetu', 'list')]).toEqual([['Gate'], []]);
  w.must('Petri', 'away.remove', { away: w.rows.all('timeAway')[0]!.id });
  expect(sees('Eetu', 'item')).toEqual([]);
});

test('what was taken back its writer alone still reads', () => {
  const { w, sees } = guesthouse();
  const item = w.item('Aino', 'Towels', { persons: [w.person('Leila')] });
  w.must('Leila', 'comment.say', { item, text: 'Never mind' });
  w.must('Leila', 'comment.takeBack', { comment: w.rows.by('comment', 'itemId', item)[0]!.id });
  expect([sees('Leila', 'comment'), sees('Aino', 'comment')]).toEqual([['Never mind'], ['']]);
});

test('a project is seen by who sees anything of it, and of it what they see elsewhere, in no number more', () => {
  const { w, sees } = guesthouse();
  const [wood, shore] = ['Wood', 'Shore'].map((name) => w.list('Aino', name));
  w.item('Aino', 'Planks', { list: wood! });
  w.must('Aino', 'project.make', { name: 'The new pier', lists: [wood, shore] } as never);
  expect([sees('Leila', 'project'), sees('Eetu', 'membership'), sees('Petri', 'project')]).toEqual([[], [], ['The new pier']]);
  w.must('Aino', 'list.share', { list: wood!, person: w.person('Leila'), access: 'view' });
  expect([sees('Leila', 'project'), sees('Leila', 'membership')]).toEqual([['The new pier'], [expect.any(String)]]);
  const permit = w.item('Aino', 'Permit', { persons: [w.person('Noor')] });
  w.must('Aino', 'project.setMembers', { project: w.rows.all('project')[0]!.id, items: [permit] } as never);
  expect([sees('Noor', 'project'), sees('Noor', 'membership'), sees('Leila', 'membership')]).toEqual([
    ['The new pier'],
    [expect.any(String)],
    [expect.any(String)],
  ]);
  w.must('Aino', 'part.takeBack', { item: permit, persons: [w.person('Noor')] });
  expect([sees('Noor', 'project'), sees('Noor', 'membership')]).toEqual([[], []]);
});
