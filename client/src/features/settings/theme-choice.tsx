import { View } from 'react-native';
import { GroupHead, Choice } from '@/ui';
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
    </View>
  );
}
