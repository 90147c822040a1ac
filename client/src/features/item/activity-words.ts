import type { Access, Activity, EntryKind, Role } from '@kotiva/core';
import { hasWord, t, together, type Slots, type WordKey } from '@/words';
import { sayExactly } from '@/words/dates.ts';

/** An entry of the history as a sentence without its subject: "handed it to Leila and Noor". */
export function sayEntry({ kind, params }: Pick<Activity, 'kind' | 'params'>): string {
  return (SAYING[kind as EntryKind] ?? usual)(params, kind as EntryKind);
}

type Params = Activity['params'];

const usual = (params: Params, kind: EntryKind): string => t(`did.${kind}` as WordKey, slots(params));

/** Those that say more than their kind. */
const SAYING: { [K in EntryKind]?: (params: Params, kind: EntryKind) => string } = {
  'item.change': (params) => sayFieldChange(params),
  'item.add': (params, kind) => (Array.isArray(params.to) ? t('did.item.addFor', slots(params)) : usual(params, kind)),
  'item.move': (params) => t('did.item.move', { from: placeOf(params.from), to: placeOf(params.to) }),
  // whoever it went to had it before
  'part.handOver': (params, kind) => (Array.isArray(params.to) && params.to.length === 0 ? t('did.part.handOverAgain') : usual(params, kind)),
  'part.checkOff': (params, kind) => (params.for ? t('did.part.checkOffFor', slots(params)) : usual(params, kind)),
  'part.passOn': (params, kind) => (params.from ? usual(params, kind) : t('did.part.passOnOwn', slots(params))),
  'part.uncheck': (params, kind) => (params.for ? t('did.part.uncheckFor', slots(params)) : usual(params, kind)),
  'comment.correct': (params, kind) => (params.before ? t('did.comment.correct.before', slots(params)) : usual(params, kind)),
  'list.share': (params) =>
    params.access
      ? t('did.list.share', { ...slots(params), access: t(`access.${params.access as Access}`).toLowerCase() })
      : t('did.list.unshare', slots(params)),
  'item.notesToSteps': (params) => t('did.item.notesToSteps', { count: Number(params.count) }),
  'item.stepsToNotes': (params) => t('did.item.stepsToNotes', { count: Number(params.count) }),
  'list.useAgain': (params) => t('did.list.useAgain', { count: Number(params.count) }),
  'house.change': (params, kind) => (params.name ? t('did.house.rename', slots(params)) : usual(params, kind)),
  'invitation.make': (params) => t('did.invitation.make', { role: t(`role.${params.role as Role}`) }),
  'person.setRole': (params) => t('did.person.setRole', { ...slots(params), role: t(`role.${params.role as Role}`) }),
  undo: (params, kind) => {
    const undone = `undone.${String(params.command)}`;
    return hasWord(undone) ? t('did.undoOf', { what: t(undone) }) : usual(params, kind);
  },
};

/** What lies in no list lies in somebody's own pile. */
const placeOf = (name: Params[string] | undefined): string => (typeof name === 'string' && name !== '' ? `“${name}”` : t('changed.ownPile'));

function sayFieldChange(params: Activity['params']): string {
  const key = `changed.${String(params.field)}`;
  const none = t('changed.nothing');
  const show = (value: Activity['params'][string] | undefined) =>
    value === null || value === undefined || value === ''
      ? none
      : params.field === 'due' || params.field === 'start'
        ? sayExactly(String(value))
        : String(value);
  return hasWord(key) ? t(key, { from: show(params.from), to: show(params.to) }) : t('changed.other');
}

const slots = (params: Activity['params']): Slots =>
  Object.fromEntries(Object.entries(params).map(([name, value]) => [name, Array.isArray(value) ? together(value) : String(value ?? '')]));
