/** What a person is to a list or an item: the rows of the table. Somebody can have several; the best one counts. `guest`: let in by being addressed. */
export type AccessRelation = 'owner' | 'edit' | 'check' | 'view' | 'own-part' | 'stand-in' | 'guest';

/** The columns of the table, and below them what does not depend on a list. */
export type Permission = 'see' | 'add' | 'change' | 'pass-on' | 'answer' | 'say' | 'check' | 'tie' | 'share' | 'manage' | 'keep' | 'self' | 'enter' | 'system';

/**
 * `stand-in`: of what somebody away gave, who named them. `own-items`: of items the person made. `own-part`: with a part of their own. `its-steps`: of the steps below that part.
 * `giver`: who gave the part, or a manager. `roles`: managers and members, not helpers.
 */
export type Grant = 'yes' | 'no' | 'manager' | 'giver' | 'own-items' | 'own-part' | 'its-steps' | 'roles';

/** Who may do what, written by hand. Nothing else in Kotiva decides this. */
export const ACCESS_TABLE: Record<AccessRelation, Record<Exclude<Permission, 'manage' | 'keep' | 'self' | 'enter' | 'system'>, Grant>> = {
  owner: { see: 'yes', add: 'yes', change: 'yes', 'pass-on': 'yes', answer: 'yes', say: 'yes', check: 'yes', tie: 'giver', share: 'yes' },
  edit: { see: 'yes', add: 'yes', change: 'yes', 'pass-on': 'yes', answer: 'yes', say: 'yes', check: 'yes', tie: 'giver', share: 'manager' },
  check: { see: 'yes', add: 'yes', change: 'own-items', 'pass-on': 'own-items', answer: 'yes', say: 'yes', check: 'yes', tie: 'no', share: 'no' },
  view: { see: 'yes', add: 'no', change: 'no', 'pass-on': 'no', answer: 'own-part', say: 'own-part', check: 'no', tie: 'no', share: 'no' },
  'own-part': { see: 'yes', add: 'no', change: 'no', 'pass-on': 'roles', answer: 'yes', say: 'yes', check: 'its-steps', tie: 'no', share: 'no' },
  'stand-in': { see: 'yes', add: 'no', change: 'no', 'pass-on': 'no', answer: 'yes', say: 'yes', check: 'no', tie: 'giver', share: 'no' },
  guest: { see: 'yes', add: 'no', change: 'no', 'pass-on': 'no', answer: 'no', say: 'yes', check: 'no', tie: 'no', share: 'no' },
};

/** The relations whose row says plain yes, whatever the item. */
export const isGranted = (relation: AccessRelation, permission: keyof (typeof ACCESS_TABLE)['owner']): boolean => ACCESS_TABLE[relation][permission] === 'yes';
