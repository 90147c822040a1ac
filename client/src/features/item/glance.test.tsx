import { World } from '@kotiva/core/testing/world';
import { act, fireEvent, screen, within } from '@testing-library/react';
import { inHouse } from '@/testing/in-house.tsx';
import { t } from '@/words';
import { Glance, ItemRow } from './index.ts';

function house() {
  const w = new World();
  w.join('Leila', 'helper');
  const oars = w.item('Aino', 'Oil the oars', { due: '2026-11-30', persons: [w.person('Leila')] });
  w.later(24 * 60);
  w.must('Leila', 'part.accept', { item: oars });
  inHouse(
    w,
    'Aino',
    <>
      <ItemRow item={w.row(oars)} />
      <Glance />
    </>,
  );
  return screen.getByRole('button', { name: /Oil the oars/ });
}

const mouse = (over: Element, [x, y]: readonly [x: number, y: number], name = 'pointerover') =>
  act(() => void over.dispatchEvent(Object.assign(new Event(name, { bubbles: true }), { pointerType: 'mouse', clientX: x, clientY: y })));

describe('at a glance', () => {
  beforeEach(() => void jest.useFakeTimers({ advanceTimers: true }));
  afterEach(() => void jest.useRealTimers());

  test('a pointer that rests on a row shows when it was added and touched, its deadline and who stands where; the next move ends it', () => {
    const row = house();
    mouse(row, [40, 90]);
    expect(screen.queryByText(t('glance.added'))).toBeNull();
    act(() => void jest.advanceTimersByTime(800));
    const card = within(screen.getByText(t('glance.added')).parentElement!.parentElement!);
    expect(card.getByText(/by Aino$/)).toBeTruthy();
    expect(card.getByText(t('glance.touched'))).toBeTruthy();
    expect(card.getByText('Leila').nextSibling!.textContent).toBe(t('standing.taken'));
    mouse(document.body, [40, 300]);
    expect(screen.queryByText(t('glance.added'))).toBeNull();
  });

  test('a finger that scrolls by shows nothing', () => {
    const row = house();
    act(() => void row.dispatchEvent(Object.assign(new Event('pointerover', { bubbles: true }), { pointerType: 'touch', clientX: 40 })));
    act(() => void jest.advanceTimersByTime(2_000));
    expect(screen.queryByText(t('glance.added'))).toBeNull();
  });

  test('it goes with the next key', () => {
    const row = house();
    mouse(row, [40, 90]);
    act(() => void jest.advanceTimersByTime(800));
    fireEvent.keyDown(window, { key: 'j' });
    expect(screen.queryByText(t('glance.added'))).toBeNull();
  });

  test('a row that comes to lie under a mouse at rest shows nothing until the mouse is moved', () => {
    const row = house();
    mouse(document.body, [40, 90], 'pointermove');
    mouse(row, [40, 90]);
    mouse(row, [40, 90], 'pointermove');
    act(() => void jest.advanceTimersByTime(2_000));
    expect(screen.queryByText(t('glance.added'))).toBeNull();
    mouse(row, [41, 90], 'pointermove');
    act(() => void jest.advanceTimersByTime(800));
    expect(screen.getByText(t('glance.added'))).toBeTruthy();
  });
});
