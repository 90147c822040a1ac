import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { FileFolder } from '../files/file-folder.ts';
import { KeptFiles } from '../files/kept-files.ts';
import { LedgerHouse } from '../testing/ledger-house.ts';
import { OutsideDesk } from '../outside/desk.ts';
import { OutsideLinks } from '../outside/links.ts';
import { HeldFiles } from './held-files.ts';
import { HeldMails } from './held-mail.ts';
import { MailIn } from './mail-in.ts';

const DOMAIN = 'kaislaranta.example';

function desk(keepsFiles = false) {
  const house = new LedgerHouse('Aino', 'Leila');
  const links = new OutsideLinks(house.storage.db);
  const outside = new OutsideDesk(house.ledger, links, house.clock, 'https://kaislaranta.example', DOMAIN);
  const logged: string[] = [];
  const mailIn = new MailIn(
    house.ledger,
    house.accounts,
    links,
    outside,
    house.clock,
    house.storage.raw,
    new HeldMails(house.storage.db, keepsFiles ? new HeldFiles(new FileFolder(mkdtempSync(join(tmpdir(), 'kotiva-held-')))) : null),
    'mx.kaislaranta.example',
    (line) => logged.push(line),
    keepsFiles ? new KeptFiles(house.storage.raw, house.ledger, house.clock, mkdtempSync(join(tmpdir(), 'kotiva-mail-')), { file: 1e6, house: 1e7 }) : null,
  );
  house.give('Aino', 'person.add', { name: 'Workshop', mark: 'Ws', colour: 'moss', pattern: 'twill', email: 'workshop@engines.example' });
  const owner = { houseId: house.houseId, personId: house.person('Workshop') };
  return { house, links, mailIn, logged, owner, reply: outside.replyAddressOf(owner), capture: `c${links.captureTokenOf(house.person('Aino'))}@${DOMAIN}` };
}

/** The receiving server stands for it. */
const VOUCHED = 'Authentication-Results: mx.kaislaranta.example; dmarc=pass header.from=kaislaranta.example';
const mail = (from: string, subject: string, body: string, more: string[] = []) =>
  [VOUCHED, `From: ${from}`, 'To: someone', `Subject: ${subject}`, `Message-ID: <${subject.replace(/\W/g, '')}@test.example>`, ...more, '', body].join('\r\n');

const calendar = (uid: string, partstat: string, who = 'workshop@engines.example') =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//X//Y//EN',
    'METHOD:REPLY',
    'BEGIN:VTODO',
    `UID:${uid}`,
    `ATTENDEE;PARTSTAT=${partstat}:mailto:${who}`,
    'END:VTODO',
    'END:VCALENDAR',
  ].join('\r\n');
const withCalendar = (from: string, text: string) =>
  [
    `From: ${from}`,
    'Subject: Re',
    'Message-ID: <cal@test.example>',
    'MIME-Version: 1.0',
    'Content-Type: text/calendar; method=REPLY; charset=utf-8',
    '',
    text,
  ].join('\r\n');

test('what comes with a mail is with its item, and once; a calendar’s answer is no file', async () => {
  const { house, mailIn, capture } = desk(true);
  const part = (type: string, name: string, body: string) => ['--b', `Content-Type: ${type}; name="${name}"`, `Content-Disposition: attachment; filename="${name}"`, '', body]; // prettier-ignore
  const body = ['--b', 'Content-Type: text/plain', '', 'See below.', ...part('text/plain', '../offer.txt', '1200 euros'), ...part('text/calendar', 'a.ics', 'BEGIN:VCALENDAR'), '--b--'].join('\r\n'); // prettier-ignore
  const raw = mail('Aino <aino@kaislaranta.example>', 'Offer', body, ['MIME-Version: 1.0', 'Content-Type: multipart/mixed; boundary=b']);
  expect(await mailIn.take(raw, capture)).toEqual({ outcome: 'added' });
  expect(await mailIn.take(raw, capture)).toEqual({ outcome: 'added' });
  const item = house.row('item', ({ title }) => title === 'Offer');
  const files = house.ledger.rows(house.houseId).by('attachment', 'itemId', item.id);
  expect(files.map(({ name, mediaType, arrivedAt }) => [name, mediaType, arrivedAt !== null])).toEqual([['offer.txt', 'text/plain', true]]);
});

