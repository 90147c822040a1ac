import * as z from 'zod/mini';
import type { YearsRefused } from '../model/row.ts';
import { Id, Instant } from '../model/row-schema.ts';
import type { Change } from '../reader/change.ts';
import type { Reader } from '../reader/reader.ts';
import { removeAlarms, ringAlarm, setAlarm, snoozeAlarm } from './alarms.ts';
import { accept, askBack, decline, progress, putAway, see, sendBack, tieOff } from './answering.ts';
import { addAway, endStandIn, removeAway } from './away.ts';
import { checkOff, uncheck } from './checking.ts';
import { Deciding, type Context, type Note } from './deciding.ts';
import { excuse, handOver, passOn, take, takeBack } from './handing.ts';
import { changeChore } from './chore-change.ts';
import { fromNowOn } from './chore-from-now-on.ts';
import { appearByItself, bringForward, endChore, makeChore, makePlain, moveOccurrence, skipOccurrence } from './chores.ts';
import { changeHouse, makeHouse, setHolidays } from './house.ts';
import { endGuest, letGuestIn } from './guests.ts';
import { addAttachment, arriveAttachment, linkAttachment, removeAttachment } from './attachments.ts';
import { addItem, addItems } from './adding.ts';
import { bringBackItem, changeItem, moveItem, removeItem, setDue, setPolicy } from './items.ts';
import { copyItem } from './copying.ts';
import type { CommandKind } from './kind.ts';
import {
  changeBundle,
  changeList,
  changeSection,
  fileList,
  giveList,
  makeBundle,
  makeList,
  makeSection,
  moveSection,
  removeBundle,
  removeList,
  removeSection,
  shareList,
} from './lists.ts';
import { isAllowed, REQUIRED_PERMISSIONS, type CommandName } from './required-permissions.ts';
import { changePlace, makePlace } from './places.ts';
import { changeSituation, makeSituation } from './situations.ts';
import { nudge, sendNudges, setRest } from './nudges.ts';
import { leaveParts, orderParts, planForPerson, planParts, pullParts, shelveParts, takePartsOff } from './planning.ts';
import { changeSavedView, makeSavedView } from './saved-views.ts';
import { changeTag, makeTag, mergeTags, removeTag } from './tags.ts';
import { addPerson, changePerson, endPerson, join, lookAsPerson, makeInvitation, setRole, withdrawInvitation } from './people.ts';
import { notesToSteps, stepsToNotes } from './notes-and-steps.ts';
import { pinItem } from './pins.ts';
import { setPreferences } from './preferences.ts';
import { beginStretch, endStretch, stretchOver } from './stretches.ts';
import { purgeItem, purgeRemovedItems } from './purging.ts';
import { NotHeld, refuse, Refusal, type Reason } from './reasons.ts';
import { reportHeldMail, reportUndelivered } from './reporting.ts';
import { changeRound, handRound, startRound } from './rounds.ts';
import { clearDone, useAgain } from './reusing.ts';
import { arrangeView, setCapacity } from './views.ts';
import { setListWatch, setWatch } from './following.ts';
import { correctComment, readNotice, sayComment, takeBackComment } from './saying.ts';
import { addMatter, changeNote, endTalk, makeNote, removeMatters, removeNote, setTalk, settleMatters, shareMatter } from './talks.ts';
import { callLast, chooseNotices } from './telling.ts';
import { giveTurnTo, swapTurns } from './turns.ts';
import { shareOutWeek } from './sharing-out.ts';
import { bookSlot, changeSlot, freeSlot } from './slots.ts';
import { isBounded, mostWritten, slicesOf, type Slice } from './slicing.ts';
import { keepTemplate } from './keeping-templates.ts';
import { addTemplateItem, changeTemplate, changeTemplateItem, makeTemplate } from './templates.ts';
import { useTemplate } from './using-templates.ts';
import { setStages, toStage } from './stages.ts';
import { changeGroup, makeGroup } from './groups.ts';
import { changeField, makeField, setFields } from './fields.ts';
import { changeProject, finishProject, makeProject, setMembers } from './projects.ts';
import { setChoreTemplate } from './chore-template.ts';
import { undo } from './undo.ts';
import { followWaits } from './dependencies.ts';
import { uphold } from './upholding.ts';
import { beginOccasion, forgetVisit, reportVisit } from './visits.ts';
import { askAgain, changeWait, endWait, setWait } from './waits.ts';

