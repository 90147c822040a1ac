import { isHere, type Person, type Playing } from '@kotiva/core';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Map as DrawnMap, type MapMark } from '@/features/map';
import { Screen } from '@/features/shell';
import { ask } from '@/store/api.ts';
import { placesOf } from '@/store/here.ts';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Empty, GroupHead, LabelledChoice, PersonMark, Row, Txt, useWide } from '@/ui';
import { t, together } from '@/words';
import { readGpx, type NamedTrack } from './gpx.ts';
import { TrackFile } from './track-file.tsx';
import type { Rang } from './phones.ts';
import { usePhones } from './use-phones.ts';

const SPEEDS = ['1', '10', '30', '60'] as const;
const ACCURACIES = ['recorded', '10', '100', '2000'] as const;
const GAPS = ['0', '60', '180'] as const;

/** Simulated phones of everyone in the demo: they walk recorded tracks, or are dragged about, and what rings where is said. */
export function PhonesScreen() {
  const { rows } = useOpenHouse();
  const wide = useWide();
  const people = rows
    .all('person')
    .filter((person) => isHere(person) && person.accountId !== null)
    .sort((a, b) => a.name.localeCompare(b.name));
  const [tracks, setTracks] = useState<readonly NamedTrack[] | null>(null);
  const [who, setWho] = useState<string>(() => people[0]?.id ?? '');
  useEffect(() => {
    void ask<{ tracks: { file: string; gpx: string }[] }>('GET', '/simulate/tracks').then((answer) =>
      setTracks(answer.ok ? answer.value.tracks.flatMap(({ file, gpx }) => readGpx(gpx, file) ?? []) : []),
    );
  }, []);
  const { phones, states, said } = usePhones(people);
  const places = placesOf(rows);
  const marks: MapMark[] = [
    ...places.flatMap(({ id, name, position, radius }): MapMark[] => (position ? [{ id, name, at: position, radius, kind: 'place', words: '' }] : [])),
    ...people.flatMap(({ id, name, mark }): MapMark[] => (states[id]?.at ? [{ id, name, at: states[id].at, kind: 'phone', words: mark, moves: true }] : [])),
  ];
  const chosen = people.find(({ id }) => id === who);
  if (tracks === null) return <Screen title={t('phones.title')}>{null}</Screen>;
  if (tracks.length === 0) {
    return (
      <Screen title={t('phones.title')}>
        <Empty words={t('phones.onlyDemo')} />
      </Screen>
    );
  }
  const phone = phones.get(who);
  return (
    <Screen title={t('phones.title')} sub={t('phones.sub')}>
      <View className="lg:flex-row">
        <View className="lg:grow lg:basis-0">
          <DrawnMap
            label={t('map.phones')}
            marks={marks}
            height={wide ? 460 : 240}
            onPick={(at) => phone?.put(at)}
            onMove={(id, at) => phones.get(id)?.put(at)}
            onOpen={(id) => people.some((person) => person.id === id) && setWho(id)}
          />
          <Txt size={15} tone="muted" className="px-4 py-2">
            {t('phones.tapToPut', { name: chosen?.name ?? '' })}
          </Txt>
          <Said said={said} people={people} />
        </View>
        <View className="lg:grow lg:basis-0">
          {people.map((person) => (
            <Row
              key={person.id}
              lead={<PersonMark looks={person} size={30} />}
              title={person.name}
              sub={sayState(person.id)}
              chosen={person.id === who}
              onPress={() => setWho(person.id)}
            />
          ))}
          {phone && chosen ? (
            <Player
              key={who}
              name={chosen.name}
              tracks={tracks}
              onPlay={(track, playing, speed) => phone.play(track.fixes, playing, speed)}
              onStop={() => phone.stop()}
            />
          ) : null}
        </View>
      </View>
    </Screen>
  );

  function sayState(id: string): string {
    const state = states[id];
    if (!state?.at) return t('phones.nowhere');
    const here = places.filter((place) => state.here.includes(place.id)).map(({ name }) => name);
    const at = here.length > 0 ? t('phones.at', { places: together(here) }) : t('phones.between');
    return state.gone === null ? at : t('phones.walking', { at, gone: sayMinutes(state.gone), of: sayMinutes(state.of) });
  }
}

