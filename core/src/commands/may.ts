import type { Item } from '../model/item.ts';
import type { List } from '../model/list.ts';
import type { Part } from '../model/part.ts';
import { isHere, type Person } from '../model/person.ts';
import { above } from '../reader/tree.ts';
import type { Deciding } from './deciding.ts';
import { namedBy } from './standing-in.ts';

/** What a person is to a list or an item: the rows of the table. Somebody can have several; the best one counts. */
export type AccessRelation = 'owner' | 'edit' | 'check' | 'view' | 'own-part' | 'stand-in';

/** The columns of the table, and below them what does not depend on a list. */
export type Permission = 'see' | 'add' | 'change' | 'pass-on' | 'answer' | 'check' | 'tie' | 'share' | 'manage' | 'keep' | 'self' | 'enter' | 'system';

/**
 * `stand-in`: of what somebody away gave, who named them. `own-items`: of items the person made. `own-part`: with a part of their own. `its-steps`: of the steps below that part.
 * `giver`: who gave the part, or a manager. `roles`: managers and members, not helpers.
 */
export type Grant = 'yes' | 'no' | 'manager' | 'giver' | 'own-items' | 'own-part' | 'its-steps' | 'roles';

/** Who may do what, written by hand. Nothing else in Kotiva decides this. */
export const ACCESS_TABLE: Record<AccessRelation, Record<Exclude<Permission, 'manage' | 'keep' | 'self' | 'enter' | 'system'>, Grant>> = {
  owner: { see: 'yes', add: 'yes', change: 'yes', 'pass-on': 'yes', answer: 'yes', check: 'yes', tie: 'giver', share: 'yes' },
  edit: { see: 'yes', add: 'yes', change: 'yes', 'pass-on': 'yes', answer: 'yes', check: 'yes', tie: 'giver', share: 'manager' },
  check: { see: 'yes', add: 'yes', change: 'own-items', 'pass-on': 'own-items', answer: 'yes', check: 'yes', tie: 'no', share: 'no' },
  view: { see: 'yes', add: 'no', change: 'no', 'pass-on': 'no', answer: 'own-part', check: 'no', tie: 'no', share: 'no' },
  'own-part': { see: 'yes', add: 'no', change: 'no', 'pass-on': 'roles', answer: 'yes', check: 'its-steps', tie: 'no', share: 'no' },
  'stand-in': { see: 'yes', add: 'no', change: 'no', 'pass-on': 'no', answer: 'yes', check: 'no', tie: 'giver', share: 'no' },
};

