import { act } from 'react';

/** A screen that was drawn, and how all of it is read anew. */
export interface DrawnScreen {
  container: HTMLElement;
  readAnew: () => void;
}

const drawn: DrawnScreen[] = [];
export const watch = (screen: DrawnScreen): void => void drawn.push(screen);

/** What says something of the house; what else is asked for, of the browser or the server, may come at any time. */
const SAYING = '[data-row], [role=heading], [role=checkbox], [role=radio], [role=row], [role=img], [role=button], button';

const shown = (): string[] =>
  [...document.querySelectorAll(SAYING)].map((one) => [one.getAttribute('aria-label'), one.getAttribute('aria-checked'), one.textContent].join(' '));

// a part of a screen is drawn anew when what it read has changed; at the end of each test all of it is, and has to show the same
afterEach(() => {
  for (const { container, readAnew } of drawn.splice(0)) {
    if (!container.isConnected) continue;
    const before = shown();
    act(readAnew);
    expect(shown()).toEqual(before);
  }
});
