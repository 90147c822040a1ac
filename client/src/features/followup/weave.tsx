import { isHere, isLate, type FollowUp, type Person } from '@kotiva/core';
import isEqual from 'fast-deep-equal';
import { memo } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { G, Line, Path } from 'react-native-svg';
import { knotOf, sayStrands, useOpenItem } from '@/features/item';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { ink, KnotShape, LongRows, personInk, PersonMark, Txt, type Tone } from '@/ui';
import { t } from '@/words';
import { FollowUpAction } from './action.tsx';
import { FollowUpMenu } from './row-menu.tsx';
import { sayWhy } from './words.ts';

const COLUMN = 64;
const ROW = 48;
const MIDDLE = COLUMN / 2;

export interface WeaveGroup {
  title: string;
  tone: Tone;
  rows: FollowUp[];
}

/** People as columns: those who have any of it, in the order they joined. */
export function columnsOf(followUps: readonly FollowUp[], people: readonly Person[]): Person[] {
  const inIt = new Set(followUps.flatMap(({ parts }) => parts.map((part) => part.personId)));
  return people.filter((person) => inIt.has(person.id) || (isHere(person) && person.role !== 'outside'));
}

export const WeaveHead = memo(function WeaveHead({ people }: { people: readonly Person[] }) {
  return (
    <View className="flex-row" style={{ width: people.length * COLUMN }}>
      {people.map((person) => (
        <View key={person.id} className="items-center gap-1" style={{ width: COLUMN }}>
          <PersonMark looks={person} size={34} />
          <Txt size={13} tone="muted" numberOfLines={2} className="text-center leading-4">
            {person.name}
          </Txt>
        </View>
      ))}
    </View>
  );
}, isEqual);

/** Items as rows, people as columns, a knot at each crossing. */
export function Weave({ groups, people }: { groups: readonly WeaveGroup[]; people: readonly Person[] }) {
  return (
    <View role="table" aria-label={t('follow.weave')}>
      {groups.map(({ title, tone, rows }) => (
        <View key={title} role="rowgroup">
          <Warp people={people} />
          <View role="row" className="flex-row items-end">
            <View role="cell" className="h-11 grow shrink basis-0 flex-row items-baseline gap-2 pl-4 pt-4">
              <Txt role="heading" aria-level={3} face="head" tone={tone}>
                {title}
              </Txt>
              <Txt size={13} tone="muted">
                {rows.length}
              </Txt>
            </View>
            <View style={{ width: people.length * COLUMN }} />
            <View className="w-40" />
          </View>
          <LongRows rows={rows} keyOf={({ item }) => item.id} rowPx={ROW + 1}>
            {(row) => <WeaveRow followUp={row} people={people} />}
          </LongRows>
        </View>
      ))}
    </View>
  );
}

const WeaveRow = memo(function WeaveRow({ followUp, people }: { followUp: FollowUp; people: readonly Person[] }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const open = useOpenItem();
  const { item, parts } = followUp;
  const crossings = people.flatMap((person, column) => {
    const part = parts.find((one) => one.personId === person.id);
    return part ? [{ person, part, x: column * COLUMN + MIDDLE }] : [];
  });
  const from = crossings[0]?.x ?? 0;
  const to = crossings.at(-1)?.x ?? 0;
  const late = followUp.group !== 'back' && isLate(item, now, house.zone);
  const thread = ink(late ? 'lingonberry' : 'muted');
  const middle = ROW / 2;
  return (
    <View role="row" className="flex-row items-center border-b border-line">
      <Pressable
        role="cell"
        onPress={() => open(item.id)}
        tabIndex={0}
        className="min-w-0 grow shrink basis-0 justify-center pl-4 pr-4"
        style={{ height: ROW }}
      >
        <Txt size={17} face="medium" numberOfLines={1}>
          {item.title}
        </Txt>
        <Txt size={13} tone="muted" numberOfLines={1}>
          {sayWhy(followUp, rows, now, house)}
        </Txt>
      </Pressable>
      <View role="cell" aria-label={sayStrands(item, parts, rows)}>
        <Svg width={people.length * COLUMN} height={ROW} aria-hidden>
          <Path d={`M0 ${middle}H${people.length * COLUMN}`} stroke={ink('line')} strokeDasharray="1 4" />
          {from === to ? null : item.policy === 'any' ? (
            <Path d={`M${from} ${middle - 2.5}H${to}M${from} ${middle + 2.5}H${to}`} stroke={thread} strokeWidth={1.3} />
          ) : (
            <Path d={`M${from} ${middle}H${to}`} stroke={thread} strokeWidth={1.8} />
          )}
          {crossings.map(({ person, part, x }) => (
            <G key={person.id} transform={`translate(${x - 14} ${middle - 14})`}>
              <KnotShape state={knotOf(item, part)} colour={person.colour} />
            </G>
          ))}
        </Svg>
      </View>
      <View role="cell" className="w-40 flex-row items-center justify-end">
        <FollowUpAction followUp={followUp} />
        <FollowUpMenu followUp={followUp} />
      </View>
    </View>
  );
}, isEqual);

/** Everybody's thread, behind all rows of a group at once: drawn in each row it would be most of what a row is. */
const Warp = memo(function Warp({ people }: { people: readonly Person[] }) {
  return (
    <View className="pointer-events-none absolute bottom-0 right-40 top-0" style={{ width: people.length * COLUMN }} aria-hidden>
      <Svg width="100%" height="100%">
        {people.map((person, column) => {
          const x = column * COLUMN + MIDDLE;
          return <Line key={person.id} x1={x} x2={x} y1="0" y2="100%" stroke={personInk(person.colour)} strokeOpacity={0.35} strokeWidth={1.5} />;
        })}
      </Svg>
    </View>
  );
}, isEqual);
