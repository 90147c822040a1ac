import { fireEvent, screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { t } from '@/words';
import { DuePanel } from './due-panel.tsx';

test('words that are no day are not thrown away by Set: it says so, and they stay', () => {
  const saved: (string | null)[] = [];
  inHouse(new World(), 'Aino', <DuePanel of="x" due="2026-11-27" onSave={(due) => saved.push(due)} onClose={() => undefined} />);
  type(t('due.words'), 'zqktbtkcdx');
  tap(t('due.set'));
  expect(saved).toEqual([]);
  expect(screen.getByText(t('due.notUnderstood'))).toBeTruthy();
  expect((screen.getByLabelText(t('due.words')) as HTMLInputElement).value).toBe('zqktbtkcdx');
  // an hour by itself names no day
  fireEvent.change(screen.getByLabelText(t('due.hour')), { target: { value: '10:30' } });
  tap(t('due.set'));
  expect(saved).toEqual([]);
  // a day that is chosen is set all the same
  tap(new RegExp(`^${t('date.tomorrow')}`, 'i'), 'radio');
  tap(t('due.set'));
  expect(saved).toEqual(['2026-11-25T10:30']);
});
