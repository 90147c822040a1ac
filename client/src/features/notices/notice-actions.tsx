import { partId, snoozes, type Notice } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { partToTie, useTie } from '@/features/item';
import { placesOf } from '@/store/here.ts';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Field } from '@/ui';
import { t } from '@/words';
import { sayInstant } from '@/words/dates.ts';

/** What can be done about a notice where it stands: a reminder is done or put off, a handover taken, a question answered. */
export function NoticeActions({ notice }: { notice: Notice }) {
  switch (notice.kind) {
    case 'reminder':
      return <ReminderActions notice={notice} />;
    case 'handed':
    case 'nudge':
      return <TakeAction notice={notice} />;
    case 'last-step':
      return <WholeAction notice={notice} />;
    case 'question':
      return <AnswerAction notice={notice} />;
    default:
      return null;
  }
}

const Actions = ({ children, inBar = false }: { children: React.ReactNode; inBar?: boolean }) => (
  <View className={`flex-row flex-wrap gap-2 px-5 pb-3 ${inBar ? '' : '-mt-px border-b border-line bg-surface'}`}>{children}</View>
);

interface ReminderActionsProps {
  notice: Notice;
  /** In the bar of what rings, with more ways beside. */
  inBar?: boolean;
  children?: React.ReactNode;
}

export function ReminderActions({ notice, inBar, children }: ReminderActionsProps) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const done = useDoneFrom(notice);
  const [later, setLater] = useState(false);
  const [atPlace, setAtPlace] = useState(false);
  const places = placesOf(rows);
  const snooze = (until: string) =>
    void submit('alarm.snooze', { alarm: String(notice.params.alarm), until }, { words: t('said.snoozed', { when: sayInstant(until, now, house.zone) }) });
  const snoozeTo = (place: string, name: string) =>
    void submit('alarm.snooze', { alarm: String(notice.params.alarm), place }, { words: t('said.snoozedTo', { place: name }) });
  if (later)
    return (
      <Actions inBar={inBar}>
        {snoozes(now, house).map(({ key, until }) => (
          <Button key={key} onPress={() => snooze(until)}>
            {t(`alarm.snooze.${key}`)}
          </Button>
        ))}
        {places.length > 0 ? (
          <Button expanded={atPlace} onPress={() => setAtPlace(!atPlace)}>
            {t('alarm.snooze.place')}
          </Button>
        ) : null}
        {atPlace
          ? places.map(({ id, name }) => (
              <Button key={id} label={t('alarm.snoozeTo', { place: name })} onPress={() => snoozeTo(id, name)}>
                {name}
              </Button>
            ))
          : null}
      </Actions>
    );
  return (
    <Actions inBar={inBar}>
      {done ? (
        <Button kind="main" onPress={done}>
          {t('alarm.done')}
        </Button>
      ) : null}
      <Button expanded={later} onPress={() => setLater(true)}>
        {t('alarm.snooze')}
      </Button>
      {children}
    </Actions>
  );
}

/** Ties the knot of what a notice is about, and has it read; null where there is nothing to tie. */
export function useDoneFrom(notice: Notice): (() => void) | null {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const tie = useTie();
  const item = notice.itemId ? rows.find('item', notice.itemId) : undefined;
  const part = item && partToTie(item, rows.by('part', 'itemId', item.id), me, rows);
  if (!item || !part || part.standing === 'completed') return null;
  return () => {
    tie(item, part);
    submit('notice.read', { notices: [notice.id] }, { ownRefusal: true });
  };
}

/** The last step was ticked by somebody who could not answer for the whole. */
function WholeAction({ notice }: { notice: Notice }) {
  const done = useDoneFrom(notice);
  if (!done) return null;
  return (
    <Actions>
      <Button kind="main" onPress={done}>
        {t('said.checkWhole')}
      </Button>
    </Actions>
  );
}

function TakeAction({ notice }: { notice: Notice }) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const part = notice.itemId ? rows.find('part', partId(notice.itemId, me.id)) : undefined;
  if (part === undefined || part.standing !== 'needs-action' || part.takenBackAt !== null) return null;
  const title = String(notice.params.title ?? '');
  return (
    <Actions>
      <Button kind="main" onPress={() => submit('part.accept', { item: part.itemId }, { words: t('said.taken', { title }), undo: true })}>
        {t('answer.take')}
      </Button>
    </Actions>
  );
}

function AnswerAction({ notice }: { notice: Notice }) {
  const submit = useSubmit();
  const [words, setWords, done] = useDraft(`answer/${notice.id}`, '');
  const send = () => {
    if (!words.trim() || !notice.itemId) return;
    if (submit('comment.say', { item: notice.itemId, text: words })) return;
    done();
    submit('notice.read', { notices: [notice.id] }, { ownRefusal: true });
  };
  return (
    <View className="-mt-px flex-row items-end gap-2 border-b border-line bg-surface px-5 pb-3">
      <Field
        label={t('notices.answer')}
        hideLabel
        placeholder={t('notices.answer')}
        value={words}
        onChangeText={setWords}
        onSubmitEditing={send}
        maxLength={20_000}
        className="min-w-0 grow shrink basis-0"
      />
      <Button kind="main" disabled={!words.trim()} onPress={send}>
        {t('item.say')}
      </Button>
    </View>
  );
}
