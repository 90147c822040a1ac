import * as z from 'zod/mini';
import { allows } from '../access/allows.ts';
import type { Attachment } from '../model/attachment-schema.ts';
import { Id } from '../model/row-schema.ts';
import type { Deciding } from './deciding.ts';
import { askToChangeProject } from './projects.ts';
import { refuse } from './reasons.ts';
import type { CommandRequest } from './required-permissions.ts';
import { askToChangeTemplate } from './templates.ts';

/** What a file can be with, one of these: an item, a remark of one's own about one, a project, one's own notes of a talk. */
export const FILE_HOST = { item: z.optional(Id), comment: z.optional(Id), project: z.optional(Id), note: z.optional(Id) };

interface Said {
  item?: string | undefined;
  comment?: string | undefined;
  project?: string | undefined;
  note?: string | undefined;
}

const NOBODY: CommandRequest = { permission: 'self', is: false };

/** Who may add to it. */
export function askToAddTo({ item, comment, project, note }: Said, d: Deciding): CommandRequest[] {
  if ([item, comment, project, note].filter((id) => id !== undefined).length !== 1) return [NOBODY];
  if (item !== undefined) return [{ permission: 'answer', item }];
  if (comment !== undefined) return askForRemark(comment, d);
  return [project === undefined ? askForNotes(note!, d) : askToChangeProject(project, d)];
}

/** What it is with, and the remark it was said with. */
export function hostOf({ item, comment, project, note }: Said, d: Deciding): Pick<Attachment, 'itemId' | 'commentId'> {
  if (comment !== undefined) {
    const { itemId, removedAt } = d.need('comment', comment);
    if (removedAt !== null) refuse('gone', { noun: 'comment' }, 'comment');
    return { itemId, commentId: comment };
  }
  const host = project === undefined ? (note === undefined ? d.need('item', item ?? '') : d.need('meetingNote', note)) : d.need('project', project);
  if (host.removedAt !== null && item === undefined) refuse('gone', { noun: 'project' });
  return { itemId: host.id, commentId: null };
}

/** Whoever put it there, as long as they see what it is with; and whoever may change that. */
export function askToRemoveFrom(file: Attachment | undefined, d: Deciding): CommandRequest[] {
  if (file === undefined) return [NOBODY];
  const { itemId, commentId } = file;
  if (commentId) return askForRemark(commentId, d);
  if (d.find('project', itemId)) return [askToChangeProject(itemId, d)];
  if (d.find('meetingNote', itemId)) return [askForNotes(itemId, d)];
  const kept = d.find('templateItem', itemId);
  if (kept) return [askToChangeTemplate(kept.templateId, d)];
  const actor = d.actorOrNull;
  const isOwn = file.authorId === actor?.id && allows({ permission: 'see', item: itemId }, actor, d);
  return [isOwn ? { permission: 'self', is: true } : { permission: 'change', item: itemId }];
}

/** A remark is its writer's, as long as they see what it is about. */
function askForRemark(id: string, d: Deciding): CommandRequest[] {
  const comment = d.find('comment', id);
  if (comment === undefined || comment.authorId !== d.actorOrNull?.id) return [NOBODY];
  return [{ permission: 'see', item: comment.itemId }];
}

const askForNotes = (id: string, d: Deciding): CommandRequest => ({ permission: 'self', is: d.find('meetingNote', id)?.makerId === d.actorOrNull?.id });
