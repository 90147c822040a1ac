import type { Person } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { ask } from '@/store/api.ts';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Field, Txt } from '@/ui';
import { t } from '@/words';
import { sayProblem } from '@/words/problems.ts';

/** The personal link of somebody without an account: shown to managers, withdrawn by them. */
export function OutsideLink({ person }: { person: Person }) {
  const { house } = useOpenHouse();
  const [link, setLink] = useState<string | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const path = `/houses/${house.id}/people/${person.id}/link`;
  const show = async () => {
    const answer = await ask<{ link: string }>('POST', path);
    if (answer.ok) setLink(answer.value.link);
    setSaid(answer.ok ? null : sayProblem(answer.problem));
  };
  const withdraw = async () => {
    const answer = await ask('DELETE', path);
    setLink(null);
    setSaid(answer.ok ? t('outside.withdrawn') : sayProblem(answer.problem));
  };
  return (
    <View className="gap-3 px-4 pb-4">
      <Txt size={15} tone="muted">
        {t('outside.means', { name: person.name })}
      </Txt>
      {link ? <Field label={t('outside.link')} value={link} readOnly selectTextOnFocus /> : null}
      <View className="flex-row flex-wrap gap-2">
        <Button onPress={() => void show()}>{t('outside.show')}</Button>
        <Button kind="quiet" tone="late" onPress={() => void withdraw()}>
          {t('outside.withdraw')}
        </Button>
      </View>
      {said ? (
        <Txt role="status" size={15} tone="muted">
          {said}
        </Txt>
      ) : null}
    </View>
  );
}
