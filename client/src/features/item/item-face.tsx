import { countingParts, isDone, isLate, openParts, openWaits, progressOf, readingsOf, type Detail, type Item, type Reader } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { addressOf, firstPicture } from '@/features/files';
import { everythingUnder } from '@/features/pages';
import { useHouseAsItIs, useNow, useOpenHouse } from '@/store/store.ts';
import { useUnsent } from '@/store/unsent.ts';
import { ChosenMark, Knot, KnotMark, Thread, useWide, type RowProps, type TagWord, type Tone } from '@/ui';
import { t, type WordKey } from '@/words';
import { sayDue, sayInstant } from '@/words/dates.ts';
import { wordsOfWait } from '@/words/waits.ts';
import { sayFieldValue } from '@/words/fields.ts';
import { sayRuleShort } from '@/words/rules.ts';
import { excerpt } from '@/words/excerpt.ts';
import { choreOf } from './chore-of.ts';
import { givenParts, knotOf, nameOf, personOf, sayStrands, strandsOf } from './knot-of.ts';
import { alarmsSeenBy, isToRing, sayTriggerFor } from './say-alarm.ts';
import { useOpenItem } from './open-item.ts';
import { sayAnswer } from './say-answer.ts';
import { underOf } from './step-of.ts';
import { useSelection } from './selection.tsx';
import { partToTie, useTie } from './use-check.ts';

export interface ItemRowProps {
  item: Item;
  /** Said below the title before anything else: the list's name, who gave it. */
  sub?: string;
  trail?: React.ReactNode;
  tools?: React.ReactNode;
  /** Before the knot: a handle to drag by. */
  handle?: React.ReactNode;
  /** Said at the right instead of the deadline. */
  right?: string;
  rightTone?: Tone;
  detail?: Detail;
}

/** Its tags; with a pointer and room each is the way to everything under it. */
function useTagWords({ tagIds }: Item, isChoosing: boolean): TagWord[] {
  const { rows } = useOpenHouse();
  const router = useRouter();
  const wide = useWide();
  return tagIds
    .map((id) => rows.find('tag', id))
    .flatMap((tag) => (tag === undefined || tag.removedAt ? [] : [tag]))
    .map(({ id, name, colour }) => ({ name, colour, onPress: wide && !isChoosing ? () => router.push(everythingUnder('tag', id)) : undefined }));
}

/** What it says in its fields: “Depth 2.5 m”. */
const fieldsSaid = (item: Item, rows: Reader): string[] =>
  readingsOf(item, rows).flatMap(({ field, value, isFaint }) => (value === null || isFaint ? [] : `${field.name} ${sayFieldValue(value, field, rows)}`));

