import { World } from '@kotiva/core/testing/world';
import { screen, waitFor, within } from '@testing-library/react';
import { choose, tap, type } from '@/testing/hands.ts';
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
  tap(t('item.say'));
  expect(said().at(-1)).toMatchObject({ text: 'Ask @Tapio or @Petri', mentions: [w.person('Tapio')] });
  expect(w.told('Petri')).toEqual([]);
  expect(w.told('Tapio')).toEqual(['mentioned']);
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
