import { screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { PersonSheet } from './person-sheet.tsx';
import { t } from '@/words';

test('somebody without an account, half filled in, is there again; added, the next begins anew', () => {
  localStorage.clear();
  const w = new World();
  const sheet = () => inHouse(w, 'Aino', <PersonSheet personId={null} onClose={() => undefined} onEnd={() => undefined} />);
  const name = () => screen.getByLabelText<HTMLInputElement>(t('account.name')).value;
  const first = sheet();
  type(t('account.name'), 'Kaisa');
  first.unmount();
  const second = sheet();
  expect(name()).toBe('Kaisa');
  tap(/^Add/);
  second.unmount();
  expect(w.rows.all('person').find((person) => person.name === 'Kaisa')).toMatchObject({ mark: 'Ka', role: 'outside' });
  sheet();
  expect(name()).toBe('');
});
