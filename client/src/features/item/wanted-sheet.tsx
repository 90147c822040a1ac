import { partId, type Item, type Part, type Wanted } from '@kotiva/core';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useDispatch, useSelector } from 'react-redux';
import { useDraft } from '@/store/drafts.ts';
import { useOpenHouse, type State } from '@/store/store.ts';
import { answerSettled } from '@/store/wanted.ts';
import { Button, Field, Foot, Heading, Sheet } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { useTie } from './use-check.ts';

/** What is about to be checked off asks for something first. */
export function WantedSheet() {
  const { rows } = useOpenHouse();
  const dispatch = useDispatch();
  const asked = useSelector((state: State) => state.wanted);
  // checked off meanwhile, on another device or by somebody else: there is nothing to ask any more
  const held = asked === null ? 'absent' : rows.get('part', partId(asked.itemId, asked.personId));
  const isOver = typeof held !== 'string' && held.standing === 'completed';
  useEffect(() => {
    if (isOver) dispatch(answerSettled());
  }, [isOver, dispatch]);
  if (asked === null || typeof held === 'string' || isOver) return null;
  const item = rows.get('item', asked.itemId);
  if (typeof item === 'string' || !item.wanted) return null;
  return <Asking key={held.id} item={item} part={held} wanted={item.wanted} />;
}

function Asking({ item, part, wanted }: { item: Item; part: Part; wanted: Wanted }) {
  const dispatch = useDispatch();
  const tie = useTie();
  const [typed, setTyped, sent] = useDraft(`answer/${part.id}`, '');
  const [error, setError] = useState<string | null>(null);
  const close = () => void dispatch(answerSettled());
  const send = (answer: string) => {
    const reason = tie(item, part, answer);
    if (reason) return setError(sayReason(reason));
    sent();
    close();
  };
  const label = wanted.unit ? t('wanted.inUnit', { what: wanted.what, unit: wanted.unit }) : wanted.what;
  return (
    <Sheet open onClose={close} title={item.title} closeLabel={t('common.close')} head={<Heading level={2}>{item.title}</Heading>}>
      <View className="gap-4 pt-2">
        <Field
          label={label}
          value={typed}
          inputMode={wanted.kind === 'number' ? 'decimal' : 'text'}
          maxLength={200}
          autoFocus
          error={error}
          onChangeText={(next) => {
            setTyped(next);
            setError(null);
          }}
          onSubmitEditing={() => typed.trim() && send(typed)}
        />
        <Foot>
          <View className="flex-row flex-wrap gap-2">
            <Button kind="main" disabled={!typed.trim()} onPress={() => send(typed)}>
              {t('wanted.done')}
            </Button>
            <Button kind="quiet" onPress={() => send('')}>
              {t('wanted.without')}
            </Button>
          </View>
        </Foot>
      </View>
    </Sheet>
  );
}
