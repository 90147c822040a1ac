import { whyGiven, type Shareable, type WeekToShare, type WhyGiven } from '@kotiva/core/planning/week-to-share';
import type { SharedOut } from '@kotiva/core/planning/share-out';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { ChosenMark, Row } from '@/ui';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';

/** One thing that is proposed: who has it now, who would. */
export interface ProposedTurn {
  key: string;
  shareable: Shareable;
  from: string | null;
  to: string;
  why: WhyGiven;
}

/** By day; what would stay as it is comes last. */
export function linesOf(week: WeekToShare, shared: SharedOut): ProposedTurn[] {
  const lines = week.loads.flatMap((load): ProposedTurn[] => {
    const to = shared.given.get(load.id);
    return to === undefined
      ? []
      : [{ key: load.id, shareable: week.shareables.get(load.id)!, from: load.turn, to, why: whyGiven(load, to, week, shared.given) }];
  });
  const rank = ({ from, to, shareable }: ProposedTurn) => `${from === to ? 1 : 0}${shareable.date}`;
  return lines.sort((a, b) => (rank(a) < rank(b) ? -1 : 1));
}

interface ProposedLineProps {
  line: ProposedTurn;
  nameOf: (personId: string) => string;
  /** Null: nothing would change, so there is nothing to take. */
  taken: boolean | null;
  onToggle: () => void;
}

export function ProposedLine({ line: { shareable, from, to, why }, nameOf, taken, onToggle }: ProposedLineProps) {
  const { house } = useOpenHouse();
  const now = useNow();
  const said = [
    t('shareOut.line', { name: nameOf(to), when: sayMoment(shareable.date, now, house.zone) }),
    from !== null && from !== to ? t('shareOut.instead', { name: nameOf(from) }) : null,
    t(`shareOut.why.${why.kind}`, { percent: why.kind === 'room' ? Math.round(why.share * 100) : 0 }),
  ];
  return (
    <Row
      title={shareable.title}
      sub={said.filter(Boolean).join(' · ')}
      wraps
      right={t('chip.effort', { minutes: shareable.minutes })}
      lead={taken === null ? undefined : <ChosenMark on={taken} />}
      chosen={taken ?? undefined}
      onPress={taken === null ? undefined : onToggle}
    />
  );
}
