import { World } from '../testing/world.ts';
import { findItems, findNamed } from './find.ts';

function house() {
  const w = new World();
  w.item('Aino', 'Order 40 candles');
  w.item('Aino', 'Candle holders');
  w.item('Aino', 'Sähkölasku', { notes: 'the candles of electricity' });
  const jackets = w.item('Aino', 'Check the life jackets', { notes: 'in the boathouse' });
  w.item('Aino', 'Count the candles in the chest', { parent: jackets });
  const gone = w.item('Aino', 'Candles, removed');
  w.must('Aino', 'item.remove', { items: [gone] });
  const valve = w.item('Aino', 'Sauna boiler');
  w.must('Aino', 'comment.say', { item: valve, text: 'Which valve is it, the brass one?' });
  w.must('Aino', 'attachment.add', { item: valve, name: 'manual_Kipina-12.pdf', size: 10 });
  return w;
}
const found = (typed: string) => findItems(typed, house().rows).map(({ title }) => title);

test.each([
  ['', []],
  ['  ', []],
  // titles first: those that begin with it, then by title; then notes
  ['candle', ['Candle holders', 'Count the candles in the chest', 'Order 40 candles', 'Sähkölasku']],
  ['CANDLES chest', ['Count the candles in the chest']],
  ['sahko', ['Sähkölasku']],
  ['SÄHKÖ', ['Sähkölasku']],
  ['40', ['Order 40 candles']],
  ['zebra', []],
  // in what was said
  ['valve brass', ['Sauna boiler']],
  ['boiler valve', ['Sauna boiler']],
  // in the name of a file
  ['kipinä manual', ['Sauna boiler']],
  ['brass pdf', ['Sauna boiler']],
  // every word somewhere in the item: its title and a step of it
  ['jackets chest', ['Check the life jackets']],
  ['boathouse candles', ['Check the life jackets']],
])('“%s”', (typed, titles) => expect(found(typed)).toEqual(titles));

test('what was said is found only by who may read it', () => {
  const w = house();
  w.join('Leila');
  const pair = w.rows.all('comment').map((comment) => ({ ...comment, audience: 'pair' as const }));
  const seen = { all: (noun: string) => (noun === 'item' ? w.rows.all('item') : noun === 'comment' ? pair.slice(1) : []) as never };
  expect(findItems('valve', seen)).toEqual([]);
  expect(findItems('boiler', seen)).toHaveLength(1);
});

test('names, by every word, each a beginning only at the end', () => {
  const named = ['Winch hut', 'Old winch', 'Boathouse'].map((name) => ({ name }));
  expect(findNamed('winch', named).map(({ name }) => name)).toEqual(['Old winch', 'Winch hut']);
  expect(findNamed('hut win', named)).toEqual([{ name: 'Winch hut' }]);
  expect(findNamed('', named)).toEqual([]);
});
