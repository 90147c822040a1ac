import type { Project } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { Button, Choice, ErrorLine, Foot, Heading, Sheet, Txt } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';

type Open = 'stays' | 'is-filed';

/** Finishing asks what becomes of what is still open. */
export function FinishSheet({ project, open, onClose }: { project: Project; open: number; onClose: () => void }) {
  const submit = useSubmit();
  const router = useRouter();
  const [becomes, setBecomes] = useState<Open | null>(null);
  const [error, setError] = useState<string | null>(null);
  const finish = () => {
    const words = { words: t('said.projectFinished', { name: project.name }), undo: true, ownRefusal: true };
    const reason = submit('project.finish', { project: project.id, ...(becomes ? { open: becomes } : {}) }, words);
    if (reason) return setError(sayReason(reason));
    onClose();
    router.push('/looking-back');
  };
  const title = t('project.finish');
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-4 pt-2">
        <Txt>{open > 0 ? t('project.stillOpen', { count: open }) : t('project.allDone')}</Txt>
        <Choice<Open>
          label={t('project.finish')}
          value={becomes}
          onChange={(next) => {
            setBecomes(next);
            setError(null);
          }}
          options={(['stays', 'is-filed'] as const).map((value) => ({ value, words: t(`project.open.${value}`) }))}
        />
        <ErrorLine says={error} />
        <Foot>
          <Button kind="main" onPress={finish}>
            {t('project.finishIt')}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}
