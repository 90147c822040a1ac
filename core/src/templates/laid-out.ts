import type { TemplateItem } from '../model/template.ts';
import { byPosition } from '../model/position.ts';
import { filledIn } from './blanks.ts';
import { momentAt } from './offsets.ts';

/** What is said when a template is used. */
export interface Filling {
  /** Its day; null: nothing in it has one. */
  anchor: string | null;
  /** By the blank's name. */
  blanks: Readonly<Record<string, string>>;
  /** Whom a role means, by its word in small letters, or by the id of somebody who left. None: nobody has it yet. */
  roles: Readonly<Record<string, readonly string[]>>;
}

/** One row of what will be made, and of what it comes. */
export interface LaidOut {
  of: TemplateItem;
  title: string;
  notes: string;
  due: string | null;
  start: string | null;
  personIds: string[];
}

/** A template's items in the order of the page: each before its steps. What a step belongs to that is gone goes too. */
export function inOrder(items: readonly TemplateItem[]): TemplateItem[] {
  const under = new Map<string | null, TemplateItem[]>();
  for (const item of items) {
    if (item.removedAt !== null) continue;
    const among = under.get(item.parentId);
    if (among) among.push(item);
    else under.set(item.parentId, [item]);
  }
  for (const among of under.values()) among.sort(byPosition);
  const ordered: TemplateItem[] = [];
  const waiting = [...(under.get(null) ?? [])].reverse();
  for (let item = waiting.pop(); item !== undefined; item = waiting.pop()) {
    ordered.push(item);
    // a step can't be reached twice: each stands under one other, and what stands under itself is never reached
    waiting.push(...[...(under.get(item.id) ?? [])].reverse());
  }
  return ordered;
}

/** What one row becomes. */
export function layOut(of: TemplateItem, { anchor, blanks, roles }: Filling): LaidOut {
  const meant = of.holders.flatMap((holder) => ('role' in holder ? (roles[holder.role.toLowerCase()] ?? []) : (roles[holder.person] ?? [holder.person])));
  return {
    of,
    title: filledIn(of.title, blanks).trim(),
    notes: filledIn(of.notes, blanks),
    due: anchor !== null && of.due !== null ? momentAt(anchor, of.due) : null,
    start: anchor !== null && of.start !== null ? momentAt(anchor, of.start) : null,
    personIds: [...new Set(meant)],
  };
}
