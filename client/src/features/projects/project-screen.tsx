import { calendarDateOf, groupBy, isLate, isPicture, partFor, type Arrangeable, type Item, type Project } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useHeading } from '@/features/arrange';
import { addressOf, attachmentsOf } from '@/features/files';
import { Files, ItemRow, useOpenItem } from '@/features/item';
import { everythingUnder, projectLookedBack } from '@/features/pages';
import { Screen } from '@/features/shell';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Band, Button, Choice, Empty, Fold, GroupHead, Icon, LongRows, Menu, Row, Txt, useSheetAt, type MenuEntry } from '@/ui';
import { t } from '@/words';
import { excerpt } from '@/words/excerpt.ts';
import { wordsOfWait } from '@/words/waits.ts';
import { sayMeasure } from '@/words/amounts.ts';
import { sayExactly, sayMoment } from '@/words/dates.ts';
import { FinishSheet } from './finish-sheet.tsx';
import { ProjectSheet } from './project-sheet.tsx';
import { ProjectRow } from './projects-screen.tsx';
import { sayProject } from './say-project.ts';
import { mayChangeProject, useProject } from './use-project.ts';

/** One project: what it is for, how far it is, what it waits for and when, and everything that belongs to it. */
export function ProjectScreen({ projectId }: { projectId: string }) {
  const { rows } = useOpenHouse();
  const project = rows.find('project', projectId);
  if (project === undefined || project.removedAt !== null)
    return (
      <Screen title={t('project.gone')}>
        <Empty words={t('project.goneWhy')} />
      </Screen>
    );
  return <OpenProject key={project.id} project={project} />;
}

type Gathered = 'list' | 'stage' | 'person';

function OpenProject({ project }: { project: Project }) {
  const { rows, me, house } = useOpenHouse();
  const router = useRouter();
  const today = calendarDateOf(useNow(), house.zone);
  const facts = useProject(project);
  // from when it was begun, or made, to when it was finished
  const backFrom = [project.begins, calendarDateOf(project.createdAt, house.zone)].filter((day) => day !== null).sort()[0]!;
  const backTo = project.finishedAt === null ? today : calendarDateOf(project.finishedAt, house.zone);
  const [sheet, setSheet] = useSheetAt<'change' | 'finish'>('project');
  const [by, setBy] = useState<Gathered>('list');
  const mayChange = mayChangeProject(project, me);
  const above = project.parentId === null ? undefined : rows.find('project', project.parentId);
  return (
    <Screen
      title={project.name}
      sub={sayProject(project, today, rows)}
      lead={<Icon name={project.icon} size={24} colour={project.colour} />}
      actions={
        <ProjectMenu
          project={project}
          count={facts.items.length}
          mayChange={mayChange}
          onChange={() => setSheet('change')}
          onFinish={() => setSheet('finish')}
        />
      }
    >
      <View className="gap-2 px-4 py-3">
        {project.purpose ? <Txt>{project.purpose}</Txt> : null}
        {above === undefined ? null : (
          <View className="-ml-2 items-start">
            <Button kind="quiet" onPress={() => router.push(`/projects/${above.id}`)}>
              {t('project.isPartOf', { name: above.name })}
            </Button>
          </View>
        )}
        {facts.progress.of > 0 ? (
          <View className="flex-row flex-wrap items-center gap-3">
            <Band share={facts.progress.done / facts.progress.of} width={160} height={12} />
            <Txt size={15} face="medium">
              {sayMeasure(facts.progress)}
            </Txt>
            <Txt size={13} tone="muted">
              {t('project.ofSeen')}
            </Txt>
          </View>
        ) : (
          <Txt tone="muted">{t(mayChange ? 'project.emptyAdd' : 'project.empty')}</Txt>
        )}
      </View>
      {facts.items.length > 0 ? (
        <View className="flex-row flex-wrap gap-2 px-2">
          {facts.done.length > 0 ? (
            <Button kind="quiet" onPress={() => router.push(projectLookedBack(project.id, backFrom, backTo))}>
              {t('project.lookBack')}
            </Button>
          ) : null}
          <Button kind="quiet" onPress={() => router.push(everythingUnder('project', project.id))}>
            {t('project.asTable')}
          </Button>
        </View>
      ) : null}
      <Coming facts={facts} />
      {facts.parts.map((part) => (
        <ProjectRow key={part.id} project={part} />
      ))}
      {facts.notes.length > 0 ? <GroupHead title={t('project.notes')} count={facts.notes.length} /> : null}
      {facts.notes.map((note) => (
        <Row
          key={note.id}
          title={sayExactly(note.date)}
          sub={excerpt(note.text)}
          onPress={() => router.push(`/people/${note.personIds[0] ?? me.id}?note=${note.id}`)}
        />
      ))}
      <ProjectFiles project={project} facts={facts} mayChange={mayChange} />
      {facts.open.length > 1 ? (
        <View className="px-4 pb-1 pt-4">
          <Choice<Gathered>
            label={t('project.gathered')}
            value={by}
            onChange={setBy}
            options={(['list', 'stage', 'person'] as const).map((value) => ({ value, words: t(`group.${value}`) }))}
          />
        </View>
      ) : null}
      <Items items={facts.open} by={by} />
      {facts.done.length > 0 ? (
        <Fold words={t('project.done', { count: facts.done.length })}>
          <LongRows rows={facts.done} keyOf={({ id }) => id}>
            {(item) => <ItemRow item={item} />}
          </LongRows>
        </Fold>
      ) : null}
      {sheet === 'change' && mayChange ? <ProjectSheet project={project} onClose={() => setSheet(null)} /> : null}
      {sheet === 'finish' && mayChange ? <FinishSheet project={project} open={facts.open.length} onClose={() => setSheet(null)} /> : null}
    </Screen>
  );
}

