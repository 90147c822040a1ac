import type { FollowUp } from '@kotiva/core';
import { useOpenItem } from '@/features/item';
import { useGive } from '@/store/live-house.tsx';
import { Button } from '@/ui';
import { t } from '@/words';

/** The one thing it asks of you, in place. What needs words opens the item. */
export function FollowUpAction({ followUp: { item, reason, part } }: { followUp: FollowUp }) {
  const give = useGive();
  const open = useOpenItem();
  const label = (verb: string) => t('follow.actionOn', { verb, title: item.title });
  const quiet = (verb: string, onPress: () => void) => (
    <Button kind="quiet" label={label(verb)} onPress={onPress}>
      {verb}
    </Button>
  );
  switch (reason) {
    case 'declined':
    case 'left':
    case 'no-answer':
      return quiet(t('part.passOn'), () => open(item.id));
    case 'nobody':
      return quiet(t('hand.over'), () => open(item.id));
    case 'asked':
      return quiet(t('answer.answer'), () => open(item.id));
    case 'waits-for-tie':
      return quiet(t('part.tieOff'), () =>
        give('part.tieOff', { item: item.id, person: part!.personId! }, { words: t('said.tiedOff', { title: item.title }), undo: true }),
      );
    case 'done':
      return quiet(t('follow.putAway'), () => give('part.putAway', { items: [item.id] }, { words: t('said.putAway', { title: item.title }), undo: true }));
    default:
      return null;
  }
}
