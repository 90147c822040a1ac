import { fireEvent, screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { alerts, enter, tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { t } from '@/words';
import { FieldsPanel } from './fields-panel.tsx';
import { FieldsSheet } from './screens.ts';

function house() {
  const w = new World();
  w.join('Petri', 'manager');
  const list = w.list('Aino', 'Pier', [['Petri', 'edit']]);
  const [planks, nails] = ['Planks', 'Nails'].map((title) => w.item('Aino', title, { list }));
  const field = (name: string) => w.rows.all('ownField').find((one) => one.name === name && one.removedAt === null);
  const sheet = () => inHouse(w, 'Aino', <FieldsSheet list={w.rows.find('list', list) as never} onClose={() => undefined} />);
  return { w, list, planks: planks!, nails: nails!, field, sheet };
}

test('a new field says beside its cause what is missing, and keeps what was typed', () => {
  const { w, list, field, sheet } = house();
  w.must('Aino', 'field.make', { list, name: 'Depth', kind: 'number' } as never);
  sheet();
  tap(t('fields.add'));
  tap(t('fields.kind.choice'), 'radio');
  type(t('fields.name'), 'depth');
  type(t('fields.choice', { count: 1 }), 'Larch');
  tap(t('common.save'));
  expect(screen.getByText(t('reason.name-taken', { name: 'Depth' }))).toBeTruthy();
  type(t('fields.name'), 'Wood');
  type(t('fields.choice', { count: 1 }), ' ');
  enter(t('fields.name'));
  expect(alerts()).toContain(t('reason.field-options-needed'));
  type(t('fields.choice', { count: 1 }), 'Larch');
  tap(t('common.save'));
  expect(field('Wood')).toMatchObject({ kind: 'choice', options: [{ name: 'Larch' }] });
});

test('what a change of kind or a removal would take out of sight is counted before', () => {
  const { w, list, planks, nails, field, sheet } = house();
  w.must('Aino', 'field.make', { list, name: 'Size', kind: 'text' } as never);
  for (const [item, value] of [[planks, '12'], [nails, 'large']] as const) w.must('Aino', 'item.setFields', { item, values: [{ field: field('Size')!.id, value }] }); // prettier-ignore
  sheet();
  tap(/^Size/);
  expect(screen.queryByText(t('fields.lost', { count: 1 }))).toBeNull();
  tap(t('fields.kind.number'), 'radio');
  expect(screen.getByText(t('fields.lost', { count: 1 }))).toBeTruthy();
  tap(t('fields.remove'));
  expect(screen.getByText(t('fields.removes', { count: 2 }))).toBeTruthy();
  tap(t('common.cancel'));
  expect(field('Size')).toBeTruthy();
  tap(t('fields.remove'));
  tap(t('fields.removeIt'));
  expect(field('Size')).toBeUndefined();
});

test('a form half filled in is there again when it is opened once more', () => {
  const { w, list, planks, field } = house();
  w.must('Aino', 'field.make', { list, name: 'Depth', kind: 'number', unit: 'm' } as never);
  w.must('Aino', 'field.make', { list, name: 'Ordered', kind: 'tick' } as never);
  const panel = <FieldsPanel item={w.row(planks)} onClose={() => undefined} />;
  const first = inHouse(w, 'Aino', panel);
  type('Depth (m)', '2,');
  first.unmount();
  inHouse(w, 'Aino', panel);
  expect((screen.getByLabelText('Depth (m)') as HTMLInputElement).value).toBe('2,');
  fireEvent.click(screen.getByRole('checkbox', { name: 'Ordered' }));
  tap(t('common.save'));
  expect(screen.getByText(t('reason.field-number'))).toBeTruthy();
  expect(w.rows.by('fieldValue', 'fieldId', field('Ordered')!.id)).toEqual([]);
  type('Depth (m)', '2,5');
  tap(t('common.save'));
  expect(w.rows.all('fieldValue').map(({ value }) => value).sort()).toEqual([2.5, true]); // prettier-ignore
});

test('what is being typed stays while its field is removed elsewhere, and is in it again when that comes back', () => {
  const { w, list, planks, field } = house();
  w.must('Aino', 'field.make', { list, name: 'Depth', kind: 'number' } as never);
  w.must('Aino', 'field.make', { list, name: 'Width', kind: 'number' } as never);
  const depth = field('Depth')!.id;
  const panel = <FieldsPanel item={w.row(planks)} onClose={() => undefined} />;
  const first = inHouse(w, 'Aino', panel);
  type('Depth', '7');
  first.unmount();
  w.must('Aino', 'field.change', { field: depth, removed: true } as never);
  const second = inHouse(w, 'Aino', panel);
  expect(screen.getByText(t('fields.typedGone', { words: 'Depth: 7' }))).toBeTruthy();
  type('Width', '3');
  tap(t('common.save'));
  second.unmount();
  w.must('Aino', 'field.change', { field: depth, removed: false } as never);
  inHouse(w, 'Aino', panel);
  expect((screen.getByLabelText('Depth') as HTMLInputElement).value).toBe('7');
});
