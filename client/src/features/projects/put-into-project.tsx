import type { Item, List, MeetingNote, Membership, Reader, Project } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Empty, Heading, Sheet, Switch } from '@/ui';
import { t } from '@/words';
import { sayExactly } from '@/words/dates.ts';
import { ProjectSheet } from './project-sheet.tsx';
import { mayChangeProject, useProjects } from './use-project.ts';

type Member = { list: List } | { item: Item } | { note: MeetingNote };

/** The projects a list, an item or notes of a talk belong to: each a switch. */
export function PutIntoProject({ of, onClose }: { of: Member; onClose: () => void }) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const [making, setMaking] = useState(false);
  const projects = useProjects().filter((project) => project.finishedAt === null && mayChangeProject(project, me));
  const { names, called, links } = memberOf(of, rows);
  const isIn = ({ id }: Project) => links.some(({ projectId, endedAt }) => projectId === id && endedAt === null);
  const put = (project: Project, on: boolean) =>
    void submit(
      'project.setMembers',
      { project: project.id, ...names, on },
      { words: t(on ? 'said.projectIn' : 'said.projectOut', { title: called, project: project.name }), undo: true },
    );
  const title = t('project.put');
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-1 pt-2">
        {projects.length === 0 ? <Empty words={t('project.noneYet')} /> : null}
        {projects.map((project) => (
          <Switch key={project.id} words={project.name} on={isIn(project)} onChange={(on) => put(project, on)} />
        ))}
        {me.role === 'helper' ? null : (
          <View className="items-start pt-3">
            <Button icon="plus" onPress={() => setMaking(true)}>
              {t('projects.make')}
            </Button>
          </View>
        )}
      </View>
      {making ? <ProjectSheet onClose={() => setMaking(false)} /> : null}
    </Sheet>
  );
}

/** How a command names it, what it is called, and its projects. */
function memberOf(of: Member, rows: Reader): { names: { lists: string[] } | { items: string[] } | { notes: string[] }; called: string; links: Membership[] } {
  if ('list' in of) return { names: { lists: [of.list.id] }, called: of.list.name, links: rows.by('membership', 'listId', of.list.id) };
  if ('item' in of) return { names: { items: [of.item.id] }, called: of.item.title, links: rows.by('membership', 'itemId', of.item.id) };
  const { id, date } = of.note;
  return {
    names: { notes: [id] },
    called: t('project.notesOf', { when: sayExactly(date) }),
    links: rows.all('membership').filter(({ noteId }) => noteId === id),
  };
}
