import { MOST_EXACT, type Errand, type Round } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Map, type MapMark } from '@/features/map';
import { sayOpen } from '@/features/places';
import { useSubmit } from '@/store/live-house.tsx';
import { Button, ErrorLine, GroupHead, Txt, useWide } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { ExportButtons } from './export-buttons.tsx';
import { PlannedStops } from './planned-stops.tsx';
import { sayMinute } from './say-minute.ts';
import type { Plan } from './use-plan.ts';

interface ProposedProps {
  plan: Plan;
  errand: Errand;
  best: Round;
}

/** The round as it comes out: its stops with their hours, what can't be made, the way on the map; begun from here. */
export function Proposed({ plan, errand, best }: ProposedProps) {
  const wide = useWide();
  const submit = useSubmit();
  const [error, setError] = useState<string | null>(null);
  const { places, going, order, shown } = plan;
  const errandsAt = (id: string) => going.find(({ place }) => place.id === id)!;
  const marks = (shown?.legs ?? []).map(({ stopId }, nth): MapMark => ({
    id: stopId,
    name: errandsAt(stopId).place.name,
    at: errandsAt(stopId).place.position,
    kind: 'stop',
    words: String(nth + 1),
  }));
  const start = () => {
    if (!shown) return;
    const stops = shown.legs.map(({ stopId }) => ({ place: stopId, items: errandsAt(stopId).items.map(({ id }) => id) }));
    const placeOrNull = (id: string) => (places.some((place) => place.id === id) ? id : null);
    const startId = placeOrNull(plan.chosen.start);
    const endId = plan.chosen.end === 'start' ? startId : placeOrNull(plan.chosen.end);
    const fields = { date: plan.date, means: plan.chosen.means, startId, endId, stops };
    const reason = submit('round.start', fields, { words: t('said.roundStarted'), ownRefusal: true, undo: true });
    setError(reason ? sayReason(reason) : null);
    if (!reason) plan.started();
  };
  return (
    <View>
      <GroupHead title={t('round.order')} count={(order ?? best.legs).length} sub={best.exact ? undefined : t('round.notProved', { most: MOST_EXACT })} />
      <PlannedStops order={order ?? best.legs.map(({ stopId }) => stopId)} legs={shown?.legs ?? null} going={going} onOrder={plan.putInOrder} />
      <RoundSummary best={best} shown={shown} byHand={order !== null} onBest={() => plan.putInOrder(null)} />
      {best.left.length > 0 && order === null ? <LeftOut plan={plan} left={best.left} /> : null}
      {marks.length > 0 ? (
        <View className="pt-3">
          <Map
            label={t('map.round')}
            marks={marks}
            line={[errand.start, ...marks.map(({ at }) => at), ...(errand.end ? [errand.end] : [])]}
            height={wide ? 320 : 220}
          />
        </View>
      ) : null}
      <ErrorLine says={error} className="px-4 pt-2" />
      {shown && shown.legs.length > 0 ? (
        <View className="flex-row flex-wrap gap-2 px-4 py-4">
          <Button kind="main" onPress={start}>
            {t('round.start')}
          </Button>
          <ExportButtons stops={shown.legs.map(({ stopId }) => errandsAt(stopId))} />
        </View>
      ) : null}
    </View>
  );
}

/** When one is back, and what an order of one's own costs. */
function RoundSummary({ best, shown, byHand, onBest }: { best: Round; shown: Plan['shown']; byHand: boolean; onBest: () => void }) {
  const costs = byHand && shown ? Math.round(shown.endsAt - best.endsAt) : 0;
  return (
    <View className="flex-row flex-wrap items-center gap-2 px-4 pt-2">
      <Txt role="status" face="medium" tone={shown ? 'ink' : 'late'}>
        {shown ? t('round.backAt', { hour: sayMinute(shown.endsAt) }) : t('round.notInThatOrder')}
      </Txt>
      {byHand ? (
        <>
          {shown ? <Txt tone="waits">{costs > 0 ? t('round.costs', { minutes: costs }) : t('round.costsNothing')}</Txt> : null}
          <Button kind="quiet" onPress={onBest}>
            {t('round.takeBest')}
          </Button>
        </>
      ) : null}
    </View>
  );
}

/** What can't be made, and why. */
function LeftOut({ plan: { going, open, minute }, left }: { plan: Plan; left: Round['left'] }) {
  return (
    <View role="region" aria-label={t('round.left')}>
      <GroupHead title={t('round.left')} count={left.length} tone="waits" />
      {left.map(({ stopId, why }) => {
        const { name, openingHours } = going.find(({ place }) => place.id === stopId)!.place;
        return (
          <Txt key={stopId} className="px-4 py-1">
            {[t(`round.why.${why}`, { place: name }), sayOpen(open.get(openingHours), minute)].filter(Boolean).join(' · ')}
          </Txt>
        );
      })}
    </View>
  );
}
