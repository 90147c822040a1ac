import { World } from '@kotiva/core/testing/world';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { alerts, choose, tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { carry } from '@/testing/router.ts';
import { t } from '@/words';
import { ItemSheet } from './item-sheet.tsx';

beforeEach(() => localStorage.clear());
afterEach(() => carry({}));

function house() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Tapio', 'helper');
  w.join('Petri');
  const list = w.list('Aino', 'Boats', [
    ['Leila', 'check'],
    ['Tapio', 'check'],
  ]);
  const boiler = w.item('Aino', 'Water under the boiler', { list });
  w.must('Leila', 'comment.say', { item: boiler, text: 'Which valve is it?' });
  carry({ item: boiler });
  const said = () => w.rows.by('comment', 'itemId', boiler);
  return { w, boiler, said };
}
const more = (text: string) => t('remark.more', { text });
const send = (words: string) => {
  type(t('item.saySomething'), words);
  tap(t('item.say'));
};

test('a remark is answered: what it answers stands by the field and above the answer', async () => {
  const { w, said } = house();
  inHouse(w, 'Tapio', <ItemSheet />);
  choose(more('Which valve is it?'), t('remark.answer'));
  await screen.findByText(t('remark.answering', { name: 'Leila', text: 'Which valve is it?' }));
  expect(document.activeElement).toBe(screen.getByLabelText(t('item.saySomething')));
  send('The left one');
  expect(said().find(({ text }) => text === 'The left one')).toMatchObject({ answersId: said()[0]!.id });
  expect(screen.getByText(t('remark.answers', { name: 'Leila', text: 'Which valve is it?' }))).toBeTruthy();
  // answered once, the next remark answers nothing
  expect(screen.queryByText(t('remark.answering', { name: 'Leila', text: 'Which valve is it?' }))).toBeNull();
});

test('names are offered after @; who can’t see it is marked, and said before it is sent', () => {
  const { w, said } = house();
  inHouse(w, 'Aino', <ItemSheet />);
  type(t('item.saySomething'), 'Ask @');
  const names = within(screen.getByRole('group', { name: t('remark.names') }));
  expect(names.getAllByRole('button').map(({ textContent }) => textContent)).toEqual(['Leila', 'Tapio']);
  type(t('item.saySomething'), 'Ask @P');
  expect(names.getAllByRole('button').map(({ textContent }) => textContent)).toEqual([t('remark.cannotSee', { name: 'Petri' })]);
  type(t('item.saySomething'), 'Ask @t');
  tap('Tapio');
  expect(screen.getByLabelText<HTMLInputElement>(t('item.saySomething')).value).toBe('Ask @Tapio ');
  expect(screen.queryByRole('group', { name: t('remark.names') })).toBeNull();
  type(t('item.saySomething'), 'Ask @Tapio or @Petri');
  expect(screen.getByText(t('remark.unseen', { names: 'Petri', count: 1 }))).toBeTruthy();
  // asked about first: nothing has been sent yet
  tap(t('item.say'));
  expect(said()).toHaveLength(1);
  tap(t('remark.sendWithout', { names: 'Petri' }));
  expect(said().at(-1)).toMatchObject({ text: 'Ask @Tapio or @Petri', mentions: [w.person('Tapio')] });
  expect(w.told('Petri')).toEqual([]);
  expect(w.told('Tapio')).toEqual(['mentioned']);
});

test('let in with the remark, they see the item and reply; it is said there, and ended there', () => {
  const { w, boiler, said } = house();
  const aino = inHouse(w, 'Aino', <ItemSheet />);
  send('@Petri which valve is it?');
  tap(t('remark.letInAndSend', { names: 'Petri' }));
  expect(w.told('Petri')).toEqual(['mentioned']);
  expect(screen.getByText(t('guest.here', { name: 'Petri', giver: 'Aino' }))).toBeTruthy();
  aino.unmount();
  const petri = inHouse(w, 'Petri', <ItemSheet />);
  expect(screen.getByText(t('guest.me', { giver: 'Aino' }))).toBeTruthy();
  send('The brass one');
  expect(said().at(-1)).toMatchObject({ text: 'The brass one', authorId: w.person('Petri') });
  petri.unmount();
  inHouse(w, 'Aino', <ItemSheet />);
  tap(t('guest.end', { name: 'Petri' }));
  expect(screen.queryByText(t('guest.here', { name: 'Petri', giver: 'Aino' }))).toBeNull();
  expect(w.refused('Petri', 'comment.say', { item: boiler, text: 'One more' }).code).toBe('not-allowed');
});

