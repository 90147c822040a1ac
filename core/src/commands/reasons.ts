import type { Params } from '../model/params-schema.ts';

/** Why a command is refused: a code the reader's language turns into a sentence. */
export const REASON_CODES = [
  'failed',
  'malformed',
  'not-a-member',
  'not-allowed',
  'gone',
  'unknown-person',
  'person-left',
  'title-empty',
  'too-long',
  'too-many',
  'not-a-number',
  'too-many-chores',
  'too-large',
  'mark-taken',
  'manager-unseen',
  'last-manager',
  'open-parts',
  'has-account',
  'role-outside',
  'owner-stays',
  'invitation-withdrawn',
  'invitation-expired',
  'invitation-used',
  'invitation-unknown',
  'already-member',
  'house-exists',
  'changed-since',
  'due-before-start',
  'plan-before-start',
  'due-stays',
  'handed-stays',
  'tag-exists',
  'name-taken',
  'into-itself',
  'lies-in-removed',
  'not-removed',
  'pins-full',
  'not-yours',
  'not-done',
  'nothing-done',
  'stage-open-needed',
  'field-options-needed',
  'field-elsewhere',
  'field-number',
  'field-date',
  'field-choice',
  'wait-round',
  'waits-already',
  'wait-over',
  'group-empty',
  'others-open',
  'others-done',
  'ends-before-begins',
  'project-round',
  'project-open',
  'too-many-blanks',
  'too-many-roles',
  'template-empty',
  'template-day-missing',
  'template-blank-missing',
  'template-role-missing',
  'list-name-taken',
  'names-private',
  'nothing-to-nudge',
  'nudged-already',
  'nothing-to-tie',
  'already-has-it',
  'cannot-open-list',
  'nothing-to-undo',
  'undo-of-another',
  'alarm-past',
  'ends-before',
  'bad-rule',
  'never-occurs',
  'rule-too-fine',
  'rule-too-many',
  'rule-too-costly',
  'after-done-too-long',
  'year-out-of-range',
  'too-deep',
  'taken',
  'ask-manager',
  'step-recurs',
  'next-touched',
  'was-missed',
  'not-to-come',
  'no-longer-nobodys',
  'bad-hours',
  'filter-empty',
  'place-unseen',
  'nothing-chosen',
  'steps-say-more',
  'file-empty',
  'bad-address',
] as const;
export type ReasonCode = (typeof REASON_CODES)[number];

export interface Reason {
  code: ReasonCode;
  /** The payload field beside which the sentence belongs. */
  field?: string;
  params: Params;
}

/** Thrown while deciding, caught by `decide`: the command does not apply. */
export class Refusal extends Error {
  constructor(readonly reason: Reason) {
    super(reason.code);
  }
}

/** Thrown while deciding, caught by `decide`: a row that matters is not held here, so only the server can tell. */
export class NotHeld extends Error {}

export function refuse(code: ReasonCode, params: Params = {}, field?: string): never {
  throw new Refusal({ code, params, field });
}
