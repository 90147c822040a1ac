import { onArriving } from '@kotiva/core';
import { LedgerHouse } from '../testing/ledger-house.ts';
import { SENT, type Mail, type PushMessage, type Sent } from './messenger.ts';
import { Outbox } from './outbox.ts';

/** A house whose pushes and mails go to arrays; what becomes of each can be said beforehand. */
class Post {
  readonly house = new LedgerHouse('Aino', 'Leila');
  readonly pushed: PushMessage[] = [];
  readonly mailed: Mail[] = [];
  mailAnswer: () => Sent = () => SENT;
  pushAnswer: () => Sent = () => SENT;
  readonly outbox = new Outbox(this.house.storage.raw, this.house.ledger, this.house.clock, {
    push: { send: (_target, message) => Promise.resolve(this.pushed.push(message)).then(() => this.pushAnswer()) },
    mail: { send: (mail) => Promise.resolve(this.mailed.push(mail)).then(() => this.mailAnswer()) },
    outside: () => ({ footer: 'your link', replyTo: 'reply@kaislaranta.example' }),
    publicUrl: 'https://kaislaranta.example',
    mailDomain: 'kaislaranta.example',
  });

  /** A browser of somebody that takes notifications. */
  device(name: string, nth = 0): void {
    const { raw } = this.house.storage;
    raw
      .prepare('INSERT INTO device (id, "secretHash", "accountId", label, "createdAt", "lastSeenAt") VALUES (?, ?, ?, ?, ?, ?)')
      .run(`d-${name}-${nth}`, `${name}${nth}`, this.house.accountOf(name), '', '', '');
    raw
      .prepare('INSERT INTO "pushSubscription" (id, "deviceId", "accountId", endpoint, p256dh, auth, "createdAt") VALUES (?, ?, ?, ?, ?, ?, ?)')
      .run(`s-${name}-${nth}`, `d-${name}-${nth}`, this.house.accountOf(name), `https://push.example/${name}${nth}`, 'k', 'a', '');
  }

  async after(minutes: number): Promise<void> {
    this.house.later(minutes);
    await this.outbox.run();
  }
}

test('a handover reaches every device and the mailbox, with the message, once its undo has passed', async () => {
  const post = new Post();
  post.device('Leila', 0);
  post.device('Leila', 1);
  post.house.item('Aino', 'Order candles', { persons: [post.house.person('Leila')], message: 'The white ones' });
  await post.outbox.run();
  expect([post.pushed, post.mailed]).toEqual([[], []]);
  await post.after(1);
  expect(post.pushed.map(({ title, body, acts }) => ({ title, body, acts }))).toEqual(
    Array.from({ length: 2 }, () => ({ title: 'Aino handed you “Order candles”', body: 'The white ones', acts: ['take', 'done', 'answer'] })),
  );
  const [notice] = post.house.notices('Leila');
  expect(post.pushed.map(({ tag }) => tag)).toEqual([notice!.id, notice!.id]);
  expect(post.mailed).toMatchObject([
    { to: 'leila@kaislaranta.example', subject: 'Aino handed you “Order candles”', messageId: `${notice!.id}@kaislaranta.example` },
  ]);
  await post.after(600);
  expect([post.pushed.length, post.mailed.length]).toEqual([2, 1]);
});

test('undone before it left, or read inside, it does not leave', async () => {
  const post = new Post();
  post.device('Leila');
  const { house } = post;
  const given = house.give('Aino', 'item.add', { title: 'Order candles', persons: [house.person('Leila')] });
  house.give('Aino', 'undo', { command: given });
  house.item('Aino', 'Book the sauna', { persons: [house.person('Leila')] });
  house.give('Leila', 'notice.read', { notices: house.notices('Leila').map(({ id }) => id) });
  await post.after(10);
  expect([post.pushed, post.mailed]).toEqual([[], []]);
});

test('only what somebody chose to be told of, by the way they chose', async () => {
  const post = new Post();
  post.device('Leila');
  const { house } = post;
  house.give('Leila', 'notice.choose', { push: ['reminders'], mail: [] });
  house.item('Aino', 'Order candles', { persons: [house.person('Leila')] });
  await post.after(1);
  expect([post.pushed, post.mailed]).toEqual([[], []]);
  house.give('Leila', 'notice.choose', { push: ['handovers'] });
  house.item('Aino', 'Book the sauna', { persons: [house.person('Leila')] });
  await post.after(1);
  expect(post.pushed.map(({ title }) => title)).toEqual(['Aino handed you “Book the sauna”']);
  expect(post.mailed).toEqual([]);
});

