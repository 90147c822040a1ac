import type { Comment, Item, Person } from '@kotiva/core';
import { mentionsIn } from '@kotiva/core/model/mention';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Txt } from '@/ui';
import { t } from '@/words';
import { canBeLetIn, mayLetIn } from './addressing.tsx';
import { nameOf } from './knot-of.ts';

/** Who was let in here by being addressed, and what ends it. */
export function Guests({ item }: { item: Item }) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const here = rows.by('guest', 'itemId', item.id).filter(({ endedAt }) => endedAt === null);
  const mayEnd = mayLetIn(item, me, rows);
  const end = (person: string) => void submit('guest.end', { item: item.id, person });
  return here.map(({ id, personId, byId }) => {
    const isMe = personId === me.id;
    const name = nameOf(rows, personId);
    return (
      <View key={id} className="flex-row flex-wrap items-center gap-x-4">
        <Txt size={15} tone="muted" className="shrink">
          {t(isMe ? 'guest.me' : 'guest.here', { name, giver: nameOf(rows, byId) })}
        </Txt>
        {isMe || mayEnd ? (
          <View className="-ml-2">
            <Button kind="quiet" onPress={() => end(personId)}>
              {isMe ? t('guest.leave') : t('guest.end', { name })}
            </Button>
          </View>
        ) : null}
      </View>
    );
  });
}

/** Whom a remark addresses who can’t see it: whoever may lets them in, and they are told of it then. */
export function LetIn({ comment, item }: { comment: Comment; item: Item }) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  if (comment.audience !== 'all' || comment.removedAt !== null || !comment.text.includes('@')) return null;
  if (!mayLetIn(item, me, rows)) return null;
  const unseen = canBeLetIn(mentionsIn(comment.text, rows.all('person').filter(isActive)), item, rows);
  return unseen.map(({ id, name }) => (
    <View key={id} className="flex-row flex-wrap items-center gap-x-4">
      <Txt size={15} tone="waits" className="shrink">
        {t('remark.unseen', { names: name, count: 1 })}
      </Txt>
      <Button kind="quiet" onPress={() => void submit('guest.letIn', { comment: comment.id, person: id }, { words: t('said.letIn', { name }), undo: true })}>
        {t('remark.letIn', { name })}
      </Button>
    </View>
  ));
}

const isActive = ({ endedAt }: Person): boolean => endedAt === null;
