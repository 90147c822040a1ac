import type { Offset } from '@kotiva/core';
import { FURTHEST_DAYS } from '@kotiva/core/model/template';
import { View } from 'react-native';
import { Choice, ErrorLine, Field, Labelled, MomentInput } from '@/ui';
import { t } from '@/words';

type When = 'none' | 'before' | 'on' | 'after';

/** As it is typed: which side of the template's day, how many days, at what hour. */
export interface TypedOffset {
  when: When;
  days: string;
  time: string;
}

export const typedOf = (offset: Offset | null): TypedOffset =>
  offset === null
    ? { when: 'none', days: '', time: '' }
    : {
        when: offset.days === 0 ? 'on' : offset.days < 0 ? 'before' : 'after',
        days: offset.days === 0 ? '' : String(Math.abs(offset.days)),
        time: offset.time ?? '',
      };

/** Null: it has no day. Undefined: the number is none, or too large. */
export function offsetFrom({ when, days, time }: TypedOffset): Offset | null | undefined {
  if (when === 'none') return null;
  const hour = /^\d\d:\d\d$/.test(time) ? time : null;
  if (when === 'on') return { days: 0, time: hour };
  const count = /^\d{1,4}$/.test(days.trim()) ? Number(days) : Number.NaN;
  if (!(count <= FURTHEST_DAYS)) return undefined;
  return { days: when === 'before' && count !== 0 ? -count : count, time: hour };
}

interface OffsetFieldsProps {
  anchorName: string;
  typed: TypedOffset;
  error: string | null;
  onChange: (typed: TypedOffset) => void;
}

/** When something is due, counted from the template's day. */
export function OffsetFields({ anchorName, typed, error, onChange }: OffsetFieldsProps) {
  const day = anchorName || t('template.itsDay');
  const change = (some: Partial<TypedOffset>) => onChange({ ...typed, ...some });
  return (
    <Labelled words={t('template.due')}>
      <View className="gap-3">
        <Choice
          label={t('template.due')}
          value={typed.when}
          onChange={(when) => change({ when })}
          options={(['none', 'before', 'on', 'after'] as const).map((value) => ({ value, words: t(`template.when.${value}`, { day }) }))}
        />
        {typed.when === 'none' ? null : (
          <View className="flex-row flex-wrap gap-3">
            {typed.when === 'on' ? null : (
              <Field
                label={t('template.days')}
                inputMode="numeric"
                value={typed.days}
                onChangeText={(days) => change({ days })}
                maxLength={5}
                className="w-28"
              />
            )}
            <MomentInput label={t('template.hour')} kind="time" value={typed.time} onChange={(time) => change({ time })} />
          </View>
        )}
        <ErrorLine says={error} />
      </View>
    </Labelled>
  );
}
