import type { NoticeAct } from '@kotiva/core';
import type { Hono } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { createTransport } from 'nodemailer';
import { v7 } from 'uuid';
import type { Env, Services } from '../../../server/src/context.ts';
import { actOn } from '../../../server/src/routes/notices.ts';
import { signedIn } from '../../../server/src/routes/session.ts';
import type { KeptMail, Mailbox } from './mailbox.ts';
import { walkingPhones } from './walking-phones.ts';
import { mailboxPage, mailPage, phonesPage, startPage } from './pages.ts';
import type { Phones } from './phones.ts';

/** What a browser or a mail server outside would do, on pages of the demo. Nothing here exists in `npm start`. */
export function mountStandIns(
  app: Hono<Env>,
  services: Services,
  { mailbox, phones, mailInPort }: { mailbox: Mailbox; phones: Phones; mailInPort: number | null },
): void {
  const { clock, simulated, timers, outbox, hub, mailDomain } = services;
  app.use('/simulate/*', bodyLimit({ maxSize: 256 * 1024 }));
  app.use('/simulate/*', async (c, next) => {
    const origin = c.req.header('origin');
    if (c.req.method !== 'GET' && origin && new URL(origin).host !== c.req.header('host')) return c.text('This came from another site.', 403);
    return next();
  });

  app.get('/simulate', (c) => c.html(startPage(clock.now(), mailInPort === null ? null : `port ${mailInPort}, addresses @${mailDomain}`)));
  app.post('/simulate/clock', async (c) => {
    const { advance } = await c.req.parseBody();
    if (!simulated || typeof advance !== 'string' || !/^P(T\d{1,3}H|\d{1,2}D)$/.test(advance)) return c.text('That is no step.', 422);
    await fetch(new URL('/api/simulate/clock', services.publicUrl), {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ advance }),
    });
    return c.redirect('/simulate', 303);
  });

  app.get('/simulate/mailbox', async (c) => c.html(mailboxPage(await mailbox.all())));
  app.get('/simulate/mailbox/:id', async (c) => {
    const mail = await mailbox.get(c.req.param('id'));
    return mail ? c.html(mailPage(mail, c.req.query('sent') ?? null)) : c.notFound();
  });
  app.post('/simulate/mailbox/:id/reply', async (c) => {
    const mail = await mailbox.get(c.req.param('id'));
    const { text, partstat } = (await c.req.parseBody()) as { text: string; partstat: string };
    if (!mail?.replyTo || mailInPort === null) return c.notFound();
    const said = await reply(mail, mail.replyTo, text, partstat, mailInPort);
    return c.redirect(`/simulate/mailbox/${mail.id}?sent=${encodeURIComponent(said)}`, 303);
  });

  app.post('/api/simulate/phones', signedIn(services), (c) => {
    const { account } = c.get('signedIn');
    return c.json(phones.add(account.id, `${account.name}’s device`), 201);
  });
  app.post('/simulate/push/:id', async (c) => {
    const body = Buffer.from(await c.req.arrayBuffer());
    return c.body(null, phones.receive(c.req.param('id'), body, { authorization: c.req.header('authorization'), encoding: c.req.header('content-encoding') }));
  });
  app.route('/api', walkingPhones(services));
  app.get('/simulate/phones', (c) => c.html(phonesPage(phones)));
  app.post('/simulate/phones/:phone/:tag', async (c) => {
    const { act, text } = (await c.req.parseBody()) as { act: string; text?: string };
    const phone = phones.get(c.req.param('phone'));
    const message = phones.take(c.req.param('phone'), c.req.param('tag'));
    if (phone && message && act) {
      const person = services.ledger.rows(message.houseId).by('person', 'accountId', phone.accountId)[0];
      if (person) actOn(services, message.houseId, message.noticeId, person.id, act as NoticeAct, text ?? '');
    }
    timers.run();
    await outbox.run();
    hub.tellTime(clock.now());
    return c.redirect('/simulate/phones', 303);
  });
}

/** Answers a mail as its receiver's mail program would: words, or what their calendar says (RFC 6047). */
async function reply(mail: KeptMail, to: string, text: string, partstat: string, port: number): Promise<string> {
  const transport = createTransport({ host: '127.0.0.1', port, ignoreTLS: true });
  const uid = /^UID:(.+)$/m.exec(mail.calendar ?? '')?.[1]?.trim();
  const address = /<([^<>]+)>/.exec(mail.to)?.[1] ?? mail.to;
  const calendar = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Demo//Mailbox//EN',
    'METHOD:REPLY',
    'BEGIN:VTODO',
    `UID:${uid}`,
    'DTSTAMP:20261124T100000Z',
    `ATTENDEE;PARTSTAT=${partstat}:mailto:${address}`,
    'END:VTODO',
    'END:VCALENDAR',
    '',
  ].join('\r\n');
  try {
    await transport.sendMail({
      from: address,
      to,
      subject: `Re: ${mail.subject}`,
      text: text || ' ',
      inReplyTo: mail.messageId ?? undefined,
      messageId: `<${v7()}@mailbox.example>`,
      icalEvent: partstat && uid ? { method: 'REPLY', content: calendar } : undefined,
    });
    return 'Sent.';
  } catch (error) {
    return `Not taken: ${(error as Error).message}`;
  }
}
