import type { Reader, Project } from '@kotiva/core';
import { t } from '@/words';
import { dayMonthYear } from '@/words/dates.ts';
import { nameOf } from '@/words/people.ts';

/** "Petri · ends 20 June", "goes on". */
export function sayProject({ answerableId, begins, ends, finishedAt }: Project, today: string, rows: Reader): string {
  return [
    answerableId ? t('project.by', { name: nameOf(rows, answerableId) }) : null,
    begins && begins > today ? t('project.begins', { day: dayMonthYear(begins, today) }) : null,
    finishedAt ? t('project.finished') : ends ? t('project.ends', { day: dayMonthYear(ends, today) }) : t('project.goesOn'),
  ]
    .filter(Boolean)
    .join(' · ');
}
