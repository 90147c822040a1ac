import type { Item } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Fold, Heading, PersonMark, Txt } from '@/ui';
import { t, type WordKey } from '@/words';
import { sayInstant } from '@/words/dates.ts';
import { sayEntry } from './activity-words.ts';
import { nameOf, personOf } from './knot-of.ts';

interface Word {
  key: string;
  authorId: string | null;
  at: string;
  how: string | null;
  text: string;
}

/** What was said: the messages given with handovers, and the remarks, in order. */
export function SaidThread({ item }: { item: Item }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const said = wordsOf();

  function wordsOf(): Word[] {
    const comments: Word[] = rows
      .by('comment', 'itemId', item.id)
      .filter((comment) => !comment.removedAt)
      .map(({ id, authorId, at, kind, audience, text }) => ({
        key: id,
        authorId,
        at,
        text,
        how: kind === 'comment' ? null : t(`said.kind.${kind}${audience === 'pair' ? '.pair' : ''}` as WordKey),
      }));
    const messages = new Map<string, Word>();
    for (const part of rows.by('part', 'itemId', item.id)) {
      // one message given to several is said once
      if (part.message && part.givenAt && !part.takenBackAt)
        messages.set(`${part.giverId} ${part.message}`, {
          key: part.id,
          authorId: part.giverId,
          at: part.givenAt,
          how: t('said.kind.handing'),
          text: part.message,
        });
    }
    return [...messages.values(), ...comments].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.key < b.key ? -1 : 1));
  }

  if (said.length === 0) return null;
  return (
    <View className="gap-3">
      <Heading level={3}>{t('item.said')}</Heading>
      {said.map(({ key, authorId, at, how, text }) => {
        const author = personOf(rows, authorId);
        return (
          <View key={key} className="flex-row gap-3">
            {author ? <PersonMark looks={author} /> : null}
            <View className="min-w-0 shrink">
              <Txt size={13} tone="muted">
                {[nameOf(rows, authorId), how].filter(Boolean).join(', ')} · {sayInstant(at, now, house.zone)}
              </Txt>
              <Txt>{text}</Txt>
            </View>
          </View>
        );
      })}
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
