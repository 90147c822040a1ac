import { isDone, isHere, isPlaceAlarm, RADIUS, type Place, type Coordinates } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import type { MapMark } from '@/features/map';
import { placesOf } from '@/store/here.ts';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Field, Heading, LabelledChoice, LabelledToggles, Sheet, Txt, useOnce } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { canReadHours } from './errands.ts';
import { HoursFields } from './hours-fields.tsx';
import { SpotFields } from './spot-fields.tsx';

interface Typed {
  name: string;
  address: string;
  position: Coordinates | null;
  radius: string;
  openingHours: string;
  seenBy: string[] | null;
}

const EMPTY: Typed = { name: '', address: '', position: null, radius: String(RADIUS.usual), openingHours: '', seenBy: null };

const typedOf = ({ name, address, position, radius, openingHours, seenBy }: Place): Typed => ({
  name,
  address,
  position,
  radius: String(radius),
  openingHours,
  seenBy,
});

/** Makes a place, or changes one: its name, where it is, how far it reaches, when it is open, who sees it. */
export function PlaceSheet({ place, onClose }: { place: Place | null; onClose: () => void }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const [begin] = useState<Typed>(() => (place ? typedOf(place) : EMPTY));
  const [typed, setTyped, done] = useDraft(`place/${place?.id ?? 'new'}`, begin);
  const [errors, setErrors] = useState<{ name?: string; radius?: string; openingHours?: string }>({});
  const [removing, setRemoving] = useState(false);
  const set = (some: Partial<Typed>) => setTyped((now) => ({ ...now, ...some }));
  const title = place ? place.name : t('place.new');
  const others = placesOf(rows).flatMap((one): MapMark[] =>
    one.position && one.id !== place?.id ? [{ id: one.id, name: one.name, at: one.position, kind: 'place', words: '' }] : [],
  );

  const [save, isSaving] = useOnce(async () => {
    const radius = /^\d{1,4}$/.test(typed.radius.trim()) ? Number(typed.radius) : Number.NaN;
    const readable = await canReadHours(typed.openingHours);
    const wrong = {
      ...(radius >= RADIUS.least && radius <= RADIUS.most ? {} : { radius: t('place.radiusWrong', RADIUS) }),
      ...(readable ? {} : { openingHours: t('reason.bad-hours', { hours: typed.openingHours }) }),
    };
    setErrors(wrong);
    if (Object.keys(wrong).length > 0) return;
    const { name, address, position, openingHours, seenBy } = typed;
    const fields = { name, address, position, radius, openingHours, seenBy };
    const words = t('said.placeMade', { name: name.trim() });
    const reason = place
      ? submit('place.change', { place: place.id, ...fields }, { words: t('said.saved'), undo: true, ownRefusal: true })
      : submit('place.make', fields, { words, undo: true, ownRefusal: true });
    if (reason) return setErrors({ [reason.field === 'openingHours' ? 'openingHours' : 'name']: sayReason(reason) });
    done();
    onClose();
  });
  return (
    <Sheet
      open
      onClose={onClose}
      title={title}
      closeLabel={t('common.close')}
      head={<Heading level={2}>{title}</Heading>}
      foot={
        <View className="flex-row flex-wrap gap-2">
          <Button kind="main" onPress={save} disabled={isSaving}>
            {t('common.save')}
          </Button>
          {place ? (
            <Button kind="quiet" tone="muted" onPress={() => setRemoving(true)}>
              {t('place.remove')}
            </Button>
          ) : null}
        </View>
      }
    >
      <View className="gap-5 pt-2">
        {place && removing ? <Removing place={place} onClose={onClose} onKeep={() => setRemoving(false)} /> : null}
        <Field label={t('place.name')} value={typed.name} onChangeText={(name) => set({ name })} error={errors.name} maxLength={80} />
        <SpotFields
          address={typed.address}
          position={typed.position}
          radius={Number(typed.radius) || RADIUS.usual}
          onAddress={(address) => set({ address })}
          onPosition={(position) => set({ position })}
          others={others}
        />
        <Field
          label={t('place.radius')}
          hint={t('place.radiusHint')}
          value={typed.radius}
          onChangeText={(radius) => set({ radius })}
          error={errors.radius}
          inputMode="numeric"
          maxLength={5}
        />
        <HoursFields value={typed.openingHours} error={errors.openingHours ?? null} onChange={(openingHours) => set({ openingHours })} />
        <WhoSees seenBy={typed.seenBy} makerId={place?.makerId ?? null} onChange={(seenBy) => set({ seenBy })} />
      </View>
    </Sheet>
  );
}

function WhoSees({ seenBy, makerId, onChange }: { seenBy: string[] | null; makerId: string | null; onChange: (seenBy: string[] | null) => void }) {
  const { rows, me } = useOpenHouse();
  const maker = makerId ?? me.id;
  const others = rows.all('person').filter((person) => isHere(person) && person.accountId !== null && person.id !== maker);
  return (
    <View className="gap-3">
      <LabelledChoice
        label={t('place.whoSees')}
        value={seenBy === null ? 'all' : 'some'}
        options={[
          { value: 'all', words: t('place.everyone') },
          { value: 'some', words: t('place.onlySome') },
        ]}
        onChange={(value) => onChange(value === 'all' ? null : [maker])}
      />
      {seenBy === null ? null : (
        <LabelledToggles
          label={t('place.alsoSees')}
          on={seenBy}
          options={others.map(({ id, name }) => ({ value: id, words: name }))}
          onChange={(on) => onChange([...new Set([maker, ...on])])}
        />
      )}
    </View>
  );
}

/** Before it goes: what lies there, and what would no longer remind. */
function Removing({ place, onClose, onKeep }: { place: Place; onClose: () => void; onKeep: () => void }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const things = rows
    .all('item')
    .filter((item) => item.placeId === place.id && item.removedAt === null && !isDone(item, rows.by('part', 'itemId', item.id))).length;
  const reminders = rows.all('alarm').filter((alarm) => alarm.removedAt === null && isPlaceAlarm(alarm) && alarm.trigger.place === place.id).length;
  const remove = () => {
    if (!submit('place.change', { place: place.id, removed: true }, { words: t('said.removed', { title: place.name }), undo: true })) onClose();
  };
  return (
    <View role="alert" className="gap-3 rounded-control border border-cloudberry p-3">
      <Txt>{`${t('place.removeThings', { count: things })} ${t('place.removeReminders', { count: reminders })}`}</Txt>
      <View className="flex-row flex-wrap gap-2">
        <Button onPress={remove}>{t('place.removeNow', { place: place.name })}</Button>
        <Button kind="quiet" onPress={onKeep}>
          {t('common.cancel')}
        </Button>
      </View>
    </View>
  );
}
