import { Screen } from '@/features/shell';
import { useMyRound } from '@/features/on-round';
import { t } from '@/words';
import { OnTheWay } from './on-the-way.tsx';
import { Planning } from './planning.tsx';

/** A round of errands: planned, or gone along. */
export function RoundScreen() {
  const mine = useMyRound();
  return (
    // begun, it stands at its top
    <Screen key={mine ? 'on' : 'planning'} title={t('round.title')} sub={t(mine ? 'round.subOn' : 'round.sub')}>
      {mine ? <OnTheWay {...mine} /> : <Planning />}
    </Screen>
  );
}
