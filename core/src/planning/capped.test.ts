import { World } from '../testing/world.ts';
import { agendaOf } from './agenda.ts';
import { cappedDay } from './capped.ts';

const TODAY = '2026-11-24';

function day() {
  const w = new World();
  const list = w.list('Aino', 'House');
  const house = { zone: 'Europe/Helsinki', dayParts: { morning: '06:00', day: '10:00', evening: '17:00' } };
  for (const [nth, title] of ['One', 'Two', 'Three', 'Four'].entries()) w.item('Aino', title, { list, due: TODAY, importance: 3 - nth });
  w.item('Aino', 'Tomorrow', { list, due: '2026-11-25' });
  w.item('Aino', 'Friday', { list, due: '2026-11-27' });
  const done = (title: string) => w.must('Aino', 'part.checkOff', { item: w.rows.all('item').find((item) => item.title === title)!.id, person: null });
  const capped = (cap: number | null) => {
    const { shown, rest, next } = cappedDay(agendaOf({ personId: w.person('Aino'), now: w.now, house }, w.rows), cap, TODAY);
    return { shown: shown.map(({ item }) => item.title), rest: rest.map(({ item }) => item.title), next: next?.item.title ?? null };
  };
  return { w, capped, done };
}

test('without a cap all of today is shown', () => {
  expect(day().capped(null)).toEqual({ shown: ['One', 'Two', 'Three', 'Four'], rest: [], next: null });
});

test('what is beyond the cap waits folded, and the day gets shorter as one works', () => {
  const { capped, done } = day();
  expect(capped(2)).toEqual({ shown: ['One', 'Two'], rest: ['Three', 'Four'], next: null });
  done('One');
  expect(capped(2)).toEqual({ shown: ['Two'], rest: ['Three', 'Four'], next: null });
});

test('when they are done the next best of the rest is offered, then of what is ahead', () => {
  const { capped, done } = day();
  done('One');
  done('Two');
  expect(capped(2)).toEqual({ shown: [], rest: ['Four'], next: 'Three' });
  done('Three');
  done('Four');
  expect(capped(2)).toEqual({ shown: [], rest: [], next: 'Tomorrow' });
});

test('what was done without being for today uses up no room', () => {
  const { capped, done } = day();
  done('Friday');
  expect(capped(2).shown).toEqual(['One', 'Two']);
});

test('what was taken off today is not offered', () => {
  const { w, capped, done } = day();
  const two = w.rows.all('item').find((item) => item.title === 'Two')!.id;
  w.must('Aino', 'part.takeOff', { items: [two] });
  done('One');
  done('Three');
  done('Four');
  expect(capped(3)).toEqual({ shown: [], rest: [], next: 'Tomorrow' });
});
