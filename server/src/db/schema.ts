import { series, override } from './schema/chores.ts';
import { comment } from './schema/comments.ts';
import { attachment } from './schema/files.ts';
import { house, person, invitation, preferences, stretch, peopleGroup, capacity, arrangement, timeAway, noticeChoices, guest } from './schema/house.ts';
import { pin, ownField, fieldValue, slot, item, part, alarm, wait, watch } from './schema/items.ts';
import { bundle, savedView, list, section, share, tag, situation, listWatch } from './schema/lists.ts';
import { notice, activity } from './schema/notices.ts';
import { place, visit, errandRound } from './schema/places.ts';
import { project, membership, template, templateItem } from './schema/projects.ts';
import { matter, talk, meetingNote } from './schema/talks.ts';

export * from './schema/accounts.ts';
export * from './schema/chores.ts';
export * from './schema/comments.ts';
export * from './schema/files.ts';
export * from './schema/house.ts';
export * from './schema/installation.ts';
export * from './schema/items.ts';
export * from './schema/journal.ts';
export * from './schema/lists.ts';
export * from './schema/notices.ts';
export * from './schema/places.ts';
export * from './schema/projects.ts';
export * from './schema/talks.ts';

/** The tables of the nouns, by name. */
export const nounTables = {
  house,
  person,
  invitation,
  bundle,
  pin,
  preferences,
  stretch,
  savedView,
  peopleGroup,
  ownField,
  fieldValue,
  project,
  membership,
  template,
  templateItem,
  list,
  section,
  share,
  tag,
  situation,
  place,
  visit,
  errandRound,
  capacity,
  arrangement,
  timeAway,
  slot,
  noticeChoices,
  series,
  override,
  item,
  part,
  alarm,
  wait,
  matter,
  talk,
  meetingNote,
  comment,
  attachment,
  guest,
  watch,
  listWatch,
  notice,
  activity,
};
