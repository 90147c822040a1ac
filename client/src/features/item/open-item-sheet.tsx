import { allows, byPosition, isDone, partId, progressOf, type Item } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Followers, FollowPanel } from '@/features/following';
import { useDraft } from '@/store/drafts.ts';
import { PutIntoProject } from '@/features/projects';
import { KeepTemplateSheet } from '@/features/templates';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Address, addressesIn, Band, Button, Field, FocusFirst, Heading, Knot, Txt, useKeysOfSheet, useWide } from '@/ui';
import { afterTap } from '@/ui/hand.ts';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';
import { AnswerPanel } from './answer-panel.tsx';
import { FromNowOn } from './from-now-on.tsx';
import { Files, hostOfItem } from '@/features/attachments';
import { HandOverPanel } from './hand-over-panel.tsx';
import { ItemFrame, type Frame } from './item-frame.tsx';
import { ItemHead } from './item-head.tsx';
import { givenParts, knotOf, personOf } from './knot-of.ts';
import { Notes } from './notes.tsx';
import type { OpensAt } from './open-item.ts';
import { RemarkField } from './remark-field.tsx';
import { Happened, SaidThread } from './said-thread.tsx';
import { CopyPanel } from './where-panel.tsx';
import { ChoreLines } from '@/features/rule';
import { Sentence } from './sentence.tsx';
import { Steps } from './steps.tsx';
import { partToTie, useMyKnot, useShelve } from './use-check.ts';
import { WaitLines } from './waiting-panel.tsx';
import { WhoStands } from './who-stands.tsx';

