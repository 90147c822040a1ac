import { OUTSIDE_WORDS } from '@kotiva/core/words/outside.en';
import { v7 } from 'uuid';
import { isPublic, networkOf, TrustedProxies } from '../auth/addresses.ts';
import { passwordFault } from '../auth/passwords.ts';
import { WebPush, vapidKeys } from '../notify/web-push.ts';
import { MOST_OUTSIDE_A_DAY, Outbox } from '../notify/outbox.ts';
import { SENT, type Mail } from '../notify/messenger.ts';
import { OutsideDesk } from '../outside/desk.ts';
import { OutsideLinks } from '../outside/links.ts';
import { Household } from '../testing/household.ts';
import { LedgerHouse } from '../testing/ledger-house.ts';
import { RealServer } from '../testing/real-server.ts';

/** Who comes in, by what, and for how long. */

const DAY = 86_400_000;
const GOOD = 'three red boats at the quay';

/** A browser: it keeps its cookies. `from`: the address it comes from, told by a proxy that is trusted. */
class Browser {
  readonly cookies = new Map<string, string>();
  constructor(
    private readonly server: RealServer,
    private readonly from = '203.0.113.1',
  ) {}

  async ask(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<{ status: number; code: string | undefined; headers: Headers; value: unknown }> {
    const cookie = [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; ');
    const response = await fetch(this.server.base + path, {
      method,
      headers: { 'content-type': 'application/json', 'x-forwarded-for': this.from, cookie, ...headers },
      body: body === undefined ? undefined : JSON.stringify(body),
    });
    for (const set of response.headers.getSetCookie()) {
      const [, name, value] = /^([^=]+)=([^;]*)/.exec(set)!;
      if (value === '') this.cookies.delete(name!);
      else this.cookies.set(name!, value!);
    }
    const value: unknown = await response.json().catch(() => null);
    return { status: response.status, code: (value as { code?: string } | null)?.code, headers: response.headers, value };
  }

  signUp = (email: string, password = GOOD, invitation?: string) => this.ask('POST', '/api/accounts', { email, password, name: 'Aino', invitation });
  signIn = (email: string, password = GOOD) => this.ask('POST', '/api/session', { email, password });
}

const server = new RealServer({ trustedProxies: ['127.0.0.1'] });
beforeAll(() => server.start());
afterAll(() => server.stop());
let nth = 0;
/** Of each test its own network and address. */
const fresh = () => ({ browser: new Browser(server, `203.0.113.${(nth += 1)}`), email: `aino${nth}@example.org` });

describe('signing in', () => {
  test('of two hundred guesses at once five are looked at', async () => {
    const { browser, email } = fresh();
    await browser.signUp(email);
    const guesser = new Browser(server, '198.51.100.7');
    const answers = await Promise.all(Array.from({ length: 200 }, (_, one) => guesser.signIn(email, `guess number ${one}`)));
    const codes = answers.map(({ code }) => code);
    expect(codes.filter((code) => code === 'wrong-password')).toHaveLength(5);
    expect(codes.filter((code) => code === 'too-many-attempts')).toHaveLength(195);
  });

  test('who guesses elsewhere does not lock the owner out on a device they know; on a new one they wait', async () => {
    const { browser, email } = fresh();
    await browser.signUp(email);
    await browser.ask('DELETE', '/api/session');
    const guesser = new Browser(server, '198.51.100.8');
    for (let guess = 0; guess < 6; guess++) await guesser.signIn(email, `guess number ${guess}`);
    expect((await browser.signIn(email)).status).toBe(200);
    expect(await new Browser(server, '198.51.100.9').signIn(email)).toMatchObject({ status: 429 });
    // signed out everywhere, no device is known any more
    await browser.ask('DELETE', '/api/session?everywhere=1');
    expect(browser.cookies.size).toBe(0);
  });

  test('a copied “known” cookie gives a few guesses, not endless ones', async () => {
    const { browser, email } = fresh();
    await browser.signUp(email);
    const thief = new Browser(server, '198.51.100.10');
    thief.cookies.set('kotiva_known', browser.cookies.get('kotiva_known')!);
    const codes = [];
    for (let guess = 0; guess < 22; guess++) codes.push((await thief.signIn(email, `guess number ${guess}`)).code);
    expect(codes.filter((code) => code === 'wrong-password')).toHaveLength(20);
  });

  test('guesses at many accounts from one IPv6 network count together', async () => {
    const codes = [];
    for (let guess = 0; guess < 32; guess++)
      codes.push((await new Browser(server, `2001:db8:1:1::${guess.toString(16)}`).signIn(`somebody${guess}@example.org`, 'wrong')).code);
    expect(codes.filter((code) => code === 'too-many-attempts')).toHaveLength(2);
  });

  test('a sign-in ends when it was not used for 90 days, and after a year; used, it is renewed', async () => {
    const { browser, email } = fresh();
    const age = (field: string, days: number) =>
      server.raw.prepare(`UPDATE device SET "${field}" = ? WHERE "accountId" = (SELECT id FROM account WHERE email = ?)`).run(new Date(Date.now() - days * DAY).toISOString(), email); // prettier-ignore
    await browser.signUp(email);
    age('lastSeenAt', 89);
    const { status, headers } = await browser.ask('GET', '/api/me');
    expect([status, headers.getSetCookie().some((set) => set.startsWith('kotiva_session=') && set.includes(`Max-Age=${90 * 86_400}`))]).toEqual([200, true]);
    expect((await browser.ask('GET', '/api/me')).headers.getSetCookie()).toEqual([]);
    age('lastSeenAt', 91);
    expect((await browser.ask('GET', '/api/me')).status).toBe(401);
    age('lastSeenAt', 0);
    age('createdAt', 366);
    expect((await browser.ask('GET', '/api/me')).status).toBe(401);
  });
});

describe('passwords', () => {
  test.each([
    ['123456789', 'password-short'],
    ['1234567890', 'password-common'],
    ['Qwertyuiop', 'password-common'],
    ['aaaaaaaaaaaaaaaa', 'password-common'],
    ['aino.virtanen@example.org', 'password-address'],
    ['Aino.Virtanen', 'password-address'],
    ['x'.repeat(100).concat('yz').repeat(2), 'password-long'],
    [GOOD, null],
    ['äöåäöåäöåäöå🎂', null],
  ])('%s: %s', (password, fault) => expect(passwordFault(password, 'aino.virtanen@example.org')).toBe(fault));

  test('one that was good enough before still signs in, and a new one has to be better', async () => {
    const { browser, email } = fresh();
    expect(await browser.signUp(email, 'password12')).toMatchObject({ status: 422, code: 'password-common', value: { field: 'password' } });
    await server.services.accounts.create(email, 'eight888', 'Aino');
    expect((await browser.signIn(email, 'eight888')).status).toBe(200);
    expect(await browser.ask('POST', '/api/me/password', { current: 'eight888', password: 'nine99999' })).toMatchObject({ code: 'password-short' });
  });

  test('changing it ends the other sign-ins, and the access keys one does not keep', async () => {
    const { browser, email } = fresh();
    await browser.signUp(email);
    const other = new Browser(server, '203.0.113.250');
    await other.signIn(email);
    const account = server.services.accounts.idOf(email)!;
    const [kept, gone] = ['phone', 'old phone'].map((name) => server.services.tokens.make(account, v7(), name));
    await browser.ask('POST', '/api/me/password', { current: GOOD, password: `${GOOD}, and a green one`, keepKeys: [kept!.token.id] });
    expect((await other.ask('GET', '/api/me')).status).toBe(401);
    expect(server.services.tokens.of(account).map(({ name }) => name)).toEqual(['phone']);
    expect(server.services.tokens.use(gone!.secret)).toBeNull();
    await browser.ask('DELETE', '/api/session?everywhere=1');
    expect(server.services.tokens.of(account)).toEqual([]);
  });
});

describe('signing up', () => {
  test('is limited for each network, before anything is hashed', async () => {
    const browser = new Browser(server, '198.51.100.200');
    const codes = await Promise.all(Array.from({ length: 25 }, (_, one) => browser.signUp(`many${one}@example.org`).then(({ status }) => status)));
    expect(codes.filter((status) => status === 201)).toHaveLength(20);
    expect(codes.filter((status) => status === 429)).toHaveLength(5);
  });

  test('with an address that is taken leads to signing in; one of no form is refused beside it', async () => {
    const { browser, email } = fresh();
    await browser.signUp(email);
    expect(await browser.signUp(email)).toMatchObject({ status: 409, code: 'email-taken' });
    expect(await browser.signUp('aino@')).toMatchObject({ status: 422, value: { field: 'email' } });
  });

  test.each(['invited', 'closed'] as const)('%s', async (signUp) => {
    const own = new RealServer({ signUp });
    await own.start();
    const house = new Household(own);
    await house.found('Aino');
    const token = v7().replaceAll('-', '');
    await house.must('Aino', 'invitation.make', { role: 'helper', uses: 'one', token });
    const browser = new Browser(own);
    expect((await browser.ask('GET', '/api/sign-up')).value).toEqual({ signUp });
    expect(await browser.signUp('leila@example.org')).toMatchObject({ status: 403, code: `sign-up-${signUp}` });
    expect((await browser.signUp('leila@example.org', GOOD, 'x'.repeat(40))).status).toBe(403);
    expect((await browser.signUp('leila@example.org', GOOD, token)).status).toBe(signUp === 'invited' ? 201 : 403);
    await own.stop();
  });
});

describe('behind proxies', () => {
  const proxies = new TrustedProxies(['10.0.0.0/8', '2001:db8::/32', '192.0.2.1']);
  test.each([
    ['203.0.113.9', { forwardedFor: '1.2.3.4' }, '203.0.113.9', 'nobody is believed who is not trusted'],
    ['10.1.2.3', { forwardedFor: '6.6.6.6, 203.0.113.9' }, '203.0.113.9', 'the nearest that is no proxy of ours'],
    ['10.1.2.3', { forwardedFor: '6.6.6.6, 203.0.113.9, 10.9.9.9' }, '203.0.113.9', 'through two of ours'],
    ['::ffff:10.1.2.3', { forwarded: 'for=203.0.113.9;proto=https, for="[2001:db8::7]:4711"' }, '203.0.113.9', 'RFC 7239, quoted and with a port'],
    ['10.1.2.3', { forwarded: 'for=_hidden' }, '10.1.2.3', 'what is no address ends it'],
    ['10.1.2.3', {}, '10.1.2.3', 'a proxy that says nothing'],
    ['192.0.2.1', { forwardedFor: '203.0.113.9' }, '203.0.113.9', 'a single address'],
  ])('%s %j is %s: %s', (remote, said, client, _what) => expect(proxies.clientOf(remote, said)).toBe(client));

  test('networks: an IPv4 address, the /64 of an IPv6 one', () => {
    expect(['::ffff:1.2.3.4', '1.2.3.4', '2001:db8:1:2:3:4:5:6', '2001:db8:1:2::', 'unknown'].map(networkOf)).toEqual([
      '1.2.3.4',
      '1.2.3.4',
      '2001:db8:1:2::/64',
      '2001:db8:1:2::/64',
      'unknown',
    ]);
    expect(() => new TrustedProxies(['the proxy'])).toThrow();
  });

  test('a request of the public address comes in whatever Host the proxy gives it; of another site never', async () => {
    const own = new RealServer({ publicUrl: 'https://kotiva.example' });
    await own.start();
    const from = (origin: string) =>
      new Browser(own).ask('POST', '/api/session', { email: 'a@b.example', password: 'x' }, { origin }).then(({ status }) => status);
    expect(await from('https://kotiva.example')).toBe(401);
    expect(await from(own.base)).toBe(401);
    expect(await from('https://elsewhere.example')).toBe(403);
    await own.stop();
  });
});

describe('whose access was ended', () => {
  test('comes back by no link they know, by one made since they do; their keys and link are gone', async () => {
    const house = new Household(server);
    await house.found('Aino');
    const [several, open] = [v7(), v7()].map((id) => id.replaceAll('-', ''));
    await house.must('Aino', 'invitation.make', { role: 'helper', uses: 'several', token: several! });
    await house.must('Aino', 'invitation.make', { role: 'helper', uses: 'several', token: open! });
    const looks = { name: 'Leila', mark: 'Le', colour: 'moss' as const, pattern: 'twill' as const };
    await house.must('Leila', 'person.join', { token: several!, ...looks });
    await house.fetch('Leila', 'POST', `/api/houses/${house.houseId}/tokens`, { name: 'phone' });
    const link = house.rows('invitation').find(({ token }) => token === several)!;
    await house.must('Aino', 'person.end', { person: house.person('Leila'), keepLinks: [link.id] });
    expect(server.services.tokens.of(house.account('Leila').accountId)).toEqual([]);
    // kept for the others, it is no way back; nor is one she never saw
    for (const token of [several!, open!])
      expect(await house.send('Leila', { name: 'person.join', payload: { token, ...looks } })).toMatchObject({ reason: { code: 'ask-manager' } });
    expect(await house.send('Noor', { name: 'person.join', payload: { token: several!, ...looks, name: 'Noor', mark: 'No' } })).toMatchObject({
      outcome: 'accepted',
    });
    await house.must('Aino', 'person.end', { person: house.person('Noor') });
    expect(house.rows('invitation').find(({ token }) => token === several)!.withdrawnAt).not.toBeNull();
    const since = v7().replaceAll('-', '');
    await house.must('Aino', 'invitation.make', { role: 'helper', uses: 'one', token: since });
    await house.must('Leila', 'person.join', { token: since, ...looks });
  });

  test('a manager who is ended takes every open link along; who leaves by themselves takes none of several', async () => {
    const house = await Household.of(server, { Petri: 'manager', Leila: 'helper' });
    const token = v7().replaceAll('-', '');
    await house.must('Aino', 'invitation.make', { role: 'helper', uses: 'several', token });
    await house.must('Leila', 'person.end', { person: house.person('Leila') });
    const isOpen = () => house.rows('invitation').find((one) => one.token === token)!.withdrawnAt === null;
    expect(isOpen()).toBe(true);
    await house.must('Aino', 'person.end', { person: house.person('Petri') });
    expect(isOpen()).toBe(false);
  });
});

test('helpers see names and marks, not how people are reached; managers do', async () => {
  const house = await Household.of(server, { Leila: 'helper' });
  await house.must('Aino', 'person.add', {
    name: 'Workshop',
    mark: 'Ws',
    colour: 'moss',
    pattern: 'twill',
    email: 'w@engines.example',
    phone: '09 123',
    contact: 'Mondays',
  });
  await house.must('Leila', 'person.change', { person: house.person('Leila'), phone: '040 1' });
  const people = async (who: string, since = 0) => {
    const { put } = (await (await house.fetch(who, 'GET', `/api/houses/${house.houseId}/changes?since=${since}`)).json()) as {
      put: { noun: string; row: { name: string; email: string; phone: string; contact: string } }[];
    };
    return Object.fromEntries(put.filter(({ noun }) => noun === 'person').map(({ row }) => [row.name, [row.email, row.phone, row.contact]]));
  };
  expect(await people('Leila')).toMatchObject({ Workshop: [null, null, ''], Leila: [null, '040 1', ''] });
  expect(await people('Aino')).toMatchObject({ Workshop: ['w@engines.example', '09 123', 'Mondays'], Leila: [null, '040 1', ''] });
  // with another role they are told anew
  const since = server.services.ledger.seq(house.houseId);
  await house.must('Aino', 'person.setRole', { person: house.person('Leila'), role: 'member' });
  expect(await people('Leila', since)).toMatchObject({ Workshop: ['w@engines.example', '09 123', 'Mondays'] });
});

test('a place somebody keeps to themselves is named on no item by anybody else', async () => {
  const house = await Household.of(server, { Leila: 'member' });
  const place = house.made('place', await house.must('Aino', 'place.make', { name: 'Hiding place', seenBy: [house.person('Aino')] })).id;
  expect(await house.send('Leila', { name: 'item.add', payload: { title: 'Lamp', place } })).toMatchObject({ outcome: 'refused', reason: { code: 'gone' } });
  expect(await house.send('Leila', { name: 'chore.make', payload: { title: 'Lamp', place, rrule: 'FREQ=DAILY', dtstart: '2026-11-24' } })).toMatchObject({
    outcome: 'refused',
  });
  expect(await house.send('Aino', { name: 'item.add', payload: { title: 'Lamp', place } })).toMatchObject({ outcome: 'accepted' });
});

describe('people without an account', () => {
  function post() {
    const house = new LedgerHouse('Aino');
    const links = new OutsideLinks(house.storage.db);
    const desk = new OutsideDesk(house.ledger, links, house.clock, 'https://kotiva.example', 'kotiva.example');
    const mailed: Mail[] = [];
    const outbox = new Outbox(house.storage.raw, house.ledger, house.clock, {
      push: { send: () => Promise.resolve(SENT) },
      mail: { send: (mail) => Promise.resolve((mailed.push(mail), SENT)) },
      outside: desk.mail,
      publicUrl: 'https://kotiva.example',
      mailDomain: 'kotiva.example',
    });
    house.give('Aino', 'person.add', { name: 'Mill', mark: 'Mi', colour: 'moss', pattern: 'twill', email: 'mill@flour.example' });
    const owner = { houseId: house.houseId, personId: house.person('Mill') };
    const ask = (title: string) => house.item('Aino', title, { persons: [owner.personId] });
    const after = async (minutes: number) => (house.later(minutes), await outbox.run());
    return { house, links, mailed, owner, ask, after };
  }

  test('a link ends after 180 days of silence; a mail with it, or a look, keeps it good', () => {
    const { links, owner, house } = post();
    const token = links.tokenOf(owner);
    const age = (days: number) => house.storage.raw.prepare('UPDATE "outsideLink" SET "usedAt" = ?').run(new Date(Date.now() - days * DAY).toISOString());
    age(179);
    expect(links.ownerOf(token)).toEqual(owner);
    age(179);
    expect(links.tokenOf(owner)).toBe(token);
    expect(links.ownerOf(token)).toEqual(owner);
    age(181);
    expect(links.ownerOf(token)).toBeNull();
    const next = links.tokenOf(owner);
    expect(next).not.toBe(token);
    expect(links.ownerOf(next)).toEqual(owner);
    expect(links.ownerOf(token)).toBeNull();
  });

  test('can end their mail with one click; whoever hands them something is told', async () => {
    const { house, links, mailed, owner, ask, after } = post();
    ask('Flour');
    await after(1);
    expect(mailed).toMatchObject([{ to: 'mill@flour.example', unsubscribe: `https://kotiva.example/o/${links.tokenOf(owner)}/stop` }]);
    links.stopMail(owner);
    ask('Rye');
    await after(1);
    expect(mailed).toHaveLength(1);
    expect(house.notices('Aino')).toMatchObject([{ kind: 'undelivered', params: { who: 'Mill', why: 'they stopped emails from this house' } }]);
    links.mailAgain(owner);
    ask('Oats');
    await after(1);
    expect(mailed).toHaveLength(2);
  });

  test('get so many mails of a house in a day; the rest waits for the next', async () => {
    const { mailed, ask, after } = post();
    for (let one = 0; one < MOST_OUTSIDE_A_DAY + 5; one++) ask(`Sack ${one}`);
    await after(1);
    expect(mailed).toHaveLength(MOST_OUTSIDE_A_DAY);
    await after(25 * 60);
    expect(mailed.length).toBeGreaterThanOrEqual(MOST_OUTSIDE_A_DAY + 5);
  });

  test('the page that ends mail works without a script, and a GET changes nothing', async () => {
    const house = new Household(server);
    await house.found('Aino');
    await house.must('Aino', 'person.add', { name: 'Mill', mark: 'Mi', colour: 'moss', pattern: 'twill', email: 'mill@flour.example' });
    const owner = { houseId: house.houseId, personId: house.person('Mill') };
    const { links, desk } = server.services;
    const page = `${server.base}${new URL(desk.linkOf(owner)).pathname}/stop`;
    expect(await (await fetch(page)).text()).toContain(OUTSIDE_WORDS.stopMail);
    expect(links.isMailStopped(owner)).toBe(false);
    const oneClick = { method: 'POST', headers: { 'content-type': 'application/x-www-form-urlencoded' }, body: 'List-Unsubscribe=One-Click' };
    expect(await (await fetch(page, oneClick)).text()).toContain(OUTSIDE_WORDS.stopped.split('{')[0]);
    expect(links.isMailStopped(owner)).toBe(true);
    await fetch(page, { ...oneClick, body: 'again=1' });
    expect(links.isMailStopped(owner)).toBe(false);
  });
});

describe('push', () => {
  test('which addresses are out on the Internet', () => {
    expect(['8.8.8.8', '2606:4700::1111'].map(isPublic)).toEqual([true, true]);
    const inside = [
      '127.0.0.1',
      '10.0.0.1',
      '192.168.1.1',
      '169.254.169.254',
      '100.64.0.1',
      '0.0.0.0',
      '::1',
      'fe80::1',
      'fd00::1',
      '::ffff:10.0.0.1',
      '224.0.0.1',
      'localhost',
    ];
    expect(inside.filter(isPublic)).toEqual([]);
  });

  test.each(['https://127.0.0.1/x', 'https://[::1]/x', 'https://[::ffff:10.0.0.1]/x', 'https://localhost/x', 'https://169.254.169.254/latest'])(
    'nothing is sent to %s, whatever it was when it was subscribed',
    async (endpoint) => {
      const push = new WebPush(vapidKeys(server.services.storage.db), 'mailto:kotiva@example.org');
      const target = {
        endpoint,
        p256dh: 'BEl62iUYgUivxIkv69yViEuiBIa-Ib9-SkvMeAtA3LFgDzkrxZJjSgSnfckjBJuBkr3qBUYIHBQFLXYp5Nksh8U',
        auth: 'UUxI4O8-FbRouAevSmBQ6o',
      };
      const message = { tag: v7(), title: 'x', body: '', houseId: '', noticeId: '', itemId: null, acts: [] };
      expect(await push.send(target, message)).toMatchObject({ outcome: 'never', why: 'its address is not one on the Internet' });
    },
  );
});