test('a mail to one’s capture address is something to sort, with its subject and words, and once', async () => {
  const { house, mailIn, capture } = desk();
  const raw = mail('Aino <AINO@kaislaranta.example>', 'Offer for the jetty', 'See below.\r\n1200 euros');
  expect(mailIn.knows(capture)).toBe(true);
  expect(await mailIn.take(raw, capture)).toEqual({ outcome: 'added' });
  await mailIn.take(raw, capture);
  const made = house.ledger
    .rows(house.houseId)
    .all('item')
    .filter(({ title }) => title === 'Offer for the jetty');
  expect(made).toMatchObject([{ makerId: house.person('Aino'), listId: null, notes: 'See below.\n1200 euros' }]);
});

test('of a mail in HTML the words are kept, nothing of its markup', async () => {
  const { house, mailIn, capture } = desk();
  await mailIn.take(
    mail('aino@kaislaranta.example', 'Page', '<p>Hello <script>alert(1)</script><b>there</b></p>', ['Content-Type: text/html; charset=utf-8']),
    capture,
  );
  const { notes } = house.row('item', ({ title }) => title === 'Page');
  expect(notes).toMatch(/Hello\s+there/);
  expect(notes).not.toMatch(/[<>]|alert/);
});

test('a stranger is refused and logged; so is an address nobody has', async () => {
  const { house, mailIn, capture, logged } = desk();
  expect(await mailIn.take(mail('someone@elsewhere.example', 'Win', 'now'), capture)).toMatchObject({ outcome: 'refused' });
  expect(logged.join()).toContain('someone@elsewhere.example');
  const wrong = capture.replace(/.@/, (end) => (end[0] === '0' ? '1@' : '0@'));
  expect([mailIn.knows(wrong), mailIn.knows(`x@${DOMAIN}`), mailIn.knows('')]).toEqual([false, false, false]);
  expect(
    house.ledger
      .rows(house.houseId)
      .all('item')
      .filter(({ title }) => title === 'Win'),
  ).toEqual([]);
});

test('a mail that comes back is said, once, to who handed over; another address can’t say so', async () => {
  const { house, links, mailIn } = desk();
  house.item('Aino', 'Repair the engine', { persons: [house.person('Workshop')] });
  const notice = house.ledger.rows(house.houseId).by('notice', 'personId', house.person('Workshop'))[0]!;
  const back = `b${links.bounceTokenOf(notice.id)}@${DOMAIN}`;
  expect([mailIn.knows(back), mailIn.knows(`b${links.captureTokenOf(notice.id)}@${DOMAIN}`)]).toEqual([true, false]);
  for (let time = 0; time < 2; time++) await mailIn.take(mail('MAILER-DAEMON@engines.example', 'Undelivered Mail', 'no such user'), back);
  expect(house.notices('Aino').map(({ kind, params }) => [kind, params['who'], params['why']])).toEqual([['undelivered', 'Workshop', 'the mail came back']]);
});

