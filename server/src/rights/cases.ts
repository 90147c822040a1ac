import type { CommandName } from '@kotiva/core';
import { relationsOf, REFERENCE, type Column, type Situation } from './situation.ts';

export type Case = (s: Situation) => Promise<{ payload: unknown; allowed: boolean }>;
const manager = (s: Situation) => s.role === 'manager';
const ownPart = (s: Situation) => s.relation === 'own-part';
const onList =
  (payload: (list: string, s: Situation) => unknown): Case =>
  async (s) => ({ payload: payload(await s.list(), s), allowed: s.allows('share') });
const onListAs =
  (column: Column, payload: (list: string, s: Situation) => unknown): Case =>
  async (s) => ({ payload: payload(await s.list(), s), allowed: s.allowsInList(column) });
const onItem =
  (column: Column, payload: (item: string, s: Situation) => unknown): Case =>
  async (s) => ({ payload: payload(await s.item(), s), allowed: s.allows(column) });
const onOwn =
  (payload: (item: string) => unknown): Case =>
  async (s) => ({ payload: payload(await s.item()), allowed: ownPart(s) });
const onSection =
  (payload: (section: string) => unknown): Case =>
  async (s) => {
    const list = await s.list();
    const section = s.house.made('section', await s.house.must(s.sharing === 'owner' ? s.me : 'Owner', 'section.make', { list, name: 'Section' })).id;
    return { payload: payload(section), allowed: s.allows('share') };
  };
const byManagers =
  (payload: (s: Situation) => unknown | Promise<unknown>): Case =>
  async (s) => ({ payload: await payload(s), allowed: manager(s) });
const byAll =
  (payload: (s: Situation) => unknown | Promise<unknown>): Case =>
  async (s) => ({ payload: await payload(s), allowed: true });
const someone = async ({ house }: Situation) =>
  house.made('person', await house.must('Owner', 'person.add', { name: 'Nobody', mark: freshMark(), colour: 'moss', pattern: 'weft' })).id;
const othersTag = async ({ house }: Situation) => house.made('tag', await house.must('Other', 'tag.make', { name: freshWord() })).id;
/** Own parts, and what nobody was given where one may check off. */
const planning = (payload: (items: string[]) => unknown): Record<string, Case> => ({
  'the own part': async (s) => ({ payload: payload([await s.item()]), allowed: ownPart(s) || (s.relation !== 'giver' && s.allows('check')) }),
  'nobody’s': async (s) => {
    const item = await s.item();
    if (ownPart(s) || s.relation === 'giver') return { payload: payload([]), allowed: false };
    return { payload: payload([item]), allowed: s.allows('check') };
  },
  anothers: async (s) => ({ payload: payload([await s.itemOfOther()]), allowed: ownPart(s) }),
});
const lateThings = { match: 'all', state: 'open', conditions: [{ of: 'date', field: 'due', span: { kind: 'past' } }] };
const othersView = async ({ house }: Situation, isShared: boolean) =>
  house.made('savedView', await house.must('Other', 'savedView.make', { name: 'View', filter: lateThings, isShared } as never)).id;
const othersBundle = async ({ house }: Situation) => house.made('bundle', await house.must('Other', 'bundle.make', { name: 'Bundle' })).id;

const othersPile = async ({ house }: Situation) => house.made('item', await house.must('Other', 'item.add', { title: 'Theirs' })).id;
const othersAlarm = async (s: Situation) =>
  s.house.made('alarm', await s.house.must('Other', 'alarm.set', { item: await othersPile(s), trigger: { kind: 'relative', to: 'due', offset: '-P1D' } })).id;
const othersComment = async (s: Situation) =>
  s.house.made('comment', await s.house.must('Other', 'comment.say', { item: await othersPile(s), text: 'Mine' })).id;
/** Who may change an item, whatever else: the owner of its list, or who made it. */
function keeperOf(itemId: string, { house }: Situation): string {
  const item = house.rows('item').find(({ id }) => id === itemId)!;
  const list = house.rows('list').find(({ id }) => id === item.listId);
  return house.rows('person').find(({ id }) => id === (list?.ownerId ?? item.makerId))!.name;
}
const template = async ({ house }: Situation, who: string, isShared: boolean) => {
  // a helper’s own is never the house’s: it is made by somebody who may
  const made = await house.must(who, 'template.make', { name: 'Template', isShared, items: [{ title: 'Air the rooms' }] } as never);
  return house.rows('template').find(({ stamps }) => stamps['']?.c === made)!.id;
};
/** A project of the owner’s. */
const project = async ({ house }: Situation, fields: { answerable?: string }) =>
  house.made('project', await house.must('Owner', 'project.make', { name: 'The new pier', ...fields } as never)).id;
