import { Alarm } from './alarm.ts';
import { Arrangement } from './arrangement.ts';
import { Capacity } from './capacity.ts';
import { ErrandRound } from './errand-round.ts';
import { ListWatch, Watch } from './following.ts';
import { House } from './house.ts';
import { Invitation } from './invitation.ts';
import { Item } from './item.ts';
import { Bundle, List, Section, Share } from './list.ts';
import { NoticeChoices } from './notice-choices.ts';
import { Part } from './part.ts';
import { Person } from './person.ts';
import { Place } from './place.ts';
import { Activity } from './activity.ts';
import { Comment } from './comment.ts';
import { Notice } from './notice.ts';
import { Override, Series } from './series.ts';
import { Slot } from './slot.ts';
import { Situation } from './situation.ts';
import { Matter, MeetingNote, Talk } from './talk.ts';
import { Tag } from './tag.ts';
import { TimeAway } from './time-away.ts';
import { Visit } from './visit.ts';
import { Wait } from './wait.ts';

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
  timeAway: TimeAway;
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
  watch: Watch;
  listWatch: ListWatch;
  notice: Notice;
  activity: Activity;
}
export type Noun = keyof Nouns;
export type Row<N extends Noun = Noun> = Nouns[N];

const rowSchemas = {
  house: House,
  person: Person,
  invitation: Invitation,
  bundle: Bundle,
  list: List,
  section: Section,
  share: Share,
  tag: Tag,
  situation: Situation,
  place: Place,
  visit: Visit,
  errandRound: ErrandRound,
  capacity: Capacity,
  arrangement: Arrangement,
  timeAway: TimeAway,
  slot: Slot,
  noticeChoices: NoticeChoices,
  series: Series,
  override: Override,
  item: Item,
  part: Part,
  alarm: Alarm,
  wait: Wait,
  matter: Matter,
  talk: Talk,
  meetingNote: MeetingNote,
  comment: Comment,
  watch: Watch,
  listWatch: ListWatch,
  notice: Notice,
  activity: Activity,
} as const;

export const NOUNS = Object.keys(rowSchemas) as Noun[];

/** The fields by which rows of a noun are looked up together. */
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
  timeAway: ['personId', 'standInId'],
  slot: ['personId'],
  noticeChoices: ['personId'],
  series: ['listId'],
  override: ['seriesId'],
  item: ['listId', 'parentId', 'seriesId'],
  part: ['itemId'],
  alarm: ['itemId'],
  wait: ['itemId'],
  matter: ['personId', 'itemId'],
  talk: ['personId'],
  meetingNote: [],
  comment: ['itemId'],
  watch: ['itemId'],
  listWatch: ['listId'],
  notice: ['personId'],
  activity: ['itemId', 'listId'],
} as const satisfies { [N in Noun]: readonly (keyof Nouns[N])[] };
export type IndexOf<N extends Noun> = (typeof INDEXES)[N][number];
