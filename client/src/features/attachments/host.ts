import { allows, type Attachment, type Comment, type Item, type Reader, type Person } from '@kotiva/core';

/** What files are with, and what somebody may do there. */
export interface FileHost {
  id: string;
  title: string;
  /** How a command names it. */
  names: { item: string } | { comment: string } | { project: string } | { note: string };
  mayAdd: boolean;
  mayRemove: (file: Attachment) => boolean;
  /** Who will read them, where that isn’t plain. */
  readers?: string;
}

export function hostOfItem(item: Item, me: Person, rows: Reader): FileHost {
  const reader = rows;
  return {
    id: item.id,
    title: item.title,
    names: { item: item.id },
    mayAdd: item.removedAt === null && allows({ permission: 'answer', item: item.id }, me, reader),
    mayRemove: ({ authorId }) => authorId === me.id || allows({ permission: 'change', item: item.id }, me, reader),
  };
}

/** A remark’s files are its writer’s. */
export const hostOfRemark = (comment: Comment, me: Person): FileHost => ({
  id: comment.id,
  title: comment.text,
  names: { comment: comment.id },
  mayAdd: false,
  mayRemove: () => comment.authorId === me.id,
});
