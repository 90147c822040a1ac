import { isDone, type AgendaEntry, type Colour, type Item, type Person } from '@kotiva/core';
import { useDraggable } from '@dnd-kit/core';
import isEqual from 'fast-deep-equal';
import { createElement, memo } from 'react';
import { Pressable, View } from 'react-native';
import { choreOf, knotOf, useMyKnot, useOpenItem } from '@/features/item';
import { useHouseAsItIs, useNow, useOpenHouse } from '@/store/store.ts';
import { Band, Icon, Knot, KnotMark, Txt, type Tone } from '@/ui';
import { t } from '@/words';
import { sayHour } from '@/words/customs.ts';
import { sayDue } from '@/words/dates.ts';
import { sayRuleShort } from '@/words/rules.ts';

/** One part of somebody's day: its things one under the other, each with its whole title. */
export function BandCells({ person, entries }: { person: Person; entries: readonly AgendaEntry[] }) {
  return (
    <View className="py-1">
      {entries.map((entry) => (
        <Segment key={entry.item.id} person={person} entry={entry} />
      ))}
    </View>
  );
}

/** So many pixels of the strip are an hour; longer than so many it doesn't get. */
const PX_PER_HOUR = 40;
const LONGEST_PX = 90;

const Segment = memo(function Segment({ person, entry }: { person: Person; entry: AgendaEntry }) {
  const open = useOpenItem();
  const { item } = entry;
  const { rows } = useHouseAsItIs();
  const part = rows.find('part', entry.part.id) ?? entry.part;
  const done = part.standing === 'completed' || isDone(item, rows.by('part', 'itemId', item.id));
  const { setNodeRef, listeners, attributes, isDragging } = useDraggable({ id: `${person.id} ${item.id}`, data: { entry, person }, disabled: done });
  const [words, tone] = useSegmentWords(entry, done);
  const minutes = done ? null : item.effort;
  // the pointer takes hold of the whole segment; by keyboard there is a handle, so that Enter on the title still opens it
  const { onKeyDown, ...byPointer } = listeners ?? {};
  return (
    <View ref={setNodeRef as never} {...(byPointer as object)} style={{ opacity: isDragging ? 0.4 : 1 }} className="row min-h-12 flex-row items-start pr-1">
      <SegmentKnot person={person} entry={entry} />
      <Pressable role="button" onPress={() => open(item.id)} className="min-h-11 min-w-0 grow shrink basis-0 py-1">
        <Txt size={15} face="medium" tone={done ? 'muted' : 'ink'} numberOfLines={2} className={done ? 'line-through' : ''}>
          {item.title}
        </Txt>
        <View className="flex-row flex-wrap items-center gap-x-1.5">
          {item.seriesId === null ? null : <ChoreSign item={item} />}
          {words ? (
            <Txt size={13} tone={tone}>
              {words}
            </Txt>
          ) : null}
          {minutes === null ? null : (
            <>
              <Strip minutes={minutes} colour={person.colour} />
              <Txt size={13} tone="muted">
                {t('chip.effort', { minutes })}
              </Txt>
            </>
          )}
        </View>
      </Pressable>
      {done
        ? null
        : createElement(
            'button',
            {
              type: 'button',
              ...attributes,
              onKeyDown,
              className: 'segment-handle',
              'aria-label': t('sheet.drag', { title: item.title, name: person.name }),
            },
            <Icon name="grip" size={16} />,
          )}
    </View>
  );
}, isEqual);

/** How long it takes, as a short strip in the colour of whose it is. */
function Strip({ minutes, colour }: { minutes: number; colour: Colour }) {
  return <Band share={1} width={Math.max(8, Math.min(LONGEST_PX, Math.round((minutes / 60) * PX_PER_HOUR)))} height={6} colour={colour} />;
}

/** It comes back: a sign, and in words how for who does not see it. */
function ChoreSign({ item }: { item: Item }) {
  const { rows } = useOpenHouse();
  const series = choreOf(item, rows);
  return (
    <>
      <View className="shrink-0">
        <Icon name="again" size={12} tone="heather" />
      </View>
      {series ? <Txt className="sr-only">{sayRuleShort(series)}</Txt> : null}
    </>
  );
}

/** One's own knot is tied here; anybody else's is looked at. */
function SegmentKnot({ person, entry: { item, part } }: { person: Person; entry: AgendaEntry }) {
  const { tie, mine } = useMyKnot(item);
  if (!mine || mine.id !== part.id)
    return (
      <View className="w-9 items-center">
        <KnotMark state={knotOf(item, part)} colour={person.colour} size={24} />
        <Txt className="sr-only">{t(`knot.${knotOf(item, part)}`)}</Txt>
      </View>
    );
  return (
    // as large under a finger as any, and in line with those of others
    <View className="-mx-1 -mt-2">
      <Knot
        state={knotOf(item, mine)}
        colour={person.colour}
        size={24}
        onTie={tie}
        label={t(mine.standing === 'completed' ? 'knot.untie' : 'knot.tie', { title: item.title })}
      />
    </View>
  );
}

/** Below the title: what is pressing about it. */
function useSegmentWords({ item, part, late, carriedOver }: AgendaEntry, done: boolean): [string, Tone] {
  const { house } = useOpenHouse();
  const now = useNow();
  if (done) return [t('sheet.done'), 'muted'];
  if (late && item.due) return [sayDue(item.due, true, now, house.zone), 'late'];
  if (part.standing === 'tentative') return [t('knot.asked'), 'waits'];
  if (carriedOver) return [t('row.carriedOver'), 'plan'];
  const hour = [part.plan, item.due].find((moment) => moment && moment.length > 10);
  return [hour ? sayHour(hour) : '', 'muted'];
}
