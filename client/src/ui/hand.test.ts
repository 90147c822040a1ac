import { afterTap, followHand } from './hand.ts';

const said: string[] = [];
const button = document.createElement('button');
beforeAll(() => {
  followHand();
  document.body.append(button);
  button.addEventListener('click', () => said.push('tapped'));
});
beforeEach(() => {
  jest.useFakeTimers();
  said.length = 0;
});
afterEach(() => jest.useRealTimers());
const hand = (name: string) => button.dispatchEvent(new Event(name, { bubbles: true }));
const leave = () => afterTap(() => said.push('left'));

test('left for what a finger is on, a field waits until that was tapped; and is left once', () => {
  hand('pointerdown');
  leave();
  expect(said).toEqual([]);
  hand('pointerup');
  button.click();
  jest.runAllTimers();
  expect(said).toEqual(['tapped', 'left']);
});

test('where no tap comes of it, as of a scroll, it is left once the finger is up', () => {
  hand('pointerdown');
  leave();
  hand('pointercancel');
  expect(said).toEqual([]);
  jest.runAllTimers();
  expect(said).toEqual(['left']);
});

test('by keys it is left at once', () => {
  leave();
  expect(said).toEqual(['left']);
});
