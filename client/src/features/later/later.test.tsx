import { act, fireEvent, render, screen } from '@testing-library/react';
import { Text } from 'react-native';
import { later } from '@/store/later.ts';
import { drawnLater } from './index.ts';
import { t } from '@/words';

const turn = () => act(async () => undefined);

test('it is fetched once, however many ask', async () => {
  const load = jest.fn(() => Promise.resolve('here'));
  const one = later(load);
  expect(one.held()).toBeNull();
  expect(await Promise.all([one.fetch(), one.fetch()])).toEqual(['here', 'here']);
  expect(one.held()).toBe('here');
  await one.fetch();
  expect(load).toHaveBeenCalledTimes(1);
});

test('what could not be fetched is tried again when it is asked for again', async () => {
  const load = jest.fn<Promise<string>, []>().mockRejectedValueOnce(new Error('no line')).mockResolvedValue('here');
  const one = later(load);
  await expect(one.fetch()).rejects.toThrow('no line');
  expect(one.held()).toBeNull();
  expect(await one.fetch()).toBe('here');
});

test('a component stands there once it is here, and at once where it is', async () => {
  const Greeting = drawnLater(() => Promise.resolve(({ name }: { name: string }) => <Text>Good morning, {name}</Text>));
  const first = render(<Greeting name="Aino" />);
  expect(screen.queryByText('Good morning, Aino')).toBeNull();
  await turn();
  expect(screen.getByText('Good morning, Aino')).toBeTruthy();
  first.unmount();
  render(<Greeting name="Leila" />);
  expect(screen.getByText('Good morning, Leila')).toBeTruthy();
});

test('what can’t be fetched says so, and comes once it is tried again or there is a connection', async () => {
  const load = jest
    .fn()
    .mockRejectedValueOnce(new Error('no line'))
    .mockRejectedValueOnce(new Error('no line'))
    .mockResolvedValue(() => <Text>Here</Text>);
  const Panel = drawnLater(load);
  render(<Panel />);
  await turn();
  expect(screen.getByRole('alert').textContent).toMatch(/couldn’t be loaded/);
  fireEvent.click(screen.getByRole('button', { name: t('common.tryAgain') }));
  await turn();
  expect(screen.getByRole('alert')).toBeTruthy();
  fireEvent(window, new Event('online'));
  await turn();
  expect(screen.getByText(t('keys.here'))).toBeTruthy();
});
