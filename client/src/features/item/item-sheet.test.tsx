import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { alerts, choose, enter, tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { carry } from '@/testing/router.ts';
import { ItemSheet } from './item-sheet.tsx';
import { t } from '@/words';

/** A Tuesday, noon: Aino handed the jackets to Leila and Tapio, who each count theirs. */
function house() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Tapio', 'member');
  w.join('Noor', 'helper');
  const list = w.list('Aino', 'Boathouse', [
    ['Leila', 'check'],
    ['Tapio', 'edit'],
    ['Noor', 'view'],
  ]);
  const jackets = w.item('Aino', 'Count the jackets', { list, due: '2026-11-27' });
  const handed = () =>
    w.must('Aino', 'part.handOver', {
      items: [jackets],
      persons: ['Leila', 'Tapio'].map((name) => w.person(name)),
      policy: 'each',
      message: 'For the insurance',
    });
  return { w, list, jackets, handed };
}
const open = (w: World, who: string, item: string) => {
  carry({ item });
  return inHouse(w, who, <ItemSheet />);
};
afterEach(() => carry({}));

test('the item is a sentence; a day in words becomes its deadline, one that is none says so and stays', () => {
  const { w, jackets } = house();
  const { said } = open(w, 'Aino', jackets);
  tap(/Change the deadline/);
  type(t('due.words'), 'the day after the flood');
  enter(t('due.words'));
  expect(alerts()).toEqual(['We couldn’t read that as a date. Choose one below, or write it like 4 Dec.']);
  expect(screen.getByLabelText<HTMLInputElement>(t('due.words')).value).toBe('the day after the flood');
  type(t('due.words'), 'next Monday 17:00');
  // what it is read as shows while one types, and Enter is what the button does
  expect(screen.getAllByText(/30 Nov.* 17:00/).length).toBeGreaterThan(0);
  enter(t('due.words'));
  expect(w.row(jackets).due).toBe('2026-11-30T17:00');
  expect(said()).toContain('17:00');
});

test('minutes that are no number are said beside their field, and nothing is set', () => {
  const { w, jackets } = house();
  open(w, 'Aino', jackets);
  tap(t('sentence.addLabel'));
  tap(t('slot.length'));
  for (const wrong of ['a while', '0', '-5', '1.5']) {
    type(t('effort.other'), wrong);
    tap(t('due.set'));
    expect(alerts()).toEqual(['Enter the minutes as a number, such as 20.']);
    expect(w.row(jackets).effort).toBeNull();
  }
  type(t('effort.other'), '20');
  tap(t('due.set'));
  expect(w.row(jackets).effort).toBe(20);
});

test('a title made empty keeps the old one and says why', () => {
  const { w, jackets } = house();
  open(w, 'Aino', jackets);
  fireEvent.click(screen.getByRole('heading', { level: 1 }).firstElementChild!);
  type(t('item.title'), '  ');
  enter(t('item.title'));
  expect(alerts()).toHaveLength(1);
  expect(w.row(jackets).title).toBe('Count the jackets');
  type(t('item.title'), 'Count the life jackets');
  enter(t('item.title'));
  expect(w.row(jackets).title).toBe('Count the life jackets');
});

test('tags are put on by tap and by name, each once', () => {
  const { w, list, jackets } = house();
  w.item('Aino', 'Something else', { list, tags: ['boats'] });
  open(w, 'Aino', jackets);
  tap(t('sentence.addLabel'));
  tap(t('sentence.panel.tags'));
  tap('#boats', 'checkbox');
  type(t('tags.new'), 'Boats, safety #insurance');
  tap(t('common.save'));
  const names = w.row(jackets).tagIds.map((id) => w.rows.all('tag').find((tag) => tag.id === id)!.name);
  expect(names).toEqual(['boats', 'safety', 'insurance']);
});

test('who may only look taps nothing but what is their own', () => {
  const { w, jackets } = house();
  open(w, 'Noor', jackets);
  expect(screen.queryByRole('button', { name: /Change the deadline/ })).toBeNull();
  expect(screen.queryByRole('button', { name: t('hand.over') })).toBeNull();
  expect(screen.queryByLabelText(t('item.addStep'))).toBeNull();
  tap(t('sentence.addLabel'));
  expect(
    within(screen.getByRole('group', { name: t('sentence.addLabel') }))
      .getAllByRole('button')
      .map((one) => one.textContent),
  ).toEqual(['Book time']);
  expect(screen.getByRole('button', { name: t('sentence.panel.reminders') })).toBeTruthy();
});

test('an item that is gone says so instead of an empty sheet', () => {
  const { w } = house();
  open(w, 'Aino', '0190a000-0000-7000-8000-00000000ffff');
  expect(screen.getByText(t('item.goneWhy'))).toBeTruthy();
});

