import { MemoryRows } from '../reader/memory.ts';
import { BUSINESS_DAY_PARTS, USUAL_DAY_PARTS, type House } from '../model/house.ts';
import { idOf } from '../testing/world.ts';
import { decide } from './decide.ts';

function made(more: object): House | undefined {
  const payload = {
    name: 'Saarela',
    zone: 'Europe/Helsinki',
    person: { name: 'Aino', mark: 'Ai', colour: 'petrol', pattern: 'weft' },
    ...more,
  };
  const now = '2026-11-24T08:00:00.000Z';
  const command = { id: idOf('made'), houseId: idOf('house'), name: 'house.make', payload, at: now } as never;
  const decision = decide(command, new MemoryRows('all'), { now, account: { id: idOf('account'), name: 'Aino' } });
  if (decision.outcome !== 'accepted') return undefined;
  return decision.changes.find(({ noun }) => noun === 'house')?.fields as unknown as House;
}

test('a house begins with the parts of the day it asks for; what is no hour is refused', () => {
  expect(made({})?.dayParts).toEqual(USUAL_DAY_PARTS);
  expect(made({ dayParts: BUSINESS_DAY_PARTS })?.dayParts).toEqual(BUSINESS_DAY_PARTS);
  expect(made({ dayParts: { ...BUSINESS_DAY_PARTS, day: '25:00' } })).toBeUndefined();
  expect(made({ dayParts: { morning: '18:00', day: '12:00', evening: '07:00' } })).toBeUndefined();
});
