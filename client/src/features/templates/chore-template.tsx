import type { Series } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { Button, Choice, Empty, ErrorLine, Foot, Heading, Sheet, Txt } from '@/ui';
import { t, together } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { FillingFields, missingIn } from './filling-fields.tsx';
import { useAsked, useTemplates } from './use-templates.ts';

/** The template whose items each one of a chore has as its steps: chosen, with what it asks for settled once. */
export function ChoreTemplateSheet({ series, onClose }: { series: Series; onClose: () => void }) {
  const submit = useSubmit();
  const templates = useTemplates().filter(({ kind }) => kind !== 'talk');
  const [begin] = useState(() => ({ template: series.templateId ?? '', blanks: series.filling?.blanks ?? {}, roles: series.filling?.roles ?? {} }));
  const [typed, setTyped, done] = useDraft(`chore-template/${series.id}`, begin);
  const [tried, setTried] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const template = templates.find(({ id }) => id === typed.template) ?? null;
  const asked = useAsked(template);
  const change = (some: Partial<typeof typed>) => {
    setTyped({ ...typed, ...some });
    setError(null);
  };
  const missing = asked === null ? [] : missingIn(asked, typed);
  const save = () => {
    setTried(true);
    if (missing.length > 0) return;
    const { blanks, roles } = typed;
    const payload = { series: series.id, template: template?.id ?? null, blanks, roles };
    const words = t(template ? 'said.choreTemplate' : 'said.choreTemplateOff', { title: series.title, name: template?.name ?? '' });
    const reason = submit('chore.setTemplate', payload, { words, undo: true, ownRefusal: true });
    if (reason) return setError(sayReason(reason));
    done();
    onClose();
  };
  const title = t('chores.template');
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        <Txt tone="muted">{t('template.choreMeans')}</Txt>
        {templates.length === 0 ? (
          <Empty words={t('templates.empty')} />
        ) : (
          <Choice
            label={title}
            value={template?.id ?? ''}
            onChange={(next) => change({ template: next })}
            options={[{ value: '', words: t('template.choreNone') }, ...templates.map(({ id, name }) => ({ value: id, words: name }))]}
          />
        )}
        {asked ? <FillingFields asked={asked} typed={typed} tried={tried} onChange={change} /> : null}
        <ErrorLine says={error ?? (tried && missing.length > 0 ? t('template.missing', { names: together(missing) }) : null)} />
        <Foot>
          <Button kind="main" onPress={save}>
            {t('common.save')}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}