const KINDS = {
  'house.make': makeHouse,
  'house.change': changeHouse,
  'house.setHolidays': setHolidays,
  'person.join': join,
  'person.add': addPerson,
  'person.change': changePerson,
  'person.setRole': setRole,
  'person.end': endPerson,
  'person.lookAs': lookAsPerson,
  'person.setRest': setRest,
  'invitation.make': makeInvitation,
  'invitation.withdraw': withdrawInvitation,
  'bundle.make': makeBundle,
  'bundle.change': changeBundle,
  'bundle.remove': removeBundle,
  'list.make': makeList,
  'list.change': changeList,
  'list.share': shareList,
  'list.giveTo': giveList,
  'list.file': fileList,
  'list.remove': removeList,
  'list.clearDone': clearDone,
  'list.useAgain': useAgain,
  'section.make': makeSection,
  'section.change': changeSection,
  'section.move': moveSection,
  'section.remove': removeSection,
  'tag.make': makeTag,
  'tag.change': changeTag,
  'tag.merge': mergeTags,
  'tag.remove': removeTag,
  'place.make': makePlace,
  'place.change': changePlace,
  'visit.report': reportVisit,
  'visit.forget': forgetVisit,
  'occasion.begin': beginOccasion,
  'round.start': startRound,
  'round.change': changeRound,
  'round.handOver': handRound,
  'situation.make': makeSituation,
  'situation.change': changeSituation,
  'item.add': addItem,
  'item.addMany': addItems,
  'item.change': changeItem,
  'item.setDue': setDue,
  'item.setPolicy': setPolicy,
  'item.move': moveItem,
  'item.copy': copyItem,
  'item.notesToSteps': notesToSteps,
  'item.stepsToNotes': stepsToNotes,
  'item.remove': removeItem,
  'item.bringBack': bringBackItem,
  'item.pin': pinItem,
  'item.purge': purgeItem,
  'item.purgeRemoved': purgeRemovedItems,
  'chore.make': makeChore,
  'chore.change': changeChore,
  'chore.fromNowOn': fromNowOn,
  'chore.end': endChore,
  'chore.skip': skipOccurrence,
  'chore.move': moveOccurrence,
  'chore.giveTurn': giveTurnTo,
  'chore.swap': swapTurns,
  'chore.ahead': bringForward,
  'chore.plain': makePlain,
  'chore.appear': appearByItself,
  'part.handOver': handOver,
  'part.take': take,
  'part.takeBack': takeBack,
  'part.excuse': excuse,
  'part.passOn': passOn,
  'part.see': see,
  'part.accept': accept,
  'part.askBack': askBack,
  'part.decline': decline,
  'part.progress': progress,
  'part.checkOff': checkOff,
  'part.uncheck': uncheck,
  'part.nudge': nudge,
  'nudge.send': sendNudges,
  'part.tieOff': tieOff,
  'part.sendBack': sendBack,
  'part.putAway': putAway,
  'part.plan': planParts,
  'part.planFor': planForPerson,
  'part.shelve': shelveParts,
  'part.pull': pullParts,
  'part.takeOff': takePartsOff,
  'part.later': leaveParts,
  'part.order': orderParts,
  'comment.say': sayComment,
  'comment.correct': correctComment,
  'comment.takeBack': takeBackComment,
  'list.setStages': setStages,
  'item.toStage': toStage,
  'group.make': makeGroup,
  'group.change': changeGroup,
  'field.make': makeField,
  'field.change': changeField,
  'item.setFields': setFields,
  'project.make': makeProject,
  'project.change': changeProject,
  'project.setMembers': setMembers,
  'project.finish': finishProject,
  'chore.setTemplate': setChoreTemplate,
  'template.make': makeTemplate,
  'template.keep': keepTemplate,
  'template.change': changeTemplate,
  'template.use': useTemplate,
  'templateItem.add': addTemplateItem,
  'templateItem.change': changeTemplateItem,
  'guest.letIn': letGuestIn,
  'guest.end': endGuest,
  'attachment.add': addAttachment,
  'attachment.link': linkAttachment,
  'attachment.remove': removeAttachment,
  'attachment.arrive': arriveAttachment,
  'alarm.set': setAlarm,
  'alarm.remove': removeAlarms,
  'alarm.snooze': snoozeAlarm,
  'alarm.ring': ringAlarm,
  'wait.set': setWait,
  'wait.change': changeWait,
  'wait.end': endWait,
  'wait.askAgain': askAgain,
  'matter.add': addMatter,
  'matter.settle': settleMatters,
  'matter.remove': removeMatters,
  'matter.share': shareMatter,
  'talk.set': setTalk,
  'talk.end': endTalk,
  'note.make': makeNote,
  'note.change': changeNote,
  'note.remove': removeNote,
  'away.add': addAway,
  'week.shareOut': shareOutWeek,
  'slot.book': bookSlot,
  'slot.change': changeSlot,
  'slot.free': freeSlot,
  'away.remove': removeAway,
  'away.standInOver': endStandIn,
  'notice.choose': chooseNotices,
  'day.call': callLast,
  'notice.undelivered': reportUndelivered,
  'mail.held': reportHeldMail,
  'preferences.set': setPreferences,
  'stretch.begin': beginStretch,
  'stretch.end': endStretch,
  'stretch.over': stretchOver,
  'view.arrange': arrangeView,
  'savedView.make': makeSavedView,
  'savedView.change': changeSavedView,
  'capacity.set': setCapacity,
  'watch.set': setWatch,
  'listWatch.set': setListWatch,
  'notice.read': readNotice,
  undo,
} as const satisfies { [N in CommandName]: { name: N } };

