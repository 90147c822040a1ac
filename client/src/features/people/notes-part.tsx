import { calendarDateOf, isHere, notesWith, type MeetingNote, type Person } from '@kotiva/core';
import { useGlobalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { NotesFromTemplate } from '@/features/templates';
import { useSubmit } from '@/store/live-house.tsx';
import { useHouseState, useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Row, useSheetAt } from '@/ui';
import { t } from '@/words';
import { headDay } from '@/words/dates.ts';
import { excerpt } from '@/words/excerpt.ts';
import { NoteSheet } from './note-sheet.tsx';
import { PagePart } from './page-part.tsx';
import { whoWasThere } from './who-was-there.ts';

const SHOWN = 5;

/** The notes of talks somebody was in, newest first; a new one has people, day and headings filled in. */
export function NotesPart({ person }: { person: Person }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const { note: named } = useGlobalSearchParams<{ note?: string }>();
  const [opened, setOpened] = useSheetAt('note', named);
  const [all, setAll] = useState(false);
  const today = calendarDateOf(now, house.zone);
  const notes = notesWith(person.id, rows.all('meetingNote'));
  const open = opened === 'newest' ? notes.find((note) => note.date === today) : notes.find((note) => note.id === opened);
  const start = () => {
    const known = notes.find((note) => note.date === today && note.personIds.includes(person.id));
    if (known) return setOpened(known.id);
    if (!submit('note.make', { persons: [person.id], date: today, text: t('note.headings') })) setOpened('newest');
  };
  return (
    <PagePart
      name="notes"
      title={t('note.notes')}
      count={notes.length}
      right={
        isHere(person) ? (
          <View className="flex-row flex-wrap justify-end">
            <NotesFromTemplate person={person} onMade={(note) => setOpened(note.id)} />
            <Button kind="quiet" onPress={start}>
              {t('note.start')}
            </Button>
          </View>
        ) : null
      }
    >
      {(all ? notes : notes.slice(0, SHOWN)).map((note) => (
        <NoteRow key={note.id} note={note} today={today} onPress={() => setOpened(note.id)} />
      ))}
      {notes.length > SHOWN && !all ? (
        <View className="items-start px-2">
          <Button kind="quiet" onPress={() => setAll(true)}>
            {t('note.all', { count: notes.length })}
          </Button>
        </View>
      ) : null}
      {open ? <NoteSheet note={open} about={person} onClose={() => setOpened(null)} /> : null}
    </PagePart>
  );
}

function NoteRow({ note, today, onPress }: { note: MeetingNote; today: string; onPress: () => void }) {
  const { rows } = useOpenHouse();
  const isHeld = useHouseState(({ from }) => note.seq > from);
  // of one of long ago it is counted when it is opened
  const made = isHeld ? rows.all('item').filter((item) => item.noteId === note.id && !item.removedAt).length : 0;
  const said = excerpt(note.text, 80);
  return (
    <Row
      title={headDay(note.date, today)}
      sub={[whoWasThere(note, rows), said, made > 0 ? t('note.made', { count: made }) : null].filter(Boolean).join(' · ')}
      onPress={onPress}
    />
  );
}
