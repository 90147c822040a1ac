import { isHere, type CommandName, type Person } from '@kotiva/core';
import { readTodoReply, type TodoReply } from '@kotiva/core/formats/itip';
import { simpleParser, type ParsedMail } from 'mailparser';
import { SMTPServer, type SMTPServerDataStream, type SMTPServerSession } from 'smtp-server';
import { v5 } from 'uuid';
import type { Accounts } from '../auth/accounts.ts';
import type { Clock } from '../clock.ts';
import type { OutsideDesk } from '../outside/desk.ts';
import type { OutsideLinks } from '../outside/links.ts';
import type { Actor, Ledger } from '../sync/apply.ts';

const MOST_BYTES = 10 * 1024 * 1024;
const MOST_TEXT = 20_000;
const TITLE_MAX = 500;
/** Names of ids made from a mail's own (RFC 4122 URL namespace). */
const SPACE = '6ba7b811-9dad-11d1-80b4-00c04fd430c8';

/** What a mail came to. `refused` is answered to its sender's server and logged. */
export type Taken = { outcome: 'added' | 'answered' } | { outcome: 'refused'; why: string };
const refused = (why: string): Taken => ({ outcome: 'refused', why });

/**
 * Mail that comes in: to a capture address it becomes something to sort, to a reply address an answer. The address alone says whose it
 * is and can't be guessed; who sends has to be known as well.
 */
export class MailIn {
  constructor(
    private readonly ledger: Ledger,
    private readonly accounts: Accounts,
    private readonly links: OutsideLinks,
    private readonly desk: OutsideDesk,
    private readonly clock: Clock,
    private readonly houses: () => string[],
    private readonly log: (line: string) => void = (line) => console.warn(line),
  ) {}

  /** Whether there is anybody behind a local part. */
  knows(address: string): boolean {
    const [kind, token] = tokenIn(address);
    if (kind === 'c') return this.links.personOfCapture(token) !== null;
    if (kind === 'b') return this.links.noticeOfBounce(token) !== null;
    return kind === 'r' && this.desk.visit(token) !== null;
  }

  async take(raw: Buffer | string, recipient: string): Promise<Taken> {
    const [kind, token] = tokenIn(recipient);
    if (kind === 'b') return this.cameBack(token);
    const mail = await simpleParser(raw, { skipImageLinks: true, skipTextToHtml: true });
    const sender = mail.from?.value[0]?.address?.toLowerCase() ?? '';
    const taken = kind === 'c' ? this.capture(mail, sender, token) : kind === 'r' ? this.answer(mail, sender, token) : refused('nobody has this address');
    if (taken.outcome === 'refused') this.log(`a mail from <${sender}> was refused: ${taken.why}`);
    return taken;
  }

  /** What is sent to the return path of a mail says that it was not delivered (RFC 3464), whatever else it says: told once. */
  private cameBack(token: string): Taken {
    const noticeId = this.links.noticeOfBounce(token);
    for (const houseId of this.houses()) {
      const notice = noticeId ? this.ledger.rows(houseId).get('notice', noticeId) : 'absent';
      if (typeof notice === 'string') continue;
      const payload = { notice: notice.id, why: 'the mail came back' };
      this.ledger.apply({ id: v5('came-back', notice.id), houseId, name: 'notice.undelivered', payload, at: this.clock.now(), seen: 0 }, null);
      return { outcome: 'answered' };
    }
    return refused('nobody has this address');
  }

  private capture(mail: ParsedMail, sender: string, token: string): Taken {
    const owner = this.personWithId(this.links.personOfCapture(token));
    if (!owner?.accountId) return refused('nobody has this address');
    const account = this.accounts.byId(owner.accountId);
    if (!account) return refused('nobody has this address');
    const from = this.ledger
      .rows(owner.houseId)
      .all('person')
      .find((person) => isHere(person) && this.addressesOf(person).includes(sender));
    if (!from) return refused('its sender is not known here');
    const title = (mail.subject ?? '').replace(/\s+/g, ' ').trim().slice(0, TITLE_MAX) || firstLine(textOf(mail)) || 'Mail without a subject';
    const notes = [from.id === owner.id ? '' : `From ${from.name}`, textOf(mail)].filter(Boolean).join('\n\n').slice(0, MOST_TEXT);
    return this.give(owner.houseId, account, mail, 'item.add', { title, notes });
  }

  /** A calendar's answer counts before words; words without one are said in the thread of the item the mail was about. */
  private answer(mail: ParsedMail, sender: string, token: string): Taken {
    const visit = this.desk.visit(token);
    if (!visit) return refused('the link it answers was withdrawn');
    if (visit.person.email?.toLowerCase() !== sender) return refused('it does not come from who was asked');
    const reply = replyIn(mail);
    const itemId = reply?.uid ?? this.itemAnswered(mail, visit.houseId, visit.person.id);
    const own = visit.parts.find(({ item }) => item.id === itemId);
    if (!own) return refused('what it answers is not in their hands');
    if (reply && reply.attendee !== sender) return refused('it answers for somebody else');
    const text = withoutQuotes(textOf(mail));
    const command = reply ? replyCommand(reply, visit.person.id, own.item.id, reply.comment || text) : (['comment.say', { item: own.item.id, text }] as const);
    if (!command) return refused('its answer is not one that can be given here');
    if (!reply && text === '') return refused('there are no words in it');
    return this.give(visit.houseId, this.desk.actor(visit), mail, command[0], command[1], reply?.completedAt ?? undefined);
  }