/** What each command needs. Several: which one depends on what it is done to. A command that is not here does not run. */
export const REQUIRED_PERMISSIONS = {
  'house.make': ['enter'],
  'house.change': ['manage'],
  'house.setHolidays': ['system'],
  'person.join': ['enter'],
  'person.add': ['manage'],
  'person.change': ['self', 'manage'],
  'person.setRole': ['manage'],
  'person.end': ['self', 'manage'],
  'person.setRest': ['self', 'manage'],
  'invitation.make': ['manage', 'share'],
  'invitation.withdraw': ['manage'],
  'bundle.make': ['keep'],
  'bundle.change': ['self', 'manage'],
  'bundle.remove': ['self', 'manage'],
  'list.make': ['keep'],
  'list.change': ['share'],
  'list.share': ['share'],
  'list.giveTo': ['share'],
  'list.file': ['share'],
  'list.remove': ['share'],
  'list.clearDone': ['change'],
  'list.useAgain': ['change'],
  'section.make': ['share'],
  'section.change': ['share'],
  'section.move': ['share'],
  'section.remove': ['share'],
  'tag.make': ['keep'],
  'tag.change': ['self', 'manage'],
  'tag.merge': ['self', 'manage'],
  'tag.remove': ['self', 'manage'],
  'place.make': ['keep'],
  'place.change': ['self', 'manage'],
  'visit.report': ['self'],
  'visit.forget': ['system'],
  'occasion.begin': ['self'],
  'round.start': ['keep', 'see'],
  'round.change': ['self', 'see'],
  'round.handOver': ['self', 'change', 'pass-on'],
  'situation.make': ['keep'],
  'situation.change': ['manage'],
  'item.add': ['add', 'change', 'keep'],
  'item.addMany': ['add', 'change', 'keep'],
  'item.change': ['change'],
  'item.setDue': ['change'],
  'item.setPolicy': ['change'],
  'item.copy': ['see', 'add', 'change', 'keep'],
  'item.move': ['change', 'add', 'keep'],
  'item.remove': ['change'],
  'item.bringBack': ['change'],
  'item.purge': ['system'],
  'chore.make': ['add', 'change', 'keep'],
  'chore.change': ['change', 'self'],
  'chore.fromNowOn': ['change', 'self'],
  'chore.end': ['change', 'self'],
  'chore.skip': ['change', 'self'],
  'chore.move': ['change', 'self'],
  'chore.giveTurn': ['change', 'self'],
  'chore.swap': ['change', 'self'],
  'chore.ahead': ['change', 'self'],
  'chore.plain': ['change'],
  'chore.appear': ['system'],
  'part.handOver': ['change'],
  'part.take': ['check'],
  'part.takeBack': ['change'],
  'part.excuse': ['change'],
  'part.passOn': ['pass-on', 'change'],
  'part.see': ['self'],
  'part.accept': ['self'],
  'part.askBack': ['self'],
  'part.decline': ['self'],
  'part.progress': ['self'],
  'part.checkOff': ['self', 'check', 'tie'],
  'part.uncheck': ['self', 'check', 'tie'],
  'part.nudge': ['change', 'self'],
  'nudge.send': ['system'],
  'part.tieOff': ['tie'],
  'part.sendBack': ['tie'],
  'part.putAway': ['see'],
  'part.plan': ['self', 'check'],
  'part.planFor': ['self', 'change'],
  'part.shelve': ['self', 'check'],
  'part.pull': ['self', 'check'],
  'part.takeOff': ['self', 'check'],
  'part.later': ['self', 'check'],
  'part.order': ['self', 'check'],
  'comment.say': ['answer'],
  'alarm.set': ['see', 'change'],
  'alarm.remove': ['self', 'change'],
  'alarm.snooze': ['self'],
  'alarm.ring': ['system'],
  'wait.set': ['self', 'check'],
  'wait.change': ['self', 'check'],
  'wait.end': ['self', 'check'],
  'wait.askAgain': ['system'],
  'matter.add': ['keep', 'see'],
  'matter.settle': ['self'],
  'matter.remove': ['self'],
  'matter.share': ['self'],
  'talk.set': ['keep'],
  'talk.end': ['keep'],
  'note.make': ['keep'],
  'note.change': ['self'],
  'note.remove': ['self'],
  'away.add': ['self', 'manage'],
  'away.remove': ['self', 'manage'],
  'away.standInOver': ['system'],
  'week.shareOut': ['keep', 'change', 'self'],
  'slot.book': ['keep', 'see'],
  'slot.change': ['self', 'see'],
  'slot.free': ['self'],
  'notice.choose': ['self'],
  'day.call': ['system'],
  'notice.undelivered': ['system'],
  'mail.held': ['system'],
  'view.arrange': ['keep'],
  'capacity.set': ['self', 'manage'],
  'watch.set': ['see', 'self', 'change'],
  'listWatch.set': ['see', 'change'],
  'notice.read': ['self'],
  undo: ['self'],
} as const satisfies Record<string, readonly Permission[]>;
export type CommandName = keyof typeof REQUIRED_PERMISSIONS;

/** One thing a command asks leave for. */
export type AccessRequest =
  | { permission: 'manage' | 'keep' | 'enter' | 'system' }
  | { permission: 'self'; is: boolean }
  | { permission: 'see' | 'add' | 'share' | 'change'; list: string }
  | { permission: 'see' | 'change' | 'pass-on' | 'answer' | 'check' | 'tie'; item: string; giver?: boolean };