test('a mail server that is down: tried again with growing pauses and the same id, said to the manager after an hour, once', async () => {
  const post = new Post();
  const { house } = post;
  house.item('Aino', 'Order candles', { persons: [house.person('Leila')] });
  post.mailAnswer = () => ({ outcome: 'later', why: 'connection refused' });
  const tries: number[] = [];
  for (let minute = 1; minute <= 300; minute++) {
    const before = post.mailed.length;
    await post.after(1);
    if (post.mailed.length > before) tries.push(minute);
  }
  const pauses = tries.slice(1).map((minute, nth) => minute - tries[nth]!);
  expect(pauses).toEqual([1, 2, 4, 8, 16, 32, 64, 128]);
  expect(new Set(post.mailed.map(({ messageId }) => messageId)).size).toBe(1);
  expect(house.notices('Aino').map(({ kind, params }) => [kind, params['why']])).toEqual([['undelivered', 'connection refused']]);
  post.mailAnswer = () => SENT;
  await post.after(300);
  const mails = post.mailed.filter(({ to }) => to === 'leila@kaislaranta.example').length;
  await post.after(6000);
  expect(post.mailed.filter(({ to }) => to === 'leila@kaislaranta.example')).toHaveLength(mails);
});

test('an address that takes nothing is given up at once and said', async () => {
  const post = new Post();
  const { house } = post;
  house.item('Aino', 'Order candles', { persons: [house.person('Leila')] });
  post.mailAnswer = () => ({ outcome: 'never', why: '550 no such mailbox' });
  await post.after(1);
  post.mailAnswer = () => SENT;
  await post.after(500);
  expect(post.mailed.filter(({ to }) => to === 'leila@kaislaranta.example')).toHaveLength(1);
  expect(house.notices('Aino').map(({ kind }) => kind)).toEqual(['undelivered']);
});

test('a device that has gone is forgotten, without a word', async () => {
  const post = new Post();
  post.device('Leila');
  const { house } = post;
  house.give('Leila', 'notice.choose', { mail: [] });
  post.pushAnswer = () => ({ outcome: 'never', why: '410' });
  house.item('Aino', 'Order candles', { persons: [house.person('Leila')] });
  await post.after(1);
  house.item('Aino', 'Book the sauna', { persons: [house.person('Leila')] });
  await post.after(1);
  expect(post.pushed).toHaveLength(1);
  expect(house.notices('Aino')).toEqual([]);
});

test('cut off between sending and noting it, it goes out again at its next time, under the same id', async () => {
  jest.spyOn(console, 'error').mockImplementationOnce(() => undefined);
  const post = new Post();
  const { house } = post;
  house.item('Aino', 'Order candles', { persons: [house.person('Leila')] });
  post.mailAnswer = () => {
    throw new Error('the power went');
  };
  await post.after(1);
  expect(post.mailed).toHaveLength(1);
  post.mailAnswer = () => SENT;
  await post.after(1);
  expect(post.mailed.map(({ messageId }) => messageId)).toEqual([post.mailed[0]!.messageId, post.mailed[0]!.messageId]);
});

test('somebody without an account is told by mail, with their link and an address to reply to; without an address not at all', async () => {
  const post = new Post();
  const { house } = post;
  house.give('Aino', 'person.add', { name: 'Workshop', mark: 'Ws', colour: 'moss', pattern: 'twill', email: 'workshop@engines.example' });
  house.give('Aino', 'person.add', { name: 'Neighbour', mark: 'Nb', colour: 'plum', pattern: 'twill' });
  house.item('Aino', 'Repair the engine', { persons: [house.person('Workshop'), house.person('Neighbour')], policy: 'any' });
  await post.after(1);
  expect(post.mailed).toMatchObject([
    { to: 'workshop@engines.example', replyTo: 'reply@kaislaranta.example', text: expect.stringContaining('your link') as string },
  ]);
});

test('what rang on the device that found its person at a place is not sent to it as well; what the hour brings up is', async () => {
  const post = new Post();
  post.device('Leila');
  const { house } = post;
  house.give('Aino', 'place.make', { name: 'Shop' });
  const place = house.ledger.rows(house.houseId).all('place')[0]!.id;
  house.item('Leila', 'Candles', { alarms: [onArriving(place)] });
  house.later(1);
  house.give('Leila', 'visit.report', { place, on: 'enter', at: house.clock.now() });
  await post.after(5);
  expect(house.notices('Leila').filter(({ kind }) => kind === 'reminder')).toHaveLength(1);
  expect(post.pushed).toEqual([]);
});
