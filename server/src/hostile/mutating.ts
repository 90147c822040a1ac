import { FIELD_KINDS, REQUIRED_PERMISSIONS, type CommandName } from '@kotiva/core';

/** What is thrown at the server: what the application says, changed as neither it nor its people would. */

/** A small seeded generator (mulberry32): the same seed gives the same run. */
export class Dice {
  constructor(private state: number) {}

  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  }

  below = (n: number): number => Math.floor(this.next() * n);
  chance = (p: number): boolean => this.next() < p;
  pick = <T>(from: readonly T[]): T => from[this.below(from.length)]!;

  uuid(version: 4 | 5 | 7 = 7): string {
    const hex = Array.from({ length: 32 }, () => this.below(16).toString(16));
    hex[12] = String(version);
    hex[16] = '89ab'[this.below(4)]!;
    return hex.join('').replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
  }
}

export const RULES = [
  'FREQ=DAILY',
  'FREQ=WEEKLY;INTERVAL=2;BYDAY=FR',
  'FREQ=HOURLY',
  'FREQ=HOURLY;COUNT=1000;BYMONTH=2;BYMONTHDAY=29',
  'FREQ=MINUTELY;COUNT=9999999;BYMONTH=2;BYMONTHDAY=29',
  'FREQ=SECONDLY',
  'FREQ=SECONDLY;COUNT=9999999;BYSETPOS=1;BYSECOND=1',
  'FREQ=YEARLY;BYHOUR=0,1,2,3,4,5,6,7,8,9,10,11,12;BYMINUTE=0,1,2,3,4,5,6,7,8,9;BYDAY=MO,TU,WE,TH,FR,SA,SU;BYSETPOS=-1',
  'FREQ=YEARLY;INTERVAL=9999999',
  'FREQ=DAILY;COUNT=9999999',
  'FREQ=MONTHLY;BYMONTHDAY=31;BYMONTH=2',
  'FREQ=DAILY;UNTIL=00010101',
  'FREQ=YEARLY;BYWEEKNO=53;BYDAY=MO',
  'FREQ=;',
  'FREQ=DAILY;FREQ=DAILY',
];
export const DATES = ['2026-12-04', '2026-12-04T17:00', '1970-01-01', '2199-12-31', '2200-01-01', '0000-00-00', '0026-12-31', '9999-12-31', '2026-02-31', '1900-01-01', '1899-12-31T00:00', '+275760-09-13', '-000001-01-01', '2026-12-04T24:00', '26-12-04']; // prettier-ignore
export const WORDS = ['Order candles', '', ' ', '\u0000', '\u202e', 'a'.repeat(501), '🎂'.repeat(200), '<script>', '{{name}}', "'; DROP TABLE item;--", ' '.repeat(30_000), 'x, '.repeat(400), '@Aino, @Aino, @Aino', 'every day from 2016-01-01', 'by Friday at 25:00 every 31st of Feb', '# - [ ] * 1.', '../../etc/passwd', '\ud800']; // prettier-ignore
const NUMBERS = [0, -1, 1, 1e9, 1e308, -1e308, 0.1, Number.MAX_SAFE_INTEGER];
const DURATIONS = ['P1D', 'P9999Y', 'P9999D', 'P0D', '-P9999D', 'PT99999M', '-P999W', 'P1Y1M', ''];

/** What is in the house, by noun. */
export type Ids = (noun: string) => string;

