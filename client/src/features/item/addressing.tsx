import { allows, isHere, type Item, type Reader, type PeopleGroup, type Person } from '@kotiva/core';
import { mentionBegun } from '@kotiva/core/model/mention';
import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Txt } from '@/ui';
import { inPage } from '@/ui/in-page.ts';
import { t, together } from '@/words';
import { canOpenItem } from './everyone.ts';

/** So many names are offered at once: the next letter tells the rest apart. Of those who can’t see the item, once a letter is typed. */
const OFFERED = 6;
const OFFERED_UNSEEN = 3;

interface NamesProps {
  item: Item;
  words: string;
  people: readonly Person[];
  groups: readonly PeopleGroup[];
  onChoose: (name: string) => void;
}

/** While a name is being typed after `@`: whose it can be, who can’t see the item marked. */
export function Names({ item, words, people, groups, onChoose }: NamesProps) {
  const { rows } = useOpenHouse();
  const begun = mentionBegun(words)?.toLowerCase();
  if (begun === undefined) return null;
  const fit = people.filter(({ name }) => name.toLowerCase().startsWith(begun) && name.toLowerCase() !== begun).sort((a, b) => a.name.localeCompare(b.name));
  const sees = (person: Person) => canOpenItem(item, person, rows);
  const unseen = begun === '' ? [] : fit.filter((person) => !sees(person) && person.role !== 'outside').slice(0, OFFERED_UNSEEN);
  const offered = [...fit.filter(sees), ...unseen].slice(0, OFFERED);
  const fitting = groups.filter(({ name }) => name.toLowerCase().startsWith(begun) && name.toLowerCase() !== begun).slice(0, OFFERED_UNSEEN);
  if (offered.length + fitting.length === 0) return null;
  return (
    <View role="group" aria-label={t('remark.names')} className="flex-row flex-wrap gap-2">
      {fitting.map(({ id, name }) => (
        <Button key={id} onPress={() => onChoose(name)}>
          {name}
        </Button>
      ))}
      {offered.map((person) => (
        <Button key={person.id} onPress={() => onChoose(person.name)}>
          {sees(person) ? person.name : t('remark.cannotSee', { name: person.name })}
        </Button>
      ))}
    </View>
  );
}

/** Those of whom somebody has to be asked first: they are addressed, can’t see the item, and can be let in. */
export const canBeLetIn = (named: readonly Person[], item: Item, rows: Reader): Person[] =>
  named.filter((person) => person.role !== 'outside' && !canOpenItem(item, person, rows));

export const mayLetIn = (item: Item, person: Person, rows: Reader): boolean => allows({ permission: 'pass-on', item: item.id }, person, rows);

/** Who could let them in, asked in one’s stead: who gave it, whose list it lies in, who made it. */
export function whoLetsIn(item: Item, me: Person, rows: Reader): Person | null {
  const given = rows.by('part', 'itemId', item.id).find(({ personId, takenBackAt }) => personId === me.id && takenBackAt === null);
  const list = item.listId === null ? undefined : rows.find('list', item.listId);
  for (const id of [given?.giverId, list?.ownerId ?? null, item.makerId]) {
    const person = id ? rows.find('person', id) : undefined;
    if (person !== undefined && isHere(person) && person.id !== me.id && mayLetIn(item, person, rows)) return person;
  }
  return null;
}

/** Said while it is being written: who is addressed and can’t see it. */
export function Unseen({ item, named, isPair }: { item: Item; named: readonly Person[]; isPair: boolean }) {
  const { rows } = useOpenHouse();
  const unseen = named.filter((person) => !canOpenItem(item, person, rows));
  if (unseen.length === 0) return null;
  const outside = unseen.filter(({ role }) => role === 'outside');
  const names = (people: readonly Person[]) => together(people.map(({ name }) => name));
  const others = unseen.filter(({ role }) => role !== 'outside');
  const said = [
    others.length === 0 ? null : isPair ? t('remark.unseenPair', { names: names(others) }) : t('remark.unseen', { names: names(others), count: others.length }),
    outside.length === 0 ? null : t('remark.unseenOutside', { names: names(outside) }),
  ];
  return (
    <Txt role="status" size={15} tone="waits">
      {said.filter(Boolean).join(' ')}
    </Txt>
  );
}

interface AskFirstProps {
  item: Item;
  unseen: readonly Person[];
  onSend: (beside: { letIn?: string[]; asks?: Person }) => void;
}

/** Before it is sent to somebody who can’t see it: let them in, have the giver asked, or leave them out. */
export function AskFirst({ item, unseen, onSend }: AskFirstProps) {
  const { rows, me } = useOpenHouse();
  const view = useRef<View>(null);
  // the key that sent it goes on to the answer
  useEffect(() => inPage(view)?.querySelector<HTMLElement>('[role=button], button')?.focus(), []);
  const names = together(unseen.map(({ name }) => name));
  const mine = mayLetIn(item, me, rows);
  const giver = mine ? null : whoLetsIn(item, me, rows);
  return (
    <View ref={view} role="group" aria-label={t('remark.unseen', { names, count: unseen.length })} className="gap-2">
      {mine ? (
        <>
          <Txt size={15} tone="muted">
            {t('remark.letInWhat', { count: unseen.length })}
          </Txt>
          <Button kind="main" onPress={() => onSend({ letIn: unseen.map(({ id }) => id) })}>
            {t('remark.letInAndSend', { names })}
          </Button>
        </>
      ) : null}
      {giver ? (
        <Button kind="main" onPress={() => onSend({ asks: giver })}>
          {t('remark.askAndSend', { giver: giver.name })}
        </Button>
      ) : null}
      <Button onPress={() => onSend({})}>{t('remark.sendWithout', { names })}</Button>
    </View>
  );
}
