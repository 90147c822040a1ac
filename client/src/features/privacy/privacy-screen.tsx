import { VISITS_KEPT_DAYS } from '@kotiva/core';
import { View } from 'react-native';
import { LookingChoice } from '@/features/visits';
import { Screen } from '@/features/shell';
import { GroupHead, Txt } from '@/ui';
import { t } from '@/words';

const PARTS = ['device', 'server', 'others', 'kept', 'off'] as const;

/** What becomes of where one is, in plain words, with the switch. */
export function PrivacyScreen() {
  return (
    <Screen title={t('privacy.title')}>
      <View className="max-w-[640px]">
        {PARTS.map((part) => (
          <View key={part}>
            <GroupHead title={t(`privacy.${part}`)} />
            <Txt className="px-4 pb-1">{t(`privacy.${part}.says`, { days: VISITS_KEPT_DAYS })}</Txt>
          </View>
        ))}
        <LookingChoice />
      </View>
    </Screen>
  );
}
