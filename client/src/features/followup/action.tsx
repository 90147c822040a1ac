import { openParts, wasAskedToday, type FollowUp, type Item } from '@kotiva/core';
import { nameOf, PassOnPanel, useOpenItem } from '@/features/item';
import { useState } from 'react';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Heading, Sheet } from '@/ui';
import { t, together } from '@/words';
import { NudgeSheet } from './nudge.tsx';

interface FollowUpActionProps {
  followUp: FollowUp;
  /** In somebody's place: what goes beyond answering, tying off and nudging is left to them, or to who may change it on the item. */
  standingIn?: boolean;
}

/** The one thing it asks of you, in place. What needs words opens the item. */
export function FollowUpAction({ followUp, standingIn = false }: FollowUpActionProps) {
  const { item, reason, part } = followUp;
  const submit = useSubmit();
  const open = useOpenItem();
  const { me } = useOpenHouse();
  const label = (verb: string) => t('follow.actionOn', { verb, title: item.title });
  const quiet = (verb: string, onPress: () => void) => (
    <Button kind="quiet" label={label(verb)} onPress={onPress}>
      {verb}
    </Button>
  );
  const isMineToDo = reason === 'asked' || (reason === 'waits-for-tie' && part?.personId !== me.id);
  if (standingIn && !isMineToDo) return quiet(t('ring.open'), () => open(item.id));
  switch (reason) {
    case 'declined':
    case 'left':
    case 'away':
    case 'no-answer':
      return <PassOnAction item={item} from={part!.personId!} label={label(t('part.passOn'))} />;
    case 'nobody':
      return quiet(t('hand.over'), () => open(item.id));
    case 'asked':
      return quiet(t('answer.answer'), () => open(item.id));
    case 'waits-for-tie':
      return quiet(t('part.tieOff'), () =>
        submit('part.tieOff', { item: item.id, person: part!.personId! }, { words: t('said.tiedOff', { title: item.title }), undo: true }),
      );
    case 'done':
      return quiet(t('follow.putAway'), () => submit('part.putAway', { items: [item.id] }, { words: t('said.putAway', { title: item.title }), undo: true }));
    default:
      return <NudgeAction followUp={followUp} label={label(t('nudge.nudge'))} />;
  }
}

/** At once; who was asked today already is asked again only after a word about it. */
function NudgeAction({ followUp, label }: { followUp: FollowUp; label: string }) {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const [asking, setAsking] = useState(false);
  const { item, parts } = followUp;
  const held = openParts(parts).filter(({ personId }) => personId !== me.id);
  const nudge = () => {
    if (wasAskedToday(followUp, now, house.zone)) return setAsking(true);
    const persons = held.flatMap(({ personId }) => personId ?? []);
    submit('part.nudge', { item: item.id, persons }, { words: t('said.nudged', { names: together(persons.map((id) => nameOf(rows, id))) }) });
  };
  return (
    <>
      <Button kind="quiet" label={label} onPress={nudge}>
        {t('nudge.nudge')}
      </Button>
      {asking ? <NudgeSheet item={item} parts={held} askedToday onClose={() => setAsking(false)} /> : null}
    </>
  );
}

/** To whom instead, without leaving what one follows. */
function PassOnAction({ item, from, label }: { item: Item; from: string; label: string }) {
  const [open, setOpen] = useState(false);
  const title = t('follow.passOn', { title: item.title });
  return (
    <>
      <Button kind="quiet" label={label} onPress={() => setOpen(true)}>
        {t('part.passOn')}
      </Button>
      {open ? (
        <Sheet open onClose={() => setOpen(false)} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
          <PassOnPanel item={item} from={from} onDone={() => setOpen(false)} />
        </Sheet>
      ) : null}
    </>
  );
}