/** A stage of the list an item lies in, made by its owner. */
async function stage({ house }: Situation, itemId: string, name: string): Promise<string> {
  const { listId } = house.rows('item').find(({ id }) => id === itemId)!;
  const owner = house.rows('person').find(({ id }) => id === house.rows('list').find((list) => list.id === listId)!.ownerId)!.name;
  await house.must(owner, 'list.setStages', { list: listId!, stages: [{ name: 'Wished' }, { name: 'Booked' }, { name: 'In place', isDone: true }] } as never);
  return house
    .rows('list')
    .find(({ id }) => id === listId)!
    .stages.find((one) => one.name === name)!.id;
}
/** A number every item of the house has, made once by a manager. */
async function houseField({ house }: Situation): Promise<string> {
  const known = () => house.rows('ownField').find(({ listId }) => listId === null);
  if (!known()) await house.must('Owner', 'field.make', { list: null, name: 'Depth', kind: 'number', unit: 'm' } as never);
  return known()!.id;
}
const talkTemplate = async ({ house }: Situation, isShared: boolean) => {
  const made = await house.must('Other', 'template.make', { name: 'Every Friday', kind: 'talk', text: 'What went well:', isShared } as never);
  return house.rows('template').find(({ stamps }) => stamps['']?.c === made)!.id;
};
const templateItem = async (s: Situation, who: string, isShared: boolean) => {
  const id = await template(s, who, isShared);
  return s.house.rows('templateItem').find(({ templateId }) => templateId === id)!.id;
};
const othersFile = async (s: Situation) =>
  s.house.made('attachment', await s.house.must('Other', 'attachment.add', { item: await othersPile(s), name: 'valve.jpg', size: 10 })).id;
const othersMatter = async (s: Situation) =>
  s.house.made('matter', await s.house.must('Other', 'matter.add', { person: s.house.person('Owner'), words: 'The keys' })).id;
const othersSlot = async (s: Situation) =>
  s.house.made('slot', await s.house.must('Other', 'slot.book', { items: [await othersPile(s)], start: '2030-01-02T16:00', minutes: 45 })).id;
const othersPlace = async ({ house }: Situation) => house.made('place', await house.must('Other', 'place.make', { name: freshWord() })).id;
const roundOver = (place: string, item: string) => ({
  date: '2030-01-02',
  means: 'car' as const,
  startId: null,
  endId: null,
  stops: [{ place, items: [item] }],
});
const othersRound = async (s: Situation) =>
  s.house.made('errandRound', await s.house.must('Other', 'round.start', roundOver(await othersPlace(s), await othersPile(s)))).id;
const othersNote = async (s: Situation) =>
  s.house.made('meetingNote', await s.house.must('Other', 'note.make', { persons: [s.house.person(s.me)], date: '2026-11-25' })).id;
const othersWait = async (s: Situation) => s.house.made('wait', await s.house.must('Other', 'wait.set', { item: await othersPile(s), words: 'the van' })).id;

/** A chore of the others in such a list, and its first. */
async function chore(s: Situation): Promise<{ item: string; series: string; recurrenceId: string }> {
  const list = await s.list();
  const persons = [s.other, s.house.person('Third')];
  const daily = { list, title: 'Chore', rrule: 'FREQ=DAILY', dtstart: '2030-01-01', turn: 'turns', persons };
  const item = s.house.made('item', await s.house.must(s.sharing === 'owner' ? 'Actor' : 'Owner', 'chore.make', daily as never));
  return { item: item.id, series: item.seriesId!, recurrenceId: item.recurrenceId! };
}
const onChore =
  (payload: (made: { item: string; series: string; recurrenceId: string }, s: Situation) => unknown): Case =>
  async (s) => ({ payload: payload(await chore(s), s), allowed: s.allowsInList('change') });

let words = 0;
const freshWord = () => `word ${words++}`;
let marks = 100;
const freshMark = () => (marks++).toString(36).padStart(3, 'z').slice(-3);
let tokens = 0;
const freshToken = () => `token-${tokens++}`.padEnd(40, 'x');

