import { isNotNull, sql } from 'drizzle-orm';
import { index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { CAN_BE_BROUGHT_BACK, IN_HAND, NOT_ENDED, NUDGED, OWN_PILE, TAGGED, UNREAD } from './conditions.ts';

const flag = () => integer({ mode: 'boolean' }).notNull();
const json = () => text({ mode: 'json' }).notNull();

/** What every shared row carries: its house, the sequence number that last changed it, and who wrote which field last. */
const shared = () => ({
  id: text().primaryKey(),
  houseId: text().notNull(),
  seq: integer().notNull(),
  stamps: json(),
});

export const house = sqliteTable(
  'house',
  {
    ...shared(),
    name: text().notNull(),
    zone: text().notNull(),
    dayParts: json(),
    createdOn: text().notNull(),
    createdAt: text().notNull(),
    hintsListId: text(),
    pace: text().notNull().default('usual'),
    region: text(),
    holidays: text({ mode: 'json' }),
    daysOff: json().default(sql`'[]'`),
  },
  (t) => [index('house_seq_ix').on(t.houseId, t.seq)],
);

export const person = sqliteTable(
  'person',
  {
    ...shared(),
    accountId: text(),
    name: text().notNull(),
    mark: text().notNull(),
    colour: text().notNull(),
    pattern: text().notNull(),
    role: text().notNull(),
    /** Contact facts. */
    email: text(),
    phone: text(),
    contact: text().notNull().default(''),
    rest: text({ mode: 'json' })
      .notNull()
      .default(sql`'{"hours":{"from":"21:00","to":"07:00"},"daysOff":[]}'`),
    joinedAt: text().notNull(),
    endedAt: text(),
  },
  (t) => [index('person_seq_ix').on(t.houseId, t.seq), uniqueIndex('person_account_ix').on(t.accountId, t.houseId)],
);

export const invitation = sqliteTable(
  'invitation',
  {
    ...shared(),
    makerId: text().notNull(),
    role: text().notNull(),
    lists: json(),
    uses: text().notNull(),
    token: text().notNull(),
    madeAt: text().notNull(),
    expiresAt: text().notNull(),
    withdrawnAt: text(),
    joined: json(),
  },
  (t) => [index('invitation_seq_ix').on(t.houseId, t.seq), uniqueIndex('invitation_token_ix').on(t.token)],
);

export const bundle = sqliteTable(
  'bundle',
  {
    ...shared(),
    ownerId: text().notNull(),
    name: text().notNull(),
    purpose: text().notNull().default(''),
    colour: text().notNull().default('graphite'),
    icon: text().notNull().default('package'),
    position: text().notNull(),
    removedAt: text(),
  },
  (t) => [index('bundle_seq_ix').on(t.houseId, t.seq)],
);

export const list = sqliteTable(
  'list',
  {
    ...shared(),
    ownerId: text().notNull(),
    bundleId: text().references(() => bundle.id),
    name: text().notNull(),
    purpose: text().notNull(),
    colour: text().notNull(),
    icon: text().notNull(),
    kind: text().notNull(),
    stages: json().default([]),
    position: text().notNull(),
    filedAt: text(),
    clearedAt: text(),
    removedAt: text(),
  },
  (t) => [index('list_seq_ix').on(t.houseId, t.seq), index('list_bundle_ix').on(t.bundleId)],
);

export const section = sqliteTable(
  'section',
  {
    ...shared(),
    listId: text()
      .notNull()
      .references(() => list.id),
    name: text().notNull(),
    position: text().notNull(),
    removedAt: text(),
  },
  (t) => [index('section_seq_ix').on(t.houseId, t.seq), index('section_list_ix').on(t.listId)],
);

export const share = sqliteTable(
  'share',
  {
    ...shared(),
    listId: text()
      .notNull()
      .references(() => list.id),
    personId: text().notNull(),
    access: text(),
  },
  (t) => [index('share_seq_ix').on(t.houseId, t.seq), index('share_list_ix').on(t.listId)],
);

export const tag = sqliteTable(
  'tag',
  { ...shared(), makerId: text().notNull(), name: text().notNull(), colour: text().notNull(), parentId: text(), removedAt: text() },
  (t) => [index('tag_seq_ix').on(t.houseId, t.seq)],
);

export const situation = sqliteTable('situation', { ...shared(), name: text().notNull(), kind: text().notNull(), removedAt: text() }, (t) => [
  index('situation_seq_ix').on(t.houseId, t.seq),
]);

export const place = sqliteTable(
  'place',
  {
    ...shared(),
    name: text().notNull(),
    makerId: text(),
    position: text({ mode: 'json' }),
    radius: integer().notNull().default(100),
    address: text().notNull().default(''),
    openingHours: text().notNull().default(''),
    seenBy: text({ mode: 'json' }),
    removedAt: text(),
  },
  (t) => [index('place_seq_ix').on(t.houseId, t.seq)],
);

export const visit = sqliteTable('visit', { ...shared(), personId: text().notNull(), placeId: text().notNull(), enteredAt: text(), leftAt: text() }, (t) => [
  index('visit_seq_ix').on(t.houseId, t.seq),
  index('visit_person_ix').on(t.personId),
  index('visit_place_ix').on(t.placeId),
]);

export const errandRound = sqliteTable(
  'errandRound',
  {
    ...shared(),
    makerId: text().notNull(),
    personId: text().notNull(),
    date: text().notNull(),
    means: text().notNull(),
    startId: text(),
    endId: text(),
    stops: json(),
    passed: json(),
    startedAt: text().notNull(),
    endedAt: text(),
  },
  (t) => [index('errand_round_seq_ix').on(t.houseId, t.seq), index('errand_round_person_ix').on(t.personId)],
);

export const capacity = sqliteTable('capacity', { ...shared(), personId: text().notNull(), minutes: json() }, (t) => [
  index('capacity_seq_ix').on(t.houseId, t.seq),
  index('capacity_person_ix').on(t.personId),
]);

export const arrangement = sqliteTable(
  'arrangement',
  {
    ...shared(),
    personId: text().notNull(),
    view: text().notNull(),
    group: text().notNull(),
    sort: text().notNull(),
    detail: text().notNull(),
    cap: integer(),
    isOnToday: integer({ mode: 'boolean' }).notNull().default(false),
    isHidden: integer({ mode: 'boolean' }).notNull().default(false),
    pinLimit: integer().notNull().default(7),
    isDescending: integer({ mode: 'boolean' }).notNull().default(false),
    layout: text().notNull().default('rows'),
    phoneLayout: text().notNull().default('rows'),
    boardBy: text().notNull().default('person'),
    columns: text({ mode: 'json' }),
    titleWidth: integer().notNull().default(320),
  },
  (t) => [index('arrangement_seq_ix').on(t.houseId, t.seq), index('arrangement_person_ix').on(t.personId)],
);

export const pin = sqliteTable('pin', { ...shared(), personId: text().notNull(), itemId: text().notNull(), at: text().notNull(), endedAt: text() }, (t) => [
  index('pin_seq_ix').on(t.houseId, t.seq),
  index('pin_person_ix').on(t.personId),
]);

export const preferences = sqliteTable(
  'preferences',
  { ...shared(), personId: text().notNull(), accent: text(), backdrop: text(), review: text({ mode: 'json' }) },
  (t) => [index('preferences_seq_ix').on(t.houseId, t.seq), index('preferences_person_ix').on(t.personId)],
);

export const stretch = sqliteTable(
  'stretch',
  { ...shared(), personId: text().notNull(), beganAt: text().notNull(), minutes: integer().notNull(), endedAt: text() },
  (t) => [
    index('stretch_seq_ix').on(t.houseId, t.seq),
    index('stretch_person_ix').on(t.personId),
    index('stretch_open_ix').on(t.houseId).where(sql.raw(NOT_ENDED)),
  ],
);

export const savedView = sqliteTable(
  'savedView',
  {
    ...shared(),
    ownerId: text().notNull(),
    name: text().notNull(),
    filter: json(),
    isShared: integer({ mode: 'boolean' }).notNull(),
    group: text().notNull(),
    sort: text().notNull(),
    layout: text().notNull().default('rows'),
    boardBy: text().notNull().default('person'),
    position: text().notNull(),
    removedAt: text(),
  },
  (t) => [index('saved_view_seq_ix').on(t.houseId, t.seq)],
);

/** What an item, a chore and an item of a template say alike of what is to be done. */
const nature = () => ({
  notes: text().notNull(),
  importance: integer().notNull(),
  effort: integer(),
  energy: text(),
  dayPart: text(),
  tagIds: json(),
  situationIds: json(),
  wanted: text({ mode: 'json' }),
  placeId: text(),
  policy: text().notNull(),
  confirm: flag(),
  pace: text(),
});

export const series = sqliteTable(
  'series',
  {
    ...shared(),
    listId: text().references(() => list.id),
    sectionId: text(),
    makerId: text().notNull(),
    title: text().notNull(),
    ...nature(),
    steps: json(),
    fileIds: json().default([]),
    templateId: text(),
    filling: text({ mode: 'json' }),
    alarms: json(),
    rrule: text(),
    afterDone: text(),
    dtstart: text().notNull(),
    offDay: text().notNull(),
    missed: text().notNull(),
    whenDone: flag(),
    turn: text().notNull(),
    personIds: json(),
    followsId: text(),
    endsBefore: text(),
    createdAt: text().notNull(),
  },
  (t) => [index('series_seq_ix').on(t.houseId, t.seq), index('series_list_ix').on(t.listId)],
);

export const override = sqliteTable(
  'override',
  {
    ...shared(),
    seriesId: text()
      .notNull()
      .references(() => series.id),
    recurrenceId: text().notNull(),
    at: text(),
    skipped: flag(),
    personId: text(),
    countsFor: text(),
  },
  (t) => [index('override_seq_ix').on(t.houseId, t.seq), index('override_series_ix').on(t.seriesId)],
);

export const item = sqliteTable(
  'item',
  {
    ...shared(),
    listId: text().references(() => list.id),
    sectionId: text(),
    parentId: text(),
    makerId: text().notNull(),
    title: text().notNull(),
    ...nature(),
    due: text(),
    start: text(),
    seriesId: text().references(() => series.id),
    recurrenceId: text(),
    turn: text({ mode: 'json' }),
    missedAt: text(),
    position: text().notNull(),
    stageId: text(),
    noteId: text(),
    createdAt: text().notNull(),
    removedAt: text(),
    purgedAt: text(),
  },
  (t) => [
    index('item_seq_ix').on(t.houseId, t.seq),
    index('item_list_ix').on(t.listId, t.seq),
    index('item_parent_ix').on(t.parentId),
    index('item_series_ix').on(t.seriesId, t.seq),
    index('item_pile_ix').on(t.houseId, t.makerId).where(sql.raw(OWN_PILE)),
    index('item_removed_ix').on(t.houseId).where(sql.raw(CAN_BE_BROUGHT_BACK)),
    index('item_tagged_ix').on(t.houseId).where(sql.raw(TAGGED)),
  ],
);

export const part = sqliteTable(
  'part',
  {
    ...shared(),
    itemId: text()
      .notNull()
      .references(() => item.id),
    personId: text(),
    standing: text().notNull(),
    percent: real().notNull(),
    seenAt: text(),
    completedAt: text(),
    arrivedAt: text(),
    completedBy: text(),
    stood: text({ mode: 'json' }),
    answer: text(),
    tiedAt: text(),
    message: text().notNull(),
    under: text(),
    giverId: text(),
    originId: text(),
    givenAt: text(),
    passedTo: text(),
    excusedAt: text(),
    takenBackAt: text(),
    lastSignAt: text(),
    nudgedAt: text(),
    nudgedByHandAt: text(),
    unanswered: integer().notNull(),
    putAwayAt: text(),
    plan: text(),
    planGiverId: text(),
    shelvedAt: text(),
    pulledInto: text(),
    takenOff: text(),
    askAgain: text(),
    ownOrder: text(),
  },
  (t) => [
    index('part_seq_ix').on(t.houseId, t.seq),
    index('part_item_ix').on(t.itemId),
    // what is open is found without walking over everything that was ever done
    index('part_person_ix').on(t.personId),
    index('part_open_ix').on(t.houseId).where(sql.raw(IN_HAND)),
    index('part_nudged_ix').on(t.houseId).where(sql.raw(NUDGED)),
    index('part_completed_ix').on(t.houseId, t.completedAt).where(isNotNull(t.completedAt)),
  ],
);

export const alarm = sqliteTable(
  'alarm',
  {
    ...shared(),
    itemId: text()
      .notNull()
      .references(() => item.id),
    personId: text().notNull(),
    makerId: text().notNull(),
    trigger: json(),
    armedAt: text().notNull(),
    rungFor: text(),
    rungById: text(),
    snoozedUntil: text(),
    removedAt: text(),
  },
  (t) => [index('alarm_seq_ix').on(t.houseId, t.seq), index('alarm_item_ix').on(t.itemId)],
);

export const wait = sqliteTable(
  'wait',
  {
    ...shared(),
    itemId: text()
      .notNull()
      .references(() => item.id),
    makerId: text().notNull(),
    personId: text(),
    onItemId: text(),
    words: text().notNull(),
    askOn: text(),
    toldOn: text(),
    since: text().notNull(),
    endedAt: text(),
    isFollowed: flag().default(false),
  },
  (t) => [
    index('wait_seq_ix').on(t.houseId, t.seq),
    index('wait_item_ix').on(t.itemId),
    index('wait_on_ix').on(t.onItemId),
    index('wait_open_ix').on(t.houseId).where(sql.raw(NOT_ENDED)),
  ],
);

export const timeAway = sqliteTable(
  'timeAway',
  { ...shared(), personId: text().notNull(), from: text().notNull(), to: text().notNull(), standInId: text(), removedAt: text() },
  (t) => [index('time_away_seq_ix').on(t.houseId, t.seq), index('time_away_person_ix').on(t.personId), index('time_away_stand_in_ix').on(t.standInId)],
);

export const slot = sqliteTable(
  'slot',
  { ...shared(), personId: text().notNull(), itemIds: json(), start: text().notNull(), minutes: integer().notNull(), removedAt: text() },
  (t) => [index('slot_seq_ix').on(t.houseId, t.seq), index('slot_person_ix').on(t.personId)],
);

export const noticeChoices = sqliteTable(
  'noticeChoices',
  { ...shared(), personId: text().notNull(), bell: text({ mode: 'json' }), push: json(), mail: json(), lastCall: text(), calledOn: text() },
  (t) => [index('notice_choices_seq_ix').on(t.houseId, t.seq), index('notice_choices_person_ix').on(t.personId)],
);

export const matter = sqliteTable(
  'matter',
  {
    ...shared(),
    makerId: text().notNull(),
    personId: text().notNull(),
    itemId: text(),
    words: text().notNull(),
    shared: flag(),
    at: text().notNull(),
    settledAt: text(),
    noteId: text(),
    removedAt: text(),
  },
  (t) => [
    index('matter_seq_ix').on(t.houseId, t.seq),
    index('matter_person_ix').on(t.personId),
    index('matter_item_ix').on(t.itemId).where(isNotNull(t.itemId)),
  ],
);

export const talk = sqliteTable(
  'talk',
  { ...shared(), makerId: text().notNull(), personId: text().notNull(), weekday: integer().notNull(), time: text().notNull(), endedAt: text() },
  (t) => [index('talk_seq_ix').on(t.houseId, t.seq), index('talk_person_ix').on(t.personId)],
);

export const meetingNote = sqliteTable(
  'meetingNote',
  { ...shared(), makerId: text().notNull(), personIds: json(), date: text().notNull(), text: text().notNull(), shared: flag(), removedAt: text() },
  (t) => [index('meeting_note_seq_ix').on(t.houseId, t.seq)],
);

export const comment = sqliteTable(
  'comment',
  {
    ...shared(),
    itemId: text().notNull(),
    partId: text(),
    authorId: text().notNull(),
    text: text().notNull(),
    kind: text().notNull(),
    audience: text().notNull(),
    answersId: text(),
    mentions: text({ mode: 'json' }).notNull().default([]),
    at: text().notNull(),
    correctedAt: text(),
    removedAt: text(),
  },
  (t) => [index('comment_seq_ix').on(t.houseId, t.seq), index('comment_item_ix').on(t.itemId)],
);

export const attachment = sqliteTable(
  'attachment',
  {
    ...shared(),
    itemId: text().notNull(),
    commentId: text(),
    partId: text(),
    authorId: text().notNull(),
    name: text().notNull(),
    url: text(),
    size: integer(),
    mediaType: text(),
    sha256: text(),
    width: integer(),
    height: integer(),
    at: text().notNull(),
    arrivedAt: text(),
    removedAt: text(),
  },
  (t) => [index('attachment_seq_ix').on(t.houseId, t.seq), index('attachment_item_ix').on(t.itemId), index('attachment_sha_ix').on(t.sha256)],
);

/** The bytes behind attachments, by what is in them. `isReady`: of a picture every size has been made and the bytes as they came are gone. */
export const keptFile = sqliteTable(
  'kept_file',
  {
    sha256: text().primaryKey(),
    size: integer().notNull(),
    mediaType: text().notNull(),
    width: integer(),
    height: integer(),
    isReady: flag(),
    at: text().notNull(),
  },
  (t) => [index('kept_file_unready_ix').on(t.isReady)],
);

/** A file on its way, under the id of its attachment: the room it will take in its house is spoken for. */
export const upload = sqliteTable('upload', { id: text().primaryKey(), houseId: text().notNull(), size: integer().notNull(), at: text().notNull() }, (t) => [
  index('upload_house_ix').on(t.houseId),
]);

export const peopleGroup = sqliteTable(
  'peopleGroup',
  { ...shared(), name: text().notNull(), personIds: json(), createdAt: text().notNull(), removedAt: text() },
  (t) => [index('people_group_seq_ix').on(t.houseId, t.seq)],
);

export const ownField = sqliteTable(
  'ownField',
  {
    ...shared(),
    listId: text(),
    name: text().notNull(),
    kind: text().notNull(),
    unit: text().notNull(),
    options: json(),
    position: text().notNull(),
    createdAt: text().notNull(),
    removedAt: text(),
  },
  (t) => [index('ownField_seq_ix').on(t.houseId, t.seq), index('ownField_list_ix').on(t.listId)],
);

export const fieldValue = sqliteTable(
  'fieldValue',
  { ...shared(), itemId: text().notNull(), fieldId: text().notNull(), kind: text().notNull(), value: text({ mode: 'json' }), isCleared: flag() },
  (t) => [index('fieldValue_seq_ix').on(t.houseId, t.seq), index('fieldValue_item_ix').on(t.itemId), index('fieldValue_field_ix').on(t.fieldId)],
);

export const project = sqliteTable(
  'project',
  {
    ...shared(),
    makerId: text().notNull(),
    name: text().notNull(),
    purpose: text().notNull(),
    colour: text().notNull(),
    icon: text().notNull(),
    answerableId: text(),
    begins: text(),
    ends: text(),
    parentId: text(),
    position: text().notNull(),
    createdAt: text().notNull(),
    finishedAt: text(),
    removedAt: text(),
  },
  (t) => [index('project_seq_ix').on(t.houseId, t.seq)],
);

export const membership = sqliteTable(
  'membership',
  { ...shared(), projectId: text().notNull(), listId: text(), itemId: text(), noteId: text(), byId: text().notNull(), endedAt: text() },
  (t) => [
    index('membership_seq_ix').on(t.houseId, t.seq),
    index('membership_project_ix').on(t.projectId),
    index('membership_list_ix').on(t.listId),
    index('membership_item_ix').on(t.itemId),
  ],
);

export const template = sqliteTable(
  'template',
  {
    ...shared(),
    ownerId: text().notNull(),
    isShared: flag(),
    kind: text().notNull(),
    name: text().notNull(),
    purpose: text().notNull(),
    colour: text().notNull(),
    icon: text().notNull(),
    listKind: text().notNull(),
    anchorName: text().notNull(),
    keptOn: text(),
    sections: json(),
    text: text().notNull().default(''),
    position: text().notNull(),
    createdAt: text().notNull(),
    removedAt: text(),
  },
  (t) => [index('template_seq_ix').on(t.houseId, t.seq)],
);

export const templateItem = sqliteTable(
  'templateItem',
  {
    ...shared(),
    templateId: text().notNull(),
    parentId: text(),
    sectionId: text(),
    title: text().notNull(),
    ...nature(),
    due: text({ mode: 'json' }),
    start: text({ mode: 'json' }),
    holders: json(),
    firstIds: json().default([]),
    position: text().notNull(),
    removedAt: text(),
  },
  (t) => [index('template_item_seq_ix').on(t.houseId, t.seq), index('template_item_template_ix').on(t.templateId)],
);

export const guest = sqliteTable(
  'guest',
  { ...shared(), itemId: text().notNull(), personId: text().notNull(), byId: text().notNull(), since: text().notNull(), endedAt: text() },
  (t) => [index('guest_seq_ix').on(t.houseId, t.seq), index('guest_item_ix').on(t.itemId), index('guest_person_ix').on(t.personId)],
);

export const watch = sqliteTable(
  'watch',
  {
    ...shared(),
    itemId: text().notNull(),
    personId: text().notNull(),
    on: flag(),
    each: flag().default(false),
    topics: json().default(['done', 'answers', 'changes', 'said']),
    byId: text(),
  },
  (t) => [index('watch_seq_ix').on(t.houseId, t.seq), index('watch_item_ix').on(t.itemId)],
);

export const listWatch = sqliteTable(
  'listWatch',
  { ...shared(), listId: text().notNull(), personId: text().notNull(), on: flag(), topics: json(), byId: text() },
  (t) => [index('list_watch_seq_ix').on(t.houseId, t.seq), index('list_watch_list_ix').on(t.listId)],
);

export const notice = sqliteTable(
  'notice',
  {
    ...shared(),
    personId: text().notNull(),
    itemId: text(),
    kind: text().notNull(),
    byId: text(),
    at: text().notNull(),
    params: json(),
    readAt: text(),
    withdrawnAt: text(),
  },
  (t) => [
    index('notice_seq_ix').on(t.houseId, t.seq),
    index('notice_person_ix').on(t.personId),
    index('notice_unread_ix').on(t.personId, t.seq).where(sql.raw(UNREAD)),
  ],
);

export const activity = sqliteTable(
  'activity',
  {
    ...shared(),
    itemId: text(),
    listId: text(),
    actorId: text(),
    kind: text().notNull(),
    params: json(),
    at: text().notNull(),
    arrivedAt: text().notNull(),
  },
  (t) => [
    index('activity_seq_ix').on(t.houseId, t.seq),
    index('activity_item_ix').on(t.itemId).where(isNotNull(t.itemId)),
    index('activity_list_ix').on(t.listId).where(isNotNull(t.listId)),
  ],
);

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

/** The last sequence number of each house. */
export const sequence = sqliteTable('sequence', { houseId: text().primaryKey(), seq: integer().notNull() });

/** The first sequence number of each day (UTC) on which something happened in a house: where what devices hold begins. */
export const houseDay = sqliteTable('house_day', { houseId: text().notNull(), day: text().notNull(), seq: integer().notNull() }, (t) => [
  primaryKey({ columns: [t.houseId, t.day] }),
]);

/** The items somebody has still to do with: it follows from the rows, and is kept because SQL has to find what devices hold. */
export const living = sqliteTable('living', { houseId: text().notNull(), itemId: text().notNull() }, (t) => [primaryKey({ columns: [t.houseId, t.itemId] })]);

/** When something is due next in a house that stands at `seq`, as this `build` worked it out; null: never. What it is follows from the rows. */
export const houseDue = sqliteTable('house_due', { houseId: text().primaryKey(), seq: integer().notNull(), at: text(), build: text().notNull() });

/** Every command ever decided: answered a second time with its first outcome, and the ground of undo. */
export const command = sqliteTable(
  'command',
  {
    accountId: text().notNull(),
    id: text().notNull(),
    houseId: text().notNull(),
    name: text().notNull(),
    payload: json(),
    actorId: text(),
    seq: integer(),
    changes: json(),
    outcome: json(),
    at: text().notNull(),
  },
  // by id first: whether any account has used it is asked of every command
  (t) => [
    primaryKey({ columns: [t.id, t.accountId] }),
    index('command_visits_ix')
      .on(t.at)
      .where(sql`name IN ('visit.report', 'visit.forget')`),
    // refused: kept for a time only
    index('command_refused_ix')
      .on(t.at)
      .where(sql`seq IS NULL`),
  ],
);

/** Rows that came into or went out of a person's sight at a sequence number, without having changed themselves. */
export const sight = sqliteTable(
  'sight',
  { houseId: text().notNull(), personId: text().notNull(), seq: integer().notNull(), noun: text().notNull(), rowId: text().notNull() },
  (t) => [index('sight_ix').on(t.houseId, t.personId, t.seq)],
);

export const account = sqliteTable('account', {
  id: text().primaryKey(),
  email: text().notNull().unique(),
  name: text().notNull(),
  passwordHash: text().notNull(),
  theme: text().notNull(),
  createdAt: text().notNull(),
});

/** A signed-in browser. The cookie's secret is kept as its SHA-256 only. */
export const device = sqliteTable(
  'device',
  {
    id: text().primaryKey(),
    secretHash: text().notNull().unique(),
    accountId: text()
      .notNull()
      .references(() => account.id),
    label: text().notNull(),
    createdAt: text().notNull(),
    lastSeenAt: text().notNull(),
  },
  (t) => [index('device_account_ix').on(t.accountId)],
);

/** A browser somebody has signed in on before: guesses made elsewhere do not slow it down. Kept as its SHA-256 only; it outlives signing out. */
export const knownDevice = sqliteTable('knownDevice', { accountId: text().notNull(), secretHash: text().notNull(), usedAt: text().notNull() }, (t) => [
  primaryKey({ columns: [t.accountId, t.secretHash] }),
]);

/** A key to add things as its person from elsewhere. Kept as its SHA-256 only. */
export const captureToken = sqliteTable(
  'captureToken',
  {
    id: text().primaryKey(),
    secretHash: text().notNull().unique(),
    accountId: text()
      .notNull()
      .references(() => account.id),
    houseId: text().notNull(),
    name: text().notNull(),
    createdAt: text().notNull(),
    lastUsedAt: text(),
  },
  (t) => [index('capture_token_account_ix').on(t.accountId)],
);

/** A browser that takes device notifications (Push API). It goes with its sign-in. */
export const pushSubscription = sqliteTable(
  'pushSubscription',
  {
    id: text().primaryKey(),
    deviceId: text()
      .notNull()
      .references(() => device.id, { onDelete: 'cascade' }),
    accountId: text().notNull(),
    endpoint: text().notNull().unique(),
    p256dh: text().notNull(),
    auth: text().notNull(),
    createdAt: text().notNull(),
  },
  (t) => [index('push_account_ix').on(t.accountId)],
);

/** A notice on its way to one device or address: written with the notice itself, gone through until it is out. */
export const delivery = sqliteTable(
  'delivery',
  {
    /** Follows from the notice and where it goes: the same one never leaves twice. */
    id: text().primaryKey(),
    houseId: text().notNull(),
    noticeId: text().notNull(),
    personId: text().notNull(),
    channel: text().notNull(),
    /** The subscription of a device; empty for mail. */
    target: text().notNull(),
    state: text().notNull(),
    attempts: integer().notNull(),
    /** Domain time: not before. */
    nextAt: text().notNull(),
    firstTriedAt: text(),
    /** Why it did not go out the last time. */
    why: text(),
    reportedAt: text(),
    settledAt: text(),
  },
  (t) => [index('delivery_due_ix').on(t.state, t.nextAt)],
);

/** The links of people without an account that are or were good. */
export const outsideLink = sqliteTable(
  'outsideLink',
  { id: text().primaryKey(), houseId: text().notNull(), personId: text().notNull(), createdAt: text().notNull(), usedAt: text(), withdrawnAt: text() },
  (t) => [index('outside_link_person_ix').on(t.personId)],
);

/** Somebody without an account who wants no more mail from this house. */
export const mailStop = sqliteTable('mailStop', { houseId: text().notNull(), personId: text().notNull(), at: text().notNull() }, (t) => [
  primaryKey({ columns: [t.houseId, t.personId] }),
]);

/** Mail to a capture address that nobody vouches for: its owner takes it or throws it away. */
export const heldMail = sqliteTable(
  'heldMail',
  {
    /** Follows from the mail's own id: the same one is held once. */
    id: text().primaryKey(),
    houseId: text().notNull(),
    personId: text().notNull(),
    sender: text().notNull(),
    /** Where it came from: the network of the server that delivered it. */
    path: text().notNull(),
    title: text().notNull(),
    notes: text().notNull(),
    /** Of the files that came with it, those that are kept: bytes each. */
    files: text({ mode: 'json' }).$type<{ name: string; size: number }[]>().notNull().default([]),
    /** How many of them were too large, or too many. */
    filesLeft: integer().notNull().default(0),
    at: text().notNull(),
  },
  (t) => [index('held_mail_person_ix').on(t.personId, t.at)],
);

/** A sender and the way their mail came, that the owner of a capture address has taken before. */
export const mailPath = sqliteTable('mailPath', { personId: text().notNull(), sender: text().notNull(), path: text().notNull(), at: text().notNull() }, (t) => [
  primaryKey({ columns: [t.personId, t.sender, t.path] }),
]);

/** Settings of the installation itself, such as the simulated clock. */
export const setting = sqliteTable('setting', { key: text().primaryKey(), value: text().notNull() });