describe('a reply of somebody outside', () => {
  const asked = () => {
    const all = desk();
    const item = all.house.item('Aino', 'Repair the engine', { persons: [all.owner.personId] });
    const part = () => all.house.row('part', ({ itemId, personId }) => itemId === item && personId === all.owner.personId);
    return { ...all, item, part };
  };

  test.each([
    ['COMPLETED', 'completed'],
    ['ACCEPTED', 'accepted'],
    ['DECLINED', 'declined'],
    ['IN-PROCESS', 'in-process'],
  ])('of their calendar sets the standing: %s', async (partstat, standing) => {
    const { mailIn, reply, item, part } = asked();
    expect(await mailIn.take(withCalendar('workshop@engines.example', calendar(item, partstat)), reply)).toEqual({ outcome: 'answered' });
    expect(part().standing).toBe(standing);
  });

  test('in words is said in the thread, without what it quotes', async () => {
    const { house, mailIn, reply, item } = asked();
    const notice = house.ledger.rows(house.houseId).by('notice', 'personId', house.person('Workshop'))[0]!;
    const raw = mail('workshop@engines.example', 'Re: engine', 'Thursday then.\r\n\r\nOn Tue, Kaislaranta wrote:\r\n> Repair the engine', [
      `In-Reply-To: <${notice.id}@${DOMAIN}>`,
    ]);
    expect(await mailIn.take(raw, reply)).toEqual({ outcome: 'answered' });
    expect(house.row('comment', ({ itemId }) => itemId === item)).toMatchObject({ text: 'Thursday then.', authorId: house.person('Workshop') });
  });

  test.each([
    ['from another address', 'villain@engines.example', 'workshop@engines.example'],
    ['for another attendee', 'workshop@engines.example', 'aino@kaislaranta.example'],
  ])('forged %s is refused, and nothing changes', async (_name, from, attendee) => {
    const { mailIn, reply, item, part, logged } = asked();
    expect(await mailIn.take(withCalendar(from, calendar(item, 'COMPLETED', attendee)), reply)).toMatchObject({ outcome: 'refused' });
    expect(part().standing).toBe('needs-action');
    expect(logged).toHaveLength(1);
  });

  test('about something that was never theirs, or was taken back, is refused', async () => {
    const { house, mailIn, reply, item } = asked();
    const other = house.item('Aino', 'Private matter');
    expect(await mailIn.take(withCalendar('workshop@engines.example', calendar(other, 'COMPLETED')), reply)).toMatchObject({ outcome: 'refused' });
    house.give('Aino', 'part.takeBack', { item, persons: [house.person('Workshop')] });
    expect(await mailIn.take(withCalendar('workshop@engines.example', calendar(item, 'COMPLETED')), reply)).toMatchObject({ outcome: 'refused' });
  });

  test('after the link was withdrawn is refused', async () => {
    const { links, owner, mailIn, reply, item } = asked();
    links.withdraw(owner);
    expect(mailIn.knows(reply)).toBe(false);
    expect(await mailIn.take(withCalendar('workshop@engines.example', calendar(item, 'COMPLETED')), reply)).toMatchObject({ outcome: 'refused' });
  });
});

