import { View } from 'react-native';
import { Empty, Txt } from '@/ui';
import { t } from '@/words';
import { Proposed } from './proposed.tsx';
import { Settings } from './settings.tsx';
import { StopChoice } from './stop-choice.tsx';
import { usePlan } from './use-plan.ts';

/** Where one goes, in which order, and what can't be made: worked out anew with every choice. */
export function Planning() {
  const plan = usePlan();
  const { errands, waitsFor, known } = plan;
  if (errands.length === 0) return <Empty words={t('round.nothing')} />;
  return (
    <View className="lg:flex-row">
      <View className="lg:grow lg:basis-0">
        <Settings chosen={plan.chosen} places={plan.places} hasSelf={plan.hasSelf} onChange={plan.choose} />
        <StopChoice errands={errands} open={plan.open} minute={plan.minute} left={plan.left} onChange={plan.leave} />
      </View>
      <View className="lg:grow lg:basis-0 lg:border-l lg:border-line">
        {waitsFor === 'stops' ? <Empty words={t('round.noStops')} /> : null}
        {waitsFor === 'start' ? <Empty words={t('round.noStart')} /> : null}
        {waitsFor === 'answer' ? (
          <Txt role="status" tone="muted" className="px-4 py-4">
            {t('round.working')}
          </Txt>
        ) : null}
        {known ? <Proposed plan={plan} {...known} /> : null}
      </View>
    </View>
  );
}
