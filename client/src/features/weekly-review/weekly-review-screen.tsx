import { addDays, calendarDateOf, PILES, REVIEW_PARTS, type Item, type Pile, type ReviewProgress } from '@kotiva/core';
import { pilesOf } from '@kotiva/core/views/weekly-review';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { ItemRow, nameOf, SelectButton, Selecting, SelectionBar } from '@/features/item';
import { Screen } from '@/features/shell';
import { useSubmit } from '@/store/live-house.tsx';
import { usePreferences } from '@/store/preferences.ts';
import { useOpenHouse, usePlanView } from '@/store/store.ts';
import { Button, Empty, FromTop, GroupHead, Heading, LongRows, Txt } from '@/ui';
import { t } from '@/words';
import { addWords } from '@/words/add-words.ts';
import { startOfWeek } from '@/words/dates.ts';
import { weeklyReviewWords } from '@/words/en/weekly-review.ts';
import { WeekAhead } from './week-ahead.tsx';

addWords(weeklyReviewWords);

/** After the piles, the week that comes. */
const AHEAD = PILES.length;
const nameOfPart = (nth: number): string => (nth < AHEAD ? t(`review.pile.${PILES[nth]!}`) : t('review.ahead'));

/** Everything that lies somewhere, pile after pile; one goes on where one stopped, on whichever device. */
export function WeeklyReviewScreen() {
  const { rows, house } = useOpenHouse();
  const view = usePlanView();
  const week = startOfWeek(calendarDateOf(view.now, house.zone));
  const piles = useMemo(() => pilesOf(view, rows), [view.personId, view.now, rows]); // eslint-disable-line react-hooks/exhaustive-deps -- a view is who and when
  const submit = useSubmit();
  const { review } = usePreferences();
  const { at, before } = review?.week === week ? review : { at: 0, before: {} };
  const counts = Object.fromEntries(PILES.map((pile) => [pile, piles[pile].length])) as Record<Pile, number>;
  // how much there was is noted when one moves on for the first time
  const go = (to: number) => void submit('preferences.set', { review: { week, at: to, before: { ...counts, ...before } } });
  const pile = PILES[at];
  return (
    <Screen title={t('review.title')} sub={at < REVIEW_PARTS ? t('review.at', { nth: at + 1, of: REVIEW_PARTS }) : t('review.seen')}>
      <FromTop part={at} />
      <Ways at={at} counts={counts} onGo={go} />
      {pile ? (
        <PileOf key={pile} pile={pile} items={piles[pile]} onBack={at > 0 ? () => go(at - 1) : null} onNext={() => go(at + 1)} next={nameOfPart(at + 1)} />
      ) : at === AHEAD ? (
        <>
          <WeekAhead />
          <View className="flex-row flex-wrap items-center gap-2 px-4 py-5">
            <Button kind="main" onPress={() => go(at + 1)}>
              {t('review.finish')}
            </Button>
            <Button kind="quiet" onPress={() => go(at - 1)}>
              {t('review.back')}
            </Button>
          </View>
        </>
      ) : (
        <Summary before={before} counts={counts} week={week} onAgain={() => void submit('preferences.set', { review: { week, at: 0, before: {} } })} />
      )}
    </Screen>
  );
}

/** All piles with what is in them: each one tap away. */
function Ways({ at, counts, onGo }: { at: number; counts: Record<Pile, number>; onGo: (to: number) => void }) {
  return (
    <View role="group" aria-label={t('review.piles')} className="flex-row flex-wrap gap-x-1 px-2 pt-2">
      {PILES.map((pile, nth) => (
        <Button key={pile} kind="quiet" tone={nth === at ? 'ink' : 'muted'} onPress={() => onGo(nth)}>
          {t('review.pileCount', { pile: t(`review.pile.${pile}`), count: counts[pile] })}
        </Button>
      ))}
      <Button kind="quiet" tone={at === AHEAD ? 'ink' : 'muted'} onPress={() => onGo(AHEAD)}>
        {t('review.ahead')}
      </Button>
    </View>
  );
}

interface PileProps {
  pile: Pile;
  items: readonly Item[];
  /** What the next part is called. */
  next: string;
  onBack: (() => void) | null;
  onNext: () => void;
}

function PileOf({ pile, items, next, onBack, onNext }: PileProps) {
  const { rows, me } = useOpenHouse();
  const router = useRouter();
  const from = (item: Item): string | undefined => {
    const list = item.listId ? rows.find('list', item.listId) : undefined;
    return list === undefined ? (item.makerId === me.id ? undefined : nameOf(rows, item.makerId)) : list.name;
  };
  return (
    <Selecting>
      <GroupHead title={t(`review.pile.${pile}`)} count={items.length} sub={t(`review.means.${pile}`)} />
      {items.length === 0 ? <Empty words={t('review.nothing')} /> : null}
      <SelectionBar ids={items.map(({ id }) => id)} />
      <LongRows rows={items} keyOf={({ id }) => id}>
        {(item) => <ItemRow item={item} sub={from(item)} />}
      </LongRows>
      <View className="flex-row flex-wrap items-center gap-2 px-4 py-5">
        <Button kind="main" onPress={onNext}>
          {t('review.next', { pile: next })}
        </Button>
        {items.length > 0 ? <SelectButton /> : null}
        {pile === 'to-sort' && items.length > 0 ? <Button onPress={() => router.push('/sort')}>{t('review.sortThem')}</Button> : null}
        {onBack ? (
          <Button kind="quiet" onPress={onBack}>
            {t('review.back')}
          </Button>
        ) : null}
      </View>
    </Selecting>
  );
}

/** What came of it, what lies ahead, and the way to have it come back. */
function Summary({ before, counts, week, onAgain }: { before: ReviewProgress['before']; counts: Record<Pile, number>; week: string; onAgain: () => void }) {
  const { me, rows } = useOpenHouse();
  const router = useRouter();
  const submit = useSubmit();
  const title = t('review.title');
  const isChore = rows.all('series').some((one) => one.title === title && one.makerId === me.id && one.endsBefore === null);
  const repeat = () =>
    void submit(
      'chore.make',
      { title, rrule: 'FREQ=WEEKLY', dtstart: addDays(week, 7), turn: 'fixed', persons: [me.id] },
      { words: t('said.reviewRepeats'), undo: true },
    );
  return (
    <View className="gap-4 px-4 py-4">
      <Heading level={2}>{t('review.done')}</Heading>
      <View role="list" className="gap-1">
        {PILES.map((pile) => (
          <Txt key={pile} role="listitem">
            {sayChange(pile, before[pile] ?? counts[pile], counts[pile])}
          </Txt>
        ))}
      </View>
      <View className="flex-row flex-wrap gap-2">
        <Button onPress={() => router.push('/looking-back?span=lastWeek' as '/')}>{t('review.lookBack')}</Button>
        {isChore ? null : <Button onPress={repeat}>{t('review.repeat')}</Button>}
        <Button kind="quiet" onPress={onAgain}>
          {t('review.again')}
        </Button>
      </View>
    </View>
  );
}

const sayChange = (pile: Pile, before: number, now: number): string =>
  before === now ? t('review.same', { pile: t(`review.pile.${pile}`), count: now }) : t('review.changed', { pile: t(`review.pile.${pile}`), before, now });
