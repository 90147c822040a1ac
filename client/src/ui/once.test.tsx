import { act, renderHook } from '@testing-library/react';
import { useOnce } from './once.ts';

test('asked for again while it is under way it is done once; afterwards it can be done again', async () => {
  let end = (): void => undefined;
  const make = jest.fn(() => new Promise<void>((resolve) => (end = resolve)));
  const { result } = renderHook(() => useOnce(make));
  act(() => {
    result.current[0]();
    result.current[0]();
  });
  expect(make).toHaveBeenCalledTimes(1);
  expect(result.current[1]).toBe(true);
  await act(async () => end());
  expect(result.current[1]).toBe(false);
  act(() => result.current[0]());
  expect(make).toHaveBeenCalledTimes(2);
  await act(async () => end());
});
