import { fireEvent, screen } from '@testing-library/react';

type Words = string | RegExp;

/** Taps what has a name. */
export const tap = (name: Words, role = 'button') => fireEvent.click(screen.getByRole(role, { name }));

/** Puts text into a field, in place of what is there. */
export const type = (label: Words, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

/** Opens a menu, and takes one of its entries; what that does shows when the menu has closed. */
export function choose(menu: Words, entry: Words): void {
  fireEvent.keyDown(screen.getByRole('button', { name: menu }), { key: 'Enter' });
  tap(entry, 'menuitem');
}

export const enter = (label: Words) => fireEvent.keyDown(screen.getByLabelText(label), { key: 'Enter' });

/** The sentences that say what is wrong. */
export const alerts = () => screen.queryAllByRole('alert').map((one) => one.textContent);
