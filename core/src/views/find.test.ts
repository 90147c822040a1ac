import { World } from '../testing/world.ts';
import { findItems } from './find.ts';

function found(typed: string): string[] {
  const w = new World();
  w.item('Aino', 'Order 40 candles');
  w.item('Aino', 'Candle holders');
  w.item('Aino', 'Sähkölasku', { notes: 'the candles of electricity' });
  const jackets = w.item('Aino', 'Check the life jackets');
  w.item('Aino', 'Count the candles in the chest', { parent: jackets });
  const gone = w.item('Aino', 'Candles, removed');
  w.must('Aino', 'item.remove', { items: [gone] });
  return findItems(typed, w.rows.all('item')).map(({ title }) => title);
}

test.each([
  ['', []],
  ['  ', []],
  ['candle', ['Candle holders', 'Count the candles in the chest', 'Order 40 candles', 'Sähkölasku']],
  ['CANDLES chest', ['Count the candles in the chest']],
  ['sahko', ['Sähkölasku']],
  ['SÄHKÖ', ['Sähkölasku']],
  ['40', ['Order 40 candles']],
  ['zebra', []],
])('“%s”', (typed, titles) => expect(found(typed)).toEqual(titles));
