import { positionFault, type Coordinates } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Map, type MapMark } from '@/features/map';
import { ask } from '@/store/api.ts';
import { Button, ErrorLine, Field, Fold, Txt } from '@/ui';
import { t } from '@/words';

interface Found extends Coordinates {
  name: string;
  where: string;
}

interface SpotFieldsProps {
  address: string;
  position: Coordinates | null;
  radius: number;
  onAddress: (address: string) => void;
  onPosition: (position: Coordinates | null) => void;
  /** Marks to find one's way by. */
  others: readonly MapMark[];
}

const MAP_HEIGHT = 240;

/** Where a place is: by its address, by standing there, by a tap on the map, or in degrees. */
export function SpotFields({ address, position, radius, onAddress, onPosition, others }: SpotFieldsProps) {
  const mark: MapMark[] = position ? [{ id: 'new', name: t('place.thisOne'), at: position, radius, kind: 'stop', words: '', moves: true }] : [];
  return (
    <View className="gap-3">
      <ByAddress address={address} onAddress={onAddress} onPosition={onPosition} />
      <ByStanding onPosition={onPosition} />
      <View className="gap-1">
        <Txt size={15} tone="muted">
          {position ? t('place.spotAt', { lat: position.lat.toFixed(5), lon: position.lon.toFixed(5) }) : t('place.tapMap')}
        </Txt>
        <Map
          label={t('map.choose')}
          marks={[...others, ...mark]}
          at={position ? 'new' : null}
          height={MAP_HEIGHT}
          onPick={onPosition}
          onMove={(_id, at) => onPosition(at)}
        />
        {position ? (
          <View className="items-start">
            <Button kind="quiet" onPress={() => onPosition(null)}>
              {t('place.noSpotAny')}
            </Button>
          </View>
        ) : null}
      </View>
      <View className="-mx-4">
        <Fold words={t('place.degrees')}>
          <ByDegrees position={position} onPosition={onPosition} />
        </Fold>
      </View>
    </View>
  );
}

function ByAddress({ address, onAddress, onPosition }: Pick<SpotFieldsProps, 'address' | 'onAddress' | 'onPosition'>) {
  const [found, setFound] = useState<readonly Found[]>([]);
  const [says, setSays] = useState<string | null>(null);
  const look = async () => {
    if (!address.trim()) return setSays(t('place.addressEmpty'));
    const answer = await ask<{ found: Found[] }>('GET', `/geocode?q=${encodeURIComponent(address)}`);
    setFound(answer.ok ? answer.value.found : []);
    if (answer.ok) return setSays(answer.value.found.length === 0 ? t('place.addressUnknown') : null);
    setSays(t(answer.problem.code === 'no-geocoder' ? 'place.noGeocoder' : 'place.geocoderDown'));
  };
  return (
    <View className="gap-2">
      <View className="flex-row items-end gap-2">
        <Field
          label={t('place.address')}
          value={address}
          maxLength={200}
          onChangeText={(text) => {
            onAddress(text);
            setSays(null);
          }}
          onSubmitEditing={() => void look()}
          className="min-w-0 grow shrink basis-0"
        />
        <Button onPress={() => void look()}>{t('place.find')}</Button>
      </View>
      {says ? (
        <Txt role="alert" size={15} tone="waits">
          {says}
        </Txt>
      ) : null}
      {found.length > 0 ? (
        <View role="group" aria-label={t('place.found')} className="items-start gap-1">
          {found.map((one) => (
            <Button
              key={`${one.lat},${one.lon}`}
              onPress={() => {
                onPosition({ lat: one.lat, lon: one.lon });
                onAddress(one.where || one.name);
                setFound([]);
              }}
            >
              {[one.name, one.where].filter(Boolean).join(', ')}
            </Button>
          ))}
        </View>
      ) : null}
    </View>
  );
}

/** "I am here": asked for once, for this. */
function ByStanding({ onPosition }: Pick<SpotFieldsProps, 'onPosition'>) {
  const [says, setSays] = useState<string | null>(null);
  const look = () => {
    if (!('geolocation' in navigator)) return setSays(t('looking.unknown'));
    setSays(t('place.looking'));
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => {
        onPosition({ lat: coords.latitude, lon: coords.longitude });
        setSays(t('place.lookedWithin', { metres: Math.max(1, Math.round(coords.accuracy)) }));
      },
      ({ code, PERMISSION_DENIED }) => setSays(t(code === PERMISSION_DENIED ? 'place.lookRefused' : 'place.lookFailed')),
      { enableHighAccuracy: true, timeout: 20_000, maximumAge: 10_000 },
    );
  };
  return (
    <View className="items-start gap-1">
      <Button onPress={look}>{t('place.iAmHere')}</Button>
      {says ? (
        <Txt role="status" size={15} tone="muted">
          {says}
        </Txt>
      ) : null}
    </View>
  );
}

const degrees = (text: string): number => (text.trim() === '' ? Number.NaN : Number(text.trim().replace(',', '.')));

function ByDegrees({ position, onPosition }: Pick<SpotFieldsProps, 'position' | 'onPosition'>) {
  const [lat, setLat] = useState(position ? String(position.lat) : '');
  const [lon, setLon] = useState(position ? String(position.lon) : '');
  const [error, setError] = useState<string | null>(null);
  const take = () => {
    const typed = { lat: degrees(lat), lon: degrees(lon) };
    const fault = positionFault(typed);
    setError(fault && t(`place.degrees.${fault}`));
    if (!fault) onPosition(typed);
  };
  return (
    <View className="gap-2 px-4 pb-2">
      <View className="flex-row gap-3">
        <Field label={t('place.lat')} value={lat} onChangeText={setLat} inputMode="decimal" maxLength={20} className="min-w-0 grow shrink basis-0" />
        <Field label={t('place.lon')} value={lon} onChangeText={setLon} inputMode="decimal" maxLength={20} className="min-w-0 grow shrink basis-0" />
      </View>
      <ErrorLine says={error} />
      <View className="items-start">
        <Button onPress={take}>{t('place.takeDegrees')}</Button>
      </View>
    </View>
  );
}
