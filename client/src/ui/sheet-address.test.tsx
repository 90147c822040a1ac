import { act, render, screen } from '@testing-library/react';
import { keepSheetAddress, useSheet, useSheetAt } from './sheet-address.ts';

/** Kotiva opened at an address: what it says is read once. */
function openAt(address: string): void {
  window.history.replaceState(null, '', address);
  keepSheetAddress();
}

function Page() {
  const [at, setAt] = useSheetAt<'share' | 'change'>('list');
  const [isInviting, setInviting] = useSheet('invite');
  return (
    <>
      <button onClick={() => setAt('share')}>share</button>
      <button onClick={() => setAt(null)}>close</button>
      <button onClick={() => setInviting(true)}>invite</button>
      <p>{[at, isInviting ? 'inviting' : null].filter(Boolean).join(' and ') || 'nothing'}</p>
    </>
  );
}

const says = () => document.querySelector('p')!.textContent;
const tap = (name: string) => act(() => screen.getByRole('button', { name }).click());
const address = () => window.location.pathname + window.location.search + window.location.hash;

test('what is open over the page stands at the end of the address, and goes with it', () => {
  openAt('/lists/1?narrow=2');
  render(<Page />);
  expect([says(), address()]).toEqual(['nothing', '/lists/1?narrow=2']);
  tap('share');
  tap('invite');
  expect(address()).toBe('/lists/1?narrow=2#list.share/invite.open');
  tap('close');
  expect([says(), address()]).toEqual(['inviting', '/lists/1?narrow=2#invite.open']);
});

test('an address opens what it says, once', () => {
  openAt('/lists/1#list.share/invite.open');
  const { unmount } = render(<Page />);
  expect(says()).toBe('share and inviting');
  tap('close');
  unmount();
  expect(address()).toBe('/lists/1');
  render(<Page />);
  expect(says()).toBe('nothing');
});

test('a link to what lies over the open page opens it, again after it was closed; going back and forth does not', () => {
  const navigation = Object.assign(new EventTarget(), { navigationType: '' });
  Object.assign(window, { navigation });
  const go = (address: string, navigationType: string) =>
    act(() => {
      window.history.pushState(null, '', address);
      navigation.dispatchEvent(Object.assign(new Event('currententrychange'), { navigationType }));
    });
  openAt('/lists/1');
  render(<Page />);
  for (let times = 0; times < 2; times += 1) {
    go('/lists/1#list.share', 'push');
    expect([says(), address()]).toEqual(['share', '/lists/1#list.share']);
    tap('close');
    expect([says(), address()]).toEqual(['nothing', '/lists/1']);
  }
  go('/lists/1#list.share', 'traverse');
  expect([says(), address()]).toEqual(['nothing', '/lists/1']);
  Reflect.deleteProperty(window, 'navigation');
});

test('on another page, and where it can’t be read, it opens nothing', () => {
  openAt('/lists/1#list.share');
  window.history.replaceState(null, '', '/lists/2');
  render(<Page />).unmount();
  expect(address()).toBe('/lists/2');
  openAt('/lists/1#%E0%A4%A');
  render(<Page />);
  expect(says()).toBe('nothing');
});
