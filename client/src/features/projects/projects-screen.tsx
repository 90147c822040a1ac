import { calendarDateOf, type Project } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Screen } from '@/features/shell';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Empty, Fold, Icon, Row, useSheet } from '@/ui';
import { t } from '@/words';
import { sayMeasure } from '@/words/amounts.ts';
import { ProjectSheet } from './project-sheet.tsx';
import { sayProject } from './say-project.ts';
import { useProject, useProjects } from './use-project.ts';

/** What ends one day: each with its lists, items and talks. */
export function ProjectsScreen() {
  const { me } = useOpenHouse();
  const projects = useProjects();
  const [making, setMaking] = useSheet('new-project');
  const open = projects.filter(({ finishedAt }) => finishedAt === null);
  const finished = projects.filter(({ finishedAt }) => finishedAt !== null);
  return (
    <Screen title={t('projects.title')} sub={open.length > 0 ? t('projects.count', { count: open.length }) : undefined}>
      {projects.length === 0 ? <Empty words={t('projects.empty')} /> : null}
      {open.map((project) => (
        <ProjectRow key={project.id} project={project} />
      ))}
      {me.role === 'helper' ? null : (
        <View className="items-start px-4 py-5">
          <Button icon="plus" onPress={() => setMaking(true)}>
            {t('projects.make')}
          </Button>
        </View>
      )}
      {finished.length > 0 ? (
        <Fold words={t('projects.finished', { count: finished.length })}>
          {finished.map((project) => (
            <ProjectRow key={project.id} project={project} />
          ))}
        </Fold>
      ) : null}
      {making && me.role !== 'helper' ? <ProjectSheet onClose={() => setMaking(false)} /> : null}
    </Screen>
  );
}

export function ProjectRow({ project }: { project: Project }) {
  const { rows, house } = useOpenHouse();
  const router = useRouter();
  const today = calendarDateOf(useNow(), house.zone);
  const { progress } = useProject(project);
  return (
    <Row
      lead={<Icon name={project.icon} size={22} colour={project.colour} />}
      title={project.name}
      sub={sayProject(project, today, rows)}
      right={progress.of > 0 ? sayMeasure(progress) : undefined}
      rightTone="muted"
      onPress={() => router.push(`/projects/${project.id}`)}
    />
  );
}
