import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Button, Heading, Sheet } from '@/ui';
import { t } from '@/words';
import { TemplateRow } from './templates-screen.tsx';
import { UseSheet } from './use-sheet.tsx';
import { useTemplates } from './use-templates.ts';
import type { Template } from '@kotiva/core';

/** Beside a new list: one that is made from a template; where there is none, the way to them. */
export function NewFromTemplate() {
  const templates = useTemplates().filter(({ kind }) => kind !== 'talk');
  const router = useRouter();
  const [choosing, setChoosing] = useState(false);
  const [used, setUsed] = useState<Template | null>(null);
  const title = t('templates.choose');
  return (
    <>
      <Button kind="quiet" onPress={() => (templates.length === 0 ? router.push('/templates') : setChoosing(true))}>
        {t('templates.fromOne')}
      </Button>
      {choosing && !used ? (
        <Sheet open onClose={() => setChoosing(false)} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
          {templates.map((template) => (
            <TemplateRow key={template.id} template={template} onPress={() => setUsed(template)} />
          ))}
        </Sheet>
      ) : null}
      {used ? (
        <UseSheet
          template={used}
          onClose={() => {
            setUsed(null);
            setChoosing(false);
          }}
        />
      ) : null}
    </>
  );
}
