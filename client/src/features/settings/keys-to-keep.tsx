import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { ask } from '@/store/api.ts';
import { Switch, Txt } from '@/ui';
import { t } from '@/words';

interface Key {
  id: string;
  name: string;
}

/** Access keys end with the sign-ins they were made from, unless one says which stay. Nothing where there are none. */
export function KeysToKeep({ kept, onChange }: { kept: readonly string[]; onChange: (kept: string[]) => void }) {
  const [keys, setKeys] = useState<Key[]>([]);
  useEffect(() => {
    void ask<{ tokens: Key[] }>('GET', '/me/tokens').then((answer) => answer.ok && setKeys(answer.value.tokens));
  }, []);
  if (keys.length === 0) return null;
  return (
    <View className="gap-1">
      <Txt size={15} tone="muted">
        {t('keys.end')}
      </Txt>
      {keys.map(({ id, name }) => (
        <Switch
          key={id}
          words={t('keys.keep', { name })}
          on={kept.includes(id)}
          onChange={(on) => onChange(on ? [...kept, id] : kept.filter((one) => one !== id))}
        />
      ))}
    </View>
  );
}
