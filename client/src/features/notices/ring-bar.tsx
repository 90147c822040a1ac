import { isDone, type Notice } from '@kotiva/core';
import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import { playRing, useOpenItem } from '@/features/item';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse, useToast } from '@/store/store.ts';
import { Button, OnTop, Txt } from '@/ui';
import { useTopName } from '@/ui/layers.ts';
import { t } from '@/words';
import { sayInstant } from '@/words/dates.ts';
import { ReminderActions, useDoneFrom } from './notice-actions.tsx';
import { sayTold } from './say-told.ts';
import { useNotices } from './use-notices.ts';

/** What rang and nobody answered yet stays in sight, one after the other: done, later, or opened. */
export function RingBar() {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const open = useOpenItem();
  const ringing = useNotices().filter((notice) => notice.kind === 'reminder' && !notice.readAt && isStillThere(notice));
  useHeard(ringing);
  const [first] = ringing;

  function isStillThere({ itemId }: Notice): boolean {
    const item = itemId ? rows.find('item', itemId) : undefined;
    return item !== undefined && item.removedAt === null && !isDone(item, rows.by('part', 'itemId', item.id));
  }
  if (!first) return null;
  const look = () => {
    submit('notice.read', { notices: [first.id] }, { ownRefusal: true });
    open(first.itemId);
  };
  const about = [sayInstant(first.at, now, house.zone), ringing.length > 1 ? t('ring.more', { count: ringing.length - 1 }) : null].filter(Boolean).join(' · ');
  return (
    <OnTop
      place={() => (
        <View
          role="region"
          aria-label={t('ring.label')}
          className="mx-3.5 mb-2 rounded-control border-2 border-pine bg-surface shadow-lg lg:absolute lg:bottom-20 lg:right-4 lg:z-10 lg:mx-0 lg:w-[420px]"
        >
          <View className="px-5 pb-2 pt-3">
            <Txt face="bold" aria-live="assertive">
              {sayTold(first, '')}
            </Txt>
            <Txt size={15} tone="muted">
              {about}
            </Txt>
          </View>
          <ReminderActions notice={first} inBar>
            <Button onPress={look}>{t('ring.open')}</Button>
          </ReminderActions>
        </View>
      )}
    >
      <ShortRing notice={first} about={about} onLook={look} />
    </OnTop>
  );
}

/** Over a sheet there is room for what rings and what to do at once; once the sheet is closed, for all of it. What was just said goes first, and in the list of all that rang it stands already. */
function ShortRing({ notice, about, onLook }: { notice: Notice; about: string; onLook: () => void }) {
  const done = useDoneFrom(notice);
  const isListed = useTopName() === t('notices.title');
  if (useToast() !== null || isListed) return null;
  return (
    <View
      role="region"
      aria-label={t('ring.label')}
      className="min-h-12 flex-row items-center gap-1 rounded-control border-2 border-pine bg-surface pl-4 pr-1 shadow-lg"
    >
      <View className="min-w-0 grow shrink basis-0 py-0.5">
        <Txt size={15} face="bold" numberOfLines={2} aria-live="assertive">
          {sayTold(notice, '')}
        </Txt>
        <Txt size={13} tone="muted" numberOfLines={1}>
          {about}
        </Txt>
      </View>
      {done ? (
        <Button kind="quiet" onPress={done}>
          {t('alarm.done')}
        </Button>
      ) : null}
      <Button kind="quiet" onPress={onLook}>
        {t('ring.open')}
      </Button>
    </View>
  );
}

/** A ring is heard once; what had rung before the house was opened here is only seen. */
function useHeard(ringing: readonly Notice[]): void {
  const known = useRef<Set<string> | null>(null);
  const ids = ringing.map(({ id }) => id).join(' ');
  useEffect(() => {
    const now = new Set(ids === '' ? [] : ids.split(' '));
    if (known.current !== null && [...now].some((id) => !known.current!.has(id))) playRing();
    known.current = now;
  }, [ids]);
}
