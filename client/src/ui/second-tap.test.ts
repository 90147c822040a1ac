import { swallowSecondTaps } from './second-tap.ts';

const heard: string[] = [];
beforeAll(swallowSecondTaps);
beforeEach(() => {
  heard.length = 0;
  document.body.replaceChildren();
  // a key in between: what a test before did is no first tap
  window.dispatchEvent(new KeyboardEvent('keydown', { key: 'Shift' }));
});

/** Something to tap in a row, that is heard; the row goes if that is what the tap does. */
function put(name: string, role: string, goes = false): HTMLElement {
  const one = document.createElement('div');
  one.className = 'row';
  one.setAttribute('role', role);
  one.addEventListener('click', () => {
    heard.push(name);
    if (goes) one.remove();
  });
  document.body.append(one);
  return one;
}

/** ms */
let now = 0;
function tap(on: HTMLElement, x = 30, y = 200): void {
  now += 100;
  const at = { bubbles: true, cancelable: true, clientX: x, clientY: y, detail: 1 };
  for (const name of ['pointerdown', 'mousedown', 'mouseup', 'click'])
    on.dispatchEvent(Object.defineProperty(new MouseEvent(name, at), 'timeStamp', { value: now }));
}

test('where the first of two quick taps takes its row away, the second falls on nothing that moves up under the finger; nor does a third', () => {
  const [first, next, third] = [put('first', 'button', true), put('next', 'checkbox', true), put('third', 'checkbox')];
  tap(first);
  tap(next);
  tap(next, 36, 210);
  expect(heard).toEqual(['first']);
  // after a key it is meant
  window.dispatchEvent(new KeyboardEvent('keydown', { key: 'Shift' }));
  tap(next);
  expect(heard).toEqual(['first', 'next']);
  // elsewhere it is another finger's
  tap(third, 30, 300);
  expect(heard).toEqual(['first', 'next', 'third']);
});

test('the same of the box of a row that stays once it is ticked', () => {
  const box = put('box', 'checkbox');
  box.className = 'ticked-off';
  tap(box);
  tap(box);
  expect(heard).toEqual(['box']);
});

test('two quick taps on one knot tie it; after half a second a second one unties it; any other box or button is tapped as often as somebody likes', () => {
  const [knot, choice, button] = [put('knot', 'checkbox'), put('choice', 'checkbox'), put('button', 'button')];
  knot.className = 'knot';
  for (const one of [knot, knot, choice, choice, button, button]) tap(one);
  expect(heard).toEqual(['knot', 'choice', 'choice', 'button', 'button']);
  heard.length = 0;
  tap(knot);
  now += 600;
  tap(knot);
  expect(heard).toEqual(['knot', 'knot']);
});

test('where the first tap goes on to another part of the page, the second falls on nothing that now lies there', () => {
  const go = put('next: the shelf', 'button', true);
  const select = put('select', 'button');
  go.className = select.className = '';
  tap(go);
  tap(select);
  expect(heard).toEqual(['next: the shelf']);
  now += 600;
  tap(select);
  expect(heard).toEqual(['next: the shelf', 'select']);
});
