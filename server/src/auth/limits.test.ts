import { AttemptLimit } from './limits.ts';
import { deviceLabel } from './label.ts';

describe('attempts in a window of time', () => {
  let now = 0;
  const minutes = (some: number) => (now += some * 60_000);
  const limit = () => new AttemptLimit(3, 15, () => now);
  beforeEach(() => (now = 0));

  test('after the last one allowed one waits for the end of the window, said in whole minutes', () => {
    const tries = limit();
    for (let time = 0; time < 3; time++) {
      expect(tries.wait('leila')).toBe(0);
      tries.count('leila');
      minutes(1);
    }
    expect(tries.wait('leila')).toBe(12);
    minutes(11.5);
    expect(tries.wait('leila')).toBe(1);
    minutes(0.5);
    expect(tries.wait('leila')).toBe(0);
  });

  test('each key counts for itself, and succeeding forgets', () => {
    const tries = limit();
    for (let time = 0; time < 3; time++) tries.count('leila');
    expect(tries.wait('noor')).toBe(0);
    tries.succeeded('leila');
    expect(tries.wait('leila')).toBe(0);
  });

  test('a window begins with its first failure, not with the last', () => {
    const tries = limit();
    tries.count('leila');
    minutes(14);
    tries.count('leila');
    minutes(2);
    tries.count('leila');
    expect(tries.wait('leila')).toBe(0);
  });
});

test.each([
  ['Mozilla/5.0 (Linux; Android 15) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/140.0 Mobile Safari/537.36', 'Chromium, Android'],
  ['Mozilla/5.0 (iPhone; CPU iPhone OS 18_0 like Mac OS X) AppleWebKit/605.1.15 Version/18.0 Safari/604.1', 'Safari, iOS'],
  ['Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0', 'Firefox, Linux'],
  ['curl/8.0', 'A browser'],
  [undefined, 'A browser'],
])('a browser in words: %s', (agent, label) => expect(deviceLabel(agent)).toBe(label));