test('what else was told of it stays unread, and is read from its sheet with one tap', () => {
  const { w, jackets, handed } = house();
  handed();
  w.must('Aino', 'item.setDue', { item: jackets, due: '2026-11-30' });
  w.must('Aino', 'comment.say', { item: jackets, text: 'The small ones too' });
  open(w, 'Leila', jackets);
  const unread = () =>
    w.rows
      .by('notice', 'personId', w.person('Leila'))
      .filter(({ readAt }) => readAt === null)
      .map(({ kind }) => kind);
  expect(unread().sort()).toEqual(['changed', 'comment']);
  tap('Read: 2 notifications about this');
  expect(unread()).toEqual([]);
});

test('opening it is seeing it, for oneself alone; taking it is one tap', () => {
  const { w, jackets, handed } = house();
  handed();
  open(w, 'Leila', jackets);
  expect(w.part(jackets, 'Leila').seenAt).toBe(w.now);
  expect(w.part(jackets, 'Tapio').seenAt).toBeNull();
  // what only asked to be looked at is read
  expect(w.rows.by('notice', 'personId', w.person('Leila')).map(({ kind, readAt }) => [kind, readAt !== null])).toEqual([['handed', true]]);
  expect(screen.getByText(/^From Aino, .*: “For the insurance”$/)).toBeTruthy();
  tap(t('answer.take'));
  expect(w.part(jackets, 'Leila').standing).toBe('accepted');
});

test('asking back needs words; they are kept until they can be sent', () => {
  const { w, jackets, handed } = house();
  handed();
  open(w, 'Leila', jackets);
  tap(t('answer.askBack'));
  tap(t('answer.askBack'));
  expect(alerts()).toEqual(['Write a few words first.']);
  type('What do you want to know from Aino?', 'The small ones too?');
  tap(t('answer.askBack'));
  expect(w.part(jackets, 'Leila').standing).toBe('tentative');
  expect(screen.getByText('“The small ones too?”')).toBeTruthy();
});

test('who can’t says why; whoever gave it passes it on from there', () => {
  const { w, jackets, handed } = house();
  handed();
  const leila = open(w, 'Leila', jackets);
  tap(t('answer.cant'));
  type('Why not? Only Aino will see this.', 'My back');
  tap(t('answer.cant'));
  expect(w.part(jackets, 'Leila').standing).toBe('declined');
  leila.unmount();
  open(w, 'Aino', jackets);
  expect(screen.getByText('“My back”')).toBeTruthy();
  tap(t('part.passOn'));
  tap(t('part.passOn'));
  expect(alerts()).toEqual(['Choose who it goes to.']);
  tap(/Noor/, 'checkbox');
  fireEvent.click(screen.getAllByRole('button', { name: t('part.passOn') }).at(-1)!);
  expect(w.part(jackets, 'Leila').passedTo).toBe(w.person('Noor'));
  expect(w.part(jackets, 'Noor').standing).toBe('needs-action');
});

test('how far it is, is told to who gave it; the last part done asks to be tied off where that was wanted', () => {
  const { w, jackets } = house();
  w.must('Aino', 'part.handOver', { items: [jackets], persons: [w.person('Leila')], confirm: true });
  w.must('Leila', 'part.accept', { item: jackets });
  const leila = open(w, 'Leila', jackets);
  tap(t('answer.howFar'));
  type(t('answer.percentTyped'), '60');
  tap(t('answer.percentSay'));
  expect(w.part(jackets, 'Leila').percent).toBe(60);
  fireEvent.click(screen.getByRole('checkbox', { name: 'Check off “Count the jackets”' }));
  leila.unmount();
  const { said } = open(w, 'Aino', jackets);
  tap(t('part.sendBack'));
  tap(t('part.sendBack'));
  expect(alerts()).toEqual(['Write a few words first.']);
  type('What’s still missing? Leila will see this.', 'The whistles');
  tap(t('part.sendBack'));
  expect(w.part(jackets, 'Leila').standing).not.toBe('completed');
  expect(said()).toContain('Leila');
});

test('handed to nobody is said; to two, each or whoever comes first, by a day, with a word', () => {
  const { w, jackets } = house();
  open(w, 'Aino', jackets);
  tap(t('hand.over'));
  tap(t('hand.over'));
  expect(alerts()).toEqual(['Choose who it goes to.']);
  tap(/Leila/, 'checkbox');
  expect(screen.queryByRole('radiogroup', { name: t('sentence.panel.policy') })).toBeNull();
  tap(/Tapio/, 'checkbox');
  tap(t('policy.any'), 'radio');
  type(t('nudge.words'), 'Before the inspection');
  // a deadline nobody understands is not left out in silence
  type(t('due.words'), 'one fine day');
  tap(t('hand.over'));
  expect(screen.getByText(t('due.notUnderstood'))).toBeTruthy();
  expect(w.parts(jackets).some(({ personId }) => personId === w.person('Tapio'))).toBe(false);
  type(t('due.words'), '');
  tap(t('hand.over'));
  expect(w.row(jackets).policy).toBe('any');
  expect(w.part(jackets, 'Tapio').message).toBe('Before the inspection');
});

