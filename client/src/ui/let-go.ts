/**
 * What was picked up by a key is put back once the hand turns to something else: else the row hangs over the others, and the next arrow
 * key moves it. Called as a drag begins. The library has no way to end a drag from outside but those it listens for itself.
 */
export function putBackWhenLeft(begunBy: Event): void {
  if (!(begunBy instanceof KeyboardEvent)) return;
  const held = document.activeElement;
  held?.addEventListener('focusout', () => window.dispatchEvent(new Event('resize')), { once: true });
}
