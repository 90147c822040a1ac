import type { AccessRelation, Role } from '@kotiva/core';
import type { Household } from '../testing/household.ts';

export type Sharing = 'owner' | 'edit' | 'check' | 'view' | 'none' | 'private';
export type ItemRole = 'none' | 'own-part' | 'maker' | 'giver' | 'guest';
export const ROLES: Exclude<Role, 'outside'>[] = ['manager', 'member', 'helper'];
export const SHARINGS: Sharing[] = ['owner', 'edit', 'check', 'view', 'none', 'private'];
export const RELATIONS: ItemRole[] = ['none', 'own-part', 'maker', 'giver', 'guest'];

/** Section 11 of the product's reference, copied by hand: what the table in core must say. */
export const REFERENCE = {
  owner: { see: 'yes', add: 'yes', change: 'yes', 'pass-on': 'yes', answer: 'yes', say: 'yes', check: 'yes', tie: 'giver', share: 'yes' },
  edit: { see: 'yes', add: 'yes', change: 'yes', 'pass-on': 'yes', answer: 'yes', say: 'yes', check: 'yes', tie: 'giver', share: 'manager' },
  check: { see: 'yes', add: 'yes', change: 'own-items', 'pass-on': 'own-items', answer: 'yes', say: 'yes', check: 'yes', tie: 'no', share: 'no' },
  view: { see: 'yes', add: 'no', change: 'no', 'pass-on': 'no', answer: 'own-part', say: 'own-part', check: 'no', tie: 'no', share: 'no' },
  'own-part': { see: 'yes', add: 'no', change: 'no', 'pass-on': 'roles', answer: 'yes', say: 'yes', check: 'its-steps', tie: 'no', share: 'no' },
  'stand-in': { see: 'yes', add: 'no', change: 'no', 'pass-on': 'no', answer: 'yes', say: 'yes', check: 'no', tie: 'giver', share: 'no' },
  guest: { see: 'yes', add: 'no', change: 'no', 'pass-on': 'no', answer: 'no', say: 'yes', check: 'no', tie: 'no', share: 'no' },
};
export type Column = keyof (typeof REFERENCE)['owner'];

/** What somebody is to an item, from how the case was set up, not from the code that decides it. */
export function relationsOf(role: Role, sharing: Sharing, relation: ItemRole): AccessRelation[] {
  const own: AccessRelation[] = relation === 'own-part' ? [relation] : [];
  // whoever sees it anyhow is let in on nothing
  const guest: AccessRelation[] = relation === 'guest' ? [relation] : [];
  if (sharing === 'owner') return ['owner', ...own];
  if (sharing === 'private') return [...own, ...guest];
  if (role === 'manager') return ['edit', ...own];
  if (sharing === 'none') return [...own, ...guest];
  return [sharing === 'edit' && role === 'helper' ? 'check' : sharing, ...own];
}

function expected(column: Column, role: Role, sharing: Sharing, relation: ItemRole): boolean {
  return relationsOf(role, sharing, relation).some((one) => {
    const grant = REFERENCE[one][column];
    if (grant === 'manager') return role === 'manager';
    if (grant === 'giver') return role === 'manager' || relation === 'giver';
    if (grant === 'own-items') return relation === 'maker' || relation === 'giver';
    if (grant === 'roles') return role !== 'helper';
    return grant === 'yes';
  });
}

/** One situation: an actor of a role, a list shared with them so, items they stand in that relation to. */
export class Situation {
  constructor(
    readonly house: Household,
    readonly role: Exclude<Role, 'outside'>,
    readonly sharing: Sharing,
    readonly relation: ItemRole,
  ) {}
  readonly me = 'Actor';
  private target: string | null = null;
  /** What was made for cases before and nobody has changed since, by what it is; and what of it this case has already. */
  private readonly untouched = new Map<string, string[]>();
  private readonly taken = new Map<string, number>();
  private madeHere = 0;
  private depth = 0;

  /**
   * Sets up a case and says how its command went. What was refused has changed nothing: the next case is given the same list or item,
   * unless more was done with it.
   */
  async trying<T>(makeAndTry: () => Promise<{ was: T; isAccepted: boolean }>): Promise<T> {
    const before = this.house.given;
    this.taken.clear();
    this.madeHere = 0;
    const { was, isAccepted } = await makeAndTry();
    if (isAccepted || this.house.given - before > this.madeHere) this.untouched.clear();
    return was;
  }

