import { agendaOf } from '../planning/agenda.ts';
import { World } from '../testing/world.ts';
import { asksAhead, waitsOf } from './waiting.ts';

const houseOf = (w: World) => w.rows.find('house', w.houseId) as never;
const where = (w: World, item: string, name = 'Aino') =>
  agendaOf({ personId: w.person(name), now: w.now, house: houseOf(w) }, w.rows).find((entry) => entry.item.id === item)?.where;

test('what waits stays in its list and is out of today, until it has come', () => {
  const w = new World();
  const list = w.list('Aino', 'Boats');
  const item = w.item('Aino', 'Move the boats', { list, due: '2026-11-24' });
  expect(where(w, item)).toBe('today');
  w.must('Aino', 'wait.set', { item, words: 'the van' });
  expect(where(w, item)).toBe('waiting');
  expect(w.row(item).listId).toBe(list);
  const [wait] = waitsOf(w.person('Aino'), w.rows);
  w.must('Aino', 'wait.end', { wait: wait!.id });
  expect(where(w, item)).toBe('today');
});

test('a waiting step holds its item only when nothing else of it can be done', () => {
  const w = new World();
  const item = w.item('Aino', 'Repair the engine', { due: '2026-11-24' });
  const first = w.item('Aino', 'Order the part', { parent: item });
  w.item('Aino', 'Clean the hull', { parent: item });
  w.must('Aino', 'wait.set', { item: first, words: 'the workshop' });
  expect(where(w, item)).toBe('today');
  const second = w.rows.all('item').find(({ title }) => title === 'Clean the hull')!.id;
  w.must('Aino', 'part.checkOff', { item: second, person: null });
  expect(where(w, item)).toBe('waiting');
});

test('on the day to ask again it comes up, and its maker is told once', () => {
  const w = new World();
  w.join('Tapio');
  const item = w.item('Aino', 'Hang the sign');
  w.must('Aino', 'wait.set', { item, person: w.person('Tapio'), words: 'the ladder', askOn: '2026-11-26' });
  expect(where(w, item)).toBe('waiting');
  expect(asksAhead(houseOf(w), w.rows)[0]).toMatchObject({ at: '2026-11-26T04:00:00.000Z' });
  w.now = '2026-11-26T04:00:00.000Z';
  const [wait] = waitsOf(w.person('Aino'), w.rows);
  w.system('wait.askAgain', { wait: wait!.id });
  w.system('wait.askAgain', { wait: wait!.id });
  expect(w.told('Aino')).toEqual(['ask-again']);
  expect(asksAhead(houseOf(w), w.rows)).toEqual([]);
  expect(where(w, item)).toBe('today');
  // another day: it waits again, and is told again then
  w.must('Aino', 'wait.change', { wait: wait!.id, askOn: '2026-11-30' });
  expect(where(w, item)).toBe('waiting');
  expect(asksAhead(houseOf(w), w.rows)[0]).toMatchObject({ at: '2026-11-30T04:00:00.000Z' });
});

test('refused: a day that has passed, and by who may not check off there', () => {
  const w = new World();
  w.join('Tapio');
  const item = w.item('Aino', 'Hang the sign');
  expect(w.refused('Aino', 'wait.set', { item, words: 'the ladder', askOn: '2026-11-23' })).toMatchObject({ code: 'alarm-past', field: 'askOn' });
  expect(w.refused('Tapio', 'wait.set', { item, words: 'the ladder' }).code).toBe('not-allowed');
});
