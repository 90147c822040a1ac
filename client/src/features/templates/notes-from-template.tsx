import type { MeetingNote, Person, Template } from '@kotiva/core';
import { useState } from 'react';
import { Button, Heading, Sheet } from '@/ui';
import { t } from '@/words';
import { TemplateRow } from './templates-screen.tsx';
import { UseTalkSheet } from './use-talk-sheet.tsx';
import { useTemplates } from './use-templates.ts';

/** Beside new notes of a talk: those that begin with a template. Nothing where there is none. */
export function NotesFromTemplate({ person, onMade }: { person: Person; onMade: (note: MeetingNote) => void }) {
  const templates = useTemplates().filter(({ kind }) => kind === 'talk');
  const [choosing, setChoosing] = useState(false);
  const [used, setUsed] = useState<Template | null>(null);
  if (templates.length === 0) return null;
  const title = t('templates.choose');
  const close = () => {
    setUsed(null);
    setChoosing(false);
  };
  return (
    <>
      <Button kind="quiet" onPress={() => setChoosing(true)}>
        {t('templates.notesFrom')}
      </Button>
      {choosing && !used ? (
        <Sheet open onClose={close} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
          {templates.map((template) => (
            <TemplateRow key={template.id} template={template} onPress={() => setUsed(template)} />
          ))}
        </Sheet>
      ) : null}
      {used ? <UseTalkSheet template={used} person={person} onClose={close} onMade={onMade} /> : null}
    </>
  );
}
