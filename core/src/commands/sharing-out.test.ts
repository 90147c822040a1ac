import { holderOf, choresAhead } from '../recurrence/whose-turn.ts';
import { World } from '../testing/world.ts';

function house() {
  const w = new World();
  for (const name of ['Petri', 'Oona']) w.join(name);
  const list = w.list('Aino', 'Shore', [
    ['Petri', 'edit'],
    ['Oona', 'check'],
  ]);
  const [jetty, nets] = ['Jetty', 'Nets'].map((title) => w.item('Aino', title, { list, due: '2026-11-28' })) as [string, string];
  const persons = ['Petri', 'Oona'].map((name) => w.person(name));
  w.must('Aino', 'chore.make', { title: 'Sauna', list, rrule: 'FREQ=DAILY', dtstart: '2026-11-24', turn: 'turns', persons });
  const series = w.rows.all('series')[0]!;
  const whoOn = (date: string) =>
    choresAhead(date, w.rows, w.rows.all('house')[0]!)
      .find(({ occurrence }) => occurrence.at === date)!
      .assigned.personIds.map((id) => w.rows.all('person').find((person) => person.id === id)!.name)[0];
  const holder = (item: string) =>
    w.rows.all('person').find(({ id }) => w.parts(item).some((part) => part.personId === id && part.takenBackAt === null))?.name ?? null;
  return { w, list, jetty, nets, series, whoOn, holder };
}

test('things and turns are given out in one action, everyone is told, and one undo takes all of it back', () => {
  const { w, jetty, nets, series, whoOn, holder } = house();
  expect([whoOn('2026-11-25'), whoOn('2026-11-26')]).toEqual(['Oona', 'Petri']);
  const given = {
    items: [
      { item: jetty, person: w.person('Oona') },
      { item: nets, person: w.person('Petri') },
    ],
    turns: [{ series: series.id, recurrenceId: '2026-11-26', person: w.person('Oona') }],
  };
  const { id } = w.must('Aino', 'week.shareOut', given);
  expect([holder(jetty), holder(nets), whoOn('2026-11-26')]).toEqual(['Oona', 'Petri', 'Oona']);
  expect([w.told('Oona'), w.told('Petri')]).toEqual([['handed'], expect.arrayContaining(['handed'])]);
  w.must('Aino', 'undo', { command: id });
  expect([holder(jetty), holder(nets), whoOn('2026-11-26')]).toEqual([null, null, 'Petri']);
});

test('what somebody took meanwhile is not given to another, and nothing of the rest is done half', () => {
  const { w, jetty, nets, holder } = house();
  w.must('Petri', 'part.take', { item: nets });
  const items = [jetty, nets].map((item) => ({ item, person: w.person('Oona') }));
  expect(w.refused('Aino', 'week.shareOut', { items, turns: [] })).toMatchObject({ code: 'no-longer-nobodys', params: { title: 'Nets' } });
  expect([holder(jetty), holder(nets)]).toEqual([null, 'Petri']);
});

test('whoever may only check off can’t give things out', () => {
  const { w, jetty } = house();
  expect(w.refused('Oona', 'week.shareOut', { items: [{ item: jetty, person: w.person('Petri') }], turns: [] }).code).toBe('not-allowed');
});

test('the open one of a chore stays with who has it', () => {
  const { w, series } = house();
  const open = w.rows.by('item', 'seriesId', series.id)[0]!;
  const holderBefore = holderOf(open, w.rows);
  w.must('Aino', 'week.shareOut', { items: [], turns: [{ series: series.id, recurrenceId: '2026-11-25', person: w.person('Petri') }] });
  expect(holderOf(open, w.rows)).toBe(holderBefore);
});
