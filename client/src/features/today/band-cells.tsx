import { DAY_PARTS, minutesFor, type DayBand, type DayPart, type Item, type Person, type AgendaEntry } from '@kotiva/core';
import { useDraggable } from '@dnd-kit/core';
import { createElement } from 'react';
import { Pressable, View } from 'react-native';
import { choreOf, knotOf, useMyKnot, useOpenItem } from '@/features/item';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Icon, Knot, KnotMark, personInk, Txt, type Tone } from '@/ui';
import { t } from '@/words';
import { sayDue } from '@/words/dates.ts';
import { sayRuleShort } from '@/words/rules.ts';

/** A segment is never so short that its title can't be read. */
const SHORTEST_PX = 132;
const SHORTEST_MINUTES = 20;
const EMPTY_WEIGHT = 45;

/** How wide each part of the day has to be: as its fullest band; a part of the day in which nothing lies keeps a little room. */
export function partWeights(bands: readonly DayBand[]): Record<DayPart, number> {
  const fullest = (part: DayPart) =>
    Math.max(0, ...bands.map(({ cells }) => cells[part].reduce((sum, { item }) => sum + Math.max(minutesFor(item), SHORTEST_MINUTES), 0)));
  const weights = Object.fromEntries(DAY_PARTS.map((part) => [part, Math.min(240, Math.max(EMPTY_WEIGHT, fullest(part)))])) as Record<DayPart, number>;
  if (fullest('any') === 0) weights.any = 0;
  return weights;
}

/** One part of somebody's day: its things side by side, each about as long as its minutes. */
export function BandCells({ person, entries, isOver }: { person: Person; entries: readonly AgendaEntry[]; isOver: boolean }) {
  const edge = { borderColor: personInk(person.colour), borderTopWidth: isOver ? 4 : 2, borderBottomWidth: isOver ? 4 : 2 };
  return (
    <View className="min-h-16 grow flex-row flex-wrap bg-ground" style={edge}>
      {entries.map((entry) => (
        <Segment key={entry.item.id} person={person} entry={entry} />
      ))}
    </View>
  );
}

function Segment({ person, entry }: { person: Person; entry: AgendaEntry }) {
  const open = useOpenItem();
  const { item, where } = entry;
  const done = where === 'done';
  const { setNodeRef, listeners, attributes, isDragging } = useDraggable({ id: `${person.id} ${item.id}`, data: { entry, person }, disabled: done });
  const [words, tone] = useSegmentWords(entry);
  const length = { flexGrow: Math.max(minutesFor(item), SHORTEST_MINUTES), flexBasis: SHORTEST_PX, minWidth: 0, opacity: isDragging ? 0.4 : 1 };
  // the pointer takes hold of the whole segment; by keyboard there is a handle, so that Enter on the title still opens it
  const { onKeyDown, ...byPointer } = listeners ?? {};
  return (
    <View
      ref={setNodeRef as never}
      {...(byPointer as object)}
      style={[length, { borderColor: `${personInk(person.colour)}` }] as never}
      className="row min-h-16 flex-row items-center border-l pl-0.5 pr-1"
    >
      <SegmentKnot person={person} entry={entry} />
      <Pressable role="button" onPress={() => open(item.id)} className="min-h-14 min-w-0 grow shrink basis-0 justify-center">
        <Txt size={15} face="medium" tone={done ? 'muted' : 'ink'} numberOfLines={1} className={done ? 'line-through' : ''}>
          {item.title}
        </Txt>
        <View className="flex-row items-center gap-1">
          {item.seriesId === null ? null : <ChoreSign item={item} />}
          <Txt size={13} tone={tone} numberOfLines={1} className="min-w-0 shrink">
            {words}
          </Txt>
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
    <Knot
      state={knotOf(item, part)}
      colour={person.colour}
      size={24}
      onTie={tie}
      label={t(mine.standing === 'completed' ? 'knot.untie' : 'knot.tie', { title: item.title })}
    />
  );
}

/** Below the title: what is pressing about it, and its minutes. */
function useSegmentWords({ item, part, late, carriedOver, where }: AgendaEntry): [string, Tone] {
  const { house } = useOpenHouse();
  const now = useNow();
  const minutes = item.effort === null ? null : t('chip.effort', { minutes: item.effort });
  const say = (first: string | null, tone: Tone): [string, Tone] => [[first, minutes].filter(Boolean).join(' · '), tone];
  if (where === 'done') return say(t('sheet.done'), 'muted');
  if (late && item.due) return say(sayDue(item.due, true, now, house.zone), 'late');
  if (part.standing === 'tentative') return say(t('knot.asked'), 'waits');
  if (carriedOver) return say(t('row.carriedOver'), 'plan');
  const hour = [part.plan, item.due].find((moment) => moment && moment.length > 10)?.slice(11) ?? null;
  return say(hour, 'muted');
}
