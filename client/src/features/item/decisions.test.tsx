import { screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { tap } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { t } from '@/words';
import { IN_LISTS } from './decide.ts';
import { Decisions } from './decisions.tsx';

test('several are given to nobody at once: whoever had them learns of it, and one undo gives them back', () => {
  const w = new World();
  const [leila, petri] = [w.join('Leila', 'helper'), w.join('Petri', 'member')];
  const list = w.list('Aino', 'Boats');
  const [oars, sails, ropes] = ['Oars', 'Sails', 'Ropes'].map((title) => w.item('Aino', title, { list }));
  w.must('Aino', 'part.handOver', { items: [oars!], persons: [leila] });
  w.must('Aino', 'part.handOver', { items: [sails!], persons: [leila, petri], policy: 'each' });
  const holders = () => [oars, sails, ropes].map((id) => w.parts(id!).filter((part) => part.personId && !part.takenBackAt).length);
  const drawn = inHouse(w, 'Aino', <Decisions items={[oars!, sails!, ropes!]} only={IN_LISTS} />);
  tap(t('decide.nobody'));
  expect(holders()).toEqual([0, 0, 0]);
  expect(drawn.given).toEqual(['part.takeBack', 'part.takeBack']);
  expect(drawn.said()).toBe(t('decided.nobody', { what: t('decide.several', { count: 3 }) }));
  // again: there is nobody to take it from, and that is said
  tap(t('decide.nobody'));
  expect(drawn.given).toHaveLength(2);
  expect(screen.getByRole('button', { name: t('decide.nobody') })).toBeTruthy();
});
