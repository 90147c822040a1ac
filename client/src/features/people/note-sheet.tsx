import type { MeetingNote, Person } from '@kotiva/core';
import { draftOf } from '@kotiva/core/capture';
import { useCallback, useEffect, useState } from 'react';
import { View } from 'react-native';
import { BeyondLine } from '@/features/beyond';
import { everyoneIn, Files, ItemRow, NotesField, NotesText, PeoplePicker } from '@/features/item';
import { PutIntoProject } from '@/features/projects';
import { KeepTemplateSheet } from '@/features/templates';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { lineReader, useReadingContext } from '@/store/reading.ts';
import { useOpenHouse } from '@/store/store.ts';
import { useBeyond } from '@/store/use-beyond.ts';
import { Button, ErrorLine, Field, Fold, Heading, Sheet, Switch, Txt } from '@/ui';
import { t } from '@/words';
import { sayExactly } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';
import { whoWasThere } from './who-was-there.ts';

/** So long after the last key what was typed is saved; until then it is kept on this device. */
const SAVES_AFTER_MS = 5_000;

/** The note of a talk: saved while typing; what is decided becomes a line or an item. */
export function NoteSheet({ note, about, onClose }: { note: MeetingNote; about: Person; onClose: () => void }) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const mine = note.makerId === me.id;
  const [text, setText, , { settle }] = useDraft(`talk/${note.id}`, note.text);
  const [error, setError] = useState<string | null>(null);
  /** How many decisions were written into it from below: what is written begins anew with each. */
  const [decided, setDecided] = useState(0);
  const unsaved = text !== note.text;
  const reached = useBeyond({ note: note.id });
  const made = rows.all('item').filter((item) => item.noteId === note.id && !item.removedAt);
  const talked = rows.all('matter').filter((matter) => matter.noteId === note.id && !matter.removedAt);
  const title = t('note.title', { names: whoWasThere(note, rows), when: sayExactly(note.date) });
  const save = useCallback(() => {
    if (!mine || !unsaved) return;
    const reason = submit('note.change', { note: note.id, text }, { ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
    if (!reason) settle();
  }, [submit, note.id, text, mine, unsaved, settle]);
  useEffect(() => {
    if (error) return;
    const timer = setTimeout(save, SAVES_AFTER_MS);
    window.addEventListener('pagehide', save);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('pagehide', save);
    };
  }, [error, save]);
  const change = (next: string) => {
    setText(next);
    setError(null);
  };
  const write = (line: string) => {
    change(`${text.trimEnd()}\n${line}\n`);
    setDecided(decided + 1);
  };
  // what was typed last is saved on the way out too
  const leave = () => {
    save();
    onClose();
  };
  return (
    <Sheet open onClose={leave} title={title} closeLabel={t('common.close')} leaves head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-4 pt-2">
        {mine ? (
          <View onBlur={save} className="gap-1">
            <NotesField key={decided} label={t('note.text')} text={text} onChange={change} autoFocus={false} />
            <ErrorLine says={error} />
          </View>
        ) : (
          <NotesText>{note.text}</NotesText>
        )}
        {mine ? (
          <Txt role="status" size={13} tone="muted">
            {t(unsaved ? 'note.saving' : 'note.saved')}
          </Txt>
        ) : null}
        <Files host={hostOfNote(note, mine)} />
        {mine ? <NoteDecisions note={note} about={about} onDecided={write} /> : null}
        {talked.length > 0 ? (
          <View className="gap-1">
            <Heading level={3}>{t('note.talked')}</Heading>
            {talked.map((matter) => (
              <Txt key={matter.id}>{matter.words}</Txt>
            ))}
          </View>
        ) : null}
        <BeyondLine reached={reached} />
        {made.length > 0 ? (
          <View>
            <Heading level={3}>{t('note.items')}</Heading>
            <View className="-mx-5">
              {made.map((item) => (
                <ItemRow key={item.id} item={item} />
              ))}
            </View>
          </View>
        ) : null}
        {mine ? <Further note={note} onClose={onClose} /> : null}
      </View>
    </Sheet>
  );
}

