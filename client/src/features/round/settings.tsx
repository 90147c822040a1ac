import { MEANS, type Means, type Place } from '@kotiva/core';
import { View } from 'react-native';
import { Fold, LabelledChoice, MomentInput } from '@/ui';
import { t } from '@/words';
import type { Chosen } from './errand.ts';

interface SettingsProps {
  chosen: Chosen;
  places: readonly Place[];
  hasSelf: boolean;
  onChange: (next: Partial<Chosen>) => void;
}

/** Where it begins and ends, when, and how one gets about. */
export function Settings({ chosen, places, hasSelf, onChange }: SettingsProps) {
  const spots = places.filter(({ position }) => position !== null).map(({ id, name }) => ({ value: id, words: name }));
  const nameOf = (id: string) => (id === 'self' ? t('round.self') : (places.find((place) => place.id === id)?.name ?? t('round.self')));
  const hour = `${String(Math.floor(chosen.startAt / 60)).padStart(2, '0')}:${String(chosen.startAt % 60).padStart(2, '0')}`;
  return (
    <View className="gap-1 border-b border-line pb-1 pt-4">
      <View className="px-4">
        <LabelledChoice<Means>
          label={t('round.means')}
          value={chosen.means}
          options={MEANS.map((value) => ({ value, words: t(`round.means.${value}`) }))}
          onChange={(means) => onChange({ means })}
        />
      </View>
      <Fold words={t('round.from', { place: nameOf(chosen.start), hour })}>
        <View className="gap-4 px-4 pb-3">
          <LabelledChoice
            label={t('round.begins')}
            value={chosen.start}
            options={[...(hasSelf ? [{ value: 'self', words: t('round.self') }] : []), ...spots]}
            onChange={(start) => onChange({ start })}
          />
          <MomentInput
            label={t('round.startHour')}
            kind="time"
            value={hour}
            onChange={(value) => value && onChange({ startAt: Number(value.slice(0, 2)) * 60 + Number(value.slice(3, 5)) })}
          />
        </View>
      </Fold>
      <Fold words={t('round.to', { place: chosen.end === 'start' ? t('round.end.start') : chosen.end === 'last' ? t('round.end.last') : nameOf(chosen.end) })}>
        <View className="px-4 pb-3">
          <LabelledChoice
            label={t('round.ends')}
            value={chosen.end}
            options={[{ value: 'start', words: t('round.end.start') }, { value: 'last', words: t('round.end.last') }, ...spots]}
            onChange={(end) => onChange({ end })}
          />
        </View>
      </Fold>
    </View>
  );
}
