import {
  epochOf,
  instantOf,
  isHere,
  noticeChoicesId,
  topicOf,
  USUAL_CHOICES,
  type Channel,
  type Change,
  type Item,
  type Notice,
  type Person,
  type Reader,
} from '@kotiva/core';
import { v5 } from 'uuid';
import type { Clock } from '../clock.ts';
import { isOfStorage } from '../db/faults.ts';
import type { Raw } from '../db/open.ts';
import type { Actor, Ledger } from '../sync/apply.ts';
import { actsOf } from './acting.ts';
import type { MailPort, PushPort, PushTarget, Sent } from './messenger.ts';
import { sayBelow, sayNotice } from './words.ts';

/** Undo is offered for ten seconds and more: what an action told leaves the house when that has passed. */
const UNDO_MS = 15_000;
const MINUTE = 60_000;
/** Pauses between attempts: they double up to this. */
const LONGEST_PAUSE_MS = 6 * 60 * MINUTE;
/** After so long in vain somebody is told; after so many days it is given up. */
const SAID_AFTER_MS = 60 * MINUTE;
const GIVEN_UP_AFTER_MS = 4 * 24 * 60 * MINUTE;
/** Mails of one house to people without an account, in a day. */
export const MOST_OUTSIDE_A_DAY = 200;
/** Sent at a time. */
const AT_ONCE = 8;

interface Delivery {
  id: string;
  houseId: string;
  noticeId: string;
  personId: string;
  channel: Channel;
  target: string;
  attempts: number;
  nextAt: string;
  firstTriedAt: string | null;
  reportedAt: string | null;
}

/** A delivery that is still wanted: its notice, whom it is for, and the house it comes from. */
interface Letter {
  notice: Notice;
  person: Person;
  rows: Reader;
}

/** How a mail about an item is put together for a person without an account: their link, and the item as a calendar knows it. */
export interface OutsideMail {
  (
    notice: Notice,
    person: Person,
    item: Item | null,
  ): { footer: string; replyTo?: string; calendar?: { method: 'REQUEST' | 'CANCEL'; text: string }; unsubscribe?: string };
}

export interface Ways {
  push: PushPort;
  /** Null: no mail server is set. */
  mail: MailPort | null;
  outside: OutsideMail;
  /** Where the mail of a notice comes back to; null where no mail comes in. */
  returnPathOf?: ((noticeId: string) => string) | null;
  publicUrl: string;
  /** What stands behind the @ of message ids. */
  mailDomain: string;
}

/**
 * Notices on their way out of the house. Each is written with its notice in one transaction and gone through until it is out: at least
 * once, with an id that follows from the notice, so that what comes twice replaces itself.
 */
export class Outbox {
  private readonly statements;
  private running: Promise<number> | null = null;

  constructor(
    private readonly raw: Raw,
    private readonly ledger: Ledger,
    private readonly clock: Clock,
    private readonly ways: Ways,
  ) {
    this.statements = {
      add: raw.prepare(
        `INSERT OR IGNORE INTO delivery (id, "houseId", "noticeId", "personId", channel, target, state, attempts, "nextAt") VALUES (?, ?, ?, ?, ?, ?, 'waiting', 0, ?)`,
      ),
      due: raw.prepare(`SELECT * FROM delivery WHERE state = 'waiting' AND "nextAt" <= ? ORDER BY "nextAt", id LIMIT ${AT_ONCE}`),
      next: raw.prepare(`SELECT MIN("nextAt") AS at FROM delivery WHERE state = 'waiting'`),
      begin: raw.prepare(`UPDATE delivery SET "nextAt" = ?, attempts = attempts + 1, "firstTriedAt" = COALESCE("firstTriedAt", ?) WHERE id = ?`),
      settle: raw.prepare(`UPDATE delivery SET state = ?, "settledAt" = ?, why = ? WHERE id = ?`),
      failed: raw.prepare(`UPDATE delivery SET why = ? WHERE id = ?`),
      stopped: raw.prepare('SELECT 1 FROM "mailStop" WHERE "houseId" = ? AND "personId" = ?'),
      sentOutside: raw.prepare(
        `SELECT COUNT(*) AS many FROM delivery JOIN person ON person.id = delivery."personId" WHERE delivery.state = 'sent' AND delivery."settledAt" >= ? AND delivery.channel = 'mail' AND delivery."houseId" = ? AND person."accountId" IS NULL`,
      ),
      reported: raw.prepare(`UPDATE delivery SET "reportedAt" = ? WHERE id = ?`),
      devices: raw.prepare(`SELECT id, endpoint, p256dh, auth FROM "pushSubscription" WHERE "accountId" = ?`),
      device: raw.prepare(`SELECT id, endpoint, p256dh, auth FROM "pushSubscription" WHERE id = ?`),
      drop: raw.prepare(`DELETE FROM "pushSubscription" WHERE id = ?`),
      address: raw.prepare('SELECT email FROM account WHERE id = ?'),
    };
    ledger.beside((houseId, changes, rows, by) => this.enqueue(houseId, changes, rows, by));
  }