test('who can’t let anybody in asks the giver, who does it at the remark itself', () => {
  const { w } = house();
  const leila = inHouse(w, 'Leila', <ItemSheet />);
  send('@Petri which valve is it?');
  expect(screen.queryByRole('button', { name: t('remark.letInAndSend', { names: 'Petri' }) })).toBeNull();
  tap(t('remark.askAndSend', { giver: 'Aino' }));
  expect(w.told('Aino')).toContain('mentioned');
  leila.unmount();
  inHouse(w, 'Aino', <ItemSheet />);
  tap(t('remark.letIn', { name: 'Petri' }));
  expect(w.told('Petri')).toEqual(['mentioned']);
  expect(screen.queryByRole('button', { name: t('remark.letIn', { name: 'Petri' }) })).toBeNull();
});

test('whoever may only look is offered no field to write in', () => {
  const { w, boiler } = house();
  const list = w.row(boiler).listId!;
  w.must('Aino', 'list.share', { list, person: w.person('Petri'), access: 'view' });
  inHouse(w, 'Petri', <ItemSheet />);
  expect(screen.getByText('Which valve is it?')).toBeTruthy();
  expect(screen.queryByLabelText(t('item.saySomething'))).toBeNull();
});

test('one’s own remark is put right, which is said; others’ can’t be', async () => {
  const { w } = house();
  const first = inHouse(w, 'Leila', <ItemSheet />);
  choose(more('Which valve is it?'), t('remark.correct'));
  await screen.findByLabelText(t('remark.text'));
  type(t('remark.text'), 'Which of the valves is it?');
  // closed in the middle of it, it is there again
  first.unmount();
  const again = inHouse(w, 'Leila', <ItemSheet />);
  expect(screen.getByLabelText<HTMLInputElement>(t('remark.text')).value).toBe('Which of the valves is it?');
  tap(t('common.save'));
  expect(screen.getByText('Which of the valves is it?')).toBeTruthy();
  expect(screen.getByText(new RegExp(`· ${t('remark.corrected')}$`))).toBeTruthy();
  again.unmount();
  inHouse(w, 'Tapio', <ItemSheet />);
  choose(more('Which of the valves is it?'), t('remark.answer'));
  expect(screen.queryByRole('menuitem', { name: t('remark.correct') })).toBeNull();
});

test('taken back, only its writer still reads it; an answer says that what it answers is gone', async () => {
  const { w, said, boiler } = house();
  w.must('Tapio', 'comment.say', { item: boiler, text: 'The left one', answers: said()[0]!.id });
  const first = inHouse(w, 'Leila', <ItemSheet />);
  choose(more('Which valve is it?'), t('remark.takeBack'));
  await waitFor(() => expect(screen.getByText(new RegExp(t('remark.takenBack')))).toBeTruthy());
  first.unmount();
  inHouse(w, 'Tapio', <ItemSheet />);
  expect(screen.queryByText('Which valve is it?')).toBeNull();
  expect(screen.getByText(t('remark.answersGone'))).toBeTruthy();
});

test('a file comes with a remark, also one without words; what is too large is said there, and one can be left out again', () => {
  const { w, boiler, said } = house();
  inHouse(w, 'Leila', <ItemSheet />);
  const sized = (name: string, size: number) => Object.defineProperty(new File(['x'], name), 'size', { value: size });
  const input = document.querySelector(`input[aria-label="${t('files.toRemark')}"]`)!;
  const give = (...files: File[]) => fireEvent.change(input, { target: { files } });
  give(sized('film.mov', 30 * 1024 * 1024), sized('valve.jpg', 10), sized('manual.pdf', 20));
  expect(alerts()).toContain(t('files.tooLarge', { name: 'film.mov', size: '30 MB', max: '25 MB' }));
  tap(t('files.leaveOut', { name: 'manual.pdf' }));
  expect(alerts()).not.toContain('film.mov');
  tap(t('item.say'));
  const remark = said().find(({ text }) => text === 'valve.jpg')!;
  expect(w.rows.by('attachment', 'itemId', boiler)).toMatchObject([{ name: 'valve.jpg', commentId: remark.id }]);
  expect(screen.queryByRole('button', { name: t('files.leaveOut', { name: 'valve.jpg' }) })).toBeNull();
});
