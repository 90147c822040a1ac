import { fireEvent, screen } from '@testing-library/react';
import type { Tag } from '@kotiva/core';
import { idOf, World } from '@kotiva/core/testing/world';
import { BundleSheet } from '@/features/lists/bundle-sheet.tsx';
import { AwayForm } from '@/features/settings/away-form.tsx';
import { TagSheet } from '@/features/settings/tag-sheet.tsx';
import { enter, tap, type } from '@/testing/hands.ts';
import { draftsOf } from '@/store/drafts.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { ItemSheet } from '@/features/item/item-sheet.tsx';
import { WaitingPanel } from '@/features/item/waiting-panel.tsx';
import { WantedPanel } from '@/features/item/wanted-panel.tsx';
import { carry } from '@/testing/router.ts';
import { t } from '@/words';

/** A form left half made is there again as it was; saved, it begins anew. */

function house() {
  const w = new World();
  const list = w.list('Aino', 'Boathouse');
  const oars = w.item('Aino', 'Oars', { list, tags: ['boats', 'shore'] });
  carry({ item: oars });
  return { w, oars };
}
const nothing = () => undefined;
beforeEach(() => localStorage.clear());
afterEach(() => carry({}));

interface Form {
  draw: (w: World, oars: string) => React.ReactElement;
  label: string;
  words: string;
  save: () => void;
  /** What stands there when one begins. */
  begins?: string;
}
const sheet = () => <ItemSheet />;
const forms: Record<string, Form> = {
  'what it waiting for': {
    draw: (_, oars) => <WaitingPanel items={[oars]} onClose={nothing} />,
    label: 'What is it waiting for?',
    words: 'the varnish',
    save: () => tap(t('wait.mark')),
  },
  'what it asks for': {
    draw: (w, oars) => <WantedPanel item={w.row(oars)} onClose={nothing} />,
    label: 'What should they fill in?',
    words: 'Depth',
    save: () => tap(t('due.set')),
  },
  'a tag': {
    draw: (w) => <TagSheet tag={w.rows.all('tag').find(({ name }) => name === 'boats') as Tag} onClose={nothing} />,
    label: 'Tag name',
    words: 'boat',
    save: () => tap(t('common.save')),
    begins: 'boats',
  },
  'a bundle': { draw: () => <BundleSheet onClose={nothing} />, label: 'Folder name', words: 'Water', save: () => tap(t('bundle.makeIt')) },
  'a step': { draw: sheet, label: 'Add a step', words: 'Sand them', save: () => enter(t('item.addStep')) },
  'days away': {
    draw: (w) => <AwayForm person={w.rows.find('person', w.person('Aino')) as never} />,
    label: 'First day',
    words: '2026-12-10',
    save: () => tap(t('mail.add')),
  },
};

test.each(Object.entries(forms))('%s', (_, { draw, label, words, save, begins = '' }) => {
  const { w, oars } = house();
  const valueOf = () => screen.getByLabelText<HTMLInputElement>(label).value;
  const open = () => inHouse(w, 'Aino', draw(w, oars));
  const first = open();
  expect(valueOf()).toBe(begins);
  type(label, words);
  first.unmount();
  const second = open();
  expect(valueOf()).toBe(words);
  save();
  second.unmount();
  expect(draftsOf(idOf('account Aino'))).toBe(0);
});

test('a title being changed, closed in the middle of it, is there as it was typed', () => {
  const { w, oars } = house();
  const open = () => inHouse(w, 'Aino', <ItemSheet />);
  const first = open();
  fireEvent.click(screen.getAllByText('Oars').at(-1)!);
  type(t('item.title'), 'Oars, the long ones');
  first.unmount();
  open();
  enter(t('item.title'));
  expect(w.row(oars).title).toBe('Oars, the long ones');
  expect(screen.queryByLabelText(t('item.title'))).toBeNull();
});
