import { STRETCH_MINUTES } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { Button, Choice, Field, Foot, Heading, Labelled, Sheet, Txt } from '@/ui';
import { t } from '@/words';
import { sayDuration } from '@/words/amounts.ts';

const OFFERED = [15, 25, 45, 60, 90] as const;

/** How long one wants to keep at it. */
export function StretchSheet({ onClose }: { onClose: () => void }) {
  const submit = useSubmit();
  const router = useRouter();
  const [chosen, setChosen] = useState<string>(`${STRETCH_MINUTES.usual}`);
  const [typed, setTyped] = useState('');
  const [isWrong, setWrong] = useState(false);
  const title = t('stretch.title');
  const begin = () => {
    const minutes = typed.trim() === '' ? Number(chosen) : minutesIn(typed);
    if (minutes === null) return setWrong(true);
    submit('stretch.begin', { minutes });
    onClose();
  };
  const change = (next: string) => {
    setTyped(next);
    setWrong(false);
  };
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-4 pt-2">
        <Txt tone="muted">{t('stretch.means')}</Txt>
        <Labelled words={t('stretch.minutes')}>
          <Choice
            label={t('stretch.minutes')}
            value={typed.trim() === '' ? chosen : ''}
            options={OFFERED.map((minutes) => ({ value: `${minutes}`, words: sayDuration(minutes) }))}
            onChange={(next) => {
              setChosen(next);
              change('');
            }}
          />
        </Labelled>
        <Field
          label={t('stretch.other')}
          value={typed}
          inputMode="numeric"
          maxLength={10}
          onChangeText={change}
          onSubmitEditing={begin}
          error={isWrong ? t('stretch.notOne', STRETCH_MINUTES) : undefined}
        />
        <View className="items-start">
          <Button
            kind="quiet"
            onPress={() => {
              onClose();
              router.push('/looking-back');
            }}
          >
            {t('stretch.earlier')}
          </Button>
        </View>
        <Foot>
          <Button kind="main" onPress={begin}>
            {t('stretch.start')}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}

function minutesIn(typed: string): number | null {
  const minutes = /^\d{1,3}$/.test(typed.trim()) ? Number(typed) : NaN;
  return minutes >= STRETCH_MINUTES.least && minutes <= STRETCH_MINUTES.most ? minutes : null;
}