/** What it waits for, and its next dates. */
function Coming({ facts }: { facts: ReturnType<typeof useProject> }) {
  const { house, rows } = useOpenHouse();
  const now = useNow();
  const openItem = useOpenItem();
  return (
    <>
      {facts.waits.length > 0 ? <GroupHead title={t('project.waits')} count={facts.waits.length} /> : null}
      {facts.waits.map(({ item, wait }) => (
        <Row key={wait.id} title={wordsOfWait(wait, rows)} sub={item.title} onPress={() => openItem(item.id)} />
      ))}
      {facts.dates.length > 0 ? <GroupHead title={t('project.dates')} /> : null}
      {facts.dates.map(({ item, due }) => (
        <Row
          key={item.id}
          title={item.title}
          right={sayMoment(due, now, house.zone)}
          rightTone={isLate(item, now, house.zone) ? 'late' : 'ink'}
          onPress={() => openItem(item.id)}
        />
      ))}
    </>
  );
}

const hostOfProject = ({ id, name }: Project, mayChange: boolean) => ({
  id,
  title: name,
  names: { project: id },
  mayAdd: mayChange,
  mayRemove: () => mayChange,
  readers: t('project.filesReaders'),
});

/** Its own files, and what lies with its items, each one tap from what it is with. */
function ProjectFiles({ project, facts: { files }, mayChange }: { project: Project; facts: ReturnType<typeof useProject>; mayChange: boolean }) {
  const { rows } = useOpenHouse();
  const openItem = useOpenItem();
  const count = files.length + attachmentsOf(rows, project.id).length;
  if (count === 0 && !mayChange) return null;
  return (
    <Fold words={count === 0 ? t('project.addFiles') : t('project.files', { count })}>
      <View className="px-4 pb-2">
        <Files host={hostOfProject(project, mayChange)} />
      </View>
      {files.length > 0 ? <GroupHead title={t('project.filesOfItems')} count={files.length} /> : null}
      <LongRows rows={files} keyOf={({ file }) => file.id}>
        {({ item, file }) => (
          <Row
            title={file.name}
            sub={item.title}
            picture={file.arrivedAt !== null && isPicture(file) ? addressOf(file, 'small') : undefined}
            onPress={() => openItem(item.id)}
          />
        )}
      </LongRows>
    </Fold>
  );
}

function Items({ items, by }: { items: readonly Item[]; by: Gathered }) {
  const { rows, me } = useOpenHouse();
  const heading = useHeading();
  const entries = items.map((item): Arrangeable => ({ item, part: partFor(item, rows.by('part', 'itemId', item.id), me.id, rows) }));
  return groupBy(entries, by, rows).map((group) => (
    <View key={group.key ?? 'none'}>
      <GroupHead title={heading(group)} count={group.entries.length} />
      <LongRows rows={group.entries} keyOf={({ item }) => item.id}>
        {({ item }) => <ItemRow item={item} />}
      </LongRows>
    </View>
  ));
}

interface ProjectMenuProps {
  project: Project;
  count: number;
  mayChange: boolean;
  onChange: () => void;
  onFinish: () => void;
}

function ProjectMenu({ project, count, mayChange, onChange, onFinish }: ProjectMenuProps) {
  const submit = useSubmit();
  const router = useRouter();
  const goOn = () =>
    void submit('project.finish', { project: project.id, finished: false }, { words: t('said.projectGoesOn', { name: project.name }), undo: true });
  const remove = () => {
    router.replace('/projects');
    submit('project.change', { project: project.id, removed: true }, { words: t('said.projectRemoved', { name: project.name, count }), undo: true });
  };
  const print: MenuEntry = { key: 'print', words: t('project.print'), onPress: () => window.print() };
  const entries: MenuEntry[] = mayChange
    ? [
        { key: 'change', words: t('project.change'), onPress: onChange },
        project.finishedAt === null
          ? { key: 'finish', words: t('project.finish'), onPress: onFinish }
          : { key: 'go-on', words: t('project.goOn'), onPress: goOn },
        print,
        { key: 'remove', words: t('project.remove'), late: true, onPress: remove },
      ]
    : [print];
  return <Menu label={t('project.more', { name: project.name })} entries={entries} />;
}
