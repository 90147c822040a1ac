import type { Template } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { NotesField } from '@/features/item';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { selectRows } from '@/store/rows.ts';
import { useOpenHouse, type Store } from '@/store/store.ts';
import { Button, Choice, Field, Foot, Heading, Labelled, Sheet, Switch, Txt } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';

/** A new template, or what one is called, what its day is called, and whose it is. */
export function TemplateSheet({ template, onClose }: { template?: Template; onClose: () => void }) {
  const { me } = useOpenHouse();
  const store = useStore() as Store;
  const router = useRouter();
  const submit = useSubmit();
  const [begin] = useState(() => ({
    name: template?.name ?? '',
    purpose: template?.purpose ?? '',
    anchorName: template?.anchorName ?? '',
    isShared: template?.isShared ?? false,
    kind: template?.kind ?? ('list' as const),
    text: template?.text ?? '',
  }));
  const [draft, setDraft, done] = useDraft(`template/${template?.id ?? 'new'}`, begin);
  const [error, setError] = useState<string | null>(null);
  const change = (some: Partial<typeof draft>) => {
    setDraft({ ...draft, ...some });
    setError(null);
  };
  const { kind, text = '', ...names } = draft;
  const isTalk = kind === 'talk';
  const fields = isTalk ? { ...names, text } : names;
  const save = () => {
    const known = new Set(allTemplates(store).map(({ id }) => id));
    const reason = template
      ? submit('template.change', { template: template.id, ...fields }, { words: t('said.templateChanged'), undo: true, ownRefusal: true })
      : submit('template.make', { ...fields, kind }, { words: t('said.templateMade', { name: fields.name.trim() }), undo: true, ownRefusal: true });
    if (reason) return setError(sayReason(reason));
    done();
    onClose();
    const made = template ? undefined : allTemplates(store).find(({ id }) => !known.has(id));
    if (made) router.push(`/templates/${made.id}`);
  };
  const title = t(template ? 'template.change' : 'templates.make');
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        <TemplateNames draft={draft} onChange={change} onSubmit={save} error={error} autoFocus={!template} hasDay={!isTalk}>
          {template ? null : (
            <Labelled words={t('template.kind')}>
              <Choice
                label={t('template.kind')}
                value={kind}
                onChange={(next) => change({ kind: next })}
                options={[
                  { value: 'list', words: t('template.kind.list') },
                  { value: 'item', words: t('template.kind.item') },
                  { value: 'talk', words: t('template.kind.talk') },
                ]}
              />
            </Labelled>
          )}
          <Field label={t('template.purpose')} value={draft.purpose} onChangeText={(purpose) => change({ purpose })} maxLength={300} />
          {isTalk ? (
            <Labelled words={t('template.text')}>
              <NotesField label={t('template.text')} text={text} onChange={(next) => change({ text: next })} autoFocus={false} />
            </Labelled>
          ) : null}
        </TemplateNames>
        {me.role === 'helper' ? null : <ShareSwitch on={draft.isShared} onChange={(isShared) => change({ isShared })} />}
        <Foot>
          <Button kind="main" onPress={save}>
            {t(template ? 'common.save' : 'templates.makeIt')}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}

interface TemplateNamesProps {
  draft: { name: string; anchorName: string };
  onChange: (some: { name?: string; anchorName?: string }) => void;
  onSubmit: () => void;
  error: string | null;
  autoFocus?: boolean;
  /** Its day is not asked for where nothing has one. */
  hasDay?: boolean;
  children?: React.ReactNode;
}

/** What a template is called, and its day; with what is asked in between. */
export function TemplateNames({ draft, onChange, onSubmit, error, autoFocus = false, hasDay = true, children }: TemplateNamesProps) {
  return (
    <>
      <Field
        label={t('template.name')}
        hint={t('template.nameHint')}
        value={draft.name}
        onChangeText={(name) => onChange({ name })}
        onSubmitEditing={onSubmit}
        maxLength={80}
        error={error}
        autoFocus={autoFocus}
      />
      {children}
      {hasDay ? (
        <Field
          label={t('template.anchorName')}
          hint={t('template.anchorHint')}
          value={draft.anchorName}
          onChangeText={(anchorName) => onChange({ anchorName })}
          maxLength={40}
        />
      ) : null}
    </>
  );
}

export function ShareSwitch({ on, onChange }: { on: boolean; onChange: (on: boolean) => void }) {
  return (
    <View>
      <Switch words={t('template.share')} on={on} onChange={onChange} />
      <Txt size={15} tone="muted">
        {t('template.shareMeans')}
      </Txt>
    </View>
  );
}

export const allTemplates = (store: Store): Template[] => selectRows(store.getState().house).all('template');