type Kinds = typeof KINDS;
export type Payload<N extends CommandName> = z.input<Kinds[N]['payload']>;

/** What travels: who acts is told by the session, never by the command. */
export const Envelope = z.object({
  id: Id,
  houseId: Id,
  name: z.enum(Object.keys(REQUIRED_PERMISSIONS) as [CommandName, ...CommandName[]]),
  payload: z.unknown(),
  at: Instant,
  seen: z.int().check(z.gte(0)),
  batchId: z.optional(Id),
});
export interface Command<N extends CommandName = CommandName> {
  id: string;
  houseId: string;
  name: N;
  payload: Payload<N>;
  at: string;
  seen: number;
  batchId?: string;
}

export type Decision =
  { outcome: 'accepted'; changes: Change[]; notes: Note[]; actorId: string | null } | { outcome: 'refused'; reason: Reason } | { outcome: 'unknown' };

/**
 * Decides a command on what the reader holds. Both sides of the wire run this; on the server it is final.
 * `unknown`: something that matters is not held here.
 */
export function decide(
  command: Pick<Command, 'id' | 'name' | 'houseId' | 'at' | 'seen'> & { payload: unknown },
  reader: Reader,
  context: Pick<Context, 'now' | 'account' | 'readsHours' | 'slice' | 'ahead'>,
): Decision {
  const d = new Deciding(reader, contextOf(command, context), context.account === null ? Infinity : mostWritten(command.name));
  try {
    run(command, d);
    return { outcome: 'accepted', changes: d.changes(), notes: d.notes, actorId: d.actorOrNull?.id ?? null };
  } catch (error) {
    if (error instanceof Refusal) return { outcome: 'refused', reason: error.reason };
    if (error instanceof NotHeld) return { outcome: 'unknown' };
    throw error;
  }
}

