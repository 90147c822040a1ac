import { fireEvent, screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { went } from '@/testing/router.ts';
import { FindScreen } from './find-screen.tsx';
import { t } from '@/words';

function house() {
  const w = new World();
  const list = w.list('Aino', 'Boathouse');
  w.item('Aino', 'Grease the winch', { list });
  const jackets = w.item('Aino', 'Count the jackets', { list, notes: 'the winch hut first' });
  w.item('Aino', 'Winch side', { parent: jackets });
  const done = w.item('Aino', 'Order a winch handle', { list });
  w.must('Aino', 'part.checkOff', { item: done, person: null });
  w.must('Aino', 'place.make', { name: 'Winch hut', position: { lat: 62.3, lon: 27.1 }, address: 'Rantatie 1' });
  return w;
}
const WORDS = t('find.words');
beforeEach(() => localStorage.clear());

test('in titles, steps and notes, with where it stands; places too', () => {
  const { titles } = inHouse(house(), 'Aino', <FindScreen />);
  type(WORDS, 'winch');
  expect(titles().toSorted()).toEqual(['Count the jackets', 'Grease the winch', 'Winch hut', 'Winch side']);
  expect(screen.getByText(/^Boathouse · Count the jackets$/)).toBeTruthy();
  tap(/^Winch hut/);
  expect(went.at(-1)).toMatch(/^\/places\//);
});

test('a quick hand finds it again: leaving the field writes what was looked for into the address', () => {
  inHouse(house(), 'Aino', <FindScreen />);
  type(WORDS, 'winch');
  fireEvent.blur(screen.getByLabelText(WORDS));
  expect(went.at(-1)).toEqual({ words: 'winch' });
});

test('what was said, and the names of lists, people and tags, each leading to what is under it', () => {
  const w = house();
  const valve = w.item('Aino', 'Sauna boiler', { tags: ['brassware'] });
  w.must('Aino', 'comment.say', { item: valve, text: 'The brass one' });
  w.join('Brassica');
  const { titles } = inHouse(w, 'Aino', <FindScreen />);
  type(WORDS, 'brass');
  expect(titles()).toEqual(['Brassica', '#brassware', 'Sauna boiler']);
  tap(/^#brassware/);
  expect(went.at(-1)).toMatch(/^\/whole\?narrow=/);
  type(WORDS, 'boathouse');
  expect(titles()).toEqual(['Boathouse']);
});

test('days and “not done” narrow it in words', () => {
  const w = house();
  const today = w.now.slice(0, 10);
  w.item('Aino', 'Paint the winch', { due: today });
  const done = w.item('Aino', 'Paint the fence', { due: today });
  w.item('Aino', 'Paint the roof', { due: '2027-05-01' });
  w.must('Aino', 'part.checkOff', { item: done, person: null });
  const { titles } = inHouse(w, 'Aino', <FindScreen />);
  tap(t('find.done'), 'checkbox');
  type(WORDS, 'paint due today');
  expect(titles()).toEqual(['Paint the winch', 'Paint the fence']);
  type(WORDS, 'due today not done');
  expect(titles()).toEqual(['Paint the winch']);
});

test('signs narrow it as they do in the line', () => {
  const w = house();
  w.join('Leila');
  w.item('Aino', 'Paint the winch', { tags: ['boats'], persons: [w.person('Leila')] });
  w.item('Aino', 'Paint the fence', { tags: ['boats'] });
  const { titles } = inHouse(w, 'Aino', <FindScreen />);
  type(WORDS, '#boats');
  expect(titles()).toEqual(expect.arrayContaining(['Paint the winch', 'Paint the fence']));
  type(WORDS, 'paint @leila ');
  expect(titles()).toEqual(['Paint the winch']);
  type(WORDS, '#boats fence');
  expect(titles()).toEqual(['Paint the fence']);
});

test('what is done only where one asks for it, and it is remembered', () => {
  const w = house();
  const first = inHouse(w, 'Aino', <FindScreen />);
  type(WORDS, 'handle');
  expect(screen.getByText(t('find.onlyDone', { count: 1 }))).toBeTruthy();
  tap(t('find.showDone', { count: 1 }));
  expect(first.titles()).toEqual(['Order a winch handle']);
  first.unmount();
  const again = inHouse(w, 'Aino', <FindScreen />);
  type(WORDS, 'handle');
  expect(again.titles()).toEqual(['Order a winch handle']);
});
