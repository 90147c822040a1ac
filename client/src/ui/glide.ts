import { flushSync } from 'react-dom';

const GLIDE_MS = 220;
/** What stands one below the other on a page. */
const STANDING = '[role=main] .row, [role=main] [aria-level="3"]';

const isInSight = ({ top, bottom }: DOMRect): boolean => bottom > 0 && top < window.innerHeight;

const isCalm = (): boolean => window.matchMedia('(prefers-reduced-motion: reduce)').matches;

/**
 * What a change leaves on the page glides to where it stands now, and takes no tap on the way: a finger that was already coming down
 * meant what had stood there.
 */
export function gliding(change: () => void): void {
  const before = new Map([...document.querySelectorAll<HTMLElement>(STANDING)].map((one) => [one, one.getBoundingClientRect()]));
  flushSync(change);
  for (const [one, was] of before) {
    if (!one.isConnected) continue;
    const is = one.getBoundingClientRect();
    const [x, y] = [was.left - is.left, was.top - is.top];
    if ((x === 0 && y === 0) || !(isInSight(was) || isInSight(is))) continue;
    one.classList.add('glides');
    setTimeout(() => one.classList.remove('glides'), GLIDE_MS);
    if (!isCalm()) one.animate([{ transform: `translate(${x}px, ${y}px)` }, { transform: 'none' }], { duration: GLIDE_MS, easing: 'ease-out' });
  }
}