  /** Sends what is due, again and again until nothing is. Returns how many went out. Never two at a time. */
  run(): Promise<number> {
    this.running ??= this.sendAll().finally(() => (this.running = null));
    return this.running;
  }

  /** The moment of the next attempt, or null. */
  nextAt(): string | null {
    return (this.statements.next.get() as { at: string | null }).at;
  }

  private enqueue(houseId: string, changes: readonly Change[], rows: Reader, { account, now }: { account: Actor | null; now: string }): void {
    for (const change of changes) {
      if (change.noun !== 'notice' || !change.made) continue;
      const notice = change.fields as Notice;
      const person = rows.find('person', notice.personId);
      // a device that found its own person somewhere has rung already
      if (person === undefined || notice.byId === notice.personId) continue;
      const at = account === null ? now : instantOf(epochOf(now) + UNDO_MS);
      for (const [channel, target] of this.targetsOf(notice, person, rows))
        this.statements.add.run(v5(`${channel}:${target}`, change.id), houseId, change.id, person.id, channel, target, at);
    }
  }

  private *targetsOf(notice: Notice, person: Person, rows: Reader): Generator<[Channel, string]> {
    const chosen = rows.find('noticeChoices', noticeChoicesId(person.id));
    const { push, mail } = chosen === undefined ? USUAL_CHOICES : chosen;
    const topic = topicOf(notice.kind);
    if (person.accountId === null) {
      // nothing else reaches who has no account
      if (person.email) yield ['mail', ''];
      return;
    }
    if (push.includes(topic)) for (const { id } of this.statements.devices.all(person.accountId) as { id: string }[]) yield ['push', id];
    if (mail.includes(topic) && this.ways.mail) yield ['mail', ''];
  }

  private async sendAll(): Promise<number> {
    let sent = 0;
    for (;;) {
      const due = this.statements.due.all(this.clock.now()) as Delivery[];
      if (due.length === 0) return sent;
      const outcomes = await Promise.all(this.bundled(due).map((together) => this.attemptAlone(together)));
      sent += outcomes.filter((outcome) => outcome?.outcome === 'sent').length;
    }
  }

  /** What can't be put together, or throws, is its own misfortune: it waits for its next time, and the rest goes out. */
  private async attemptAlone(together: readonly Delivery[]): Promise<Sent | null> {
    try {
      return await this.attempt(together);
    } catch (error) {
      if (isOfStorage(error)) throw error;
      console.error(error);
      return null;
    }
  }

  /** Nudges on their way to one account by one way go out as one, whichever houses they come from. Everything else goes by itself. */
  private bundled(due: readonly Delivery[]): Delivery[][] {
    const bundles = new Map<string, Delivery[]>();
    for (const delivery of due) {
      const letter = this.letterOrNull(delivery);
      const nudged = letter && (letter.notice.kind === 'nudge' || letter.notice.kind === 'nudges') && letter.person.accountId;
      const name = nudged ? `${delivery.channel}:${delivery.target}:${nudged}` : delivery.id;
      bundles.set(name, [...(bundles.get(name) ?? []), delivery]);
    }
    return [...bundles.values()];
  }

  /**
   * One attempt, and what follows from it. What was read, withdrawn or is for nobody any more is dropped. That it is tried, and when the
   * next time would be, is written before it is sent: where nothing can be written nothing goes out, and a machine that is cut off in
   * between does not send again and again.
   */
  private async attempt(together: readonly Delivery[]): Promise<Sent | null> {
    for (const delivery of together) this.begin(delivery);
    const letters = together.map((delivery) => ({ delivery, letter: this.letterOf(delivery) }));
    const wanted = letters.flatMap(({ delivery, letter }) => (letter ? [{ delivery, ...letter }] : []));
    const sent = wanted.length === 0 ? null : await (wanted.length === 1 ? this.send(wanted[0]!) : this.sendDigest(wanted));
    const now = this.clock.now();
    for (const { delivery, letter } of letters) {
      if (sent === null || letter === null) this.statements.settle.run('dropped', now, null, delivery.id);
      else if (sent.outcome === 'sent') this.statements.settle.run('sent', now, null, delivery.id);
      else if (sent.outcome === 'never') this.giveUp(delivery, sent.why, now);
      else this.tryLater(delivery, sent.why, now);
    }
    return sent;
  }

  private begin(delivery: Delivery): void {
    const now = this.clock.now();
    const pause = Math.min(MINUTE * 2 ** Math.min(delivery.attempts, 12), LONGEST_PAUSE_MS);
    this.statements.begin.run(instantOf(epochOf(now) + pause), now, delivery.id);
  }

  private letterOrNull(delivery: Delivery): Letter | null {
    try {
      return this.letterOf(delivery);
    } catch {
      return null;
    }
  }

  private letterOf({ houseId, noticeId, personId }: Delivery): Letter | null {
    const rows = this.ledger.rows(houseId);
    const notice = rows.find('notice', noticeId);
    const person = rows.find('person', personId);
    if (notice === undefined || person === undefined || !isHere(person)) return null;
    return notice.withdrawnAt !== null || notice.readAt !== null ? null : { notice, person, rows };
  }