test('somebody who can’t open the list is asked about before anything is handed over', () => {
  const { w } = house();
  const own = w.list('Aino', 'Accounts');
  const bill = w.item('Aino', 'Pay the sweep', { list: own });
  open(w, 'Aino', bill);
  tap(t('hand.over'));
  tap(/Leila/, 'checkbox');
  expect(screen.getByText(t('hand.seesOnlyThis'))).toBeTruthy();
  tap(t('hand.over'));
  expect(alerts()).toEqual(['First choose what they should see.']);
  expect(w.parts(bill).filter(({ personId }) => personId !== null)).toEqual([]);
  tap('All of Accounts, so they can check things off', 'radio');
  tap(t('hand.over'));
  expect(w.part(bill, 'Leila').standing).toBe('needs-action');
  expect(w.rows.by('share', 'listId', own).map(({ personId, access }) => [personId, access])).toEqual([[w.person('Leila'), 'check']]);
});

test('it waits for somebody, and stops waiting when that has come', () => {
  const { w, jackets } = house();
  open(w, 'Aino', jackets);
  tap(t('sentence.addLabel'));
  tap(t('sentence.panel.waiting'));
  tap(t('wait.mark'));
  expect(alerts()).toHaveLength(1);
  type(t('wait.what'), 'the new rack');
  tap('Tapio', 'radio');
  tap(t('wait.mark'));
  expect(screen.getByText('Waiting for the new rack, from Tapio')).toBeTruthy();
  tap(t('wait.end'));
  expect(screen.queryByText('Waiting for the new rack, from Tapio')).toBeNull();
});

test('steps are added one after the other, and counted', () => {
  const { w, jackets } = house();
  open(w, 'Aino', jackets);
  for (const step of ['Small', 'Large', ' ']) {
    type(t('item.addStep'), step);
    enter(t('item.addStep'));
  }
  expect(w.rows.by('item', 'parentId', jackets).map(({ title }) => title)).toEqual(['Small', 'Large']);
  fireEvent.click(screen.getByRole('checkbox', { name: 'Check off “Small”' }));
  expect(screen.getByText('1 of 2')).toBeTruthy();
});

test('how far it is can be any whole number; what is none is said beside it', () => {
  const { w, jackets, handed } = house();
  handed();
  w.must('Leila', 'part.accept', { item: jackets });
  open(w, 'Leila', jackets);
  tap(t('answer.howFar'));
  type(t('answer.percentTyped'), 'roughly half');
  tap(t('answer.percentSay'));
  expect(alerts()).toEqual([t('answer.percentNumber')]);
  type(t('answer.percentTyped'), '250');
  tap(t('answer.percentSay'));
  expect(alerts()).toEqual([t('answer.percentMore', { percent: 250 })]);
  type(t('answer.percentTyped'), '37%');
  expect(screen.getByRole<HTMLInputElement>('slider', { name: t('answer.howFar') }).value).toBe('37');
  tap(t('answer.percentSay'));
  expect(w.part(jackets, 'Leila').percent).toBe(37);
  tap(t('answer.howFar'));
  fireEvent.change(screen.getByRole('slider', { name: t('answer.howFar') }), { target: { value: '100' } });
  expect(screen.getByLabelText<HTMLInputElement>(t('answer.percentTyped')).value).toBe('100');
  tap(t('answer.percentSay'));
  expect(w.part(jackets, 'Leila').standing).toBe('completed');
});

test('of another’s pile it says from whom it is, of one’s own that it is one’s own', () => {
  const { w } = house();
  const towels = w.item('Aino', 'Count the towels', { persons: [w.person('Leila')] });
  const shown = open(w, 'Leila', towels);
  expect(screen.queryByText(t('item.ownPile'))).toBeNull();
  expect(screen.getByText('from Aino')).toBeTruthy();
  shown.unmount();
  open(w, 'Aino', towels);
  expect(screen.getByText(t('item.ownPile'))).toBeTruthy();
});

