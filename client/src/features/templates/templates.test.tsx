import { World } from '@kotiva/core/testing/world';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { alerts, enter, tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { went } from '@/testing/router.ts';
import { t } from '@/words';
import { ChoreTemplateSheet } from './chore-template.tsx';
import { KeepTemplateSheet } from './keep-template-sheet.tsx';
import { readTemplate } from './template-file.tsx';
import { TemplateScreen } from './template-screen.tsx';
import { TemplatesScreen } from './templates-screen.tsx';

beforeEach(() => localStorage.clear());

function house() {
  const w = new World();
  w.join('Marek', 'helper');
  w.must('Aino', 'template.make', {
    name: 'A wedding for {couple}',
    anchorName: 'Saturday',
    sections: ['Kitchen'],
    items: [
      { title: 'Lay {guests} plates', section: 0, holders: [{ role: 'cook' }], due: { days: -2, time: '10:00' } },
      { title: 'Polish them', under: 0 },
    ],
  } as never);
  const template = w.rows.all('template')[0]!;
  return { w, template };
}
const day = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

test('it is filled in on one page: what is missing says so, what will be made is shown, and it is made', () => {
  const { w, template } = house();
  inHouse(w, 'Aino', <TemplateScreen templateId={template.id} />);
  expect(screen.getByText(t('template.asks', { names: 'Saturday, couple, guests and cook' }))).toBeTruthy();
  tap(t('template.use'));
  tap(t('template.makeIt'));
  expect(alerts()).toContain(t('template.missing', { names: 'Saturday, couple, guests and cook' }));
  expect(w.rows.all('list')).toHaveLength(0);
  day('Saturday', '2027-03-28');
  type('Couple', 'Elsa and Ville');
  type('Guests', '48');
  const sheet = within(screen.getByRole('dialog'));
  fireEvent.click(sheet.getByRole('checkbox', { name: /^Marek/ }));
  expect(screen.getByLabelText<HTMLInputElement>(t('template.listName')).value).toBe('A wedding for Elsa and Ville');
  tap(t('template.preview', { count: 2 }));
  expect(sheet.getByText('Lay 48 plates')).toBeTruthy();
  expect(sheet.getByText(/26 Mar.*10:00.*Marek/)).toBeTruthy();
  tap(t('template.makeIt'));
  const list = w.rows.all('list')[0]!;
  expect(w.rows.by('item', 'listId', list.id).map(({ title }) => title).sort()).toEqual(['Lay 48 plates', 'Polish them']); // prettier-ignore
  expect(went.at(-1)).toBe(`/lists/${list.id}`);
});

test('a name that is taken is said beside it, and what was filled in stays', () => {
  const { w, template } = house();
  w.list('Aino', 'Spring wedding');
  inHouse(w, 'Aino', <TemplateScreen templateId={template.id} />);
  tap(t('template.use'));
  day('Saturday', '2027-03-28');
  type('Couple', 'Elsa');
  type('Guests', '48');
  fireEvent.click(screen.getByLabelText(t('template.nobodyYet')));
  type(t('template.listName'), 'Spring wedding');
  tap(t('template.makeIt'));
  expect(alerts()).toEqual([t('reason.list-name-taken', { name: 'Spring wedding', other: 'Spring wedding 2' })]);
  expect(screen.getByLabelText<HTMLInputElement>('Guests').value).toBe('48');
});

test('an item of it: its day by the template’s, a role, minutes; what is no number is said beside it', () => {
  const { w, template } = house();
  inHouse(w, 'Aino', <TemplateScreen templateId={template.id} />);
  type(t('template.addItem'), 'Count the glasses');
  enter(t('template.addItem'));
  tap(/^Count the glasses/);
  fireEvent.click(screen.getByRole('radio', { name: t('template.when.after', { day: 'Saturday' }) }));
  type(t('template.days'), '1.5');
  type(t('template.minutes'), 'an hour');
  tap(t('common.save'));
  expect(alerts()).toEqual([t('template.minutesWrong')]);
  type(t('template.minutes'), '30');
  tap(t('common.save'));
  expect(alerts()).toEqual([t('template.daysWrong', { max: 3660 })]);
  type(t('template.days'), '1');
  type(t('template.role'), 'driver');
  enter(t('template.role'));
  tap(t('common.save'));
  expect(w.rows.by('templateItem', 'templateId', template.id).find(({ title }) => title === 'Count the glasses')).toMatchObject({
    due: { days: 1, time: null },
    effort: 30,
    holders: [{ role: 'driver' }],
  });
  expect(screen.getByText('1 day after Saturday · driver · 30 min')).toBeTruthy();
});

test('kept from a list: without a day its dates are left out, and that is said', () => {
  const { w } = house();
  const list = w.list('Aino', 'Opening');
  w.item('Aino', 'Air the rooms', { list, due: '2027-04-01' });
  inHouse(w, 'Aino', <KeepTemplateSheet of={{ list: w.rows.all('list').find(({ id }) => id === list)! }} onClose={() => undefined} />);
  expect(screen.getByLabelText<HTMLInputElement>(t('template.anchor')).value).toBe('2027-04-01');
  day(t('template.anchor'), '');
  expect(screen.getByText(t('template.anchorNone'))).toBeTruthy();
  tap(t('template.keepIt'));
  const kept = w.rows.all('template').find(({ name }) => name === 'Opening')!;
  expect(w.rows.by('templateItem', 'templateId', kept.id)).toMatchObject([{ title: 'Air the rooms', due: null }]);
});

test('a chore has its steps from one: what it asks for is settled once, what is missing is named', () => {
  const { w } = house();
  w.must('Aino', 'chore.make', { title: 'Cellar round', rrule: 'FREQ=WEEKLY', dtstart: '2026-11-24' } as never);
  const series = () => w.rows.all('series')[0]!;
  inHouse(w, 'Aino', <ChoreTemplateSheet series={series()} onClose={() => undefined} />);
  fireEvent.click(screen.getByRole('radio', { name: 'A wedding for {couple}' }));
  // its day is that of each one: it is not asked for
  expect(screen.queryByLabelText('Saturday')).toBeNull();
  tap(t('common.save'));
  expect(alerts()).toContain(t('template.missing', { names: 'couple, guests and cook' }));
  type('Couple', 'us');
  type('Guests', '4');
  fireEvent.click(screen.getByRole('checkbox', { name: /^Marek/ }));
  tap(t('common.save'));
  expect(series()).toMatchObject({ filling: { blanks: { couple: 'us', guests: '4' } } });
  expect(w.rows.all('item').map(({ title }) => title)).toContain('Lay 4 plates');
});

test('whoever may only use it changes nothing in it', () => {
  const { w, template } = house();
  w.must('Aino', 'template.change', { template: template.id, isShared: true });
  inHouse(w, 'Marek', <TemplateScreen templateId={template.id} />);
  expect(screen.getByRole('button', { name: t('template.use') })).toBeTruthy();
  expect(screen.queryByLabelText(t('template.addItem'))).toBeNull();
});

test.each([
  ['{', null],
  ['{"format":"other","version":1,"name":"x"}', null],
  ['[]', null],
  ['null', null],
  ['{"format":"kotiva-template","version":1,"name":"x","items":[]}', { name: 'x', items: [] }],
])('a file that says %s', async (text, said) => {
  const file = { size: text.length, text: () => Promise.resolve(text) } as unknown as Blob;
  await waitFor(async () => expect(await readTemplate(file)).toEqual(said));
});

test('notes of a talk begin with one: who it is with and what is missing is asked for', () => {
  localStorage.setItem('kotiva/notes-plain', 'yes');
  const w = new World();
  w.join('Petri');
  inHouse(w, 'Aino', <TemplatesScreen />);
  tap(t('templates.make'));
  type(t('template.name'), 'Fridays');
  fireEvent.click(screen.getByRole('radio', { name: t('template.kind.talk') }));
  type(t('template.text'), 'Went well in {project}:');
  tap(t('templates.makeIt'));
  const template = w.rows.all('template')[0]!;
  expect(template).toMatchObject({ kind: 'talk', text: 'Went well in {project}:' });
  expect(went.at(-1)).toBe(`/templates/${template.id}`);
  cleanup();
  inHouse(w, 'Aino', <TemplateScreen templateId={template.id} />);
  tap(t('template.startNotes'));
  const sheet = within(screen.getByRole('dialog'));
  const start = () => fireEvent.click(sheet.getByRole('button', { name: t('template.startNotes') }));
  start();
  expect(alerts()).toContain(t('template.missing', { names: 'project' }));
  expect(alerts()).toContain(t('template.choose'));
  fireEvent.click(sheet.getByRole('checkbox', { name: /^Petri/ }));
  type('Project', 'the pier');
  start();
  const note = w.rows.all('meetingNote')[0]!;
  expect(note).toMatchObject({ text: 'Went well in the pier:', personIds: [w.person('Petri')] });
  expect(went.at(-1)).toBe(`/people/${w.person('Petri')}?note=${note.id}`);
});