/** Payloads as the application gives them. */
const PLAIN: { [N in CommandName]?: (d: Dice, id: Ids) => Record<string, unknown> } = {
  'item.add': (d, id) => ({ title: d.pick(WORDS), due: d.pick(DATES), plan: d.pick(DATES), persons: [id('person')], rule: { rrule: d.pick(RULES), afterDone: null, time: null }, tags: ['wood'], parent: id('item') }), // prettier-ignore
  'item.addMany': (d) => ({ items: Array.from({ length: 1 + d.below(40) }, (_, nth) => ({ title: `Thing ${nth}`, under: nth === 0 ? null : d.below(nth) })) }), // prettier-ignore
  'item.change': (d, id) => ({
    item: id('item'),
    title: d.pick(WORDS),
    notes: d.pick(WORDS),
    notesBase: d.pick(WORDS),
    start: d.pick(DATES),
    effort: d.pick(NUMBERS),
  }),
  'item.setDue': (d, id) => ({ item: id('item'), due: d.pick(DATES) }),
  'item.move': (d, id) => ({ items: [id('item')], parent: d.chance(0.6) ? id('item') : null, after: id('item') }),
  'item.copy': (_d, id) => ({ items: [id('item')], parent: id('item') }),
  'item.remove': (_d, id) => ({ items: [id('item'), id('item')] }),
  'item.bringBack': (_d, id) => ({ items: [id('item')] }),
  'stretch.begin': (d) => ({ minutes: d.pick(NUMBERS) }),
  'item.pin': (d, id) => ({ item: id('item'), on: d.chance(0.5) }),
  'item.purgeRemoved': (_d, id) => ({ items: [id('item')] }),
  'chore.make': (d, id) => ({ title: 'Water', rrule: d.pick(RULES), dtstart: d.pick(DATES), missed: d.pick(['keep', 'roll']), turn: 'turns', persons: [id('person')], offDay: d.pick(['keep', 'before', 'after']) }), // prettier-ignore
  'chore.change': (d, id) => ({ series: id('series'), from: d.pick([...DATES, null]), rrule: d.pick(RULES), dtstart: d.pick(DATES), afterDone: d.chance(0.2) ? d.pick(DURATIONS) : undefined }), // prettier-ignore
  'chore.end': (d, id) => ({ series: id('series'), recurrenceId: d.pick(DATES) }),
  'chore.skip': (d, id) => ({ series: id('series'), recurrenceId: d.pick(DATES) }),
  'chore.move': (d, id) => ({ series: id('series'), recurrenceId: d.pick(DATES), at: d.pick(DATES) }),
  'chore.ahead': (_d, id) => ({ series: id('series') }),
  'chore.plain': (_d, id) => ({ item: id('item') }),
  'chore.giveTurn': (d, id) => ({ series: id('series'), recurrenceId: d.pick(DATES), person: id('person') }),
  'part.handOver': (d, id) => ({ items: [id('item')], persons: [id('person')], due: d.pick(DATES), message: d.pick(WORDS), policy: d.pick(['any', 'each']) }),
  'part.checkOff': (_d, id) => ({ item: id('item'), person: null }),
  'part.uncheck': (_d, id) => ({ item: id('item'), person: null }),
  'part.plan': (d, id) => ({ items: [id('item')], plan: d.pick(DATES) }),
  'part.planFor': (d, id) => ({ item: id('item'), person: id('person'), plan: d.pick(DATES) }),
  'chore.fromNowOn': (d, id) => ({ item: id('item'), steps: [d.pick(WORDS)], notes: true, tags: true }),
  'part.progress': (d, id) => ({ item: id('item'), percent: d.pick(NUMBERS) }),
  'part.nudge': (_d, id) => ({ items: [id('item')], person: id('person') }),
  'alarm.set': (d, id) => ({ item: id('item'), trigger: d.pick([{ kind: 'absolute', at: d.pick(DATES) }, { kind: 'relative', to: 'due', offset: d.pick(DURATIONS) }]) }), // prettier-ignore
  'away.add': (d, id) => ({ person: id('person'), from: d.pick(DATES), to: d.pick(DATES), standIn: d.chance(0.3) ? id('person') : null }),
  'wait.set': (d, id) => ({
    item: id('item'),
    on: d.pick([undefined, null, id('item')]),
    words: d.pick([undefined, ...WORDS]),
    askOn: d.pick([undefined, null, ...DATES]),
  }),
  'slot.book': (d, id) => ({ items: [id('item')], start: d.pick(DATES), minutes: d.pick(NUMBERS) }),
  'tag.make': (d) => ({ name: d.pick(WORDS) }),
  'tag.change': (d, id) => ({ tag: id('tag'), parent: d.chance(0.5) ? id('tag') : null }),
  'tag.merge': (_d, id) => ({ from: id('tag'), into: id('tag') }),
  'list.make': (d) => ({ name: d.pick(WORDS), colour: 'moss', icon: 'leaf' }),
  'list.share': (d, id) => ({ list: id('list'), person: id('person'), access: d.pick(['edit', 'check', 'view', null]) }),
  'list.remove': (d, id) => ({ list: id('list'), removed: d.chance(0.5) }),
  'section.make': (d, id) => ({ list: id('list'), name: d.pick(WORDS) }),
  'watch.set': (d, id) => ({ item: id('item'), person: id('person'), on: d.pick([true, false]), topics: d.pick([undefined, [], ['done', 'new'], WORDS]) }),
  'listWatch.set': (d, id) => ({ list: id('list'), person: id('person'), on: true, topics: d.pick([['new'], ['new', 'new', 'new', 'new', 'new', 'new']]) }),
  'comment.say': (d, id) => ({
    item: id('item'),
    text: d.pick(WORDS),
    answers: d.pick([undefined, id('comment')]),
    mentions: d.pick([undefined, [id('person')], WORDS]),
    letIn: d.pick([undefined, undefined, [id('person')], WORDS]),
  }),
  'comment.correct': (d, id) => ({ comment: id('comment'), text: d.pick(WORDS) }),
  'comment.takeBack': (d, id) => ({ comment: id('comment') }),
  'item.notesToSteps': (d, id) => ({ item: id('item'), lines: d.pick([[0], [0, 1, 2], [], [-1], [1e9], WORDS]) }),
  'item.stepsToNotes': (d, id) => ({ item: id('item'), steps: [id('item'), id('item')] }),
  'list.setStages': (d, id) => ({
    list: id('list'),
    stages: d.pick([
      [],
      [{ name: 'One' }, { name: 'Two', isDone: true }],
      [{ name: 'One' }, { name: 'one' }],
      [{ name: 'Only', isDone: true }],
      Array(13).fill({ name: 'x' }),
      WORDS,
    ]),
  }),
  'item.toStage': (d, id) => ({ item: id('item'), stage: d.pick([id('item'), id('list')]) }),
  'group.make': (d, id) => ({ name: d.pick(WORDS), persons: d.pick([[], [id('person')], [id('person'), id('item')], Array(61).fill(id('person'))]) }),
  'group.change': (d, id) => ({
    group: id('peopleGroup'),
    name: d.pick([undefined, ...WORDS]),
    persons: d.pick([undefined, [], [id('person')]]),
    removed: d.pick([undefined, true, false]),
  }),
  'field.make': (d, id) => ({
    list: d.pick([null, id('list')]),
    name: d.pick(WORDS),
    kind: d.pick([...FIELD_KINDS, 'money']),
    unit: d.pick([undefined, 'm', WORDS]),
    options: d.pick([undefined, [], [{ name: 'Small', colour: 'moss' }], Array(31).fill({ name: 'x', colour: 'moss' }), WORDS]),
  }),
  'field.change': (d, id) => ({
    field: id('ownField'),
    name: d.pick([undefined, ...WORDS]),
    kind: d.pick([undefined, ...FIELD_KINDS]),
    options: d.pick([
      undefined,
      [
        { name: 'Large', colour: 'moss' },
        { name: 'large', colour: 'plum' },
      ],
    ]),
    after: d.pick([undefined, null, id('ownField')]),
    removed: d.pick([undefined, true, false]),
  }),
  'item.setFields': (d, id) => ({
    item: id('item'),
    values: Array.from({ length: d.pick([0, 1, 1, 2, 41]) }, () => ({
      field: id('ownField'),
      value: d.pick([null, true, false, 4.5, 1e308, -0, '2026-02-31', '2026-12-01', id('person'), 'https://a.b/c', 'javascript:x', ...WORDS]),
    })),
  }),
  'project.make': (d, id) => ({
    name: d.pick(WORDS),
    answerable: d.pick([undefined, null, id('person')]),
    begins: d.pick([undefined, null, '2026-12-01', '2026-02-31']),
    ends: d.pick([undefined, null, '2026-11-01']),
    parent: d.pick([undefined, null, id('project')]),
    lists: d.pick([[], [id('list')], WORDS]),
    items: d.pick([[], [id('item'), id('item')]]),
    notes: d.pick([[], [id('meetingNote')]]),
  }),
  'project.change': (d, id) => ({
    project: id('project'),
    name: d.pick([undefined, ...WORDS]),
    parent: d.pick([undefined, null, id('project')]),
    removed: d.pick([undefined, true, false]),
  }),
  'project.setMembers': (d, id) => ({
    project: id('project'),
    lists: d.pick([[], [id('list')]]),
    items: d.pick([[], [id('item')]]),
    notes: d.pick([[], [id('meetingNote')]]),
    on: d.chance(0.6),
  }),
  'project.finish': (d, id) => ({ project: id('project'), finished: d.chance(0.7), open: d.pick([undefined, 'stays', 'is-filed', 'gone']) }),
  'chore.setTemplate': (d, id) => ({
    series: id('series'),
    template: d.pick([null, id('template')]),
    blanks: d.pick([{}, { a: 'x' }, WORDS]),
    roles: d.pick([{}, { cook: [id('person')] }]),
  }),
  'template.make': (d) => ({
    name: d.pick(WORDS),
    kind: d.pick(['list', 'item', 'talk', 'note', 7]),
    text: d.pick([undefined, ...WORDS, '{a} {b']),
    isShared: d.chance(0.5),
    sections: d.pick([[], ['One', 'Two'], WORDS, Array(60).fill('x')]),
    items: d.pick([
      [],
      [{ title: d.pick(WORDS) }, { title: '{a} {b', under: 0, due: { days: d.pick([1, -1, 1e9, 0.5]), time: d.pick([null, '10:00', '30:00']) } }],
      [{ title: 'Round', under: d.pick([0, 5, -1]) }],
      Array(501).fill({ title: 'x' }),
    ]),
    root: d.pick([undefined, '00000000-0000-4000-8000-000000000000']),
    from: d.pick([undefined, 0, 1e9]),
  }),
  'template.keep': (d, id) => ({
    list: d.pick([id('list'), undefined]),
    item: d.pick([id('item'), undefined]),
    note: d.pick([undefined, undefined, id('meetingNote')]),
    name: d.pick(WORDS),
    isShared: d.chance(0.5),
    anchor: d.pick([null, '2026-12-24', '2026-02-31']),
  }),
  'template.change': (d, id) => ({
    template: id('template'),
    name: d.pick([undefined, ...WORDS]),
    isShared: d.pick([undefined, true, false]),
    text: d.pick([undefined, ...WORDS]),
    sections: d.pick([undefined, [], [{ name: 'New' }]]),
    removed: d.pick([undefined, true, false]),
  }),
  'template.use': (d, id) => ({
    template: id('template'),
    name: d.pick([undefined, ...WORDS]),
    list: d.pick([undefined, id('list')]),
    parent: d.pick([undefined, undefined, id('item')]),
    anchor: d.pick([undefined, null, '2026-12-24', '2026-02-31', '0000-01-01']),
    blanks: d.pick([{}, { a: d.pick(WORDS) }, { ['x'.repeat(50)]: 'y' }, { __proto__: 'x' }, WORDS]),
    roles: d.pick([{}, { cook: [id('person')] }, { cook: [] }, { cook: WORDS }]),
    rows: d.pick([undefined, [id('templateItem')]]),
    root: d.pick([undefined, id('item')]),
  }),
  'templateItem.add': (d, id) => ({ template: id('template'), title: d.pick(WORDS), parent: d.pick([undefined, id('templateItem')]) }),
  'templateItem.change': (d, id) => ({
    item: id('templateItem'),
    title: d.pick([undefined, ...WORDS]),
    due: d.pick([undefined, null, { days: -30, time: null }, { days: 1e9, time: null }]),
    firsts: d.pick([undefined, [], [id('templateItem')], [id('item')], WORDS]),
    holders: d.pick([undefined, [{ role: 'cook' }], [{ person: id('person') }], [{ role: '' }], WORDS]),
    removed: d.pick([undefined, true, false]),
    after: d.pick([undefined, null, id('templateItem')]),
  }),
  'guest.letIn': (d, id) => ({ comment: id('comment'), person: id('person') }),
  'guest.end': (d, id) => ({ item: id('item'), person: id('person') }),
  'attachment.add': (d, id) => ({
    ...d.pick([{ item: id('item') }, { item: id('item') }, { comment: id('comment') }, { project: id('project') }, { note: id('meetingNote') }, {}]),
    name: d.pick([...WORDS, '../../x', 'a'.repeat(300)]),
    size: d.pick([0, 1, -1, 1e15, 25e6]),
    asked: d.pick([undefined, null, id('person')]),
  }),
  'attachment.link': (d, id) => ({
    ...d.pick([{ item: id('item') }, { comment: id('comment') }, { project: id('project') }, { note: id('meetingNote') }]),
    url: d.pick([...WORDS, 'javascript:alert(1)', 'https://example.org/a', 'data:text/html,x']),
    name: d.pick([undefined, ...WORDS]),
  }),
  'attachment.remove': (d, id) => ({ attachment: id('attachment') }),
  'attachment.arrive': (d, id) => ({ attachment: id('attachment'), sha256: 'a'.repeat(64), mediaType: 'image/svg+xml', width: 1, height: 1 }),
  'person.setRest': (d, id) => ({ person: id('person'), rest: { hours: { from: '21:00', to: '07:00' }, daysOff: d.pick([[], [1, 2, 3, 4, 5, 6]]) } }),
  'place.make': (d) => ({ name: d.pick(WORDS), openingHours: d.pick(['Mo-Fr 09:00-17:00', ...WORDS]) }),
  'house.change': (d) => ({ zone: d.pick(['Europe/Helsinki', 'Pacific/Apia', 'Nowhere', '']), name: d.pick(WORDS) }),
  'week.shareOut': (d, id) => ({ turns: [{ item: id('item'), person: id('person'), date: d.pick(DATES) }] }),
};

