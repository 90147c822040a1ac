import { calendarDateOf, type MeetingNote, type Person, type Template } from '@kotiva/core';
import { filledIn } from '@kotiva/core/templates/blanks';
import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { NotesText, PeoplePicker } from '@/features/item';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { selectRows } from '@/store/rows.ts';
import { useNow, useOpenHouse, type Store } from '@/store/store.ts';
import { Button, ErrorLine, Fold, Foot, Heading, Labelled, Sheet } from '@/ui';
import { t, together } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { FillingFields, missingIn } from './filling-fields.tsx';
import { useContents } from './use-templates.ts';

interface UseTalkSheetProps {
  template: Template;
  /** With whom; without, it is asked. */
  person?: Person;
  onClose: () => void;
  onMade: (note: MeetingNote) => void;
}

/** Notes of today's talk that begin with what a template says: asks for who was there and what is to be filled in. */
export function UseTalkSheet({ template, person, onClose, onMade }: UseTalkSheetProps) {
  const { house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const store = useStore() as Store;
  const { asked } = useContents(template);
  const [begin] = useState(() => ({ persons: person ? [person.id] : ([] as string[]), blanks: {} as Record<string, string> }));
  const [typed, setTyped, done] = useDraft(`use-talk/${template.id}/${person?.id ?? ''}`, begin);
  const [tried, setTried] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const change = (some: Partial<typeof typed>) => {
    setTyped({ ...typed, ...some });
    setError(null);
  };
  const missing = missingIn(asked, { blanks: typed.blanks, roles: {} });
  const said = Object.fromEntries(Object.entries(typed.blanks).filter(([, value]) => value.trim() !== ''));
  const start = () => {
    setTried(true);
    if (missing.length > 0 || typed.persons.length === 0) return;
    const known = new Set(notesIn(store).map(({ id }) => id));
    const payload = { persons: typed.persons, date: calendarDateOf(now, house.zone), template: template.id, blanks: said };
    const reason = submit('note.make', payload, { ownRefusal: true });
    if (reason) return setError(sayReason(reason));
    done();
    onClose();
    const made = notesIn(store).find(({ id }) => !known.has(id));
    if (made) onMade(made);
  };
  const title = t('template.useTitle', { name: template.name });
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        {person ? null : (
          <Labelled words={t('template.with')}>
            <PeoplePicker label={t('template.with')} chosen={typed.persons} onToggle={(id) => change({ persons: toggled(typed.persons, id) })} />
            <ErrorLine says={tried && typed.persons.length === 0 ? t('template.choose') : null} />
          </Labelled>
        )}
        <FillingFields asked={asked} typed={{ blanks: typed.blanks, roles: {} }} tried={tried} onChange={({ blanks }) => change({ blanks: blanks ?? {} })} />
        <Fold words={t('template.previewText')}>
          <NotesText>{filledIn(template.text, said)}</NotesText>
        </Fold>
        <ErrorLine says={error ?? (tried && missing.length > 0 ? t('template.missing', { names: together(missing) }) : null)} />
        <Foot>
          <Button kind="main" onPress={start}>
            {t('template.startNotes')}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}

const notesIn = (store: Store): MeetingNote[] => selectRows(store.getState().house).all('meetingNote');

const toggled = (chosen: readonly string[], id: string): string[] => (chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id]);