  /** A list of the owner's, shared with the actor (and, but for a private one, with somebody else). */
  list(): Promise<string> {
    return this.known('list', () => this.makeList());
  }

  /** An item in such a list, in the situation's relation. */
  item(): Promise<string> {
    return this.known('item', () => this.makeItem());
  }

  /** The same, handed to the other person as well. */
  itemOfOther(done = false): Promise<string> {
    return this.known(done ? 'done by another' : 'another’s', () => this.makeItemOfOther(done));
  }

  private async known(what: string, make: () => Promise<string>): Promise<string> {
    // what is made on the way to something else is part of that
    if (this.depth > 0) return make();
    const nth = this.taken.get(what) ?? 0;
    this.taken.set(what, nth + 1);
    const made = this.untouched.get(what) ?? [];
    this.untouched.set(what, made);
    return (made[nth] ??= await this.counted(make));
  }

  private async counted(make: () => Promise<string>): Promise<string> {
    const before = this.house.given;
    this.depth += 1;
    const made = await make().finally(() => (this.depth -= 1));
    this.madeHere += this.house.given - before;
    return made;
  }

  private async makeList(): Promise<string> {
    const owner = this.sharing === 'owner' ? this.me : 'Owner';
    const shares = this.sharing === 'private' ? [] : [{ person: this.house.person('Other'), access: 'edit' as const }];
    const list = this.house.made('list', await this.house.must(owner, 'list.make', { name: 'List', colour: 'moss', icon: 'leaf', shares })).id;
    if (this.sharing !== 'owner') await this.shareWithMe(list, this.access);
    return list;
  }

  private async makeItem(): Promise<string> {
    const { house, relation } = this;
    const list = await this.list();
    const mine = relation === 'maker' || relation === 'giver';
    const owner = this.sharing === 'owner' ? this.me : 'Owner';
    if (mine && this.sharing !== 'owner') await this.shareWithMe(list, 'edit');
    const item = house.made('item', await house.must(mine ? this.me : owner, 'item.add', { title: 'Item', list })).id;
    if (relation === 'giver') await house.must(this.me, 'part.handOver', { items: [item], persons: [house.person('Other')], confirm: true });
    if (relation === 'own-part') await house.must(owner, 'part.handOver', { items: [item], persons: [house.person(this.me)] });
    if (relation === 'guest') await this.letMeIn(owner, item);
    if (mine && this.sharing !== 'owner') await this.shareWithMe(list, this.access);
    return item;
  }

  private async makeItemOfOther(done: boolean): Promise<string> {
    const item = await this.item();
    const { house } = this;
    const giver = this.relation === 'giver' ? null : this.sharing === 'owner' ? this.me : 'Owner';
    // given by somebody who is not the actor, unless the actor owns the list
    if (giver)
      await house.must(giver === this.me ? this.helperOwner(item) : giver, 'part.handOver', { items: [item], persons: [house.person('Other')], confirm: true });
    if (done) await house.must('Other', 'part.checkOff', { item, person: house.person('Other') });
    return item;
  }

  /** A list of the actor's own: for what needs leave at one end only. */
  async own(): Promise<string> {
    this.target ??= this.house.made('list', await this.house.must(this.me, 'list.make', { name: 'Mine', colour: 'moss', icon: 'leaf' })).id;
    return this.target;
  }

  get other(): string {
    return this.house.person('Other');
  }

  allows(column: Column): boolean {
    return expected(column, this.role, this.sharing, this.relation);
  }

  /** What the sharing alone allows, whatever one has of an item in it. */
  allowsInList(column: Column): boolean {
    return relationsOf(this.role, this.sharing, 'none').some((one) => ['yes', this.role].includes(REFERENCE[one][column]));
  }

  private get access() {
    return this.sharing === 'edit' || this.sharing === 'check' || this.sharing === 'view' ? this.sharing : null;
  }

  private async letMeIn(owner: string, item: string): Promise<void> {
    const me = this.house.person(this.me);
    await this.house.must(owner, 'comment.say', { item, text: '@Actor, look', mentions: [me], letIn: [me] });
  }

  private async shareWithMe(list: string, access: 'edit' | 'check' | 'view' | null): Promise<void> {
    await this.house.must('Owner', 'list.share', { list, person: this.house.person(this.me), access });
  }

  /** Where the actor owns the list, the other person, who may change it, gives to themselves: so the actor is not the giver. */
  private helperOwner(_item: string): string {
    return 'Other';
  }
}
