import { byAdded, counts, isDone, isHere, type Attachment, type Item, type Notice, type Part, type Person, type Reader } from '@kotiva/core';
import { todoCancel, todoRequest } from '@kotiva/core/formats/itip';
import type { Clock } from '../clock.ts';
import type { OutsideMail } from '../notify/outbox.ts';
import type { Actor, Ledger } from '../sync/apply.ts';
import type { LinkOwner, OutsideLinks } from './links.ts';

/** One thing an outside person was asked to do, as they may see it: no list, no siblings, nobody else's answers. */
export interface OutsidePart {
  item: Item;
  part: Part;
  giver: string;
  done: boolean;
  steps: { id: string; title: string; done: boolean }[];
  said: { author: string; text: string; at: string }[];
  files: Attachment[];
}

/** Somebody who came by their link. */
export interface OutsideVisit extends LinkOwner {
  person: Person;
  house: string;
  zone: string;
  parts: OutsidePart[];
}

const RECENT_DONE = 20;

/** What people without an account are shown and told. */
export class OutsideDesk {
  constructor(
    private readonly ledger: Ledger,
    private readonly links: OutsideLinks,
    private readonly clock: Clock,
    private readonly publicUrl: string,
    private readonly mailDomain: string,
  ) {}

  /** Null: the link is not known, was withdrawn, or its person is gone. */
  visit(token: string): OutsideVisit | null {
    const owner = this.links.ownerOf(token);
    if (!owner) return null;
    const rows = this.ledger.rows(owner.houseId);
    const person = rows.find('person', owner.personId);
    const house = rows.find('house', owner.houseId);
    if (person === undefined || house === undefined || !isHere(person) || person.accountId !== null) return null;
    return { ...owner, person, house: house.name, zone: house.zone, parts: partsOf(person, rows) };
  }

  actor = ({ person }: Pick<OutsideVisit, 'person'>): Actor => ({ id: `outside:${person.id}`, name: person.name, personId: person.id });

  linkOf = (owner: LinkOwner): string => `${this.publicUrl}/o/${this.links.tokenOf(owner)}`;
  replyAddressOf = (owner: LinkOwner): string => `r${this.links.tokenOf(owner)}@${this.mailDomain}`;

  /** The end of a mail to such a person: their link, and the item as their calendar knows it. */
  mail: OutsideMail = (notice: Notice, person: Person, item: Item | null) => {
    const owner = { houseId: person.houseId, personId: person.id };
    const unsubscribe = `${this.linkOf(owner)}/stop`;
    const isOff = notice.kind === 'taken-back' || notice.kind === 'removed';
    const footer = `Reply and check off here, no sign-in needed:\n${this.linkOf(owner)}${item && !isOff ? `#${item.id}` : ''}\n\nOr just reply to this email.\n\nStop emails from this house: ${unsubscribe}`;
    const replyTo = this.replyAddressOf(owner);
    const rows = this.ledger.rows(person.houseId);
    const house = rows.find('house', person.houseId);
    if (!item || house === undefined || !['handed', 'changed', 'sent-back', 'taken-back', 'removed'].includes(notice.kind))
      return { footer, replyTo, unsubscribe };
    const request = {
      // of what is off they hear no more than they knew, as the last of its calendar entries
      item: isOff ? { ...item, title: String(notice.params['title']), notes: '', seq: notice.seq } : item,
      organizer: { name: house.name, email: replyTo },
      attendee: { name: person.name, email: person.email! },
      message: String(notice.params['message'] ?? ''),
      now: this.clock.now(),
      zone: house.zone,
    };
    const calendar = isOff ? { method: 'CANCEL' as const, text: todoCancel(request) } : { method: 'REQUEST' as const, text: todoRequest(request) };
    return { footer, replyTo, unsubscribe, calendar };
  };
}

function partsOf(person: Person, rows: Reader): OutsidePart[] {
  const found: OutsidePart[] = [];
  for (const part of rows.by('part', 'personId', person.id)) {
    if (!counts(part)) continue;
    const item = rows.find('item', part.itemId);
    if (item === undefined || item.removedAt !== null) continue;
    found.push(outsidePart(item, part, person, rows));
  }
  const due = ({ item }: OutsidePart) => item.due ?? '9';
  const open = found.filter(({ done }) => !done).sort((a, b) => (due(a) < due(b) ? -1 : due(a) > due(b) ? 1 : a.item.title < b.item.title ? -1 : 1));
  const done = found.filter((one) => one.done).sort((a, b) => ((a.part.completedAt ?? '') < (b.part.completedAt ?? '') ? 1 : -1));
  return [...open, ...done.slice(0, RECENT_DONE)];
}

function outsidePart(item: Item, part: Part, person: Person, rows: Reader): OutsidePart {
  const nameOf = (id: string | null) => {
    const held = id ? rows.find('person', id) : undefined;
    return held === undefined ? '' : held.name;
  };
  const pair = [part.giverId, part.originId, person.id];
  return {
    item,
    part,
    giver: nameOf(part.giverId),
    done: part.standing === 'completed' || isDone(item, rows.by('part', 'itemId', item.id)),
    steps: rows
      .by('item', 'parentId', item.id)
      .filter((step) => step.removedAt === null)
      .sort((a, b) => (a.position < b.position ? -1 : 1))
      .map(({ id, title, ...step }) => ({ id, title, done: isDone(step, rows.by('part', 'itemId', id)) })),
    // what passed between the two of them, and what was said to everybody from the handover on
    said: rows
      .by('comment', 'itemId', item.id)
      .filter((comment) => comment.removedAt === null && comment.at >= (part.givenAt ?? ''))
      .filter(({ audience, authorId, partId: about }) => audience === 'all' || about === part.id || (pair.includes(authorId) && about === null))
      .sort((a, b) => (a.at < b.at ? -1 : 1))
      .map(({ authorId, text, at }) => ({ author: nameOf(authorId), text, at })),
    files: rows
      .by('attachment', 'itemId', item.id)
      .filter(({ removedAt, arrivedAt, commentId }) => removedAt === null && arrivedAt !== null && !commentId)
      .sort(byAdded),
  };
}
