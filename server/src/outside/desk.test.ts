import type { Mail } from '../notify/messenger.ts';
import { SENT } from '../notify/messenger.ts';
import { Outbox } from '../notify/outbox.ts';
import { LedgerHouse } from '../testing/ledger-house.ts';
import { OutsideDesk } from './desk.ts';
import { OutsideLinks } from './links.ts';

/** A house that hands things to a workshop without an account; its mails go to an array. */
function house() {
  const here = new LedgerHouse('Aino', 'Leila');
  const desk = new OutsideDesk(here.ledger, new OutsideLinks(here.storage.db), here.clock, 'https://kaislaranta.example', 'kaislaranta.example');
  const mailed: Mail[] = [];
  const outbox = new Outbox(here.storage.raw, here.ledger, here.clock, {
    push: { send: () => Promise.resolve(SENT) },
    mail: { send: (mail) => Promise.resolve(mailed.push(mail)).then(() => SENT) },
    outside: desk.mail,
    publicUrl: 'https://kaislaranta.example',
    mailDomain: 'kaislaranta.example',
  });
  here.give('Aino', 'person.add', { name: 'Workshop', mark: 'Ws', colour: 'moss', pattern: 'twill', email: 'workshop@engines.example' });
  const sent = async () => {
    here.later(5);
    await outbox.run();
    return mailed.splice(0);
  };
  return { here, sent, workshop: here.person('Workshop') };
}

const lineOf = (mail: Mail, name: string) =>
  mail.calendar!.text.split('\r\n').find((line) => line.startsWith(`${name}:`))?.slice(name.length + 1); // prettier-ignore

test('what is taken back from somebody without an account is called off in their calendar: the same entry, later, with nothing they did not know', async () => {
  const { here, sent, workshop } = house();
  const item = here.item('Aino', 'Service the outboard', { persons: [workshop], notes: 'Key under the mat' });
  const [asked] = await sent();
  expect([asked!.to, asked!.calendar!.method, lineOf(asked!, 'UID')]).toEqual(['workshop@engines.example', 'REQUEST', item]);
  here.give('Aino', 'item.change', { item, notes: 'They were slow last time', notesBase: 'Key under the mat' });
  await sent();
  here.give('Aino', 'part.takeBack', { item, persons: [workshop] });
  const [off, ...more] = await sent();
  expect(more).toEqual([]);
  expect([off!.calendar!.method, lineOf(off!, 'UID'), lineOf(off!, 'STATUS'), lineOf(off!, 'SUMMARY')]).toEqual([
    'CANCEL',
    item,
    'CANCELLED',
    'Service the outboard',
  ]);
  expect(Number(lineOf(off!, 'SEQUENCE'))).toBeGreaterThan(Number(lineOf(asked!, 'SEQUENCE')));
  expect(off!.calendar!.text).not.toContain('slow');
  expect(off!.text).not.toContain(`#${item}`);
});

test('somebody with an account is told, and led to no item they no longer see', async () => {
  const { here, sent } = house();
  const item = here.item('Aino', 'Wash the covers', { persons: [here.person('Leila')] });
  await sent();
  here.give('Aino', 'part.takeBack', { item, persons: [here.person('Leila')] });
  const [told] = await sent();
  expect([told!.subject, told!.calendar]).toEqual(['Aino took back “Wash the covers”', undefined]);
  expect(told!.text).not.toContain(item);
});

test('so is what is removed, each thing by itself', async () => {
  const { here, sent, workshop } = house();
  const items = ['Service the outboard', 'Mend the winch'].map((title) => here.item('Aino', title, { persons: [workshop] }));
  await sent();
  here.give('Aino', 'item.remove', { items });
  const off = await sent();
  expect(off.map((mail) => [mail.subject, mail.calendar!.method, lineOf(mail, 'UID')]).sort()).toEqual([
    ['Aino removed “Mend the winch”', 'CANCEL', items[1]],
    ['Aino removed “Service the outboard”', 'CANCEL', items[0]],
  ]);
});