/** The sheet of one item: what it is, where it stands, and what is next. */
export function OpenItem({ item, at, frame = 'sheet', onClose }: { item: Item; at: OpensAt | null; frame?: Frame; onClose: () => void }) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  // beside the list there is room for one column
  const wide = useWide() && frame !== 'beside';
  const [handing, setHanding] = useState(at === 'hand');
  const [aside, setAside] = useState<'copy' | 'follow' | 'template' | 'project' | null>(null);
  const [isSetting, setSetting] = useState(false);
  // by a key, as often as it is pressed
  const [asked, setAsked] = useState<{ panel: 'due' | 'plan'; nth: number } | null>(null);
  useSeen(item);
  const canChange = allows({ permission: 'change', item: item.id }, me, rows);
  const canSay = allows({ permission: 'say', item: item.id }, me, rows);
  const [answering, setAnswering, answered] = useDraft(`answering/${item.id}`, '');
  const given = givenParts(rows, item.id);
  const parts = rows.by('part', 'itemId', item.id);
  const own = given.find((part) => part.personId === me.id);
  const givers = new Set(given.map((part) => part.giverId));
  const { done, of } = progressOf(item, parts);
  const nobody = given.length === 0 ? partToTie(item, parts, me, rows) : null;
  const steps = rows
    .by('item', 'parentId', item.id)
    .filter((step) => !step.removedAt)
    .sort(byPosition);

  const what = (
    <>
      <ToldOf item={item} />
      <View className="flex-row items-start gap-1">
        {item.removedAt ? null : <OwnKnot item={item} />}
        <View className="min-w-0 grow shrink basis-0">
          <Title item={item} canChange={canChange} />
        </View>
      </View>
      {!item.removedAt && own && !own.passedTo && own.standing !== 'completed' && own.giverId !== me.id ? <AnswerPanel item={item} part={own} /> : null}
      {nobody && !item.removedAt ? <NobodysPart item={item} /> : null}
      {addressesIn(item.title).map((url) => (
        <Address key={url} url={url} words={t('item.openAddress', { host: new URL(url).host })} />
      ))}
      <Sentence
        item={item}
        key={asked?.nth}
        startsAt={asked?.panel ?? (at === 'hand' ? null : at)}
        canChange={canChange}
        onHandOver={() => setHanding(true)}
        onSetting={setSetting}
      />
    </>
  );
  const about = (
    <>
      <ChoreLines item={item} />
      <FromNote item={item} />
      <WaitLines item={item} mayMark={canChange || own !== undefined} />
      {aside === 'project' ? <PutIntoProject of={{ item }} onClose={() => setAside(null)} /> : null}
      {aside === 'template' ? <KeepTemplateSheet of={{ item }} onClose={() => setAside(null)} /> : null}
      {aside === 'copy' ? <CopyPanel item={item} onClose={() => setAside(null)} /> : null}
      {aside === 'follow' ? (
        <View className="my-2 rounded-sheet bg-ground p-4">
          <FollowPanel
            of={{ item }}
            mayAsk={canChange || given.some(({ giverId, originId }) => [giverId, originId].includes(me.id))}
            onClose={() => setAside(null)}
          />
        </View>
      ) : (
        <Followers of={{ item }} />
      )}
      {item.removedAt ? <RemovedNote item={item} canChange={canChange} /> : null}
      <Steps item={item} steps={steps} canChange={canChange} />
      <Notes item={item} />
      <Files host={hostOfItem(item, me, rows)} />
      <FromNowOn item={item} />
    </>
  );
  const progress =
    given.length > 0 ? (
      <View className="mt-4">
        <View className="flex-row items-center gap-3">
          <View className="grow">
            <Heading level={3}>{t('item.whoStands')}</Heading>
          </View>
          {item.policy === 'each' && of > 1 ? (
            <>
              <Band share={of ? done / of : 0} width={70} height={12} />
              <Txt size={15} face="medium">
                {t('common.of', { done, of })}
              </Txt>
            </>
          ) : null}
        </View>
        {given.map((part) => (
          <WhoStands key={part.id} item={item} part={part} canChange={canChange} saysGiver={givers.size > 1} alone={given.length === 1} />
        ))}
      </View>
    ) : null;
  const talk = (
    <>
      <View className="mt-5">
        <SaidThread item={item} onAnswer={setAnswering} />
      </View>
      <Happened item={item} />
    </>
  );
  return (
    <ItemFrame
      frame={frame}
      item={item}
      onClose={onClose}
      head={
        <ItemHead
          item={item}
          frame={frame}
          canChange={canChange}
          onFollow={() => setAside('follow')}
          onCopy={() => setAside('copy')}
          onKeep={() => setAside('template')}
          onProject={() => setAside('project')}
          onClose={onClose}
        />
      }
      foot={
        (handing && canChange) || !canSay ? undefined : (
          <RemarkField item={item} answering={answering} onAnswered={answered}>
            {canChange && !isSetting && (!own || own.giverId === null || own.giverId === me.id) ? (
              <Button kind="main" onPress={() => setHanding(true)}>
                {t('hand.over')}
              </Button>
            ) : null}
          </RemarkField>
        )
      }
    >
      <SheetKeys
        item={item}
        canChange={canChange}
        onHand={() => setHanding(true)}
        onPanel={(panel) => setAsked((before) => ({ panel, nth: (before?.nth ?? 0) + 1 }))}
      />
      {handing && canChange ? (
        <FocusFirst>
          <HandOverPanel item={item} onDone={() => setHanding(false)} />
        </FocusFirst>
      ) : wide ? (
        <View className="flex-row gap-8">
          <View className="grow basis-0">
            {what}
            {about}
          </View>
          <View className="grow basis-0 border-l border-line pl-8">
            {progress}
            {talk}
          </View>
        </View>
      ) : (
        <>
          {what}
          {progress}
          {about}
          {talk}
        </>
      )}
    </ItemFrame>
  );

  /** Opening turns unseen into seen; puts away what came back. */
  function useSeen({ id }: Item) {
    const part = rows.find('part', partId(id, me.id));
    const unseen = part !== undefined && part.seenAt === null && part.takenBackAt === null;
    const back =
      isDone(item, rows.by('part', 'itemId', id)) &&
      rows
        .by('part', 'itemId', id)
        .some((one) => one.standing === 'completed' && !one.putAwayAt && one.personId !== me.id && (one.giverId === me.id || one.originId === me.id));
    useEffect(() => {
      if (unseen) submit('part.see', { item: id }, { ownRefusal: true });
      if (back) submit('part.putAway', { items: [id] }, { ownRefusal: true });
    }, [id, unseen, back]);
  }
}

/** The keys of a row, for the item that is open. */
function SheetKeys({
  item,
  canChange,
  onHand,
  onPanel,
}: {
  item: Item;
  canChange: boolean;
  onHand: () => void;
  onPanel: (panel: 'due' | 'plan') => void;
}): null {
  const { mine, tie } = useMyKnot(item);
  const shelve = useShelve();
  useKeysOfSheet((key) => {
    if (item.removedAt) return false;
    // on a control it presses that
    if (key === ' ') return mine !== null && document.activeElement?.tagName === 'DIALOG' && (tie(), true);
    if (key === 'l') return (onPanel('plan'), true);
    if (key === 's') return (shelve(item), true);
    if (!canChange) return false;
    if (key === 'd') return (onPanel('due'), true);
    return key === 'h' && (onHand(), true);
  });
  return null;
}