  private give(houseId: string, by: Actor, mail: ParsedMail, name: CommandName, payload: unknown, at?: string): Taken {
    const id = v5(`mail:${by.id}:${mail.messageId ?? textOf(mail)}`, SPACE);
    const outcome = this.ledger.apply({ id, houseId, name, payload, at: at ?? this.clock.now(), seen: this.ledger.seq(houseId) }, by);
    if (outcome.outcome === 'refused') return refused(`it could not be done (${outcome.reason.code})`);
    return { outcome: name === 'item.add' ? 'added' : 'answered' };
  }

  /** The item of the notice whose mail this one answers: our message ids carry the notice's id. */
  private itemAnswered({ inReplyTo, references }: ParsedMail, houseId: string, personId: string): string | null {
    const ids = [inReplyTo ?? '', ...(Array.isArray(references) ? references : [references ?? ''])].join(' ').matchAll(/<([0-9a-f-]{36})@/g);
    for (const [, noticeId] of ids) {
      const notice = this.ledger.rows(houseId).get('notice', noticeId!);
      if (typeof notice !== 'string' && notice.personId === personId && notice.itemId) return notice.itemId;
    }
    return null;
  }

  private personWithId(personId: string | null): Person | null {
    if (personId === null) return null;
    for (const houseId of this.houses()) {
      const person = this.ledger.rows(houseId).get('person', personId);
      if (typeof person !== 'string' && isHere(person)) return person;
    }
    return null;
  }

  private addressesOf({ accountId, email }: Person): string[] {
    const account = accountId ? this.accounts.byId(accountId) : null;
    return [account?.email, email].flatMap((address) => (address ? [address.toLowerCase()] : []));
  }
}

function tokenIn(address: string): ['b' | 'c' | 'r' | null, string] {
  const local = address.split('@')[0]?.toLowerCase() ?? '';
  const [kind] = local;
  return kind === 'b' || kind === 'c' || kind === 'r' ? [kind, local.slice(1)] : [null, ''];
}

/** Words only: of a mail in HTML what it says is read, nothing of it is kept as markup. */
const textOf = (mail: ParsedMail): string => (mail.text ?? '').replace(/\r\n/g, '\n').trim().slice(0, MOST_TEXT);
const firstLine = (text: string): string => text.split('\n', 1)[0]!.trim().slice(0, TITLE_MAX);

/** What somebody wrote above the mail they answer. */
function withoutQuotes(text: string): string {
  const lines = text.split('\n');
  const quoted = lines.findIndex(
    (line, nth) => /^>/.test(line) || (/^(On|Am|Le|El) .+:\s*$/.test(line) && /^(>|\s*$)/.test(lines[nth + 1] ?? '')) || /^-{2,}\s*Original/i.test(line),
  );
  return (quoted < 0 ? lines : lines.slice(0, quoted)).join('\n').trim();
}

function replyIn(mail: ParsedMail): TodoReply | null {
  for (const { contentType, content } of mail.attachments) {
    if (!/^text\/calendar|^application\/ics/i.test(contentType)) continue;
    const reply = readTodoReply(content.toString('utf8'));
    if (reply) return reply;
  }
  return null;
}

function replyCommand({ partstat, percent }: TodoReply, person: string, item: string, words: string): readonly [CommandName, unknown] | null {
  switch (partstat) {
    case 'COMPLETED':
      return ['part.checkOff', { item, person }];
    case 'ACCEPTED':
      return ['part.accept', { item }];
    case 'DECLINED':
      return ['part.decline', { item, reason: words || 'by mail, without a word' }];
    case 'TENTATIVE':
      return words ? ['part.askBack', { item, question: words }] : null;
    case 'IN-PROCESS':
      return ['part.progress', { item, percent: percent ?? 50 }];
    default:
      return null;
  }
}

/** Listens for mail (RFC 5321). Unknown recipients are refused before anything is read, and so is what is too large. */
export function listenForMail(mailIn: MailIn, domain: string): SMTPServer {
  const server: SMTPServer = new SMTPServer({
    banner: 'Kotiva',
    disabledCommands: ['AUTH', 'STARTTLS'],
    size: MOST_BYTES,
    logger: false,
    onRcptTo({ address }, _session, callback) {
      const known = address.toLowerCase().endsWith(`@${domain.toLowerCase()}`) && mailIn.knows(address);
      callback(known ? null : smtpError(550, 'Nobody has this address.'));
    },
    onData(stream, session, callback) {
      void receive(stream, session, mailIn).then((why) => callback(why));
    },
  });
  server.on('error', (error) => console.error('mail coming in:', error.message));
  return server;
}

async function receive(stream: SMTPServerDataStream, { envelope }: SMTPServerSession, mailIn: MailIn): Promise<Error | null> {
  const chunks: Buffer[] = [];
  for await (const chunk of stream) chunks.push(chunk as Buffer);
  if (stream.sizeExceeded) return smtpError(552, 'That is more than 10 MB.');
  try {
    const taken = await Promise.all(envelope.rcptTo.map(({ address }) => mailIn.take(Buffer.concat(chunks), address)));
    const why = taken.find((one) => one.outcome === 'refused');
    return why?.outcome === 'refused' ? smtpError(550, `Refused: ${why.why}.`) : null;
  } catch (error) {
    console.error(error);
    return smtpError(451, 'It could not be read now. Try again later.');
  }
}

const smtpError = (responseCode: number, words: string): Error => Object.assign(new Error(words), { responseCode });
