import { fileNameOf, isHere, type CommandName, type Person } from '@kotiva/core';
import { readTodoReply, type TodoReply } from '@kotiva/core/formats/itip';
import type { ParsedMail, SimpleParserOptions } from 'mailparser';
import { Readable } from 'node:stream';
import { v5 } from 'uuid';
import type { Accounts } from '../auth/accounts.ts';
import { networkOf } from '../auth/addresses.ts';
import type { Raw } from '../db/open.ts';
import type { Clock } from '../clock.ts';
import type { KeptFiles, WholeFile } from '../files/kept-files.ts';
import type { OutsideDesk } from '../outside/desk.ts';
import type { OutsideLinks } from '../outside/links.ts';
import type { Actor, Ledger } from '../sync/apply.ts';
import type { MailedFile } from './held-files.ts';
import type { HeldMails } from './held-mail.ts';
import { isAutomatic, vouchedFor } from './vouching.ts';

const MOST_TEXT = 20_000;
/** So many files of one mail are taken. */
const MOST_OF_A_MAIL = 20;
const CALENDAR = /^text\/calendar|^application\/ics/i;
const TITLE_MAX = 500;
/** Names of ids made from a mail's own (RFC 4122 URL namespace). */
const SPACE = '6ba7b811-9dad-11d1-80b4-00c04fd430c8';

/**
 * What a mail came to. `held`: its owner is asked first. `ignored`: nobody wrote it. `refused` is answered to its sender's server and
 * logged; `later`: it may try again.
 */
export type Taken = { outcome: 'added' | 'answered' | 'held' | 'ignored' } | { outcome: 'refused'; why: string; later?: true };
const refused = (why: string): Taken => ({ outcome: 'refused', why });

