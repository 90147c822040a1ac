import { weekToShare, type WeekToShare } from '@kotiva/core/planning/week-to-share';
import type { SharedOut } from '@kotiva/core/planning/share-out';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { nameOf } from '@/features/item';
import { Screen } from '@/features/shell';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Empty, ErrorLine, GroupHead, Txt } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { LoadBands } from './load-bands.tsx';
import { linesOf, ProposedLine, type ProposedTurn } from './proposed-line.tsx';
import { useSharedOut } from './use-shared-out.ts';

/** The work of the coming week shared out: proposed, with the load of each before and after; changed only when it is taken, all or in part. */
export function ShareOutScreen() {
  const { me } = useOpenHouse();
  return (
    <Screen title={t('shareOut.title')} sub={t('shareOut.sub')}>
      {me.role === 'manager' ? <Proposing /> : <Empty words={t('shareOut.onlyManagers')} />}
    </Screen>
  );
}

function Proposing() {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const week = useMemo(() => weekToShare(now, house, rows), [now, house, rows]);
  const shared = useSharedOut(week);
  if (week.carriers.length === 0) return <Empty words={t('shareOut.nobody')} />;
  if (week.loads.length === 0) return <Empty words={t('shareOut.nothing')} />;
  return (
    <View className="gap-2">
      <Txt tone="muted" className="px-4 pt-3">
        {t('shareOut.means')}
      </Txt>
      {shared ? (
        <Proposal week={week} shared={shared} />
      ) : (
        <Txt role="status" className="px-4">
          {t('shareOut.working')}
        </Txt>
      )}
    </View>
  );
}

function Proposal({ week, shared }: { week: WeekToShare; shared: SharedOut }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [error, setError] = useState<string | null>(null);
  const lines = linesOf(week, shared);
  const changing = lines.filter((line) => line.from !== line.to);
  const taken = changing.filter(({ key }) => !left.has(key));
  const take = () => {
    if (taken.length === 0) return setError(t('shareOut.takeNone'));
    const reason = submit('week.shareOut', payloadOf(taken), { words: t('said.sharedOut', { count: taken.length }), undo: true, ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
    if (!reason) setLeft(new Set());
  };
  const toggle = (key: string) => {
    setError(null);
    setLeft((now) => new Set(now.has(key) ? [...now].filter((one) => one !== key) : [...now, key]));
  };
  return (
    <View>
      <GroupHead title={t('shareOut.loads')} />
      <LoadBands week={week} after={givenWhen(lines, taken)} />
      <GroupHead title={t('shareOut.who')} count={lines.length} />
      {lines.some(({ shareable }) => shareable.kind === 'turn') ? (
        <Txt size={15} tone="muted" className="px-4 pb-1">
          {t(shared.turnsKept ? 'shareOut.turnsKept' : 'shareOut.turnsMoved')}
        </Txt>
      ) : null}
      {lines.map((line) => (
        <ProposedLine
          key={line.key}
          line={line}
          nameOf={(id) => nameOf(rows, id)}
          taken={line.from === line.to ? null : !left.has(line.key)}
          onToggle={() => toggle(line.key)}
        />
      ))}
      {changing.length > 0 ? (
        <View className="gap-2 px-4 pt-4">
          <ErrorLine says={error} />
          <Button kind="main" onPress={take}>
            {t('shareOut.take', { count: taken.length })}
          </Button>
        </View>
      ) : null}
    </View>
  );
}

/** Who would have what if these lines were taken: the others stay where they are. */
function givenWhen(lines: readonly ProposedTurn[], taken: readonly ProposedTurn[]): ReadonlyMap<string, string> {
  const chosen = new Set(taken.map(({ key }) => key));
  return new Map(lines.flatMap(({ key, from, to }): [string, string][] => (chosen.has(key) ? [[key, to]] : from === null ? [] : [[key, from]])));
}

function payloadOf(taken: readonly ProposedTurn[]) {
  return {
    items: taken.flatMap(({ shareable, to }) => (shareable.kind === 'item' ? [{ item: shareable.item.id, person: to }] : [])),
    turns: taken.flatMap(({ shareable, to }) =>
      shareable.kind === 'turn' ? [{ series: shareable.ahead.series.id, recurrenceId: shareable.ahead.occurrence.recurrenceId, person: to }] : [],
    ),
  };
}
