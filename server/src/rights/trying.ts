import { RealServer } from '../testing/real-server.ts';
import { CASES } from './cases.ts';
import { SetUpHouse } from './set-up.ts';
import { RELATIONS, Situation, SHARINGS, type ROLES } from './situation.ts';

/**
 * Tries every command as somebody of a role, for every sharing of a list and every relation to an item in it: in this process, and where
 * the list is shared to check off, over sockets. A file a role: they run side by side.
 */
export function tryEverythingAs(role: (typeof ROLES)[number]): void {
  const [quick, real] = [RealServer.quick(), new RealServer()];
  beforeAll(() => Promise.all([quick.start(), real.start()]));
  afterAll(() => Promise.all([quick.stop(), real.stop()]));

  test.each(SHARINGS.flatMap((sharing) => RELATIONS.map((relation) => [sharing, relation] as const)))(
    'list %s, item %s',
    async (sharing, relation) => {
      const house = new SetUpHouse(sharing === 'check' && relation === 'none' ? real : quick);
      await house.found('Owner');
      for (const [name, as] of [
        ['Actor', role],
        ['Other', 'member'],
        ['Third', 'member'],
      ] as const)
        await house.join(name, as, 'Owner');
      const situation = new Situation(house, role, sharing, relation);
      const wrong: string[] = [];
      for (const [name, cases] of Object.entries(CASES)) {
        for (const [what, make] of Object.entries(cases)) {
          const [was, allowed] = await situation.trying(async () => {
            const { payload, allowed } = await make(situation);
            const outcome = await house.send('Actor', { name, payload });
            return { was: [outcome.outcome === 'accepted' ? 'accepted' : outcome.reason.code, allowed], isAccepted: outcome.outcome === 'accepted' };
          });
          if (allowed !== (was === 'accepted')) wrong.push(`${name} ${what}: ${was}, should be ${allowed ? 'accepted' : 'refused'}`);
        }
      }
      expect(wrong).toEqual([]);
    },
    60_000,
  );
}
