import { flushSync } from 'react-dom';

const GLIDE_MS = 220;
/** What stands one below the other on a page. */
const STANDING = '[role=main] .row, [role=main] .group-head';

const isCalm = (): boolean => window.matchMedia('(prefers-reduced-motion: reduce)').matches;
const isInSight = ({ top, bottom }: DOMRect): boolean => bottom > 0 && top < window.innerHeight;

/**
 * Where a change takes something from the page, what stood below it glides up to its place. Meanwhile the page takes no tap: a finger that
 * was already coming down meant what had stood there.
 */
export function gliding(change: () => void): void {
  const before = [...document.querySelectorAll<HTMLElement>(STANDING)].map((one) => ({ one, was: one.getBoundingClientRect() }));
  flushSync(change);
  const below = before.filter(({ one }, nth) => one.isConnected && before[nth - 1]?.one.isConnected === false);
  if (below.length === 0) return;
  const page = document.querySelector('[role=main]');
  page?.classList.add('glides');
  setTimeout(() => page?.classList.remove('glides'), GLIDE_MS);
  for (const { one, was } of below) glide(one, was);
}

/** All below it moves along. One after the other: what glides above it already holds part of its way. */
function glide(one: HTMLElement, was: DOMRect): void {
  const is = one.getBoundingClientRect();
  const way = was.top - is.top;
  if (way <= 0 || was.left !== is.left || !isInSight(is) || isCalm()) return;
  one.animate([{ marginTop: `${way}px` }, { marginTop: 0 }], { duration: GLIDE_MS, easing: 'ease-out' });
}
