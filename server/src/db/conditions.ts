/** What the partial indexes hold, in SQL: whoever asks in the same words finds rows by them. */
export const IN_HAND = `"excusedAt" IS NULL AND "takenBackAt" IS NULL AND "passedTo" IS NULL AND "standing" <> 'completed'`;
export const NUDGED = '"nudgedAt" IS NOT NULL';
export const OWN_PILE = '"listId" IS NULL AND "parentId" IS NULL AND "removedAt" IS NULL';
export const CAN_BE_BROUGHT_BACK = '"removedAt" IS NOT NULL AND "purgedAt" IS NULL';
export const TAGGED = `"tagIds" <> '[]'`;
export const NOT_ENDED = '"endedAt" IS NULL';
export const UNREAD = '"readAt" IS NULL AND "withdrawnAt" IS NULL';