const hostOfNote = ({ id, date, shared }: MeetingNote, mine: boolean) => ({
  id,
  title: sayExactly(date),
  names: { note: id },
  mayAdd: mine,
  mayRemove: () => mine,
  readers: t(shared ? 'note.filesShared' : 'note.filesYours'),
});

/** A decision: a line in the note, or something for somebody to do. */
function NoteDecisions({ note, about, onDecided }: { note: MeetingNote; about: Person; onDecided: (line: string) => void }) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const reading = useReadingContext();
  const [words, setWords] = useState('');
  const [error, setError] = useState<string | null>(null);
  const needsWords = () => {
    setError(words.trim() ? null : t('reason.title-empty'));
    return !words.trim();
  };
  const decide = () => {
    if (needsWords()) return;
    onDecided(t('note.decidedLine', { words: words.trim() }));
    setWords('');
  };
  const hand = (persons: string[]) => {
    if (needsWords()) return;
    const readLine = lineReader.held();
    if (!readLine)
      return void lineReader.fetch().then(
        () => hand(persons),
        () => setError(t('common.notFetched')),
      );
    // read as any line is: a day, a person, a list in it count
    const { persons: named, policy, ...draft } = draftOf(readLine(words, reading), everyoneIn(null, me, rows));
    const payload = { ...draft, persons: named.length > 0 ? named : persons, ...(named.length > 1 ? { policy } : {}), note: note.id };
    const reason = submit('item.add', payload, { words: t('said.added', { title: draft.title }), undo: true, ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
    if (!reason) setWords('');
  };
  return (
    <View className="gap-2">
      <Field label={t('note.decided')} value={words} maxLength={500} onChangeText={setWords} onSubmitEditing={decide} error={error} />
      <View className="flex-row flex-wrap gap-2">
        <Button onPress={decide}>{t('note.decide')}</Button>
        <Button onPress={() => hand([about.id])}>{t('note.forPerson', { name: about.name })}</Button>
        <Button onPress={() => hand([])}>{t('note.forMe')}</Button>
      </View>
    </View>
  );
}

/** Who was there, who may read it, and its removal. */
function Further({ note, onClose }: { note: MeetingNote; onClose: () => void }) {
  const submit = useSubmit();
  const [opened, setOpened] = useState<'template' | 'project' | null>(null);
  const toggle = (id: string) => {
    const persons = note.personIds.includes(id) ? note.personIds.filter((one) => one !== id) : [...note.personIds, id];
    if (persons.length > 0) submit('note.change', { note: note.id, persons });
  };
  return (
    <View className="-mx-4">
      <Fold words={t('note.further')}>
        <View className="gap-4 px-4">
          <PeoplePicker label={t('note.who')} chosen={[...note.personIds]} onToggle={toggle} />
          <Switch words={t('note.share')} on={note.shared} onChange={(shared) => submit('note.change', { note: note.id, shared })} />
          <View className="flex-row flex-wrap gap-2">
            <Button onPress={() => setOpened('project')}>{t('project.put')}</Button>
            {note.text ? <Button onPress={() => setOpened('template')}>{t('note.keepTemplate')}</Button> : null}
            <Button
              tone="late"
              onPress={() => {
                if (!submit('note.remove', { note: note.id }, { words: t('said.noteRemoved'), undo: true })) onClose();
              }}
            >
              {t('note.remove')}
            </Button>
          </View>
        </View>
      </Fold>
      {opened === 'template' ? <KeepTemplateSheet of={{ note }} onClose={() => setOpened(null)} /> : null}
      {opened === 'project' ? <PutIntoProject of={{ note }} onClose={() => setOpened(null)} /> : null}
    </View>
  );
}
