import type { Project } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { PeoplePicker } from '@/features/item';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { selectRows } from '@/store/rows.ts';
import type { Store } from '@/store/store.ts';
import { Button, Choice, ErrorLine, Field, Foot, Heading, Labelled, MomentInput, Sheet } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { useProjects } from './use-project.ts';

/** A new project, or what one is for, who answers for it, when it ends. */
export function ProjectSheet({ project, onClose }: { project?: Project; onClose: () => void }) {
  const submit = useSubmit();
  const router = useRouter();
  const store = useStore() as Store;
  const projects = useProjects().filter(({ id, finishedAt }) => id !== project?.id && finishedAt === null);
  const [begin] = useState(() => ({
    name: project?.name ?? '',
    purpose: project?.purpose ?? '',
    answerable: project?.answerableId ?? null,
    begins: project?.begins ?? '',
    ends: project?.ends ?? '',
    parent: project?.parentId ?? '',
  }));
  const [draft, setDraft, done] = useDraft(`project/${project?.id ?? 'new'}`, begin);
  const [error, setError] = useState<{ field: string; says: string } | null>(null);
  const change = (some: Partial<typeof draft>) => {
    setDraft({ ...draft, ...some });
    setError(null);
  };
  const all = () => selectRows(store.getState().house).all('project');
  const save = () => {
    const known = new Set(all().map(({ id }) => id));
    const fields = { ...draft, begins: draft.begins || null, ends: draft.ends || null, parent: draft.parent || null };
    const reason = project
      ? submit('project.change', { project: project.id, ...fields }, { words: t('said.projectChanged'), undo: true, ownRefusal: true })
      : submit('project.make', fields, { words: t('said.projectMade', { name: draft.name.trim() }), undo: true, ownRefusal: true });
    if (reason) return setError({ field: reason.field ?? '', says: sayReason(reason) });
    done();
    onClose();
    const made = project ? undefined : all().find(({ id }) => !known.has(id));
    if (made) router.push(`/projects/${made.id}`);
  };
  const at = (...fields: string[]) => (error && fields.includes(error.field) ? error.says : null);
  const title = t(project ? 'project.change' : 'projects.make');
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        <Field
          label={t('project.name')}
          value={draft.name}
          onChangeText={(name) => change({ name })}
          onSubmitEditing={save}
          maxLength={80}
          error={at('name')}
          autoFocus={!project}
        />
        <Field label={t('project.purpose')} value={draft.purpose} onChangeText={(purpose) => change({ purpose })} maxLength={300} />
        <View className="flex-row flex-wrap gap-3">
          <MomentInput label={t('project.beginsOn')} kind="date" value={draft.begins} onChange={(begins) => change({ begins })} />
          <MomentInput label={t('project.endsOn')} kind="date" value={draft.ends} onChange={(ends) => change({ ends })} />
        </View>
        <ErrorLine says={at('ends', 'begins')} />
        <Labelled words={t('project.answerable')}>
          <PeoplePicker
            label={t('project.answerable')}
            chosen={draft.answerable ? [draft.answerable] : []}
            onToggle={(person) => change({ answerable: draft.answerable === person ? null : person })}
          />
        </Labelled>
        {projects.length > 0 ? (
          <Labelled words={t('project.partOf')}>
            <Choice
              label={t('project.partOf')}
              value={draft.parent}
              onChange={(parent) => change({ parent })}
              options={[{ value: '', words: t('project.partOfNone') }, ...projects.map(({ id, name }) => ({ value: id, words: name }))]}
            />
            <ErrorLine says={at('parent')} />
          </Labelled>
        ) : null}
        <ErrorLine says={error && !['name', 'ends', 'begins', 'parent'].includes(error.field) ? error.says : null} />
        <Foot>
          <Button kind="main" onPress={save}>
            {t(project ? 'common.save' : 'projects.makeIt')}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}
