import { allows, isPicture, type Attachment, type Comment, type Item, type Reader, type Person } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { addressOf, attachmentsOf } from '@/features/files';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Fold, Heading, PersonMark, Txt } from '@/ui';
import { Picture } from '@/ui/picture.tsx';
import { t } from '@/words';
import { sayInstant } from '@/words/dates.ts';
import { sayEntry } from './activity-words.ts';
import { Guests } from './guests.tsx';
import { nameOf, personOf } from './knot-of.ts';
import { Remark } from './remark.tsx';

/** A message that was given with a handover; or a remark, in whose place stands nothing of it but the row. */
type Said = { key: string; at: string } & ({ message: string; authorId: string | null } | { comment: Comment } | { photo: Attachment });

/** What was said: the messages given with handovers, and the remarks, in order. What was taken back its writer alone still reads. */
export function SaidThread({ item, onAnswer }: { item: Item; onAnswer: (commentId: string) => void }) {
  const { rows, me } = useOpenHouse();
  const mayAnswer = allows({ permission: 'say', item: item.id }, me, rows);
  const said = [...messagesOf(item, rows), ...remarksOf(item, me, rows), ...photosOf(item, rows)].sort(byTime);
  if (said.length === 0) return null;
  return (
    <View className="gap-3">
      <Heading level={3}>{t('item.said')}</Heading>
      <Guests item={item} />
      {said.map((one) =>
        'comment' in one ? (
          <Remark key={one.key} item={item} comment={one.comment} mayAnswer={mayAnswer} onAnswer={() => onAnswer(one.comment.id)} />
        ) : 'photo' in one ? (
          <Photo key={one.key} photo={one.photo} />
        ) : (
          <Message key={one.key} message={one.message} authorId={one.authorId} at={one.at} />
        ),
      )}
    </View>
  );
}

const byTime = (a: Said, b: Said): number => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.key < b.key ? -1 : 1);

const remarksOf = (item: Item, me: Person, rows: Reader): Said[] =>
  rows
    .by('comment', 'itemId', item.id)
    .filter(({ removedAt, authorId }) => removedAt === null || authorId === me.id)
    .map((comment) => ({ key: comment.id, at: comment.at, comment }));

/** Photos that answered what was asked for at a check-off. */
const photosOf = (item: Item, rows: Reader): Said[] =>
  attachmentsOf(rows, item.id)
    .filter(({ partId }) => partId !== null)
    .map((photo) => ({ key: photo.id, at: photo.at, photo }));

/** One message given to several is said once. */
function messagesOf(item: Item, rows: Reader): Said[] {
  const messages = new Map<string, Said>();
  for (const { id, message, giverId, givenAt, takenBackAt } of rows.by('part', 'itemId', item.id))
    if (message && givenAt && !takenBackAt) messages.set(`${giverId} ${message}`, { key: id, at: givenAt, message, authorId: giverId });
  return [...messages.values()];
}

function Photo({ photo }: { photo: Attachment }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const author = personOf(rows, photo.authorId);
  return (
    <View className="flex-row gap-3">
      {author ? <PersonMark looks={author} /> : null}
      <View className="min-w-0 shrink gap-1">
        <Txt size={13} tone="muted">
          {[nameOf(rows, photo.authorId), t('said.kind.photo')].join(', ')} · {sayInstant(photo.at, now, house.zone)}
        </Txt>
        {photo.arrivedAt !== null && isPicture(photo) ? (
          <View className="h-24 w-24 overflow-hidden rounded-control bg-sunk">
            <Picture src={addressOf(photo, 'small')} alt={photo.name} fit="fill" />
          </View>
        ) : (
          <Txt>{photo.name}</Txt>
        )}
      </View>
    </View>
  );
}

function Message({ message, authorId, at }: { message: string; authorId: string | null; at: string }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const author = personOf(rows, authorId);
  return (
    <View className="flex-row gap-3">
      {author ? <PersonMark looks={author} /> : null}
      <View className="min-w-0 shrink">
        <Txt size={13} tone="muted">
          {[nameOf(rows, authorId), t('said.kind.handing')].join(', ')} · {sayInstant(at, now, house.zone)}
        </Txt>
        <Txt>{message}</Txt>
      </View>
    </View>
  );
}

/** Who did what when, folded. */
export function Happened({ item }: { item: Item }) {
  const router = useRouter();
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const entries = rows
    .by('activity', 'itemId', item.id)
    .sort((a, b) => (a.arrivedAt < b.arrivedAt ? 1 : a.arrivedAt > b.arrivedAt ? -1 : a.seq < b.seq ? 1 : -1));
  if (entries.length === 0) return null;
  return (
    <View className="-mx-4 mt-2">
      <Fold words={t('item.happened', { count: entries.length })}>
        <View className="gap-1.5 px-4 pb-2">
          {entries.map((entry) => (
            <Txt key={entry.id} size={15} tone="muted">
              {t('item.did', { when: sayInstant(entry.at, now, house.zone), name: nameOf(rows, entry.actorId), what: sayEntry(entry) })}
            </Txt>
          ))}
          <View className="-ml-2 items-start">
            <Button kind="quiet" onPress={() => router.push(`/activity?about=${item.id}`)}>
              {t('activity.ofItem')}
            </Button>
          </View>
        </View>
      </Fold>
    </View>
  );
}
