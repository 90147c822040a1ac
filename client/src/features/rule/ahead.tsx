import { BadRule, daysOffOf, occurrences, type ChoreHouse } from '@kotiva/core';
import { View } from 'react-native';
import { Txt } from '@/ui';
import { t } from '@/words';
import { dayMonth } from '@/words/dates.ts';
import { sayRule } from '@/words/rules.ts';
import type { RuleSaid } from './rule-form.ts';

const SHOWN = 6;

export type Preview = { days: string[] } | { says: string };

/** The next six of a rule, or what is wrong with it. */
export function previewOf(said: RuleSaid, offDay: 'keep' | 'before' | 'after', house: ChoreHouse): Preview {
  if (said.rrule === null) return { days: [said.dtstart] };
  try {
    const days = [...occurrences({ ...said, offDay, zone: house.zone, daysOff: daysOffOf(house) }, { limit: SHOWN })].map(({ at }) => at);
    return days.length > 0 ? { days } : { says: t('reason.never-occurs') };
  } catch (error) {
    if (error instanceof BadRule) return { says: error.message };
    throw error;
  }
}

/** The rule as a sentence, and the days it means: seen before anything is saved. */
export function RulePreview({ said, offDay, preview }: { said: RuleSaid; offDay: 'keep' | 'before' | 'after'; preview: Preview }) {
  if ('says' in preview) {
    return (
      <Txt role="alert" tone="late">
        {preview.says}
      </Txt>
    );
  }
  const sentence = sayRule({ ...said, offDay });
  return (
    <View className="gap-1" aria-live="polite">
      <Txt face="bold">{sentence.charAt(0).toUpperCase() + sentence.slice(1)}</Txt>
      <Txt size={15} tone="muted">
        {t('rule.next', {
          days: preview.days.map((day) => `${dayMonth(day)}${day.length > 10 && said.rrule?.includes('HOUR') ? ` ${day.slice(11, 16)}` : ''}`).join(' · '),
        })}
      </Txt>
    </View>
  );
}
