import { MOST_STAGES, stagesOf, type List } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { Button, ErrorLine, Foot, Heading, Sheet, Switch, Txt } from '@/ui';
import { OrderedNames, type OrderedName } from '@/ui/ordered-names.tsx';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';

interface TypedStage extends OrderedName {
  isDone: boolean;
}

/** The stages of a list: what its items go through, one after the other. One of them may mean done. */
export function StagesSheet({ list, onClose }: { list: List; onClose: () => void }) {
  const submit = useSubmit();
  const [begin] = useState<TypedStage[]>(() => stagesOf(list).map((stage) => ({ ...stage })));
  const [stages, setStages, done] = useDraft(`stages/${list.id}`, begin);
  const [error, setError] = useState<string | null>(null);
  const change = (next: TypedStage[]) => {
    setStages(next);
    setError(null);
  };
  const save = () => {
    const named = stages.filter(({ name }) => name.trim() !== '');
    const reason = submit(
      'list.setStages',
      { list: list.id, stages: named },
      { words: t('said.stagesSet', { name: list.name }), undo: true, ownRefusal: true },
    );
    if (reason) return setError(sayReason(reason));
    done();
    onClose();
  };
  const title = t('stages.title');
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-3 pt-2">
        <Txt tone="muted">{t('stages.means')}</Txt>
        <OrderedNames
          names={stages}
          begin={{ name: '', isDone: false }}
          most={MOST_STAGES}
          maxLength={40}
          onChange={change}
          words={{
            label: (count) => t('stages.one', { count }),
            out: (name) => t('stages.out', { name }),
            up: (name) => t('stages.up', { name }),
            add: t('stages.add'),
          }}
        >
          {(one, nth) => (
            <Switch
              words={t('stages.done')}
              label={t('stages.doneOf', { name: one.name })}
              on={one.isDone}
              onChange={(isDone) => change(stages.map((other, at) => ({ ...other, isDone: at === nth ? isDone : isDone ? false : other.isDone })))}
            />
          )}
        </OrderedNames>
        <ErrorLine says={error} />
        <Foot>
          <Button kind="main" onPress={save}>
            {t('common.save')}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}