/** How it came: the address of the server that delivered it, and where it would go back to (RFC 5321), empty for what is not to. */
export interface Delivered {
  from: string;
  returnPath: string | null;
}
const UNKNOWN: Delivered = { from: 'unknown', returnPath: null };
/** HTML beyond is not turned into words. */
const MOST_HTML = 200_000;

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
    private readonly raw: Raw,
    readonly held: HeldMails,
    /** The name of the receiving server whose word about a mail is taken (RFC 8601 authserv-id); null: nobody's. */
    private readonly trust: string | null,
    private readonly log: (line: string) => void = (line) => console.warn(line),
    /** Null: no files are kept. */
    private readonly files: KeptFiles | null = null,
  ) {}

  /** Whether there is anybody behind a local part. */
  knows(address: string): boolean {
    const [kind, token] = tokenIn(address);
    if (kind === 'c') return this.links.personOfCapture(token) !== null;
    if (kind === 'b') return this.links.noticeOfBounce(token) !== null;
    return kind === 'r' && this.desk.visit(token) !== null;
  }

  async take(raw: readonly Buffer[] | string, recipient: string, delivered: Delivered = UNKNOWN): Promise<Taken> {
    const [kind, token] = tokenIn(recipient);
    if (kind === 'b') return this.cameBack(token);
    // a piece at a time, so that others have their turn
    const source = Readable.from(typeof raw === 'string' ? [Buffer.from(raw)] : raw);
    const options: SimpleParserOptions = { skipImageLinks: true, skipTextToHtml: true, maxHtmlLengthToParse: MOST_HTML };
    // its tables of character sets take a fifth of what starting the server takes
    const { simpleParser } = await import('mailparser');
    const mail = await simpleParser(source, options);
    const sender = mail.from?.value[0]?.address?.toLowerCase() ?? '';
    const taken =
      kind === 'c'
        ? await this.capture(mail, sender, token, delivered)
        : kind === 'r'
          ? await this.answer(mail, sender, token, delivered)
          : refused('nobody has this address');
    if (taken.outcome === 'refused') this.log(`a mail from <${sender}> was refused: ${taken.why}`);
    return taken;
  }

  /** What is sent to the return path of a mail says that it was not delivered (RFC 3464), whatever else it says: told once. */
  private cameBack(token: string): Taken {
    const noticeId = this.links.noticeOfBounce(token);
    const houseId = noticeId ? this.houseOf('notice', noticeId) : null;
    if (houseId === null || noticeId === null) return refused('nobody has this address');
    const payload = { notice: noticeId, why: 'the mail came back' };
    this.ledger.apply({ id: v5('came-back', noticeId), houseId, name: 'notice.undelivered', payload, at: this.clock.now(), seen: 0 }, null);
    return { outcome: 'answered' };
  }

  private async capture(mail: ParsedMail, sender: string, token: string, { from: server, returnPath }: Delivered): Promise<Taken> {
    if (isAutomatic(mail, returnPath)) return { outcome: 'ignored' };
    const owner = this.personWithId(this.links.personOfCapture(token));
    if (!owner?.accountId) return refused('nobody has this address');
    const account = this.accounts.byId(owner.accountId);
    if (!account) return refused('nobody has this address');
    const from = this.ledger
      .rows(owner.houseId)
      .all('person')
      .find((person) => isHere(person) && this.addressesOf(person).includes(sender));
    if (!from) return refused('its sender is not known here');
    const title = (mail.subject ?? '').replace(/\s+/g, ' ').trim().slice(0, TITLE_MAX) || firstLine(textOf(mail)) || 'Email without a subject';
    const notes = [from.id === owner.id ? '' : `From ${from.name}`, textOf(mail)].filter(Boolean).join('\n\n').slice(0, MOST_TEXT);
    const path = networkOf(server);
    const vouched = vouchedFor(mail, this.trust);
    if (vouched === 'pass' || (vouched === 'none' && this.held.trusts({ personId: owner.id, sender, path })))
      return this.give(owner.houseId, account, mail, 'item.add', { title, notes });
    return this.hold({ id: idOf(account, mail), houseId: owner.houseId, personId: owner.id, sender, path, title, notes }, filesIn(mail));
  }

  /** Anybody can write any sender: what nobody vouches for is its owner's to take. They are told. */
  private hold(mail: Parameters<HeldMails['hold']>[0], files: readonly MailedFile[]): Taken {
    if (!this.held.hold(mail, files)) return { outcome: 'refused', why: 'too many mails wait there already', later: true };
    const payload = { person: mail.personId, sender: mail.sender.slice(0, 254), title: mail.title };
    this.ledger.apply({ id: v5('held', mail.id), houseId: mail.houseId, name: 'mail.held', payload, at: this.clock.now(), seen: 0 }, null);
    return { outcome: 'held' };
  }

  /** Its owner takes what was held: it is added as theirs. False: it is not there any more, or can't be added. */
  async accept(person: Person, heldId: string): Promise<boolean> {
    const account = person.accountId ? this.accounts.byId(person.accountId) : null;
    const mail = this.held.get(person.id, heldId);
    if (!account || !mail) return false;
    const { id, houseId, title, notes } = mail;
    const outcome = this.ledger.apply(
      { id, houseId, name: 'item.add', payload: { title, notes }, at: this.clock.now(), seen: this.ledger.seq(houseId) },
      account,
    );
    if (outcome.outcome === 'refused') return false;
    await this.attach(this.held.filesOf(mail), { by: account, houseId, commandId: id, item: v5('0', id) });
    this.held.trust(mail);
    this.held.remove(person.id, heldId);
    return true;
  }

  /** A calendar's answer counts before words; words without one are said in the thread of the item the mail was about. */
  private async answer(mail: ParsedMail, sender: string, token: string, { returnPath }: Delivered): Promise<Taken> {
    const visit = this.desk.visit(token);
    if (!visit) return refused('the link it answers was withdrawn');
    if (visit.person.email?.toLowerCase() !== sender) return refused('it does not come from who was asked');
    if (vouchedFor(mail, this.trust) === 'fail') return refused('it does not come from where it says');
    const reply = replyIn(mail);
    // a calendar answers by itself, and is meant to
    if (!reply && isAutomatic(mail, returnPath)) return { outcome: 'ignored' };
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

  private async give(houseId: string, by: Actor, mail: ParsedMail, name: CommandName, payload: unknown, at?: string): Promise<Taken> {
    const outcome = this.ledger.apply({ id: idOf(by, mail), houseId, name, payload, at: at ?? this.clock.now(), seen: this.ledger.seq(houseId) }, by);
    if (outcome.outcome === 'refused') return refused(`it could not be done (${outcome.reason.code})`);
    const commandId = idOf(by, mail);
    // the first that a command makes follows from its id
    await this.attach(filesIn(mail), { by, houseId, commandId, item: name === 'item.add' ? v5('0', commandId) : String((payload as { item: string }).item) });
    return { outcome: name === 'item.add' ? 'added' : 'answered' };
  }

  /** What came with it, once however often it is delivered. What is too large stays in the mail. */
  private async attach(files: readonly MailedFile[], where: Omit<WholeFile, 'name' | 'bytes'>): Promise<void> {
    for (const [nth, file] of files.entries()) await this.files?.takeWhole({ ...where, commandId: v5(`file:${nth}`, where.commandId), ...file });
  }

  /** The item of the notice whose mail this one answers: our message ids carry the notice's id. */
  private itemAnswered({ inReplyTo, references }: ParsedMail, houseId: string, personId: string): string | null {
    const ids = [inReplyTo ?? '', ...(Array.isArray(references) ? references : [references ?? ''])].join(' ').matchAll(/<([0-9a-f-]{36})@/g);
    for (const [, noticeId] of ids) {
      const notice = this.ledger.rows(houseId).find('notice', noticeId!);
      if (notice !== undefined && notice.personId === personId && notice.itemId) return notice.itemId;
    }
    return null;
  }

  private personWithId(personId: string | null): Person | null {
    const houseId = personId === null ? null : this.houseOf('person', personId);
    const person = houseId === null || personId === null ? undefined : this.ledger.rows(houseId).find('person', personId);
    return person !== undefined && isHere(person) ? person : null;
  }

  private houseOf(noun: 'person' | 'notice', id: string): string | null {
    return (this.raw.prepare(`SELECT "houseId" FROM ${noun} WHERE id = ?`).get(id) as { houseId: string } | undefined)?.houseId ?? null;
  }

  private addressesOf({ accountId, email }: Person): string[] {
    const account = accountId ? this.accounts.byId(accountId) : null;
    return [account?.email, email].flatMap((address) => (address ? [address.toLowerCase()] : []));
  }
}

/** The files of a mail that are files to somebody: no answer of a calendar, no picture of a signature. */
const filesIn = ({ attachments }: ParsedMail): MailedFile[] =>
  attachments
    .filter(({ contentType, content, related }) => !CALENDAR.test(contentType) && content.length > 0 && !related)
    .slice(0, MOST_OF_A_MAIL)
    .map(({ filename, content }) => ({ name: fileNameOf(filename ?? ''), bytes: content }));

/** The same mail is the same command, however often it is delivered. */
const idOf = (by: Pick<Actor, 'id'>, mail: ParsedMail): string => v5(`mail:${by.id}:${mail.messageId ?? textOf(mail)}`, SPACE);

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
    if (!CALENDAR.test(contentType)) continue;
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
