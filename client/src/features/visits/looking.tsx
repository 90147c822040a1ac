import { LEAST_ACCURACY } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useDispatch } from 'react-redux';
import { useLooking } from '@/store/here.ts';
import { lookingSwitched } from '@/store/looking.ts';
import { Button, Switch, Txt } from '@/ui';
import { t } from '@/words';

/** Whether this device looks where it is, in plain words, with the way to what that means. */
export function LookingChoice() {
  const dispatch = useDispatch();
  const router = useRouter();
  const { state, accuracy } = useLooking();
  // so vague, a look says nothing of places as small as most are
  const vague = state === 'on' && accuracy !== null && accuracy > LEAST_ACCURACY;
  return (
    <View className="gap-1 px-4 pb-3 pt-3">
      <Switch words={t('looking.switch')} on={state !== 'off'} onChange={(on) => dispatch(lookingSwitched(on))} />
      <Txt size={15} tone={vague || state === 'refused' || state === 'unknown' ? 'waits' : 'muted'}>
        {vague ? t('looking.vague', { metres: Math.round(accuracy) }) : t(`looking.${state}`)}
      </Txt>
      <View className="-ml-2 items-start">
        <Button kind="quiet" onPress={() => router.push('/privacy')}>
          {t('privacy.open')}
        </Button>
      </View>
    </View>
  );
}