  private send({ delivery, notice, person, rows }: Letter & { delivery: Delivery }): Promise<Sent | null> {
    return delivery.channel === 'push' ? this.sendPush(delivery, notice, rows) : this.sendMail(notice, person, rows);
  }

  /** Several nudges as one message, under the id of the first. */
  private sendDigest(letters: readonly (Letter & { delivery: Delivery })[]): Promise<Sent | null> {
    const titles = letters.flatMap(({ notice: { params } }) => (Array.isArray(params['titles']) ? params['titles'] : [String(params['title'] ?? '')]));
    const { delivery, notice, person, rows } = letters[0]!;
    const one: Notice = { ...notice, kind: 'nudges', itemId: null, params: { ...notice.params, titles, count: titles.length } };
    return this.send({ delivery, notice: one, person, rows });
  }

  private sendPush({ target, houseId }: Delivery, notice: Notice, rows: Reader): Promise<Sent | null> {
    const device = this.statements.device.get(target) as PushTarget | undefined;
    if (!device) return Promise.resolve(null);
    return this.ways.push.send(device, {
      tag: notice.id,
      title: sayNotice(notice, byOf(notice, rows)),
      body: sayBelow(notice),
      houseId,
      noticeId: notice.id,
      itemId: notice.itemId,
      acts: actsOf(notice.kind),
    });
  }

  private sendMail(notice: Notice, person: Person, rows: Reader): Promise<Sent | null> {
    const to = person.accountId ? (this.statements.address.get(person.accountId) as { email: string } | undefined)?.email : person.email;
    if (!to) return Promise.resolve(null);
    if (!this.ways.mail) return Promise.resolve({ outcome: 'later', why: 'no mail server has been set up' });
    if (person.accountId === null) {
      if (this.statements.stopped.get(person.houseId, person.id)) return Promise.resolve({ outcome: 'never', why: 'they stopped emails from this house' });
      if (this.sentToday(person.houseId) >= MOST_OUTSIDE_A_DAY)
        return Promise.resolve({ outcome: 'later', why: 'this house has reached its limit of emails for today' });
    }
    const held = rows.find('item', aboutWhich(notice, person) ?? '') ?? null;
    const { publicUrl, mailDomain } = this.ways;
    const { footer, replyTo, calendar, unsubscribe } = person.accountId
      ? {
          footer: `${held ? `${publicUrl}/?item=${held.id}` : publicUrl}\n\nYou can choose which emails you get in Kotiva, under More, Notifications.`,
          replyTo: undefined,
          calendar: undefined,
          unsubscribe: undefined,
        }
      : this.ways.outside(notice, person, held);
    const subject = sayNotice(notice, byOf(notice, rows));
    const text = [subject, sayBelow(notice), footer].filter(Boolean).join('\n\n');
    return this.ways.mail.send({
      to,
      subject,
      text,
      messageId: `${notice.id}@${mailDomain}`,
      replyTo,
      calendar,
      unsubscribe,
      returnPath: this.ways.returnPathOf?.(notice.id),
    });
  }

  /** Mails to people without an account in the last day. */
  private sentToday(houseId: string): number {
    const since = instantOf(epochOf(this.clock.now()) - 24 * 60 * MINUTE);
    return (this.statements.sentOutside.get(since, houseId) as { many: number }).many;
  }

  private giveUp(delivery: Delivery, why: string, now: string): void {
    this.statements.settle.run('failed', now, why, delivery.id);
    // a device that has gone is no fault: what it missed waits inside
    if (delivery.channel === 'push') this.statements.drop.run(delivery.target);
    else this.report(delivery, why, now);
  }

  private tryLater(delivery: Delivery, why: string, now: string): void {
    const first = delivery.firstTriedAt ?? now;
    const tried = epochOf(now) - epochOf(first);
    if (tried >= GIVEN_UP_AFTER_MS) return this.giveUp(delivery, why, now);
    this.statements.failed.run(why, delivery.id);
    if (tried >= SAID_AFTER_MS && delivery.channel === 'mail') this.report(delivery, why, now);
  }

  /** Said once, to whoever can do something about it. */
  private report({ id, houseId, noticeId, reportedAt }: Delivery, why: string, now: string): void {
    if (reportedAt !== null) return;
    this.ledger.apply(
      { id: v5('undelivered', id), houseId, name: 'notice.undelivered', payload: { notice: noticeId, why: why.slice(0, 300) }, at: now, seen: 0 },
      null,
    );
    this.statements.reported.run(now, id);
  }
}

function byOf({ byId }: Notice, rows: Reader): Person | null {
  const by = byId ? rows.find('person', byId) : undefined;
  return by ?? null;
}

/** What is no longer somebody's to see is named to who has no account alone: their calendar still shows it. */
function aboutWhich({ itemId, params }: Notice, { accountId }: Person): string | null {
  if (itemId !== null || accountId !== null) return itemId;
  return typeof params['item'] === 'string' ? params['item'] : null;
}
