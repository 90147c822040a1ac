import { calendarDateOf, findNamed, isHere, type MeetingNote } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { nameOf } from '@/features/item';
import { everythingUnder } from '@/features/pages';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Row } from '@/ui';
import { t } from '@/words';
import { excerpt } from '@/words/excerpt.ts';
import { headDay } from '@/words/dates.ts';

interface Named {
  key: string;
  title: string;
  sub: string;
  path: string;
}

/** Lists, people, tags, places and notes of talks that have the words: each leads to what is under it. */
export function useNamed(words: string): Named[] {
  const { rows, me, house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  const lists = findNamed(words, rows.all('list').filter(({ removedAt }) => removedAt === null)); // prettier-ignore
  const people = findNamed(words, rows.all('person').filter(isHere)); // prettier-ignore
  const tags = findNamed(words, rows.all('tag').filter(({ removedAt }) => removedAt === null)); // prettier-ignore
  const places = findNamed(words, rows.all('place').filter(({ removedAt }) => removedAt === null), ({ name, address }) => `${name} ${address}`); // prettier-ignore
  const notes = findNamed(words, rows.all('meetingNote').filter(({ removedAt }) => removedAt === null).map((note) => ({ ...note, name: note.text }))); // prettier-ignore
  return [
    ...lists.map(({ id, name, purpose }) => ({ key: id, title: name, sub: said('find.list', purpose), path: `/lists/${id}` })),
    ...people.map(({ id, name }) => ({ key: id, title: name, sub: t('find.person'), path: `/people/${id}` })),
    ...tags.map(({ id, name }) => ({ key: id, title: `#${name}`, sub: t('find.tag'), path: everythingUnder('tag', id) })),
    ...places.map(({ id, name, address }) => ({ key: id, title: name, sub: said('find.place', address), path: `/places/${id}` })),
    ...notes.map((note) => ({
      key: note.id,
      title: excerpt(note.text),
      sub: t('find.note', { when: headDay(note.date, today), name: nameOf(rows, otherOf(note, me.id)) }),
      path: `/people/${otherOf(note, me.id)}?note=${note.id}`,
    })),
  ];
}

export function NamedRows({ named }: { named: readonly Named[] }) {
  const router = useRouter();
  return named.map(({ key, title, sub, path }) => <Row key={key} title={title} sub={sub} onPress={() => router.push(path as '/')} />);
}

const said = (kind: 'find.list' | 'find.place', more: string): string => [t(kind), more].filter(Boolean).join(' · ');
const otherOf = ({ personIds, makerId }: MeetingNote, meId: string): string => personIds.find((id) => id !== meId) ?? makerId;
