import { useState } from 'react';
import { View } from 'react-native';
import { Choice, GroupHead, LabelledChoice, setTextSize, TEXT_SIZES, textSize, type TextSize } from '@/ui';
import { useTheme, type Theme } from '@/ui/theme.tsx';
import { ask } from '@/store/api.ts';
import { t } from '@/words';

export function ThemeChoice() {
  const { theme, setTheme } = useTheme();
  const choose = (next: Theme) => {
    setTheme(next);
    void ask('PATCH', '/me', { theme: next });
  };
  return (
    <View>
      <GroupHead title={t('theme.title')} />
      <View className="px-4 pb-2">
        <Choice
          label={t('theme.title')}
          value={theme}
          onChange={choose}
          options={(['device', 'light', 'dark'] as const).map((value) => ({ value, words: t(`theme.${value}`) }))}
        />
      </View>
      <TextSizeChoice />
    </View>
  );
}

/** Besides the browser's own zoom. */
function TextSizeChoice() {
  const [size, setSize] = useState(textSize);
  const choose = (next: `${TextSize}`) => {
    setTextSize(Number(next) as TextSize);
    setSize(Number(next) as TextSize);
  };
  return (
    <View className="px-4 pb-2">
      <LabelledChoice<`${TextSize}`>
        label={t('theme.textSize')}
        value={`${size}`}
        options={TEXT_SIZES.map((value) => ({ value: `${value}`, words: t(`theme.textSize.${value}`) }))}
        onChange={choose}
      />
    </View>
  );
}