export function isAllowed(ask: AccessRequest, actor: Person | null, d: Deciding): boolean {
  if (ask.permission === 'enter') return true;
  // what the clock does: nobody is signed in, so nothing that comes over the wire can ask for it
  if (ask.permission === 'system') return d.context.account === null;
  if (!actor || !isHere(actor)) return false;
  if (ask.permission === 'self') return ask.is;
  if (ask.permission === 'manage') return actor.role === 'manager';
  if (ask.permission === 'keep') return actor.role !== 'outside';
  if ('list' in ask) return grantedByList(ask.permission, d.need('list', ask.list), actor, d);
  if ('item' in ask) return grantedByItem(ask.permission, d.need('item', ask.item), actor, ask.giver ?? false, d);
  return false;
}

function grantedByList(permission: 'see' | 'add' | 'share' | 'change', list: List, actor: Person, d: Deciding): boolean {
  const relation = relationToList(list.id, actor, d);
  if (!relation) return false;
  const grant = ACCESS_TABLE[relation][permission];
  return grant === 'yes' || (grant === 'manager' && actor.role === 'manager');
}

function grantedByItem(permission: keyof (typeof ACCESS_TABLE)['owner'], item: Item, actor: Person, giver: boolean, d: Deciding): boolean {
  return relationsToItem(item, actor, d).some((relation) => {
    const grant = ACCESS_TABLE[relation][permission];
    if (grant === 'yes') return true;
    if (grant === 'giver') return giver || actor.role === 'manager';
    if (grant === 'own-items') return item.makerId === actor.id;
    if (grant === 'roles') return actor.role === 'manager' || actor.role === 'member';
    if (grant === 'its-steps') return item.parentId !== null && hasPartAbove(item, actor, d);
    return false;
  });
}

/** What a person is to a list, or null if they cannot open it. */
export function relationToList(listId: string, person: Person, d: Pick<Deciding, 'find' | 'by'>): Exclude<AccessRelation, 'own-part' | 'stand-in'> | null {
  if (person.role === 'outside') return null;
  const list = d.find('list', listId);
  if (!list) return null;
  if (list.ownerId === person.id) return 'owner';
  const shares = d.by('share', 'listId', listId).filter((share) => share.access !== null && share.personId !== list.ownerId);
  if (person.role === 'manager') return shares.length > 0 ? 'edit' : null;
  const access = shares.find((share) => share.personId === person.id)?.access ?? null;
  return access === 'edit' && person.role === 'helper' ? 'check' : access;
}

export function relationsToItem(item: Item, person: Person, d: Pick<Deciding, 'find' | 'by'>): AccessRelation[] {
  const relations: AccessRelation[] = [];
  if (item.listId === null) {
    if (item.makerId === person.id) relations.push('owner');
  } else {
    const relation = relationToList(item.listId, person, d);
    if (relation) relations.push(relation);
  }
  if (isOwn(item, person, d) || hasPartAbove(item, person, d)) relations.push('own-part');
  const absent = namedBy(person, d);
  if (absent.size > 0 && [item, ...above(item, d)].some(({ id }) => isGivenBy(absent, id, d))) relations.push('stand-in');
  return relations;
}

const isGivenBy = (givers: ReadonlySet<string>, itemId: string, d: Pick<Deciding, 'by'>): boolean =>
  d
    .by('part', 'itemId', itemId)
    .some(({ giverId, originId, takenBackAt }) => takenBackAt === null && (givers.has(giverId ?? '') || givers.has(originId ?? '')));

const isOwn = (item: Item, person: Person, d: Pick<Deciding, 'by'>): boolean => d.by('part', 'itemId', item.id).some((part) => isOwnPart(part, person));

export const isOwnPart = (part: Part, person: Person): boolean => part.personId === person.id && part.takenBackAt === null;

function hasPartAbove(item: Item, person: Person, d: Pick<Deciding, 'find' | 'by'>): boolean {
  for (const parent of above(item, d)) if (isOwn(parent, person, d)) return true;
  return false;
}