/** What was told of it and is still unread, read with one tap. */
function ToldOf({ item }: { item: Item }) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const unread = rows.by('notice', 'personId', me.id).filter((notice) => notice.itemId === item.id && notice.readAt === null && !notice.withdrawnAt);
  if (unread.length === 0) return null;
  return (
    <View className="items-start">
      <Button kind="quiet" onPress={() => void submit('notice.read', { notices: unread.slice(0, 500).map(({ id }) => id) })}>
        {t('notices.readOthers', { count: unread.length })}
      </Button>
    </View>
  );
}

/** Where one’s own part stands, or nobody’s, tied by a tap as on a row. */
function OwnKnot({ item }: { item: Item }) {
  const { rows } = useOpenHouse();
  const { mine, tie } = useMyKnot(item);
  if (!mine) return null;
  const person = personOf(rows, mine.personId);
  return (
    <View className="-ml-2">
      <Knot
        state={knotOf(item, mine)}
        colour={person?.colour ?? null}
        onTie={tie}
        label={t(mine.standing === 'completed' ? 'knot.untie' : 'knot.tie', { title: item.title })}
      />
    </View>
  );
}

/** Tapped to reword; an empty or overlong title says so here and keeps what was typed. */
function Title({ item, canChange }: { item: Item; canChange: boolean }) {
  const submit = useSubmit();
  const [typed, setTyped, done, { found }] = useDraft(`title/${item.id}`, item.title);
  const [editing, setEditing] = useState(found && canChange);
  const [error, setError] = useState<string | null>(null);
  const save = () => {
    const reason = typed === item.title ? null : submit('item.change', { item: item.id, title: typed }, { ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
    if (reason) return;
    done();
    setEditing(false);
  };
  const begin = () => {
    setTyped(item.title);
    setEditing(true);
  };
  if (editing)
    return (
      <Field
        label={t('item.title')}
        hideLabel
        value={typed}
        onChangeText={setTyped}
        error={error}
        onBlur={() => afterTap(save)}
        onSubmitEditing={save}
        autoFocus
        className="my-2"
      />
    );
  return (
    <View role="heading" aria-level={1} className="mb-2 mt-1">
      <Txt size={26} face="title" onPress={canChange ? begin : undefined}>
        {item.title}
      </Txt>
    </View>
  );
}

function RemovedNote({ item, canChange }: { item: Item; canChange: boolean }) {
  const submit = useSubmit();
  return (
    <View className="my-2 flex-row items-center gap-3 rounded-sheet bg-ground p-4">
      <Txt className="grow shrink basis-0">{t('item.removedNote')}</Txt>
      {canChange ? (
        <Button onPress={() => submit('item.bringBack', { items: [item.id] }, { words: t('said.broughtBack', { title: item.title }) })}>
          {t('item.bringBack')}
        </Button>
      ) : null}
    </View>
  );
}

/** The talk it came of, for who may read the note; its page has the note. */
function FromNote({ item }: { item: Item }) {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const router = useRouter();
  const note = item.noteId ? rows.find('meetingNote', item.noteId) : undefined;
  if (note === undefined || note.removedAt !== null) return null;
  const other = note.personIds.find((id) => id !== me.id) ?? note.makerId;
  return (
    <View className="mt-1 items-start">
      <Button kind="quiet" onPress={() => router.push(`/people/${other}?note=${note.id}`)}>
        {t('item.fromNote', { when: sayMoment(note.date, now, house.zone) })}
      </Button>
    </View>
  );
}

/** Nobody has it yet: whoever may can take it. */
function NobodysPart({ item }: { item: Item }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const part = rows.find('part', partId(item.id, null));
  if (part === undefined || part.standing === 'completed') return null;
  return (
    <View className="mb-2 items-start">
      <Button onPress={() => submit('part.take', { item: item.id }, { words: t('said.taken', { title: item.title }), undo: true })}>{t('answer.take')}</Button>
    </View>
  );
}