function run(command: { name: CommandName; payload: unknown }, d: Deciding): void {
  const kind = KINDS[command.name] as unknown as CommandKind;
  const parsed = z.safeParse(kind.payload, command.payload);
  if (!parsed.success) refuseMalformed(parsed.error.issues[0]);
  refuseUnlessAllowed(kind, parsed.data, d);
  kind.decide(parsed.data, d);
  followWaits(d);
  uphold(d);
}

/**
 * What of a command is done ahead of it, if it would write too much at once; nothing for most. A payload that can't be read gives nothing,
 * nor does a command that would be refused as a whole: none of it is done.
 */
export function slicesOfCommand(command: Parameters<typeof decide>[0], reader: Reader, context: Pick<Context, 'now' | 'account' | 'readsHours'>): Slice[] {
  const kind = KINDS[command.name] as unknown as CommandKind;
  const parsed = z.safeParse(kind.payload, command.payload);
  const slices = parsed.success ? slicesOf({ ...command, payload: parsed.data }, reader) : [];
  if (slices.length === 0) return [];
  const d = new Deciding(reader, contextOf(command, context), mostWritten(command.name));
  try {
    refuseUnlessAllowed(kind, parsed.data, d);
    if (isBounded(command.name)) kind.decide(parsed.data as never, d);
    kind.refuses?.(parsed.data as never, d);
    return slices;
  } catch (error) {
    if (error instanceof Refusal || error instanceof NotHeld) return [];
    throw error;
  }
}

const contextOf = ({ id, houseId, at, seen }: Pick<Command, 'id' | 'houseId' | 'at' | 'seen'>, given: Pick<Context, 'now' | 'account'>): Context => ({
  commandId: id,
  houseId,
  at,
  seen,
  ...given,
});

function refuseUnlessAllowed(kind: CommandKind, payload: unknown, d: Deciding): void {
  for (const ask of kind.asks(payload, d)) {
    if (!(REQUIRED_PERMISSIONS[kind.name] as readonly string[]).includes(ask.permission))
      throw new Error(`${kind.name} asks for '${ask.permission}', which the table does not list`);
    if (!isAllowed(ask, d.actorOrNull, d)) refuse(d.actorOrNull || ask.permission === 'enter' ? 'not-allowed' : 'not-a-member');
  }
  if (kind.name === 'undo') refuseUnlessAllowedUndone(payload as Payload<'undo'>, d);
}

/** What one may no longer do, one may no longer undo. */
function refuseUnlessAllowedUndone({ command }: Payload<'undo'>, d: Deciding): void {
  const undone = d.command(command);
  const recorded = KINDS[undone.name as CommandName] as unknown as CommandKind;
  const payload = z.safeParse(recorded.payload, undone.payload);
  // kept from before what it said was bounded
  if (!payload.success) refuse('nothing-to-undo');
  refuseUnlessAllowed(recorded, payload.data, d);
}

interface Issue {
  code?: string;
  path?: PropertyKey[];
  maximum?: number | bigint;
  origin?: string;
  params?: Partial<YearsRefused>;
}

function refuseMalformed(issue: Issue | undefined): never {
  const field = issue?.path?.map(String).join('.') ?? '';
  const years = issue?.params;
  if (years?.reason !== undefined) refuse(years.reason, { first: years.first ?? 0, last: years.last ?? 0 }, field);
  if (issue?.code === 'too_small' && issue.origin === 'string') refuse('title-empty', {}, field);
  if (issue?.code === 'too_big' && issue.origin === 'string') refuse('too-long', { max: Number(issue.maximum) }, field);
  if (issue?.code === 'too_big') refuse('too-many', { max: Number(issue.maximum) }, field);
  refuse('malformed', { field }, field);
}
