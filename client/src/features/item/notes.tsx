import { allows, type Item } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, ConfirmRow, ErrorLine, Heading } from '@/ui';
import { FormattedText } from '@/ui/formatted-text.tsx';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { LinesToSteps } from './lines-to-steps.tsx';
import { NotesField } from './notes-field.tsx';
import { NotesChanged } from './notes-changed.tsx';

/** Longer words with the item. Saved with the text they were based on, so that two can write at once. */
export function Notes({ item }: { item: Item }) {
  const submit = useSubmit();
  const { rows, me } = useOpenHouse();
  const canWrite = item.removedAt === null && allows({ permission: 'answer', item: item.id }, me, rows);
  const [choosing, setChoosing] = useState(false);
  const [writing, setWriting, done, { found }] = useDraft<{ base: string; text: string } | null>(`notes/${item.id}`, null);
  const [error, setError] = useState<string | null>(null);
  if (!item.notes && !canWrite) return null;
  const save = () => {
    if (!writing) return;
    const reason =
      writing.text === writing.base ? null : submit('item.change', { item: item.id, notes: writing.text, notesBase: writing.base }, { ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
    if (!reason) done();
  };
  return (
    <View className="mt-4 gap-2">
      {item.notes || writing ? <Heading level={3}>{t('item.notes')}</Heading> : null}
      {writing ? (
        <>
          <NotesField
            label={t('item.notes')}
            text={writing.text}
            onChange={(text) => {
              setWriting((now) => now && { ...now, text });
              setError(null);
            }}
            autoFocus={!found}
          />
          <ConfirmRow verb={t('common.save')} onConfirm={save} cancel={t('common.cancel')} onCancel={done}>
            <ErrorLine says={error} />
          </ConfirmRow>
        </>
      ) : (
        <>
          {item.notes && !choosing ? (
            <>
              <FormattedText>{item.notes}</FormattedText>
              <NotesChanged item={item} />
            </>
          ) : null}
          {choosing ? (
            <LinesToSteps item={item} onClose={() => setChoosing(false)} />
          ) : canWrite ? (
            <View className="-ml-2 flex-row flex-wrap">
              <Button kind="quiet" onPress={() => setWriting({ base: item.notes, text: item.notes })}>
                {t(item.notes ? 'item.changeNotes' : 'item.writeNotes')}
              </Button>
              {item.notes ? (
                <Button kind="quiet" onPress={() => setChoosing(true)}>
                  {t('notes.toSteps')}
                </Button>
              ) : null}
            </View>
          ) : null}
        </>
      )}
    </View>
  );
}
