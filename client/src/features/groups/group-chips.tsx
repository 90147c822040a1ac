import { View } from 'react-native';
import { Button, Txt } from '@/ui';
import { t, together } from '@/words';
import type { GroupChoice } from './group-choices.ts';

interface GroupChipsProps {
  choices: readonly GroupChoice[];
  /** Who is chosen by now, in groups or alone. */
  chosen: readonly string[];
  onChoose: (personIds: string[]) => void;
}

/** Groups beside people: a tap chooses everybody of one who is there; who isn’t is named. */
export function GroupChips({ choices, chosen, onChoose }: GroupChipsProps) {
  if (choices.length === 0) return null;
  const isChosen = ({ there }: GroupChoice) => there.length > 0 && there.every(({ id }) => chosen.includes(id));
  const away = [...new Set(choices.filter(isChosen).flatMap((choice) => choice.away.map(({ name }) => name)))];
  return (
    <View className="gap-1">
      <View role="group" aria-label={t('groups.title')} className="flex-row flex-wrap gap-2">
        {choices.map(({ group, there }) => (
          <Button key={group.id} disabled={there.length === 0} onPress={() => onChoose(there.map(({ id }) => id))}>
            {t('groups.count', { name: group.name, count: there.length })}
          </Button>
        ))}
      </View>
      {away.length > 0 ? (
        <Txt size={15} tone="muted">
          {t('groups.away', { names: together(away), count: away.length })}
        </Txt>
      ) : null}
    </View>
  );
}
