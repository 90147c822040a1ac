import { openWaits, type Item } from '@kotiva/core';
import { lastTouched } from '@kotiva/core/views/last-touched';
import { useEffect, useState } from 'react';
import { createPortal } from 'react-dom';
import { View } from 'react-native';
import { useDispatch, useSelector } from 'react-redux';
import { glanceOver } from '@/store/glance.ts';
import { useNow, useOpenHouse, type State } from '@/store/store.ts';
import { Heading, Sheet, Txt } from '@/ui';
import { isMenuOpen, topLayer } from '@/ui/layers.ts';
import { wordsOfWait } from '@/words/waits.ts';
import { t } from '@/words';
import { sayInstant, sayMoment } from '@/words/dates.ts';
import { givenParts, nameOf } from './knot-of.ts';
import { alarmsSeenBy, sayTriggerFor } from './say-alarm.ts';
import { sayStanding } from './standing-words.ts';

/** So long a pointer rests on a row before its facts show. */
const RESTS_MS = 700;
const WIDTH = 320;
/** About as high as it gets: where there is less room below the row it stands above it. */
const HEIGHT = 220;

/** What is to be known of an item without opening it: beside the pointer that rests on its row, or asked for by key or by a swipe's word. */
export function Glance() {
  const { rows } = useOpenHouse();
  const dispatch = useDispatch();
  const asked = useSelector((state: State) => state.glance);
  const item = asked === null ? undefined : rows.find('item', asked);
  if (item === undefined) return <Resting />;
  const label = t('glance.of', { title: item.title });
  return (
    <Sheet open onClose={() => dispatch(glanceOver())} title={label} closeLabel={t('common.close')} head={<Heading level={2}>{item.title}</Heading>}>
      <View className="pb-4 pt-2">
        <Facts item={item} />
      </View>
    </Sheet>
  );
}

interface Rested {
  itemId: string;
  left: number;
  top: number;
}

/** Shows while the pointer rests; it takes no tap and no focus, and goes with the next move. */
function Resting() {
  const { rows } = useOpenHouse();
  const rested = useRested();
  const item = rested === null ? undefined : rows.find('item', rested.itemId);
  if (rested === null || item === undefined) return null;
  return createPortal(
    <View
      aria-hidden
      className="rounded-control border border-line bg-surface p-4 shadow-lg"
      style={{ position: 'fixed', left: rested.left, top: rested.top, width: WIDTH, pointerEvents: 'none', zIndex: 40 } as never}
    >
      <Facts item={item} />
    </View>,
    topLayer() ?? document.body,
  );
}

function useRested(): Rested | null {
  const [rested, setRested] = useState<Rested | null>(null);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let over: Element | null = null;
    let at = { x: -1, y: -1 };
    const leave = () => {
      clearTimeout(timer);
      setRested(null);
    };
    const move = (event: PointerEvent) => {
      const row = event.pointerType === 'mouse' && event.target instanceof Element ? event.target.closest<HTMLElement>('[data-row]') : null;
      const moved = event.clientX !== at.x || event.clientY !== at.y;
      at = { x: event.clientX, y: event.clientY };
      // What comes to lie under a mouse that stands still is not pointed at; once it moves, it is.
      if (!moved) {
        if (row === over) return;
        over = null;
        return leave();
      }
      if (row === over) return;
      over = row;
      leave();
      const itemId = row?.dataset['row'];
      if (row && itemId) timer = setTimeout(() => isMenuOpen() || setRested({ itemId, ...besides(row, event.clientX) }), RESTS_MS);
    };
    const moves = ['pointerover', 'pointermove'] as const;
    const gone = ['pointerdown', 'keydown', 'scroll', 'wheel'] as const;
    for (const name of moves) document.addEventListener(name, move, { passive: true });
    for (const name of gone) window.addEventListener(name, leave, { capture: true, passive: true });
    return () => {
      clearTimeout(timer);
      for (const name of moves) document.removeEventListener(name, move);
      for (const name of gone) window.removeEventListener(name, leave, { capture: true });
    };
  }, []);
  return rested;
}

function besides(row: Element, x: number): { left: number; top: number } {
  const { top, bottom } = row.getBoundingClientRect();
  const fits = bottom + HEIGHT < window.innerHeight;
  return { left: Math.max(8, Math.min(x + 16, window.innerWidth - WIDTH - 8)), top: fits ? bottom + 4 : Math.max(8, top - HEIGHT) };
}

/** A name and what it is, line for line. */
function Facts({ item }: { item: Item }) {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const { zone } = house;
  const given = givenParts(rows, item.id);
  const mine = given.find(({ personId }) => personId === me.id) ?? rows.by('part', 'itemId', item.id)[0];
  const touched = lastTouched(item, rows);
  const alarms = alarmsSeenBy(rows, item.id, me.id);
  const moment = (at: string | null | undefined) => (at ? sayMoment(at, now, zone) : null);
  const facts: [words: string, what: string | null][] = [
    [t('glance.added'), t('glance.byWhom', { when: sayInstant(item.createdAt, now, zone), name: nameOf(rows, item.makerId) })],
    [t('glance.touched'), touched === item.createdAt ? null : sayInstant(touched, now, zone)],
    [t('glance.due'), moment(item.due)],
    [t('glance.plan'), moment(mine?.plan)],
    [t('glance.start'), moment(item.start)],
    [t('glance.reminders'), alarms.map((alarm) => sayTriggerFor(alarm, { rows, now, zone, me })).join(', ') || t('glance.none')],
    [t('glance.waits'), openWaits(rows.by('wait', 'itemId', item.id)).map((wait) => wordsOfWait(wait, rows))[0] ?? null],
    ...given.map((part): [string, string] => [nameOf(rows, part.personId), sayStanding(item, part, rows, now, zone)]),
  ];
  return (
    <View className="gap-1">
      {facts.map(([words, what]) =>
        what === null ? null : (
          <View key={words} className="flex-row gap-3">
            <Txt size={15} tone="muted" className="w-28 shrink-0">
              {words}
            </Txt>
            <Txt size={15} className="min-w-0 shrink">
              {what}
            </Txt>
          </View>
        ),
      )}
      {given.length === 0 ? <Txt size={15}>{t('glance.unassigned')}</Txt> : null}
    </View>
  );
}
