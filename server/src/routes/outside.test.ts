import sharp from 'sharp';
import { FilesHouse } from '../testing/files-house.ts';
import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';

describe('the page of somebody without an account', () => {
  const server = new RealServer();
  let house: Household;
  let path: string;
  beforeAll(() => server.start());
  afterAll(() => server.stop());
  beforeEach(async () => {
    house = await Household.of(server, { Leila: 'helper' });
    await house.must('Aino', 'person.add', { name: 'Workshop', mark: 'Ws', colour: 'moss', pattern: 'twill', email: 'workshop@engines.example' });
    const answer = await house.fetch('Aino', 'POST', `/api/houses/${house.houseId}/people/${house.person('Workshop')}/link`);
    path = new URL(((await answer.json()) as { link: string }).link).pathname;
  });

  const ask = async (title: string) => {
    await house.must('Aino', 'item.add', { title, persons: [house.person('Workshop')], message: 'Before <the> frost' });
    return house.rows('item').find((item) => item.title === title)!.id;
  };
  const get = (at = path) => fetch(server.base + at);
  const post = (fields: Record<string, string>, at = path, headers: Record<string, string> = {}) =>
    fetch(server.base + at, { method: 'POST', body: new URLSearchParams(fields), redirect: 'manual', headers });
  const standing = (item: string) => house.part(item, 'Workshop')!.standing;

  test('shows only what was handed to them, with every word of others as text', async () => {
    await ask('Repair the engine');
    await house.must('Aino', 'item.add', { title: 'A private matter' });
    const page = await (await get()).text();
    expect(page).toContain('Repair the engine');
    expect(page).toContain('Before &lt;the&gt; frost');
    expect(page).not.toContain('A private matter');
    expect(page).not.toContain('<script');
  });

  test('answers, and opening it changes nothing', async () => {
    const item = await ask('Repair the engine');
    await get();
    expect(standing(item)).toBe('needs-action');
    expect((await post({ item, act: 'take' })).status).toBe(303);
    expect(standing(item)).toBe('accepted');
    await post({ item, act: 'done', text: 'New gasket' });
    expect(standing(item)).toBe('completed');
    expect(house.rows('comment').find((comment) => comment.itemId === item)?.text).toBe('New gasket');
    await post({ item, act: 'undone' });
    expect(standing(item)).toBe('accepted');
  });

  test('shows the photos of what they have, takes one, and nothing else is reached through it', async () => {
    const files = await FilesHouse.of(server, { Leila: 'helper' });
    await files.must('Aino', 'person.add', { name: 'Workshop', mark: 'Ws', colour: 'moss', pattern: 'twill', email: 'workshop@engines.example' });
    const answer = await files.fetch('Aino', 'POST', `/api/houses/${files.houseId}/people/${files.person('Workshop')}/link`);
    const page = new URL(((await answer.json()) as { link: string }).link).pathname;
    const engine = files.made('item', await files.must('Aino', 'item.add', { title: 'Repair the engine', persons: [files.person('Workshop')] })).id;
    const own = files.made('item', await files.must('Aino', 'item.add', { title: 'Own' })).id;
    const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: 'red' } })
      .png()
      .toBuffer();
    const [shown, secret] = [await files.attach('Aino', engine, '<b>engine.png', picture), await files.attach('Aino', own, 'secret.png', picture)];
    expect(await (await get(page)).text()).toContain('alt="&lt;b&gt;engine.png"');
    const small = await get(`${page}/files/${shown}/small`);
    expect([small.status, small.headers.get('content-type'), small.headers.get('content-security-policy')]).toEqual([
      200,
      'image/webp',
      expect.stringContaining('sandbox'),
    ]);
    for (const path of [`${page}/files/${secret}/small`, `${page}/files/${shown}/strokes`, `${page.slice(0, -3)}xyz/files/${shown}/small`])
      expect((await get(path)).status).toBe(404);

    const send = async (item: string, photo: File | string) => {
      const form = new FormData();
      form.set('item', item);
      form.set('photo', photo);
      return fetch(`${server.base}${page}/photo`, { method: 'POST', body: form, redirect: 'manual' });
    };
    expect((await send(engine, new File([new Uint8Array(picture)], '../gasket.png'))).status).toBe(303);
    const came = files.rows('attachment').find(({ name }) => name === 'gasket.png')!;
    expect(came).toMatchObject({ width: 40, authorId: files.person('Workshop'), itemId: engine });
    for (const [item, photo] of [
      [own, new File(['x'], 'x.txt')],
      [engine, ''],
      [engine, new File([], 'empty')],
    ] as const)
      // prettier-ignore
      expect((await send(item, photo)).status).toBe(422);
    expect((await send(engine, new File([new Uint8Array(27 * 1024 * 1024)], 'film.mp4'))).status).toBe(413);
    expect(files.rows('attachment').filter(({ authorId }) => authorId === files.person('Workshop'))).toHaveLength(1);
  });

  test('a reason has to be given, and is asked for beside the form', async () => {
    const item = await ask('Repair the engine');
    const refused = await post({ item, act: 'cant' });
    expect(refused.status).toBe(422);
    expect(await refused.text()).toContain('Write a few words');
    await post({ item, act: 'cant', text: 'Closed' });
    expect(standing(item)).toBe('declined');
  });

  test('nothing else can be done by it: not another’s item, not after it was taken back', async () => {
    await house.must('Aino', 'item.add', { title: 'A private matter' });
    const other = house.rows('item').find((item) => item.title === 'A private matter')!.id;
    expect((await post({ item: other, act: 'done' })).status).toBe(422);
    const item = await ask('Repair the engine');
    await house.must('Aino', 'part.takeBack', { item, persons: [house.person('Workshop')] });
    expect((await post({ item, act: 'done' })).status).toBe(422);
  });

  test('after withdrawal neither page nor answer, for whoever has the address; a guess is none', async () => {
    const item = await ask('Repair the engine');
    await house.fetch('Aino', 'DELETE', `/api/houses/${house.houseId}/people/${house.person('Workshop')}/link`);
    expect([(await get()).status, (await post({ item, act: 'done' })).status]).toEqual([404, 404]);
    expect(standing(item)).toBe('needs-action');
    expect((await get(`/o/${'0'.repeat(56)}`)).status).toBe(404);
  });

  test('a form of another site is refused; only managers get the link', async () => {
    const item = await ask('Repair the engine');
    expect((await post({ item, act: 'done' }, path, { origin: 'https://evil.example' })).status).toBe(403);
    const answer = await house.fetch('Leila', 'POST', `/api/houses/${house.houseId}/people/${house.person('Workshop')}/link`);
    expect(answer.status).toBe(403);
  });
});
