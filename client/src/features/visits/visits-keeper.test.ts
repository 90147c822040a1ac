import type { Fix, Judged } from '@kotiva/core';
import { VisitsKeeper } from './visits-keeper.ts';
import { answerVisits } from './visits-question.ts';

const SHOP = { id: 'shop', lat: 62.3, lon: 27.1, radius: 80 };
const fix = (seconds: number, lat = SHOP.lat): Fix => ({ at: seconds * 1000, lat, lon: SHOP.lon, accuracy: 10 });

/** A device's storage, and what was told on from it. */
function device() {
  const kept = new Map<string, string>();
  const storage = { getItem: (key: string) => kept.get(key) ?? null, setItem: (key: string, value: string) => void kept.set(key, value) };
  const told: string[] = [];
  const open = (judge = (asked: Parameters<typeof answerVisits>[0]) => Promise.resolve(answerVisits(asked))) => {
    const onJudged = ({ crossings, found }: Judged) =>
      told.push(...found.map((id) => `found ${id}`), ...crossings.map(({ kind, placeId }) => `${kind} ${placeId}`));
    const keeper = new VisitsKeeper('visits', judge, onJudged, storage);
    keeper.spots = [SHOP];
    return keeper;
  };
  return { kept, told, open };
}

test('closed and opened again between two looks, it goes on from where it was', async () => {
  const { told, open } = device();
  const first = open();
  await first.look(fix(0, 62.4));
  await first.look(fix(60));
  const second = open();
  await second.look(fix(120));
  expect(told).toEqual(['enter shop']);
});

test('looks are judged in the order they came, however long each takes', async () => {
  const { told, open } = device();
  let turn = 0;
  const keeper = open(async (asked) => {
    // the earlier ones answer later
    for (let wait = 5 - turn++; wait > 0; wait--) await Promise.resolve();
    return answerVisits(asked);
  });
  await Promise.all([keeper.look(fix(0, 62.4)), keeper.look(fix(60)), keeper.look(fix(100)), keeper.look(fix(160, 62.4)), keeper.look(fix(200, 62.4))]);
  expect(told).toEqual(['enter shop', 'leave shop']);
});

test('said by hand, one is there from then on; the next look that says the same crosses nothing', async () => {
  const { told, open } = device();
  const keeper = open();
  await keeper.look(fix(0, 62.4));
  await keeper.say('shop', 10_000);
  await keeper.look(fix(60));
  await keeper.look(fix(100));
  expect(told).toEqual([]);
});

test.each(['{', 'null', '7', '{"places":3}'])('what was kept as %s counts as nothing', async (text) => {
  const { kept, told, open } = device();
  kept.set('visits', text);
  await open().look(fix(0));
  expect(told).toEqual(['found shop']);
});