const sayMinutes = (ms: number): string => `${Math.floor(ms / 60_000)}:${String(Math.floor(ms / 1_000) % 60).padStart(2, '0')}`;

interface PlayerProps {
  name: string;
  tracks: readonly NamedTrack[];
  onPlay: (track: NamedTrack, playing: Playing, speed: number) => void;
  onStop: () => void;
}

/** Which track a phone walks, how fast, and how much of it it is told. */
function Player({ name, tracks, onPlay, onStop }: PlayerProps) {
  const [own, setOwn] = useState<NamedTrack | null>(null);
  const all = own ? [...tracks, own] : tracks;
  const [track, setTrack] = useState(tracks[0]!.name);
  const [speed, setSpeed] = useState<(typeof SPEEDS)[number]>('60');
  const [accuracy, setAccuracy] = useState<(typeof ACCURACIES)[number]>('recorded');
  const [gap, setGap] = useState<(typeof GAPS)[number]>('0');
  const play = () =>
    onPlay(
      all.find((one) => one.name === track)!,
      { accuracy: accuracy === 'recorded' ? null : Number(accuracy), gap: Number(gap) * 1_000 },
      Number(speed),
    );
  return (
    <View role="group" aria-label={t('phones.of', { name })} className="gap-4 px-4 pb-4">
      <View className="-mx-4">
        <GroupHead title={t('phones.of', { name })} />
      </View>
      <LabelledChoice label={t('phones.track')} value={track} options={all.map((one) => ({ value: one.name, words: one.name }))} onChange={setTrack} />
      <TrackFile
        onTrack={(read) => {
          setOwn(read);
          setTrack(read.name);
        }}
      />
      <LabelledChoice
        label={t('phones.speed')}
        value={speed}
        options={SPEEDS.map((value) => ({ value, words: t('phones.times', { times: value }) }))}
        onChange={setSpeed}
      />
      <LabelledChoice
        label={t('phones.accuracy')}
        value={accuracy}
        options={ACCURACIES.map((value) => ({ value, words: value === 'recorded' ? t('phones.recorded') : t('phones.metres', { metres: value }) }))}
        onChange={setAccuracy}
      />
      <LabelledChoice
        label={t('phones.gap')}
        value={gap}
        options={GAPS.map((value) => ({ value, words: value === '0' ? t('phones.everyLook') : t('phones.minutes', { count: Number(value) / 60 }) }))}
        onChange={setGap}
      />
      <View className="flex-row gap-2">
        <Button kind="main" onPress={play}>
          {t('phones.play')}
        </Button>
        <Button onPress={onStop}>{t('phones.stop')}</Button>
      </View>
    </View>
  );
}

/** What happened, newest first. */
function Said({ said, people }: { said: readonly Rang[]; people: readonly Person[] }) {
  const { rows } = useOpenHouse();
  if (said.length === 0) return null;
  const nameOf = (noun: 'place' | 'person', id: string) => {
    const row = noun === 'person' ? people.find((person) => person.id === id) : rows.find('place', id);
    return typeof row === 'object' ? row.name : '';
  };
  return (
    <View role="log" aria-label={t('phones.said')}>
      <GroupHead title={t('phones.said')} />
      {said.map(({ nth, personId, placeId, on, silent, titles }) => (
        <Txt key={nth} className="px-4 py-1">
          {[
            t(silent ? 'phones.found' : on === 'enter' ? 'phones.came' : 'phones.left', { name: nameOf('person', personId), place: nameOf('place', placeId) }),
            titles.length > 0 ? t('phones.rang', { titles: together(titles) }) : silent ? null : t('phones.nothingRang'),
          ]
            .filter(Boolean)
            .join(' ')}
        </Txt>
      ))}
    </View>
  );
}
