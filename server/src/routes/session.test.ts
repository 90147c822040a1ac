import { RealServer } from '../testing/real-server.ts';

// hashing a password is slow on purpose
jest.setTimeout(30_000);

describe('accounts and sessions', () => {
  let server: RealServer;
  beforeEach(async () => {
    server = new RealServer();
    await server.start();
  });
  afterEach(() => server.stop());

  const ask = (method: string, path: string, body?: unknown, cookie = '', headers: Record<string, string> = {}) =>
    fetch(`${server.base}/api${path}`, {
      method,
      headers: { 'content-type': 'application/json', cookie, ...headers },
      body: body === undefined ? undefined : JSON.stringify(body),
    });
  const cookieOf = (response: Response) => response.headers.get('set-cookie')!.split(';')[0]!;
  const AINO = { email: 'aino@example.org', password: 'long enough', name: 'Aino' };
  const signUp = async () => cookieOf(await ask('POST', '/accounts', AINO));
  const signIn = (password: string, email = AINO.email) => ask('POST', '/session', { email, password });

  test('an account asks for e-mail, password and name, and is signed in at once', async () => {
    const response = await ask('POST', '/accounts', AINO);
    expect(response.status).toBe(201);
    expect(response.headers.get('set-cookie')).toMatch(/HttpOnly; SameSite=Lax/);
    const me = (await (await ask('GET', '/me', undefined, cookieOf(response))).json()) as object;
    expect(me).toMatchObject({ account: { email: AINO.email, name: 'Aino' }, houses: [] });
    expect(JSON.stringify(me)).not.toContain('argon2');
  });

  test.each([
    ['no e-mail address', { ...AINO, email: 'aino' }, 'email'],
    ['a short password', { ...AINO, password: 'short' }, 'password'],
    ['no name', { ...AINO, name: '  ' }, 'name'],
  ])('%s is said beside its field', async (_name, body, field) => {
    const response = await ask('POST', '/accounts', body);
    expect(response.status).toBe(422);
    expect(response.headers.get('content-type')).toBe('application/problem+json');
    expect(await response.json()).toMatchObject({ status: 422, field });
  });

  test('an address is taken once, whatever its letters’ case', async () => {
    await signUp();
    const response = await ask('POST', '/accounts', { ...AINO, email: 'AINO@example.org' });
    expect(response.status).toBe(409);
    expect(await response.json()).toMatchObject({ code: 'email-taken', field: 'email' });
  });

  test('wrong passwords are limited per account, with how long to wait; the right one then waits too', async () => {
    await signUp();
    for (let attempt = 0; attempt < 5; attempt++) expect((await signIn('wrong password')).status).toBe(401);
    const limited = await signIn(AINO.password);
    expect(limited.status).toBe(429);
    expect(await limited.json()).toMatchObject({ code: 'too-many-attempts', params: { minutes: 15 } });
    expect((await signIn('wrong password', 'someone.else@example.org')).status).toBe(401);
  });

  test('signing out here leaves the other devices, everywhere none', async () => {
    const here = await signUp();
    const there = cookieOf(await signIn(AINO.password));
    expect((await ask('DELETE', '/session', undefined, here)).status).toBe(204);
    expect((await ask('GET', '/me', undefined, here)).status).toBe(401);
    expect((await ask('GET', '/me', undefined, there)).status).toBe(200);
    const again = cookieOf(await signIn(AINO.password));
    await ask('DELETE', '/session?everywhere=1', undefined, again);
    expect((await ask('GET', '/me', undefined, there)).status).toBe(401);
  });

  test('changing the password asks for the present one and signs the others out', async () => {
    const here = await signUp();
    const there = cookieOf(await signIn(AINO.password));
    expect((await ask('POST', '/me/password', { current: 'not this', password: 'another one' }, here)).status).toBe(422);
    expect((await ask('POST', '/me/password', { current: AINO.password, password: 'another one' }, here)).status).toBe(204);
    expect((await ask('GET', '/me', undefined, there)).status).toBe(401);
    expect((await ask('GET', '/me', undefined, here)).status).toBe(200);
    expect((await signIn(AINO.password)).status).toBe(401);
    expect((await signIn('another one')).status).toBe(200);
  });

  test('nobody else’s device is signed out by its id', async () => {
    const aino = await signUp();
    const petri = cookieOf(await ask('POST', '/accounts', { email: 'petri@example.org', password: 'long enough', name: 'Petri' }));
    const { deviceId } = (await (await ask('GET', '/me', undefined, aino)).json()) as { deviceId: string };
    await ask('DELETE', `/me/devices/${deviceId}`, undefined, petri);
    expect((await ask('GET', '/me', undefined, aino)).status).toBe(200);
  });

  test('a device is called as its person calls it, by nobody else', async () => {
    const aino = await signUp();
    const petri = cookieOf(await ask('POST', '/accounts', { email: 'petri@example.org', password: 'long enough', name: 'Petri' }));
    const { deviceId } = (await (await ask('GET', '/me', undefined, aino)).json()) as { deviceId: string };
    const labels = async () =>
      ((await (await ask('GET', '/me/devices', undefined, aino)).json()) as { devices: { label: string }[] }).devices.map(({ label }) => label);
    expect((await ask('PATCH', `/me/devices/${deviceId}`, { label: ' Kitchen tablet ' }, aino)).status).toBe(204);
    await ask('PATCH', `/me/devices/${deviceId}`, { label: 'Mine' }, petri);
    expect(await labels()).toEqual(['Kitchen tablet']);
    expect((await ask('PATCH', `/me/devices/${deviceId}`, { label: '  ' }, aino)).status).toBe(422);
  });

  test('a request from another site is refused whatever cookie it brings', async () => {
    const cookie = await signUp();
    const response = await ask('POST', '/commands', { commands: [] }, cookie, { origin: 'https://elsewhere.example' });
    expect(response.status).toBe(403);
    expect((await ask('POST', '/commands', { commands: [] }, cookie, { origin: server.base })).status).toBe(200);
  });

  test('without demo mode and simulation their routes do not exist', async () => {
    expect((await ask('GET', '/demo/people')).status).toBe(404);
    expect((await ask('POST', '/simulate/clock', { advance: 'P1D' })).status).toBe(404);
  });
});
