import { clockSlice, forgetClock, serverTimeRead } from './clock.ts';

const { reducer } = clockSlice;
const opened = () => reducer(undefined, { type: 'opened' });
/** What the server says, so far from this device's clock. */
const says = (aheadMs: number) => serverTimeRead(new Date(Date.now() + aheadMs).toISOString());
const HOUR = 3_600_000;
beforeEach(() => jest.useFakeTimers({ now: new Date('2026-11-24T10:00:00.000Z') }));
afterEach(() => (jest.useRealTimers(), localStorage.clear()));

test('how far the server’s clock is ahead outlives the tab, until one signs out', () => {
  expect(opened().aheadMs).toBe(0);
  expect(reducer(opened(), says(-HOUR)).aheadMs).toBe(-HOUR);
  expect(opened().aheadMs).toBe(-HOUR);
  forgetClock();
  expect(opened().aheadMs).toBe(0);
});

test('what differs by the time a message takes moves nothing', () => {
  const once = reducer(opened(), says(HOUR));
  expect(reducer(once, says(HOUR - 1_500)).aheadMs).toBe(HOUR);
  expect(reducer(once, says(HOUR - 2_500)).aheadMs).toBe(HOUR - 2_500);
});
