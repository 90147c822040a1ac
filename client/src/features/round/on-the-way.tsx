import { isHere, walkRound, wallClockOf, type ErrandRound, type Coordinates, type RoundStop, type Stop } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { ItemRow } from '@/features/item';
import { Map, type MapMark } from '@/features/map';
import { stopsAhead } from '@/features/on-round';
import { sayOpen, useOpenOn } from '@/features/places';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Empty, ErrorLine, Field, GroupHead, LabelledChoice, Row, Txt } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { sayMinute } from './say-minute.ts';

/** Gone along: the next stop with what is to be done there, then the others. Checking off moves on by itself. */
export function OnTheWay({ round, next }: { round: ErrandRound; next: RoundStop | null }) {
  const { rows, house } = useOpenHouse();
  const submit = useSubmit();
  const [handing, setHanding] = useState(false);
  const now = wallClockOf(useNow(), house.zone);
  const minute = Number(now.slice(11, 13)) * 60 + Number(now.slice(14));
  const ahead = stopsAhead(round, rows);
  const placeOf = (id: string) => {
    const place = rows.find('place', id);
    return place ?? null;
  };
  const open = useOpenOn(
    ahead.map(({ place }) => placeOf(place)?.openingHours ?? ''),
    now.slice(0, 10),
  );
  const legs = arrivals();
  const end = () => submit('round.change', { round: round.id, ended: true }, { words: t('said.roundEnded'), undo: true });
  const goOn = () => next && submit('round.change', { round: round.id, passed: [...round.passed, next.place] }, { undo: true, words: t('said.goneOn') });
  const marks: MapMark[] = ahead.flatMap(({ place }, nth): MapMark[] => {
    const known = placeOf(place);
    return known?.position ? [{ id: place, name: known.name, at: known.position, kind: 'stop', words: String(nth + 1) }] : [];
  });

  /** From where one was last, now, on to the others; without hours, which were looked at when it was planned. */
  function arrivals(): ReadonlyMap<string, number> {
    const gone = round.stops.filter(({ place }) => !ahead.some((one) => one.place === place)).at(-1)?.place ?? round.startId;
    const from: Coordinates | null = (gone && placeOf(gone)?.position) || null;
    const stops = ahead.flatMap(({ place, items }): Stop[] => {
      const position = placeOf(place)?.position;
      return position ? [{ id: place, ...position, items: items.length, open: null, due: null }] : [];
    });
    const walked = from && walkRound({ start: from, startAt: minute, end: null, means: round.means, stops }, stops);
    return new globalThis.Map((walked ? walked.legs : []).map(({ stopId, arrives }) => [stopId, arrives]));
  }
  const nextPlace = next ? placeOf(next.place) : null;

  return (
    <View className="lg:flex-row">
      <View className="lg:grow lg:basis-0">
        {next ? (
          <View role="region" aria-label={t('round.nextStop')}>
            <GroupHead
              title={nextPlace?.name ?? t('round.unseen')}
              count={next.items.length}
              sub={[
                legs.has(next.place) ? t('round.about', { hour: sayMinute(legs.get(next.place)!) }) : null,
                nextPlace ? sayOpen(open.get(nextPlace.openingHours), minute) : null,
                nextPlace?.address,
              ]
                .filter(Boolean)
                .join(' · ')}
            />
            {next.items.map((id) => {
              const item = rows.find('item', id);
              return item === undefined || item.removedAt ? null : <ItemRow key={id} item={item} />;
            })}
            <View className="flex-row flex-wrap gap-2 px-4 py-3">
              <Button onPress={goOn}>{t('round.goOn')}</Button>
            </View>
          </View>
        ) : (
          <Empty words={t('round.allDone')} action={t('round.end')} onAction={end} />
        )}
        {ahead.length > 1 ? <GroupHead title={t('round.then')} count={ahead.length - 1} /> : null}
        {ahead.slice(1).map(({ place, items }, nth) => (
          <Row
            key={place}
            lead={
              <Txt face="bold" tone="chore">
                {String(nth + 2)}
              </Txt>
            }
            title={placeOf(place)?.name ?? t('round.unseen')}
            sub={t('place.todo', { count: items.length })}
            right={legs.has(place) ? sayMinute(legs.get(place)!) : undefined}
          />
        ))}
      </View>
      <View className="lg:grow lg:basis-0">
        {marks.length > 0 ? <Map label={t('map.round')} marks={marks} line={marks.map(({ at }) => at)} height={220} /> : null}
        <View className="flex-row flex-wrap gap-2 px-4 py-3">
          <Button expanded={handing} onPress={() => setHanding(!handing)}>
            {t('round.hand')}
          </Button>
          {next ? (
            <Button kind="quiet" onPress={end}>
              {t('round.end')}
            </Button>
          ) : null}
        </View>
        {handing ? <HandOver round={round} onDone={() => setHanding(false)} /> : null}
      </View>
    </View>
  );
}

function HandOver({ round, onDone }: { round: ErrandRound; onDone: () => void }) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const [person, setPerson] = useState<string | null>(null);
  const [message, setMessage, sent] = useDraft(`round-to/${round.id}`, '');
  const [error, setError] = useState<string | null>(null);
  const others = rows.all('person').filter((one) => isHere(one) && one.accountId !== null && one.id !== me.id);
  const hand = () => {
    // whoever was chosen may have left meanwhile
    const chosen = others.find(({ id }) => id === person);
    if (!chosen) return setError(t('round.chooseWho'));
    const reason = submit(
      'round.handOver',
      { round: round.id, person: chosen.id, message },
      { words: t('said.roundHanded', { name: chosen.name }), undo: true, ownRefusal: true },
    );
    setError(reason ? sayReason(reason) : null);
    if (reason) return;
    sent();
    onDone();
  };
  return (
    <View className="gap-4 px-4 pb-4">
      <LabelledChoice label={t('round.toWhom')} value={person} options={others.map(({ id, name }) => ({ value: id, words: name }))} onChange={setPerson} />
      <Field label={t('round.message')} value={message} onChangeText={setMessage} maxLength={2_000} />
      <ErrorLine says={error} />
      <View className="items-start">
        <Button kind="main" onPress={hand}>
          {t('round.handNow')}
        </Button>
      </View>
    </View>
  );
}
