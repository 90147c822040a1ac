import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';
import { CASES } from './cases.ts';
import { RELATIONS, Situation, SHARINGS, type ROLES } from './situation.ts';

/** Tries every command over HTTP as somebody of a role, for every sharing of a list and every relation to an item in it. A file a role: they run side by side. */
export function tryEverythingAs(role: (typeof ROLES)[number]): void {
  const server = new RealServer();
  beforeAll(() => server.start());
  afterAll(() => server.stop());

  test.each(SHARINGS.flatMap((sharing) => RELATIONS.map((relation) => [sharing, relation] as const)))(
    'list %s, item %s',
    async (sharing, relation) => {
      const house = new Household(server);
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
          const { payload, allowed } = await make(situation);
          const outcome = await house.send('Actor', { name, payload });
          const was = outcome.outcome === 'accepted' ? 'accepted' : outcome.reason.code;
          if (allowed !== (was === 'accepted')) wrong.push(`${name} ${what}: ${was}, should be ${allowed ? 'accepted' : 'refused'}`);
        }
      }
      expect(wrong).toEqual([]);
    },
    60_000,
  );
}