/** Every command, each as often as what it needs depends on what it is done to. */
export const CASES: Record<CommandName, Record<string, Case>> = {
  'house.make': {},
  'person.join': {},
  'house.change': { 'its name': byManagers(() => ({ name: 'Other name' })) },
  'person.add': { someone: byManagers(() => ({ name: 'Nobody', mark: freshMark(), colour: 'moss', pattern: 'weft' })) },
  'person.change': {
    oneself: byAll((s) => ({ person: s.house.person(s.me), colour: 'plum' })),
    another: byManagers((s) => ({ person: s.other, colour: 'plum' })),
  },
  'person.setRole': { another: byManagers((s) => ({ person: s.other, role: 'member' })) },
  'person.setRest': {
    oneself: byAll((s) => ({ person: s.house.person(s.me), rest: { hours: null, daysOff: [7] } })),
    another: byManagers((s) => ({ person: s.other, rest: { hours: null, daysOff: [7] } })),
  },
  'savedView.make': { own: byAll(() => ({ name: 'Late', filter: lateThings })) },
  'savedView.change': {
    'another’s own': async (s) => ({ payload: { view: await othersView(s, false), name: 'Renamed' }, allowed: false }),
    'the house’s': byManagers(async (s) => ({ view: await othersView(s, true), name: 'Renamed' })),
  },
  'person.lookAs': {
    'somebody who is no manager': byManagers(async (s) => ({ person: await someone(s) })),
    'a manager': async (s) => ({ payload: { person: s.house.person('Owner') }, allowed: false }),
  },
  'person.end': { another: byManagers(async (s) => ({ person: await someone(s) })) },
  'invitation.make': {
    'to no list': byManagers(() => ({ role: 'helper', uses: 'one', token: freshToken() })),
    'into a list': async (s) => ({
      payload: { role: 'helper', uses: 'one', token: freshToken(), lists: [{ listId: await s.list(), access: 'view' }] },
      allowed: manager(s) && s.allows('share'),
    }),
  },
  'invitation.withdraw': {
    another: byManagers(async (s) => ({
      invitation: s.house.made('invitation', await s.house.must('Owner', 'invitation.make', { role: 'helper', uses: 'one', token: freshToken() })).id,
    })),
  },
  'bundle.make': { own: byAll(() => ({ name: 'Bundle' })), 'with a list in it': onList((list) => ({ name: 'Bundle', lists: [list] })) },
  'bundle.change': { another: byManagers(async (s) => ({ bundle: await othersBundle(s), name: 'Renamed' })) },
  'bundle.remove': { another: byManagers(async (s) => ({ bundle: await othersBundle(s) })) },
  'list.make': { own: byAll(() => ({ name: 'Mine', colour: 'moss', icon: 'leaf' })) },
  'list.change': { name: onList((list) => ({ list, name: 'Renamed' })) },
  'list.share': { 'with another': onList((list, s) => ({ list, person: s.other, access: 'view' })) },
  'list.giveTo': { another: onList((list, s) => ({ list, person: s.other })) },
  'list.file': { away: onList((list) => ({ list, filed: true })) },
  'list.clearDone': { it: onListAs('change', (list) => ({ list })) },
  'list.useAgain': {
    it: async (s) => {
      const list = await s.list();
      const owner = s.sharing === 'owner' ? s.me : 'Owner';
      const item = s.house.made('item', await s.house.must(owner, 'item.add', { title: 'Done', list })).id;
      await s.house.must(owner, 'part.checkOff', { item, person: null });
      return { payload: { list }, allowed: s.allowsInList('change') };
    },
  },
  'list.remove': { it: onList((list) => ({ list })) },
  'section.make': { one: onList((list) => ({ list, name: 'Section' })) },
  'section.change': { one: onSection((section) => ({ section, name: 'Renamed' })) },
  'section.move': { one: onSection((section) => ({ section, after: null })) },
  'section.remove': { one: onSection((section) => ({ section })) },
  'tag.make': { own: byAll(() => ({ name: freshWord() })) },
  'tag.change': { another: byManagers(async (s) => ({ tag: await othersTag(s), colour: 'plum' })) },
  'tag.merge': { anothers: byManagers(async (s) => ({ from: await othersTag(s), into: await othersTag(s) })) },
  'tag.remove': { another: byManagers(async (s) => ({ tag: await othersTag(s) })) },
  'place.make': { one: byAll(() => ({ name: freshWord() })) },
  'place.change': {
    one: byManagers(async ({ house }) => ({
      place: house.made('place', await house.must('Other', 'place.make', { name: freshWord() })).id,
      name: freshWord(),
    })),
    'one’s own': byAll(async ({ house, me }) => ({
      place: house.made('place', await house.must(me, 'place.make', { name: freshWord() })).id,
      radius: 80,
    })),
    'another’s, seen by them alone': async ({ house }) => ({
      payload: { place: house.made('place', await house.must('Other', 'place.make', { name: freshWord(), seenBy: [] })).id, radius: 80 },
      allowed: false,
    }),
  },
  'visit.report': { own: byAll(async (s) => ({ place: await othersPlace(s), on: 'enter', at: '2026-11-24T10:00:00.000Z' })) },
  'visit.forget': { anyone: async (s) => ({ payload: { visit: s.other }, allowed: false }) },
  'occasion.begin': { own: byAll((s) => ({ kind: 'device', device: s.other })) },
  'round.start': { with: async (s) => ({ payload: roundOver(await othersPlace(s), await s.item()), allowed: s.allows('see') }) },
  'round.change': { anothers: async (s) => ({ payload: { round: await othersRound(s), ended: true }, allowed: false }) },
  'round.handOver': { anothers: async (s) => ({ payload: { round: await othersRound(s), person: s.house.person('Third') }, allowed: false }) },
  'situation.make': { one: byAll(() => ({ name: freshWord(), kind: 'tool' })) },
  'situation.change': {
    one: byManagers(async ({ house }) => ({
      situation: house.made('situation', await house.must('Other', 'situation.make', { name: freshWord(), kind: 'tool' })).id,
      name: freshWord(),
    })),
  },
  'item.add': {
    'to the list': async (s) => ({
      payload: { title: 'New', list: await s.list() },
      allowed: s.allows('add') && (s.relation !== 'own-part' || relationsOf(s.role, s.sharing, 'none').some((f) => REFERENCE[f].add === 'yes')),
    }),
    'to the own pile': byAll(() => ({ title: 'New' })),
    'as a step': onItem('change', (parent) => ({ title: 'Step', parent })),
  },
  'item.addMany': {
    'to the own pile': byAll(() => ({ items: [{ title: 'One' }, { title: 'Its step', under: 0 }] })),
    'as steps': onItem('change', (parent) => ({ items: [{ title: 'Step' }], parent })),
  },
  'item.change': {
    title: onItem('change', (item) => ({ item, title: 'Better' })),
    notes: onItem('answer', (item) => ({ item, notes: 'The left one' })),
    'notes and more': onItem('change', (item) => ({ item, notes: 'The left one', importance: 2 })),
  },
  'item.notesToSteps': {
    lines: async (s) => {
      const item = await s.item();
      const name = keeperOf(item, s);
      await s.house.must(name, 'item.change', { item, notes: 'Oars' });
      return { payload: { item, lines: [0] }, allowed: s.allows('answer') };
    },
  },
  'item.stepsToNotes': {
    step: async (s) => {
      const item = await s.item();
      const name = keeperOf(item, s);
      const step = s.house.made('item', await s.house.must(name, 'item.add', { title: 'Oars', parent: item })).id;
      return { payload: { item, steps: [step] }, allowed: s.allows('answer') };
    },
  },
  'item.setDue': { day: onItem('change', (item) => ({ item, due: '2026-12-24' })) },
  'item.setPolicy': { each: onItem('change', (item) => ({ item, policy: 'each' })) },
  'item.move': {
    'to the top': async (s) => {
      const item = await s.item();
      return { payload: { items: [item], list: s.house.rows('item').find((row) => row.id === item)!.listId, after: null }, allowed: s.allows('change') };
    },
    'to an own list': async (s) => ({ payload: { items: [await s.item()], list: await s.own() }, allowed: s.allows('change') }),
  },
  'item.copy': { 'to the own pile': onItem('see', (item) => ({ items: [item] })) },
  'item.remove': { it: onItem('change', (item) => ({ items: [item] })) },
  'item.bringBack': { it: onItem('change', (item) => ({ items: [item] })) },
  'item.pin': { it: onItem('see', (item) => ({ item, on: true })) },
  'item.purgeRemoved': {
    one: async (s) => {
      const item = await s.item();
      await s.house.must('Owner', 'item.remove', { items: [item] });
      return { payload: { items: [item] }, allowed: s.allows('change') };
    },
  },
  'item.purge': { anyone: async (s) => ({ payload: { item: await s.item() }, allowed: false }) },
  'part.handOver': { 'to one more': onItem('change', (item, s) => ({ items: [item], persons: [s.house.person('Third')] })) },
  'part.take': {
    nobodys: async (s) => {
      if (s.relation === 'own-part' || s.relation === 'giver') return { payload: { item: await s.item() }, allowed: false };
      return { payload: { item: await s.item() }, allowed: s.allows('check') };
    },
  },
  'chore.make': {
    'into a list': onListAs('add', (list) => ({ list, title: 'Chore', rrule: 'FREQ=DAILY', dtstart: '2030-01-01' })),
    'own pile': byAll(() => ({ title: 'Chore', rrule: 'FREQ=DAILY', dtstart: '2030-01-01' })),
    'of an item': onItem('change', (item) => ({ item, rrule: 'FREQ=DAILY', dtstart: '2030-01-01' })),
  },
  'chore.change': { others: onChore(({ series }) => ({ series, title: 'Other chore' })) },
  'chore.fromNowOn': {
    others: async (s) => {
      const { item } = await chore(s);
      return { payload: { item, steps: ['Rinse'] }, allowed: s.allowsInList('change') };
    },
  },
  'chore.end': { others: onChore(({ series, recurrenceId }) => ({ series, recurrenceId })) },
  'chore.skip': { others: onChore(({ series, recurrenceId }) => ({ series, recurrenceId })) },
  'chore.move': { others: onChore(({ series, recurrenceId }) => ({ series, recurrenceId, at: '2030-02-01' })) },
  'chore.giveTurn': { others: onChore(({ series, recurrenceId }, s) => ({ series, recurrenceId, person: s.house.person('Third') })) },
  'chore.swap': { others: onChore(({ series, recurrenceId }) => ({ series, one: recurrenceId, other: '2030-01-02' })) },
  'chore.ahead': { others: onChore(({ series }) => ({ series })) },
  'chore.plain': {
    others: async (s) => ({ payload: { item: (await chore(s)).item }, allowed: s.allowsInList('change') }),
  },
  'house.setHolidays': { anyone: async () => ({ payload: { region: 'FI', until: 2030, days: [] }, allowed: false }) },
  'chore.appear': { anyone: async (s) => ({ payload: { series: (await chore(s)).series, recurrenceId: '2030-01-02' }, allowed: false }) },
  'part.takeBack': { 'from another': async (s) => ({ payload: { item: await s.itemOfOther(), persons: [s.other] }, allowed: s.allows('change') }) },
  'part.excuse': { another: async (s) => ({ payload: { item: await s.itemOfOther(), person: s.other }, allowed: s.allows('change') }) },
  'part.passOn': {
    'the own part': async (s) => ({
      payload: { item: await s.item(), from: s.house.person(s.me), to: s.house.person('Third') },
      allowed: ownPart(s) && s.allows('pass-on'),
    }),
    anothers: async (s) => ({ payload: { item: await s.itemOfOther(), from: s.other, to: s.house.person('Third') }, allowed: s.allows('change') }),
  },
  'part.nudge': { another: async (s) => ({ payload: { item: await s.itemOfOther(), persons: [s.other] }, allowed: s.allows('change') }) },
  'nudge.send': {
    anyone: async (s) => ({ payload: { person: s.other, parts: [s.other], at: new Date().toISOString() }, allowed: false }),
  },
  'part.see': { own: onOwn((item) => ({ item })) },
  'part.accept': { own: onOwn((item) => ({ item })) },
  'part.askBack': { own: onOwn((item) => ({ item, question: 'Which?' })) },
  'part.decline': { own: onOwn((item) => ({ item, reason: 'No time' })) },
  'part.progress': { own: onOwn((item) => ({ item, percent: 50 })) },
  'part.checkOff': {
    own: async (s) => ({ payload: { item: await s.item(), person: s.house.person(s.me) }, allowed: ownPart(s) }),
    nobodys: async (s) => ({
      payload: { item: await s.item(), person: null },
      allowed: s.relation === 'none' || s.relation === 'maker' || s.relation === 'guest' ? s.allows('check') : false,
    }),
    'a step': async (s) => {
      const parent = await s.item();
      const owner = s.sharing === 'owner' ? s.me : 'Owner';
      const step = s.house.made('item', await s.house.must(owner, 'item.add', { title: 'Step', parent })).id;
      return { payload: { item: step, person: null }, allowed: ownPart(s) || s.allows('check') };
    },
    'for another': async (s) => ({ payload: { item: await s.itemOfOther(), person: s.other }, allowed: s.allows('tie') }),
  },
  'part.uncheck': { 'for another': async (s) => ({ payload: { item: await s.itemOfOther(true), person: s.other }, allowed: s.allows('tie') }) },
  'part.tieOff': { anothers: async (s) => ({ payload: { item: await s.itemOfOther(true), person: s.other }, allowed: s.allows('tie') }) },
  'part.sendBack': {
    anothers: async (s) => ({ payload: { item: await s.itemOfOther(true), person: s.other, reason: 'Look again' }, allowed: s.allows('tie') }),
  },
  'part.putAway': { it: onItem('see', (item) => ({ items: [item] })) },
  'part.plan': planning((items) => ({ items, plan: '2030-01-01' })),
  'part.planFor': {
    another: async (s) => ({
      payload: { item: await s.itemOfOther(), person: s.other, plan: '2030-01-01' },
      allowed: s.allows('change') || s.relation === 'giver',
    }),
  },
  'part.shelve': { 'nobody’s': planning((items) => ({ items }))['nobody’s']! },
  'part.pull': planning((items) => ({ items })),
  'part.takeOff': planning((items) => ({ items })),
  'part.later': planning((items) => ({ items })),
  'part.order': planning((items) => ({ items })),
  'comment.say': {
    words: onItem('say', (item) => ({ item, text: 'Well' })),
    'to somebody who is let in': async (s) => {
      const item = await s.item();
      const stranger = await someone(s);
      return { payload: { item, text: 'Look', mentions: [stranger], letIn: [stranger] }, allowed: s.allows('say') && s.allows('pass-on') };
    },
  },
  'list.setStages': { some: onList((list) => ({ list, stages: [{ name: 'Wished' }, { name: 'Booked' }] })) },
  'group.make': { one: byManagers((s) => ({ name: freshWord(), persons: [s.other] })) },
  'group.change': {
    one: byManagers(async (s) => ({
      group: s.house.made('peopleGroup', await s.house.must('Owner', 'group.make', { name: freshWord(), persons: [s.other] } as never)).id,
      name: freshWord(),
    })),
  },
  'field.make': {
    'of a list': onList((list) => ({ list, name: 'Depth', kind: 'number' })),
    'of the house': byManagers(() => ({ list: null, name: 'Width', kind: 'number' })),
  },
  'field.change': { 'of the house': byManagers(async (s) => ({ field: await houseField(s), unit: 'cm' })) },
  'item.setFields': {
    some: async (s) => ({ payload: { item: await s.item(), values: [{ field: await houseField(s), value: 4 }] }, allowed: s.allows('change') }),
  },
  'item.toStage': {
    open: async (s) => {
      const item = await s.item();
      return { payload: { item, stage: await stage(s, item, 'Booked') }, allowed: ownPart(s) || s.allows('change') };
    },
    done: async (s) => {
      const item = await s.item();
      const nobodys = s.relation === 'none' || s.relation === 'maker' || s.relation === 'guest';
      return { payload: { item, stage: await stage(s, item, 'In place') }, allowed: ownPart(s) || (nobodys && s.allows('change') && s.allows('check')) };
    },
  },
  'project.make': {
    'of nothing yet': async (s) => ({ payload: { name: 'The new pier' }, allowed: s.role !== 'helper' }),
    'of a list': async (s) => ({ payload: { name: 'The new pier', lists: [await s.list()] }, allowed: s.role !== 'helper' && s.allowsInList('see') }),
  },
  'project.change': {
    own: async (s) => ({ payload: { project: await project(s, { answerable: s.house.person(s.me) }), purpose: 'A pier' }, allowed: s.role !== 'helper' }),
    anothers: byManagers(async (s) => ({ project: await project(s, {}), purpose: 'A pier' })),
  },
  'project.setMembers': {
    'into one’s own': async (s) => {
      const item = await s.item();
      return { payload: { project: await project(s, { answerable: s.house.person(s.me) }), items: [item] }, allowed: s.role !== 'helper' && s.allows('see') };
    },
    'another’s notes': async (s) => ({
      payload: { project: await project(s, { answerable: s.house.person(s.me) }), notes: [await othersNote(s)] },
      allowed: false,
    }),
    'into another’s': async (s) => {
      const item = await s.item();
      return { payload: { project: await project(s, {}), items: [item] }, allowed: manager(s) && s.allows('see') };
    },
  },
  'project.finish': { anothers: byManagers(async (s) => ({ project: await project(s, {}), open: 'stays' })) },
  'chore.setTemplate': {
    'the house’s': onChore(({ series }) => ({ series, template: null })),
    'another’s own': async (s) => ({ payload: { series: (await chore(s)).series, template: await template(s, 'Other', false) }, allowed: false }),
  },
  'template.make': {
    own: byAll(() => ({ name: 'Opening', items: [{ title: 'Air the rooms' }] })),
    'the house’s': async (s) => ({ payload: { name: 'Opening', isShared: true, items: [{ title: 'Air the rooms' }] }, allowed: s.role !== 'helper' }),
  },
  'template.keep': {
    'of a list': onListAs('see', (list) => ({ list, name: 'Kept' })),
    'of an item': onItem('see', (item) => ({ item, name: 'Kept' })),
    'of another’s notes': async (s) => ({ payload: { note: await othersNote(s), name: 'Kept' }, allowed: false }),
  },
  'template.change': {
    own: byAll(async (s) => ({ template: await template(s, s.me, false), name: 'Renamed' })),
    'another’s own': async (s) => ({ payload: { template: await template(s, 'Other', false), name: 'Renamed' }, allowed: false }),
    'the house’s': byManagers(async (s) => ({ template: await template(s, 'Other', true), name: 'Renamed' })),
    'one’s own, for the house': async (s) => ({ payload: { template: await template(s, s.me, false), isShared: true }, allowed: s.role !== 'helper' }),
  },
  'template.use': {
    'the house’s, as a list of one’s own': byAll(async (s) => ({ template: await template(s, 'Other', true), name: freshWord() })),
    'another’s own': async (s) => ({ payload: { template: await template(s, 'Other', false), name: freshWord() }, allowed: false }),
    'into a list': async (s) => ({ payload: { template: await template(s, 'Other', true), list: await s.list() }, allowed: s.allowsInList('add') }),
  },
  'templateItem.add': {
    own: byAll(async (s) => ({ template: await template(s, s.me, false), title: 'One more' })),
    'the house’s': byManagers(async (s) => ({ template: await template(s, 'Other', true), title: 'One more' })),
  },
  'templateItem.change': {
    own: byAll(async (s) => ({ item: await templateItem(s, s.me, false), title: 'Another' })),
    'another’s own': async (s) => ({ payload: { item: await templateItem(s, 'Other', false), title: 'Another' }, allowed: false }),
    'the house’s': byManagers(async (s) => ({ item: await templateItem(s, 'Other', true), title: 'Another' })),
  },
  'guest.letIn': {
    'whom a remark addresses': async (s) => {
      const item = await s.item();
      const stranger = await someone(s);
      const said = s.house.made('comment', await s.house.must(keeperOf(item, s), 'comment.say', { item, text: 'Look' }));
      return { payload: { comment: said.id, person: stranger }, allowed: s.allows('pass-on') };
    },
    'where one can’t see': async (s) => ({ payload: { comment: await othersComment(s), person: s.house.person(s.me) }, allowed: false }),
  },
  'guest.end': {
    oneself: byAll(async (s) => ({ item: await s.item(), person: s.house.person(s.me) })),
    another: onItem('pass-on', (item, s) => ({ item, person: s.other })),
  },
  // nobody's words are put right or taken back but one's own
  'comment.correct': { anothers: async (s) => ({ payload: { comment: await othersComment(s), text: 'Other' }, allowed: false }) },
  'comment.takeBack': { anothers: async (s) => ({ payload: { comment: await othersComment(s) }, allowed: false }) },
  'attachment.add': {
    file: onItem('answer', (item) => ({ item, name: 'valve.jpg', size: 10 })),
    'with the keeper’s remark': async (s) => {
      const item = await s.item();
      const said = s.house.made('comment', await s.house.must(keeperOf(item, s), 'comment.say', { item, text: 'Look' }));
      return { payload: { comment: said.id, name: 'valve.jpg', size: 10 }, allowed: keeperOf(item, s) === s.me };
    },
    'with another’s project': byManagers(async (s) => ({ project: await project(s, {}), name: 'offer.pdf', size: 10 })),
    'with a project one answers for': async (s) => ({
      payload: { project: await project(s, { answerable: s.house.person(s.me) }), name: 'offer.pdf', size: 10 },
      allowed: s.role !== 'helper',
    }),
    'with another’s notes': async (s) => ({ payload: { note: await othersNote(s), name: 'valve.jpg', size: 10 }, allowed: false }),
    'with two things at once': async (s) => ({
      payload: { item: await s.item(), project: await project(s, {}), name: 'valve.jpg', size: 10 },
      allowed: false,
    }),
  },
  'attachment.link': { address: onItem('answer', (item) => ({ item, url: 'https://example.org/valve' })) },
  'attachment.remove': {
    anothers: async (s) => {
      const item = await s.item();
      const { id } = s.house.made('attachment', await s.house.must('Owner', 'attachment.link', { item, url: 'https://example.org/valve' }));
      return { payload: { attachment: id }, allowed: s.allows('change') };
    },
    'of what one can’t see': async (s) => ({ payload: { attachment: await othersFile(s) }, allowed: false }),
    'of the keeper’s remark': async (s) => {
      const item = await s.item();
      const keeper = keeperOf(item, s);
      const said = s.house.made('comment', await s.house.must(keeper, 'comment.say', { item, text: 'Look' }));
      const { id } = s.house.made('attachment', await s.house.must(keeper, 'attachment.link', { comment: said.id, url: 'https://example.org/valve' }));
      return { payload: { attachment: id }, allowed: keeper === s.me };
    },
    'of another’s project': byManagers(async (s) => {
      const on = await project(s, {});
      return { attachment: s.house.made('attachment', await s.house.must('Owner', 'attachment.link', { project: on, url: 'https://example.org/pier' })).id };
    }),
  },
  'attachment.arrive': {
    anyone: async (s) => ({
      payload: { attachment: await othersFile(s), sha256: 'a'.repeat(64), mediaType: 'image/jpeg', width: 1, height: 1 },
      allowed: false,
    }),
  },
  'watch.set': {
    oneself: onItem('see', (item, s) => ({ item, person: s.house.person(s.me), on: true })),
    another: async (s) => ({
      payload: { item: await s.item(), person: s.house.person('Owner'), on: true },
      allowed: s.allows('change') || s.relation === 'giver',
    }),
  },
  'listWatch.set': {
    oneself: onListAs('see', (list, s) => ({ list, person: s.house.person(s.me), on: true })),
    another: onListAs('change', (list, s) => ({ list, person: s.house.person('Owner'), on: true })),
  },
  'notice.read': {
    anothers: async (s) => {
      const item = s.house.made('item', await s.house.must('Owner', 'item.add', { title: 'Told', persons: [s.other] })).id;
      return { payload: { notices: [s.house.rows('notice').find((notice) => notice.itemId === item)!.id] }, allowed: false };
    },
  },
  'alarm.set': {
    'for oneself': onItem('see', (item) => ({ item, trigger: { kind: 'relative', to: 'due', offset: '-P1D' } })),
    'for who made it': onItem('change', (item, s) => ({ item, person: s.house.person('Owner'), trigger: { kind: 'relative', to: 'due', offset: '-P1D' } })),
  },
  'alarm.remove': { anothers: async (s) => ({ payload: { alarms: [await othersAlarm(s)] }, allowed: false }) },
  'alarm.snooze': { anothers: async (s) => ({ payload: { alarm: await othersAlarm(s), until: '2030-01-01T00:00:00.000Z' }, allowed: false }) },
  'alarm.ring': { anyone: async (s) => ({ payload: { alarm: await othersAlarm(s), at: '2026-11-24T10:00:00.000Z' }, allowed: false }) },
  'wait.set': {
    it: async (s) => ({ payload: { item: await s.item(), words: 'the van' }, allowed: ownPart(s) || s.allows('check') }),
    // what one can't see one can't wait for either
    'for what lies in another’s pile': async (s) => ({ payload: { item: await s.item(), on: await othersPile(s) }, allowed: false }),
    'for what is one’s own': async (s) => {
      const item = await s.item();
      const on = s.house.made('item', await s.house.must(s.me, 'item.add', { title: 'First' })).id;
      return { payload: { item, on }, allowed: ownPart(s) || s.allows('check') };
    },
  },
  'wait.change': { anothers: async (s) => ({ payload: { wait: await othersWait(s), askOn: null }, allowed: false }) },
  'wait.end': { anothers: async (s) => ({ payload: { wait: await othersWait(s) }, allowed: false }) },
  'wait.askAgain': { anyone: async (s) => ({ payload: { wait: await othersWait(s) }, allowed: false }) },
  'week.shareOut': { turns: onChore(({ series, recurrenceId }, s) => ({ items: [], turns: [{ series, recurrenceId, person: s.house.person('Third') }] })) },
  'slot.book': { own: onItem('see', (item) => ({ items: [item], start: '2030-01-02T16:00', minutes: 45 })) },
  'slot.change': { anothers: async (s) => ({ payload: { slot: await othersSlot(s), minutes: 30 }, allowed: false }) },
  'slot.free': { anothers: async (s) => ({ payload: { slot: await othersSlot(s) }, allowed: false }) },
  'matter.add': {
    'in words': byAll((s) => ({ person: s.other, words: 'The keys' })),
    'an item': onItem('see', (item, s) => ({ person: s.other, item })),
  },
  'matter.settle': { anothers: async (s) => ({ payload: { matters: [await othersMatter(s)] }, allowed: false }) },
  'matter.remove': { anothers: async (s) => ({ payload: { matters: [await othersMatter(s)] }, allowed: false }) },
  'matter.share': { anothers: async (s) => ({ payload: { matter: await othersMatter(s), shared: true }, allowed: false }) },
  'talk.set': { own: byAll((s) => ({ person: s.other, weekday: 3, time: '10:00' })) },
  'talk.end': {
    own: byAll(async (s) => {
      await s.house.must(s.me, 'talk.set', { person: s.other, weekday: 3, time: '10:00' });
      return { person: s.other };
    }),
  },
  'note.make': {
    own: byAll((s) => ({ persons: [s.other], date: '2026-11-25' })),
    'begun with the house’s': byAll(async (s) => ({ persons: [s.other], date: '2026-11-25', template: await talkTemplate(s, true) })),
    'begun with another’s own': async (s) => ({
      payload: { persons: [s.other], date: '2026-11-25', template: await talkTemplate(s, false) },
      allowed: false,
    }),
  },
  'note.change': { anothers: async (s) => ({ payload: { note: await othersNote(s), text: 'Mine now' }, allowed: false }) },
  'note.remove': { anothers: async (s) => ({ payload: { note: await othersNote(s) }, allowed: false }) },
  'away.add': {
    oneself: byAll((s) => ({ person: s.house.person(s.me), from: '2026-12-01', to: '2026-12-05' })),
    another: byManagers((s) => ({ person: s.other, from: '2026-12-01', to: '2026-12-05' })),
  },
  'away.standInOver': {
    anyone: async ({ house, other }) => ({
      payload: { away: house.made('timeAway', await house.must('Other', 'away.add', { person: other, from: '2026-12-01', to: '2026-12-05' })).id },
      allowed: false,
    }),
  },
  'away.remove': {
    anothers: byManagers(async ({ house, other }) => ({
      away: house.made('timeAway', await house.must('Other', 'away.add', { person: other, from: '2026-12-01', to: '2026-12-05' })).id,
    })),
  },
  'notice.choose': { own: byAll(() => ({ push: ['reminders'] })) },
  'day.call': { anyone: async (s) => ({ payload: { person: s.other, date: '2026-12-01' }, allowed: false }) },
  'mail.held': { anyone: async (s) => ({ payload: { person: s.other, sender: 'a@b.example', title: 'Offer' }, allowed: false }) },
  'notice.undelivered': { anyone: async (s) => ({ payload: { notice: s.other, why: 'down' }, allowed: false }) },
  'preferences.set': { own: byAll(() => ({ accent: 'plum', backdrop: 'twill' })) },
  'stretch.begin': { own: byAll(() => ({ minutes: 25 })) },
  'stretch.end': { own: byAll(() => ({})) },
  'stretch.over': {
    anyone: async ({ house }) => ({
      payload: { stretch: house.made('stretch', await house.must('Other', 'stretch.begin', { minutes: 5 })).id },
      allowed: false,
    }),
  },
  'view.arrange': { own: byAll(() => ({ view: 'today', sort: 'title' })) },
  'capacity.set': {
    own: byAll((s) => ({ person: s.house.person(s.me), minutes: [60, 60, 60, 60, 60, 0, 0] })),
    anothers: byManagers((s) => ({ person: s.other, minutes: [60, 60, 60, 60, 60, 0, 0] })),
  },
  undo: {
    own: byAll(async (s) => ({ command: await s.house.must(s.me, 'item.add', { title: 'Mine' }) })),
    anothers: async (s) => ({ payload: { command: await s.house.must('Owner', 'item.add', { title: 'Theirs' }) }, allowed: false }),
  },
};
