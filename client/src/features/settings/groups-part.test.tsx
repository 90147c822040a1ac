import { screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { t } from '@/words';
import { GroupsPart } from './groups-part.tsx';

test('a manager makes a group, sees what is missing beside it, and members only read it', () => {
  const w = new World();
  for (const name of ['Tapio', 'Eetu']) w.join(name, 'member');
  w.must('Aino', 'group.make', { name: 'Drivers', persons: [w.person('Tapio')] } as never);
  const aino = inHouse(w, 'Aino', <GroupsPart />);
  tap(t('groups.make'));
  type(t('groups.name'), 'drivers');
  tap('Eetu', 'checkbox');
  tap(t('common.save'));
  expect(screen.getByText(t('reason.name-taken', { name: 'Drivers' }))).toBeTruthy();
  type(t('groups.name'), 'Cooks');
  tap(t('common.save'));
  expect(w.rows.all('peopleGroup').map(({ name }) => name).sort()).toEqual(['Cooks', 'Drivers']); // prettier-ignore
  aino.unmount();
  inHouse(w, 'Tapio', <GroupsPart />);
  expect(screen.getByText('Cooks')).toBeTruthy();
  expect(screen.queryByRole('button', { name: t('groups.make') })).toBeNull();
});