const NAMES = Object.keys(REQUIRED_PERMISSIONS) as CommandName[];

/** A command's name and payload: as it would be, or with one of its values replaced by one that is none. */
export function mutated(d: Dice, id: Ids): { name: CommandName; payload: unknown } {
  const name = d.chance(0.85) ? d.pick(Object.keys(PLAIN) as CommandName[]) : d.pick(NAMES);
  const payload = PLAIN[name]?.(d, id) ?? { item: id('item'), person: id('person'), list: id('list') };
  if (d.chance(0.6)) return { name, payload };
  const field = d.pick(Object.keys(payload).concat('extra'));
  return { name, payload: d.chance(0.1) ? oddity(d) : { ...payload, [field]: oddity(d) } };
}

/** A value of no right kind. */
export function oddity(d: Dice): unknown {
  return d.pick<() => unknown>([
    () => d.pick(WORDS),
    () => d.pick(DATES),
    () => d.pick(NUMBERS),
    () => d.pick(DURATIONS),
    () => d.uuid(d.pick([4, 5, 7])),
    () => Array.from({ length: d.pick([0, 1, 600]) }, () => d.uuid()),
    () => nested(d.pick([1, 50, 2_000])),
    () => ({ __proto__: { polluted: true }, constructor: 'x' }),
    () => null,
    () => true,
  ])();
}

function nested(depth: number): unknown {
  let made: unknown = 'deep';
  for (let nth = 0; nth < depth; nth++) made = nth % 2 ? [made] : { of: made };
  return made;
}

/** A mail as somebody might send it, cut off, doubled or with nonsense in its head. */
export function mutatedMail(d: Dice): string {
  const headers = [
    `From: ${d.pick(['Aino <aino@x.example>', '"', '<>', 'a@b, c@d', '@'.repeat(200)])}`,
    `Subject: ${d.pick(WORDS).replace(/[\r\n\0]/g, ' ')}`,
    `Message-ID: <${d.uuid()}@x.example>`,
    d.pick(['Content-Type: text/html', 'Content-Type: multipart/mixed; boundary=b', 'Content-Type: text/calendar; method=REPLY', 'Content-Transfer-Encoding: base64', 'Auto-Submitted: no', 'Authentication-Results: ' + '('.repeat(500)]), // prettier-ignore
  ];
  const bodies = ['words', '--b\r\n'.repeat(300), 'BEGIN:VCALENDAR\r\nMETHOD:REPLY\r\n', '='.repeat(5_000), '<div>'.repeat(2_000)];
  return [...headers, '', d.pick(bodies)].join('\r\n');
}
