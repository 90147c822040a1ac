import type { Found } from '../places/geocoder.ts';
import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';

const DAIRY: Found = { name: 'Dairy', where: 'Meadow road 4', lat: 62.3, lon: 27.1 };

describe('spots by name or address', () => {
  const asked: string[] = [];
  const geocoder = {
    find(words: string): Promise<Found[]> {
      asked.push(words);
      return words === 'down' ? Promise.reject(new Error('no answer')) : Promise.resolve([DAIRY]);
    },
  };
  const server = new RealServer({ geocoder, map: '{"type":"FeatureCollection","features":["the shore"]}' });
  let house: Household;
  beforeAll(() => server.start());
  afterAll(() => server.stop());
  beforeEach(async () => {
    asked.length = 0;
    house = new Household(server);
    await house.found('Aino');
  });
  const look = (words: string, who = 'Aino') => house.fetch(who, 'GET', `/api/geocode?q=${encodeURIComponent(words)}`);

  test('are found for whoever is signed in, and for nobody else', async () => {
    expect(await (await look('dairy')).json()).toEqual({ found: [DAIRY] });
    for (const path of ['/api/geocode?q=dairy', '/api/map']) expect((await fetch(server.base + path)).status).toBe(401);
    expect(asked).toEqual(['dairy']);
  });

  test('nothing is asked for nothing, and no more than an address is long', async () => {
    expect(await (await look('   ')).json()).toEqual({ found: [] });
    expect(asked).toEqual([]);
    await look('x'.repeat(5_000));
    expect(asked).toEqual(['x'.repeat(200)]);
  });

  test('a service that does not answer is said, without what it said itself', async () => {
    const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const answer = await look('down');
    expect(answer.status).toBe(502);
    expect(await answer.text()).not.toContain('no answer');
    expect(said).toHaveBeenCalled();
    said.mockRestore();
  });

  test('so many look-ups of one account in ten minutes; another’s are its own', async () => {
    for (let nth = 0; nth < 60; nth++) expect((await look('dairy')).status).toBe(200);
    const refused = await look('dairy');
    expect(refused.status).toBe(429);
    expect(await refused.json()).toMatchObject({ code: 'too-many-attempts', params: { minutes: 10 } });
    expect(asked).toHaveLength(60);
    expect((await look('dairy', 'Leila')).status).toBe(200);
  });

  test('the drawing behind the places is GeoJSON', async () => {
    const map = await house.fetch('Aino', 'GET', '/api/map');
    expect(map.headers.get('content-type')).toContain('application/geo+json');
    expect(await map.json()).toMatchObject({ features: ['the shore'] });
  });
});

describe('where no geocoder is set', () => {
  const server = new RealServer();
  beforeAll(() => server.start());
  afterAll(() => server.stop());

  test('that is said, and the map is empty', async () => {
    const house = new Household(server);
    await house.found('Aino');
    const answer = await house.fetch('Aino', 'GET', '/api/geocode?q=dairy');
    expect(answer.status).toBe(404);
    expect(await answer.json()).toMatchObject({ code: 'no-geocoder' });
    expect(await (await house.fetch('Aino', 'GET', '/api/map')).json()).toEqual({ type: 'FeatureCollection', features: [] });
  });
});
