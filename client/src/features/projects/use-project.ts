import { isDone, openWaits, type Attachment, type Item, type MeetingNote, type Person, type Project, type Wait } from '@kotiva/core';
import { byPosition } from '@kotiva/core/model/position';
import { measure, type Measure } from '@kotiva/core/views/progress';
import { itemsOfProject } from '@kotiva/core/views/project-contents';
import { useMemo } from 'react';
import { attachmentsOf } from '@/features/files';
import { useOpenHouse } from '@/store/store.ts';

export interface ProjectFacts {
  items: Item[];
  open: Item[];
  done: Item[];
  progress: Measure;
  /** What it waits for, and of which item. */
  waits: { item: Item; wait: Wait }[];
  /** The next dates of it, the earliest first. */
  dates: { item: Item; due: string }[];
  notes: MeetingNote[];
  /** Files with its items, each with what it is with. */
  files: { item: Item; file: Attachment }[];
  parts: Project[];
}

const DATES = 3;

/** What a project comes to, of what can be seen from here. */
export function useProject(project: Project): ProjectFacts {
  const { rows } = useOpenHouse();
  return useMemo(() => {
    const items = itemsOfProject(project.id, rows);
    const done = items.filter((item) => isDone(item, rows.by('part', 'itemId', item.id)));
    const over = new Set(done);
    const open = items.filter((item) => !over.has(item));
    const waits = open.flatMap((item) => openWaits(rows.by('wait', 'itemId', item.id)).map((wait) => ({ item, wait })));
    const dates = open.flatMap((item) => (item.due === null ? [] : [{ item, due: item.due }])).sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : 0));
    const notes = rows.by('membership', 'projectId', project.id).flatMap(({ noteId, endedAt }) => {
      const note = noteId === null || endedAt !== null ? undefined : rows.find('meetingNote', noteId);
      return note === undefined || note.removedAt !== null ? [] : [note];
    });
    const files = items.flatMap((item) => attachmentsOf(rows, item.id).map((file) => ({ item, file })));
    const parts = rows.all('project').filter((one) => one.parentId === project.id && one.removedAt === null).sort(byPosition); // prettier-ignore
    return { items, open, done, progress: measure(items, rows), waits, dates: dates.slice(0, DATES), notes, files, parts };
  }, [project.id, rows]);
}

export const mayChangeProject = ({ answerableId, makerId }: Project, me: Person): boolean =>
  me.role === 'manager' || (me.role === 'member' && [answerableId, makerId].includes(me.id));

export const useProjects = (): Project[] => {
  const { rows } = useOpenHouse();
  return useMemo(() => rows.all('project').filter(({ removedAt }) => removedAt === null).sort(byPosition), [rows]); // prettier-ignore
};
