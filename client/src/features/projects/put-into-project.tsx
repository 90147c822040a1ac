import type { Item, List, Project } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Empty, Heading, Sheet, Switch } from '@/ui';
import { t } from '@/words';
import { ProjectSheet } from './project-sheet.tsx';
import { mayChangeProject, useProjects } from './use-project.ts';

/** The projects a list or an item belongs to: each a switch. */
export function PutIntoProject({ of, onClose }: { of: { list: List } | { item: Item }; onClose: () => void }) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const [making, setMaking] = useState(false);
  const projects = useProjects().filter((project) => project.finishedAt === null && mayChangeProject(project, me));
  const member = 'list' in of ? { lists: [of.list.id] } : { items: [of.item.id] };
  const name = 'list' in of ? of.list.name : of.item.title;
  const links = 'list' in of ? rows.by('membership', 'listId', of.list.id) : rows.by('membership', 'itemId', of.item.id);
  const isIn = ({ id }: Project) => links.some(({ projectId, endedAt }) => projectId === id && endedAt === null);
  const put = (project: Project, on: boolean) =>
    void submit(
      'project.setMembers',
      { project: project.id, ...member, on },
      { words: t(on ? 'said.projectIn' : 'said.projectOut', { title: name, project: project.name }), undo: true },
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
