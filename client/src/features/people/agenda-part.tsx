import { agendaWith, calendarDateOf, nextTalk, notesWith, talkId, type Matter, type Person } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { nameOf, useOpenItem, useStay } from '@/features/item';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useHouseAsItIs, useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Choice, Field, Menu, MomentInput, Switch, Txt } from '@/ui';
import { t } from '@/words';
import { sayHour, weekdaysInOrder } from '@/words/customs.ts';
import { sayMoment, sayWeekday } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';
import { PagePart } from './page-part.tsx';

/** What one wants to talk about with somebody, and when one regularly does. */
export function AgendaPart({ person }: { person: Person }) {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const matters = agendaWith(me.id, person.id, rows.all('matter'));
  const talk = rows.find('talk', talkId(me.id, person.id));
  const next = talk !== undefined && talk.endedAt === null ? sayMoment(nextTalk(talk, now, house.zone), now, house.zone) : null;
  return (
    <PagePart name="agenda" title={t('talk.agenda')} count={matters.length}>
      {next ? (
        <Txt size={15} tone="plan" className="px-4 pb-1">
          {t('talk.next', { when: next })}
        </Txt>
      ) : null}
      {matters.map((matter) => (
        <MatterRow key={matter.id} matter={matter} person={person} />
      ))}
      <NewMatter person={person} />
      <RegularTalk person={person} />
    </PagePart>
  );
}

/** Settled by its box: it is not a thing to do, so it has no knot. Ticked by hand it stays where it is for a moment, and a second tap takes it back. */
function MatterRow({ matter, person }: { matter: Matter; person: Person }) {
  const { rows, me, house } = useHouseAsItIs();
  const now = useNow();
  const submit = useSubmit();
  const stay = useStay();
  const open = useOpenItem();
  const mine = matter.makerId === me.id;
  const isSettled = (rows.find('matter', matter.id)?.settledAt ?? null) !== null;
  const settle = (settled: boolean) => {
    const today = calendarDateOf(now, house.zone);
    const note = notesWith(person.id, rows.all('meetingNote')).find((one) => one.makerId === me.id && one.date === today)?.id ?? null;
    const words = settled ? t('said.settled', { words: matter.words }) : t('said.unsettled', { words: matter.words });
    stay(() => submit('matter.settle', { matters: [matter.id], settled, note }, { words, undo: true }));
  };
  return (
    <View className="min-h-12 flex-row items-center gap-2 border-b border-line px-4">
      {mine ? (
        <View className="ticked-off">
          <Switch words="" label={t('talk.settle', { words: matter.words })} on={isSettled} onChange={settle} />
        </View>
      ) : null}
      <View className="min-w-0 grow shrink basis-0 py-2">
        <Txt className={isSettled ? 'line-through' : ''} tone={isSettled ? 'muted' : 'ink'} onPress={matter.itemId ? () => open(matter.itemId) : undefined}>
          {matter.words}
        </Txt>
        {matter.shared ? (
          <Txt size={13} tone="muted">
            {mine ? t('talk.sharedWith', { name: person.name }) : t('talk.sharedBy', { name: nameOf(rows, matter.makerId) })}
          </Txt>
        ) : null}
      </View>
      {mine ? (
        <Menu
          label={t('row.more', { title: matter.words })}
          entries={[
            {
              key: 'share',
              words: matter.shared ? t('talk.unshare') : t('talk.share', { name: person.name }),
              onPress: () => void submit('matter.share', { matter: matter.id, shared: !matter.shared }, { words: t('said.saved'), undo: true }),
            },
            {
              key: 'remove',
              words: t('talk.remove'),
              late: true,
              onPress: () => void submit('matter.remove', { matters: [matter.id] }, { words: t('said.removed', { title: matter.words }), undo: true }),
            },
          ]}
        />
      ) : null}
    </View>
  );
}

function NewMatter({ person }: { person: Person }) {
  const submit = useSubmit();
  const [words, setWords, added] = useDraft(`matter/${person.id}`, '');
  const [error, setError] = useState<string | null>(null);
  const add = () => {
    if (!words.trim()) return;
    const reason = submit('matter.add', { person: person.id, words }, { ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
    if (!reason) added();
  };
  return (
    <View className="px-4 pt-3">
      <Field
        label={t('talk.add', { name: person.name })}
        hideLabel
        placeholder={t('talk.add', { name: person.name })}
        value={words}
        maxLength={500}
        onChangeText={setWords}
        onSubmitEditing={add}
        error={error}
      />
    </View>
  );
}

type Weekday = '1' | '2' | '3' | '4' | '5' | '6' | '7';

function RegularTalk({ person }: { person: Person }) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const held = rows.find('talk', talkId(me.id, person.id));
  const talk = held === undefined || held.endedAt !== null ? null : held;
  const [open, setOpen] = useState(false);
  const [weekday, setWeekday] = useState<Weekday>(talk ? (String(talk.weekday) as Weekday) : '3');
  const [time, setTime] = useState(talk?.time ?? '10:00');
  if (!open)
    return (
      <View className="items-start px-2 pt-1">
        <Button kind="quiet" expanded={false} onPress={() => setOpen(true)}>
          {talk ? t('talk.every', { weekday: sayWeekday(talk.weekday), time: sayHour(talk.time) }) : t('talk.regular')}
        </Button>
      </View>
    );
  return (
    <View className="mx-4 my-2 gap-3 rounded-sheet bg-sunk p-4">
      <Choice
        label={t('talk.weekday')}
        value={weekday}
        options={weekdaysInOrder().map((value) => ({ value: String(value) as Weekday, words: sayWeekday(value) }))}
        onChange={setWeekday}
      />
      <View className="max-w-[180px]">
        <MomentInput label={t('talk.time')} kind="time" value={time} onChange={setTime} />
      </View>
      <View className="flex-row flex-wrap gap-2">
        <Button
          kind="main"
          disabled={!time}
          onPress={() => {
            if (!submit('talk.set', { person: person.id, weekday: Number(weekday), time }, { words: t('said.saved'), undo: true })) setOpen(false);
          }}
        >
          {t('common.save')}
        </Button>
        {talk ? (
          <Button
            onPress={() => {
              if (!submit('talk.end', { person: person.id }, { words: t('said.noTalk'), undo: true })) setOpen(false);
            }}
          >
            {t('talk.end')}
          </Button>
        ) : null}
        <Button kind="quiet" onPress={() => setOpen(false)}>
          {t('common.cancel')}
        </Button>
      </View>
    </View>
  );
}
