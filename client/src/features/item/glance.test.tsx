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

const mouse = (at: Element | Document, name: string) =>
  act(() => void at.dispatchEvent(Object.assign(new Event(name, { bubbles: true }), { pointerType: 'mouse', clientX: 40 })));

describe('at a glance', () => {
  beforeEach(() => void jest.useFakeTimers({ advanceTimers: true }));
  afterEach(() => void jest.useRealTimers());

  test('a pointer that rests on a row shows when it was added and touched, its deadline and who stands where; the next move ends it', () => {
    const row = house();
    mouse(row, 'pointerover');
    expect(screen.queryByText(t('glance.added'))).toBeNull();
    act(() => void jest.advanceTimersByTime(800));
    const card = within(screen.getByText(t('glance.added')).parentElement!.parentElement!);
    expect(card.getByText(/by Aino$/)).toBeTruthy();
    expect(card.getByText(t('glance.touched'))).toBeTruthy();
    expect(card.getByText('Leila').nextSibling!.textContent).toBe(t('standing.taken'));
    mouse(document.body, 'pointerover');
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
    mouse(row, 'pointerover');
    act(() => void jest.advanceTimersByTime(800));
    fireEvent.keyDown(window, { key: 'j' });
    expect(screen.queryByText(t('glance.added'))).toBeNull();
  });
});