describe('what nobody stands for', () => {
  const unvouched = (more: string[] = []) => mail('aino@kaislaranta.example', 'Offer', 'See below.', more).replace(`${VOUCHED}\r\n`, '');
  const from = { from: '192.0.2.7', returnPath: 'aino@kaislaranta.example' };
  const titles = ({ house }: ReturnType<typeof desk>) => house.ledger.rows(house.houseId).all('item').map(({ title }) => title); // prettier-ignore
  const aino = ({ house }: ReturnType<typeof desk>) => house.row('person', ({ name }) => name === 'Aino');

  test('waits for its owner, who is told, once; taken, it is something to sort', async () => {
    const at = desk();
    for (let time = 0; time < 3; time++) expect(await at.mailIn.take(unvouched(), at.capture, from)).toEqual({ outcome: 'held' });
    expect(titles(at)).toEqual([]);
    expect(at.house.notices('Aino')).toMatchObject([{ kind: 'mail-held', params: { who: 'aino@kaislaranta.example', title: 'Offer' } }]);
    const [held] = at.mailIn.held.of(aino(at).id);
    const leila = at.house.row('person', ({ name }) => name === 'Leila');
    expect(await at.mailIn.accept(leila, held!.id)).toBe(false);
    expect(await at.mailIn.accept(aino(at), held!.id)).toBe(true);
    expect(titles(at)).toEqual(['Offer']);
    expect(at.mailIn.held.of(aino(at).id)).toEqual([]);
  });

  const part = (name: string, body: string) => ['--b', 'Content-Type: text/plain', `Content-Disposition: attachment; filename="${name}"`, '', body];
  const withFiles = (...files: [string, string][]) =>
    unvouched(['MIME-Version: 1.0', 'Content-Type: multipart/mixed; boundary="b"']).replace(
      'See below.',
      ['--b', 'Content-Type: text/plain', '', 'See below.', ...files.flatMap(([name, body]) => part(name, body)), '--b--', ''].join('\r\n'),
    );

  test('waits with what came with it; taken, it has that, and thrown away nothing is left of it', async () => {
    const at = desk(true);
    await at.mailIn.take(withFiles(['offer.txt', 'A hundred planks.'], ['plan.txt', 'Six boats.']), at.capture, from);
    const held = () => at.mailIn.held.of(aino(at).id);
    expect(held()).toMatchObject([{ files: [{ name: 'offer.txt' }, { name: 'plan.txt' }], filesLeft: 0 }]);
    expect(await at.mailIn.accept(aino(at), held()[0]!.id)).toBe(true);
    const files = at.house.ledger.rows(at.house.houseId).all('attachment');
    expect(files.map(({ name, arrivedAt }) => [name, arrivedAt !== null])).toEqual([['offer.txt', true], ['plan.txt', true]]); // prettier-ignore

    await at.mailIn.take(withFiles(['offer.txt', 'Another.']).replace(/Offer/g, 'Third'), at.capture, { ...from, from: '198.51.100.9' });
    const [third] = held();
    expect(at.mailIn.held.filesOf(third!)).toMatchObject([{ name: 'offer.txt' }]);
    at.mailIn.held.remove(aino(at).id, third!.id);
    expect(at.mailIn.held.filesOf(third!)).toEqual([]);
  });

  test('by a way that was taken before it comes in; by another it waits again', async () => {
    const at = desk();
    await at.mailIn.take(unvouched(), at.capture, from);
    await at.mailIn.accept(aino(at), at.mailIn.held.of(aino(at).id)[0]!.id);
    const next = unvouched().replace(/Offer/g, 'Second');
    expect(await at.mailIn.take(next, at.capture, from)).toEqual({ outcome: 'added' });
    expect(await at.mailIn.take(unvouched().replace(/Offer/g, 'Third'), at.capture, { ...from, from: '198.51.100.9' })).toEqual({ outcome: 'held' });
  });

  test.each([
    ['another server’s word', 'Authentication-Results: mx.elsewhere.example; dmarc=pass', 'held'],
    ['a signature of another domain', 'Authentication-Results: mx.kaislaranta.example; dkim=pass header.d=elsewhere.example', 'held'],
    ['it says it is forged', 'Authentication-Results: mx.kaislaranta.example; dmarc=fail', 'held'],
    ['a signature of its own domain', 'Authentication-Results: mx.kaislaranta.example; dkim=pass header.d=kaislaranta.example', 'added'],
    ['the path of its own domain', 'Authentication-Results: mx.kaislaranta.example; spf=pass smtp.mailfrom=aino@kaislaranta.example', 'added'],
    ['words between', 'Authentication-Results: mx.kaislaranta.example (a filter); dmarc=pass (p=none) header.from=kaislaranta.example', 'added'],
  ])('%s', async (_what, header, outcome) => {
    const at = desk();
    expect(await at.mailIn.take(unvouched([header]), at.capture, from)).toEqual({ outcome });
  });

  test('more than fifty are told to wait', async () => {
    const at = desk();
    for (let nth = 0; nth < 50; nth++) await at.mailIn.take(unvouched().replace(/Offer/g, `Offer ${nth}`), at.capture, from);
    expect(await at.mailIn.take(unvouched().replace(/Offer/g, 'One more'), at.capture, from)).toMatchObject({ outcome: 'refused', later: true });
  });
});

test.each([
  ['an automatic answer', ['Auto-Submitted: auto-replied'], 'a@b.example'],
  ['a list', ['List-Id: <news.example>'], 'a@b.example'],
  ['to many', ['Precedence: bulk'], 'a@b.example'],
  ['a report', ['Content-Type: multipart/report; boundary=x; report-type=delivery-status'], 'a@b.example'],
  ['what goes back to nobody', [], ''],
])('%s is not captured', async (_what, headers, returnPath) => {
  const { house, mailIn, capture, reply } = desk();
  const raw = mail('aino@kaislaranta.example', 'Away', 'I am away.', headers);
  expect(await mailIn.take(raw, capture, { from: '192.0.2.7', returnPath })).toEqual({ outcome: 'ignored' });
  expect(house.ledger.rows(house.houseId).all('item')).toEqual([]);
  // nor said as an answer
  const id = house.item('Aino', 'Repair the engine', { persons: [house.person('Workshop')] });
  expect(id).toBeTruthy();
  await mailIn.take(mail('workshop@engines.example', 'Re', 'I am away.', headers), reply, { from: '192.0.2.7', returnPath });
  expect(house.ledger.rows(house.houseId).all('comment')).toEqual([]);
});
