import type { Activity } from '@kotiva/core';
import { hasWord, t, together, type Slots } from '@/words';
import { sayExactly } from '@/words/dates.ts';

/** An entry of the history as a sentence without its subject: "handed it to Leila and Noor". */
export function sayEntry({ kind, params }: Activity): string {
  if (kind === 'item.change') return sayFieldChange(params);
  const key = `did.${kind}`;
  if (kind === 'item.add' && Array.isArray(params.to)) return t('did.item.addFor', slots(params));
  if (kind === 'part.checkOff' && params.for) return t('did.part.checkOffFor', slots(params));
  if (kind === 'part.uncheck' && params.for) return t('did.part.uncheckFor', slots(params));
  if (kind === 'undo') {
    const undone = `did.${String(params.command)}`;
    return t('did.undo', { what: hasWord(undone) ? t('did.undoOf', { what: t(undone, slots({ ...params, to: '', from: '' })) }) : '' });
  }
  return hasWord(key) ? t(key, slots(params)) : kind;
}

function sayFieldChange(params: Activity['params']): string {
  const key = `changed.${String(params.field)}`;
  const none = t('changed.nothing');
  const show = (value: Activity['params'][string] | undefined) =>
    value === null || value === undefined || value === ''
      ? none
      : params.field === 'due' || params.field === 'start'
        ? sayExactly(String(value))
        : String(value);
  return hasWord(key) ? t(key, { from: show(params.from), to: show(params.to) }) : String(params.field);
}

const slots = (params: Activity['params']): Slots =>
  Object.fromEntries(Object.entries(params).map(([name, value]) => [name, Array.isArray(value) ? together(value) : String(value ?? '')]));