/** What is shown of an item wherever it stands: the knot one ties, the title, who shares it, what is due. */
export function useItemFace({ item: asItStands, sub, trail, tools, handle, right, rightTone, detail = 'short' }: ItemRowProps): RowProps {
  const { rows, me, house } = useHouseAsItIs();
  const item = rows.find('item', asItStands.id) ?? asItStands;
  const now = useNow();
  const open = useOpenItem();
  const selection = useSelection();
  const choosing = selection?.chosen ?? null;
  const tie = useTie();
  const parts = rows.by('part', 'itemId', item.id);
  const given = givenParts(rows, item.id);
  const done = isDone(item, parts);
  const mine = partToTie(item, parts, me, rows);
  // where it is not one's own, the knot of somebody who still has it: never one that looks done while others are open
  const shown = mine ?? openParts(given)[0] ?? countingParts(given)[0] ?? given[0] ?? parts[0];
  // who passed it on no longer has it: their part stands in the sheet
  const having = countingParts(given);
  const others = having.filter((part) => part !== shown);
  const late = !done && isLate(item, now, house.zone);
  const person = shown ? personOf(rows, shown.personId) : null;
  const steps = rows.by('item', 'parentId', item.id).filter((step) => !step.removedAt);
  const waiting = openWaits(rows.by('wait', 'itemId', item.id))[0];
  const waitingStep = steps.find((step) => openWaits(rows.by('wait', 'itemId', step.id)).length > 0 && !isDone(step, rows.by('part', 'itemId', step.id)));
  const reminder = alarmsSeenBy(rows, item.id, me.id).find((alarm) => isToRing(alarm, house, rows));
  const completed = parts.find((part) => part.standing === 'completed');

  const series = choreOf(item, rows);
  const picture = firstPicture(rows, item.id);

  const unsent = useUnsent([item, ...parts]);
  const under = underOf(item, me.id, rows);

  const lines = [
    unsent ? t('row.unsent') : null,
    under ? t('row.stepOf', { title: under }) : null,
    sub,
    done && completed?.completedAt
      ? t('row.doneBy', { name: nameOf(rows, completed.completedBy), when: sayInstant(completed.completedAt, now, house.zone) })
      : null,
    done && completed?.answer ? sayAnswer(item, completed.answer) : null,
    !done && item.wanted ? t('row.asksFor', { what: item.wanted.what }) : null,
    !done && steps.length > 0
      ? t('row.steps', { done: steps.filter((step) => isDone(step, rows.by('part', 'itemId', step.id))).length, of: steps.length })
      : null,
    !done && item.policy === 'each' && given.length > 1 ? t('row.each', { ...progressOf(item, parts) }) : null,
    !done && !mine && having.length === 1 ? nameOf(rows, having[0]!.personId) : null,
    series ? sayRuleShort(series) : null,
    !done && waiting ? t('row.waitsFor', { words: wordsOfWait(waiting, rows) }) : null,
    !done && waitingStep
      ? t('row.stepWaitsFor', { step: waitingStep.title, words: wordsOfWait(openWaits(rows.by('wait', 'itemId', waitingStep.id))[0]!, rows) })
      : null,
    ...(detail === 'full' ? fieldsSaid(item, rows) : []),
    !done && reminder ? t('row.reminds', { when: sayTriggerFor(reminder, { rows, now, zone: house.zone, me }) }) : null,
  ].filter(Boolean);
  const tags = useTagWords(item, choosing !== null);
  const knot = shown ? knotOf(item, shown) : 'nobody';
  const lead = choosing ? (
    <ChosenMark on={choosing.has(item.id)} />
  ) : mine && shown ? (
    <Knot
      state={knot}
      colour={person?.colour ?? null}
      onTie={() => tie(item, mine)}
      label={t(mine.standing === 'completed' ? 'knot.untie' : 'knot.tie', { title: item.title })}
    />
  ) : (
    <KnotMark state={knot} colour={person?.colour ?? null} />
  );
  return {
    rowId: item.id,
    title: item.title,
    sub:
      detail === 'bare'
        ? unsent
          ? t('row.unsent')
          : undefined
        : [...lines, detail === 'full' ? excerpt(item.notes) : null].filter(Boolean).join(' · ') || undefined,
    right: right ?? (!done && item.due ? sayDue(item.due, late, now, house.zone) : undefined),
    rightTone: done ? 'muted' : (rightTone ?? (late ? 'late' : 'ink')),
    tags: detail === 'bare' ? undefined : tags,
    done,
    first: item.importance > 0 && !done ? t(`importance.${item.importance as 1 | 2 | 3}`) : undefined,
    isStrong: item.importance === 3,
    onPress: () => (choosing ? selection!.toggle(item.id) : open(item.id)),
    onLongPress: selection ? () => (choosing ? selection.toggle(item.id) : selection.start(item.id)) : undefined,
    chosen: choosing ? choosing.has(item.id) : undefined,
    state: mine ? undefined : t(`knot.${knot}` as WordKey),
    lead: handle ? (
      <>
        {handle}
        {lead}
      </>
    ) : (
      lead
    ),
    tools,
    picture: detail === 'bare' || !picture ? undefined : addressOf(picture, 'small'),
    strands:
      others.length > 0 ? (
        <Thread strands={strandsOf(item, others, rows)} each={item.policy === 'each'} late={late} label={sayStrands(item, others, rows)} />
      ) : undefined,
    trail,
  };
}
