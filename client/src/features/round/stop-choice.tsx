import type { Errands, Open } from '@kotiva/core';
import { Pressable, View } from 'react-native';
import { sayOpen } from '@/features/places';
import { ChosenMark, GroupHead, Txt } from '@/ui';
import { t } from '@/words';

interface StopChoiceProps {
  errands: readonly Errands[];
  open: ReadonlyMap<string, Open[] | null>;
  minute: number;
  /** Places that are left out. */
  left: readonly string[];
  onChange: (left: string[]) => void;
}

/** The places where something is open: taken along, or left out this time. */
export function StopChoice({ errands, open, minute, left, onChange }: StopChoiceProps) {
  return (
    <View role="group" aria-label={t('round.stops')}>
      <GroupHead title={t('round.stops')} count={errands.length - left.length} />
      {errands.map(({ place, items }) => {
        const goes = !left.includes(place.id);
        const sub = [sayOpen(open.get(place.openingHours), minute), items.map(({ title }) => title).join(', ')].filter(Boolean).join(' · ');
        return (
          <Pressable
            key={place.id}
            role="checkbox"
            aria-checked={goes}
            onPress={() => onChange(goes ? [...left, place.id] : left.filter((id) => id !== place.id))}
            className="min-h-14 flex-row items-center gap-3 border-b border-line px-4 py-1.5"
          >
            <ChosenMark on={goes} />
            <View className="min-w-0 grow shrink basis-0">
              <Txt face="medium">{place.name}</Txt>
              <Txt size={13} tone="muted" numberOfLines={2}>
                {sub}
              </Txt>
            </View>
          </Pressable>
        );
      })}
    </View>
  );
}