describe('something added to one of a chore', () => {
  function fire() {
    const { w, list } = house();
    w.must('Aino', 'chore.make', { title: 'Light the fire', list, rrule: 'FREQ=DAILY', dtstart: '2026-11-24' });
    const item = w.rows.all('item').find(({ seriesId }) => seriesId !== null)!.id;
    const steps = () => w.rows.all('series')[0]!.steps;
    return { w, item, steps };
  }
  const addStep = (title: string) => {
    type(t('item.addStep'), title);
    enter(t('item.addStep'));
  };

  test('asks whether it comes with it from now on', () => {
    const { w, item, steps } = fire();
    open(w, 'Aino', item);
    addStep('Open the damper');
    expect(screen.getByText('You added the step “Open the damper” to this one. Add it to every “Light the fire” from now on?')).toBeTruthy();
    tap(t('fromNowOn.keep'));
    expect(steps()).toEqual(['Open the damper']);
    expect(screen.queryByRole('button', { name: t('fromNowOn.keep') })).toBeNull();
  });

  test('or only to this one; then it is not asked again', () => {
    const { w, item, steps } = fire();
    open(w, 'Aino', item);
    addStep('Open the damper');
    tap(t('calendar.onlyThis'));
    expect(steps()).toEqual([]);
    expect(screen.queryByRole('button', { name: t('fromNowOn.keep') })).toBeNull();
  });

  test('a file too: offered once it is there, and ended in its menu', async () => {
    const { w, item } = fire();
    w.must('Aino', 'attachment.link', { item, url: 'https://example.org/stove', name: 'The stove' });
    open(w, 'Aino', item);
    // known since before: in its menu
    choose(t('files.more', { name: 'The stove' }), t('files.goesAlong'));
    await waitFor(() => expect(w.rows.all('series')[0]!.fileIds).toHaveLength(1));
    choose(t('files.more', { name: 'The stove' }), t('files.stays'));
    await waitFor(() => expect(w.rows.all('series')[0]!.fileIds).toEqual([]));
    tap(t('files.addLink'));
    type(t('files.link'), 'example.org/damper');
    tap(t('files.addThat'));
    expect(screen.getByText(t('fromNowOn.asks', { what: t('fromNowOn.file', { name: 'example.org' }), title: 'Light the fire' }))).toBeTruthy();
    tap(t('fromNowOn.keep'));
    expect(w.rows.all('series')[0]!.fileIds).toHaveLength(1);
  });

  test('nobody who may not change the chore is asked', () => {
    const { w, item } = fire();
    w.item('Tapio', 'Open the damper', { parent: item });
    open(w, 'Leila', item);
    expect(screen.queryByRole('button', { name: t('fromNowOn.keep') })).toBeNull();
  });
});

test('the giver sees the day that came with it, and sets another', async () => {
  const { w, list } = house();
  const rake = w.item('Aino', 'Rake the leaves', { list, persons: [w.person('Tapio')], plan: '2026-11-27T16:00' });
  open(w, 'Aino', rake);
  expect(screen.getByText(/planned for Friday 16:00/)).toBeTruthy();
  choose('More on Tapio’s part', 'Set a day for Tapio');
  await screen.findByLabelText(t('due.words'));
  type(t('due.words'), 'Monday');
  enter(t('due.words'));
  expect(w.part(rake, 'Tapio').plan).toBe('2026-11-30');
});

test('a reminder set for somebody else stands in the sentence of both', () => {
  const { w, list } = house();
  const rake = w.item('Aino', 'Rake the leaves', { list, due: '2026-11-27', persons: [w.person('Tapio')] });
  w.must('Aino', 'alarm.set', { item: rake, person: w.person('Tapio'), trigger: { kind: 'relative', to: 'due', offset: '-P1D' } });
  open(w, 'Aino', rake);
  expect(screen.getByText(/1 day before, for Tapio/)).toBeTruthy();
});

test('removing says how many steps go along, at any depth', async () => {
  const { w, jackets } = house();
  const small = w.item('Aino', 'Small sizes', { parent: jackets });
  w.item('Aino', 'Whistles', { parent: small });
  const { said } = open(w, 'Aino', jackets);
  choose(t('item.more'), 'Remove');
  await waitFor(() => expect(said()).toBe('Removed “Count the jackets” with its 2 steps.'));
});

test('one’s own part is tied beside the title; the hand-over button steps aside while something is being set', () => {
  const { w, jackets, handed } = house();
  handed();
  const { unmount } = open(w, 'Leila', jackets);
  expect(screen.queryByRole('button', { name: t('hand.over') })).toBeNull();
  tap('Check off “Count the jackets”', 'checkbox');
  expect(w.part(jackets, 'Leila').standing).toBe('completed');
  unmount();
  open(w, 'Aino', jackets);
  expect(screen.getByRole('button', { name: t('hand.over') })).toBeTruthy();
  tap(/Change the deadline/);
  expect(screen.queryByRole('button', { name: t('hand.over') })).toBeNull();
  tap(t('common.cancel'));
  expect(screen.getByRole('button', { name: t('hand.over') })).toBeTruthy();
});
