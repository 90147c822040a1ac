import type { Alarm } from './alarm-schema.ts';
import type { Attachment } from './attachment-schema.ts';
import type { Arrangement } from './arrangement-schema.ts';
import type { Capacity } from './capacity-schema.ts';
import type { ErrandRound } from './errand-round-schema.ts';
import type { ListWatch, Watch } from './following-schema.ts';
import type { PeopleGroup } from './people-group-schema.ts';
import type { Guest } from './guest-schema.ts';
import type { FieldValue, OwnField } from './own-field-schema.ts';
import type { House } from './house-schema.ts';
import type { Invitation } from './invitation-schema.ts';
import type { Item } from './item-schema.ts';
import type { Bundle, List, Section, Share } from './list-schema.ts';
import type { NoticeChoices } from './notice-choices-schema.ts';
import type { Part } from './part-schema.ts';
import { isInHand } from './part.ts';
import type { Person } from './person-schema.ts';
import type { Pin } from './pin-schema.ts';
import type { Preferences } from './preferences-schema.ts';
import type { Stretch } from './stretch-schema.ts';
import type { Place } from './place-schema.ts';
import type { Activity } from './activity-schema.ts';
import type { Comment } from './comment-schema.ts';
import type { Notice } from './notice-schema.ts';
import type { Override, Series } from './series-schema.ts';
import type { SavedView } from './saved-view-schema.ts';
import type { Slot } from './slot-schema.ts';
import type { Situation } from './situation-schema.ts';
import type { Matter, MeetingNote, Talk } from './talk-schema.ts';
import type { Template, TemplateItem } from './template-schema.ts';
import type { Membership, Project } from './project-schema.ts';
import type { Tag } from './tag-schema.ts';
import type { TimeAway } from './time-away-schema.ts';
import type { Visit } from './visit-schema.ts';
import type { Wait } from './wait-schema.ts';

/** Every kind of row that is shared between devices. */
export interface Nouns {
  house: House;
  person: Person;
  invitation: Invitation;
  bundle: Bundle;
  list: List;
  section: Section;
  share: Share;
  tag: Tag;
  situation: Situation;
  place: Place;
  visit: Visit;
  errandRound: ErrandRound;
  capacity: Capacity;
  arrangement: Arrangement;
  pin: Pin;
  preferences: Preferences;
  stretch: Stretch;
  savedView: SavedView;
  timeAway: TimeAway;
  project: Project;
  membership: Membership;
  template: Template;
  templateItem: TemplateItem;
  slot: Slot;
  noticeChoices: NoticeChoices;
  series: Series;
  override: Override;
  item: Item;
  part: Part;
  alarm: Alarm;
  wait: Wait;
  matter: Matter;
  talk: Talk;
  meetingNote: MeetingNote;
  comment: Comment;
  attachment: Attachment;
  guest: Guest;
  peopleGroup: PeopleGroup;
  ownField: OwnField;
  fieldValue: FieldValue;
  watch: Watch;
  listWatch: ListWatch;
  notice: Notice;
  activity: Activity;
}
export type Noun = keyof Nouns;
export type Row<N extends Noun = Noun> = Nouns[N];

/**
 * What rows of a noun are looked up together by though no field says it: it follows from the row alone. Null: it is in no such lookup;
 * several: under each of them.
 * So what is open is found without walking over everything that was ever done.
 */
const DERIVED = {
  part: {
    /** In somebody's hand. */
    open: (part: Part) => (isInHand(part) ? YES : null),
    /** The day it was checked off, in UTC. */
    completedDay: ({ completedAt }: Part) => completedAt?.slice(0, 10) ?? null,
    /** Somebody was nudged about it. */
    nudged: ({ nudgedAt }: Part) => (nudgedAt === null ? null : YES),
    /** The month somebody means to do it in. */
    planMonth: ({ plan }: Part) => plan?.slice(0, 7) ?? null,
  },
  item: {
    /** The tags it carries: it stands under each of them. */
    tag: ({ tagIds }: Item) => tagIds,
    /** The month it is due in. */
    dueMonth: ({ due }: Item) => due?.slice(0, 7) ?? null,
    /** Whose own pile it lies in. */
    pile: ({ listId, parentId, removedAt, makerId }: Item) => (listId === null && parentId === null && removedAt === null ? makerId : null),
    /** It can be brought back. */
    removed: ({ removedAt, purgedAt }: Item) => (removedAt !== null && purgedAt === null ? YES : null),
  },
  guest: {
    /** Whom it lets in, until it is ended. */
    welcome: ({ personId, endedAt }: Guest) => (endedAt === null ? personId : null),
  },
  stretch: {
    /** Nobody has ended it, and nothing has said that it is over. */
    open: ({ endedAt }: Stretch) => (endedAt === null ? YES : null),
  },
  wait: {
    /** It has not ended. */
    open: ({ endedAt }: Wait) => (endedAt === null ? YES : null),
  },
} as const;
/** The value of a lookup that only asks whether. */
export const YES = 'yes';

type DerivedOf<N extends Noun> = N extends keyof typeof DERIVED ? keyof (typeof DERIVED)[N] : never;

/** By what rows of a noun are looked up together: fields, and what is derived. */
export const INDEXES = {
  house: [],
  person: ['accountId'],
  invitation: ['token'],
  bundle: [],
  list: ['bundleId'],
  section: ['listId'],
  share: ['listId'],
  tag: [],
  situation: [],
  place: [],
  visit: ['personId', 'placeId'],
  errandRound: ['personId'],
  capacity: ['personId'],
  arrangement: ['personId'],
  pin: ['personId'],
  preferences: ['personId'],
  stretch: ['personId', 'open'],
  savedView: [],
  timeAway: ['personId', 'standInId'],
  project: [],
  membership: ['projectId', 'listId', 'itemId'],
  template: [],
  templateItem: ['templateId'],
  slot: ['personId'],
  noticeChoices: ['personId'],
  series: ['listId'],
  override: ['seriesId'],
  item: ['listId', 'parentId', 'seriesId', 'pile', 'removed', 'dueMonth', 'tag'],
  part: ['itemId', 'personId', 'giverId', 'originId', 'open', 'completedDay', 'nudged', 'planMonth'],
  alarm: ['itemId'],
  wait: ['itemId', 'open', 'onItemId'],
  matter: ['personId', 'itemId'],
  talk: ['personId'],
  meetingNote: [],
  comment: ['itemId'],
  attachment: ['itemId'],
  guest: ['itemId', 'welcome'],
  peopleGroup: [],
  ownField: ['listId'],
  fieldValue: ['itemId', 'fieldId'],
  watch: ['itemId'],
  listWatch: ['listId'],
  notice: ['personId'],
  activity: ['itemId', 'listId'],
} as const satisfies { [N in Noun]: readonly (keyof Nouns[N] | DerivedOf<N>)[] };
export const NOUNS = Object.keys(INDEXES) as Noun[];
export type IndexOf<N extends Noun> = (typeof INDEXES)[N][number];

const NONE: readonly string[] = [];
type Derive = (row: never) => string | null | readonly string[];

/** Under which values a row stands in a lookup: mostly one or none. */
export function lookupValues(noun: Noun, index: string, row: Row): readonly string[] {
  const derive = (DERIVED as Partial<Record<Noun, Record<string, Derive>>>)[noun]?.[index];
  const value = derive ? derive(row as never) : (row as unknown as Record<string, unknown>)[index];
  if (typeof value === 'string') return [value];
  return Array.isArray(value) ? value : NONE;
}
