import { act, fireEvent, screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { lineReader } from '@/store/reading.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { CaptureLine } from './capture-line.tsx';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';

beforeEach(() => localStorage.clear());
afterEach(() => jest.restoreAllMocks());

/** The line before what reads it is here; it comes, or can't be fetched, when told. */
function unread(w: World) {
  const held = lineReader.held();
  let here = false;
  const listeners = new Set<() => void>();
  let arrive!: () => void;
  let fail!: () => void;
  const coming = new Promise<never>((resolve, reject) => {
    arrive = () => {
      here = true;
      for (const listener of listeners) listener();
      resolve(held as never);
    };
    fail = () => reject(new Error('no line'));
  });
  jest.spyOn(lineReader, 'held').mockImplementation(() => (here ? held : null));
  jest.spyOn(lineReader, 'heard').mockImplementation((listener) => (listeners.add(listener), () => listeners.delete(listener)));
  jest.spyOn(lineReader, 'fetch').mockReturnValue(coming);
  inHouse(w, 'Aino', <CaptureLine />);
  const line = screen.getByRole<HTMLTextAreaElement>('textbox', { name: t('capture.line') });
  fireEvent.change(line, { target: { value: 'Order candles by Friday' } });
  fireEvent.keyDown(line, { key: 'Enter' });
  return { line, arrive: () => act(async () => arrive()), fail: () => act(async () => fail()) };
}
const items = (w: World) => w.rows.all('item').map(({ title, due }) => [title, due]);

test('Enter before anything can read the line counts: it is added once it is read', async () => {
  const w = new World();
  const { line, arrive } = unread(w);
  expect(items(w)).toEqual([]);
  expect(line.value).toBe('Order candles by Friday');
  await arrive();
  expect(items(w)).toEqual([['Order candles', '2026-11-27']]);
  expect(line.value).toBe('');
});

test('where that can’t be fetched it is added as it stands', async () => {
  const w = new World();
  const { line, fail } = unread(w);
  await fail();
  expect(items(w)).toEqual([['Order candles by Friday', null]]);
  expect(line.value).toBe('');
});

test('nor is it kept waiting by a network that says nothing', async () => {
  jest.useFakeTimers();
  const w = new World();
  const { line } = unread(w);
  await act(async () => void jest.advanceTimersByTime(2_900));
  expect(items(w)).toEqual([]);
  await act(async () => void jest.advanceTimersByTime(200));
  expect(items(w)).toEqual([['Order candles by Friday', null]]);
  expect(line.value).toBe('');
  jest.useRealTimers();
});

test('nor is a line taken before anything can decide on it: too long for a title, it stays where it was typed, with the reason', () => {
  const w = new World();
  const { decidesNow } = inHouse(w, 'Aino', <CaptureLine />, { decides: false });
  const line = screen.getByRole<HTMLTextAreaElement>('textbox', { name: t('capture.line') });
  const typed = 'word '.repeat(200).trim();
  fireEvent.change(line, { target: { value: typed } });
  fireEvent.keyDown(line, { key: 'Enter' });
  expect(screen.queryByRole('alert')).toBeNull();
  decidesNow();
  expect(line.value).toBe(typed);
  expect(screen.getByRole('alert').textContent).toBe(sayReason({ code: 'too-long', params: { max: 500 } }));
});
