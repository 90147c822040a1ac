import { layerChanges } from './layers.ts';

/** ms: within this the second of two taps was meant for what the first fell on. */
const WITHIN = 500;
/** px: a finger that taps twice doesn’t hit the same point. */
const NEAR = 32;
const TAPPED = 'button, a, input, [role=button], [role=link], [role=checkbox], [role=radio], [role=switch], [role=menuitem], [role=tab]';

interface Tap {
  /** ms, the page’s own clock. */
  at: number;
  x: number;
  y: number;
  /** How often a layer had come or gone before it. */
  changes: number;
  /** The knot, or the box of a row that stays once it is ticked, it fell on. */
  knot: Element | null;
  /** The row it fell in, or else what there was to tap; on which page. */
  on: Element | null;
  path: string;
}

/** What a tap ticks and a later one unticks. */
const TICKED = '.knot, .ticked-off';

const closest = ({ target }: Event, what: string): Element | null => (target instanceof Element ? target.closest(what) : null);

/** What it ticked would be unticked. */
const isOnKnotAgain = ({ knot }: Tap, event: Event): boolean => knot !== null && knot === closest(event, TICKED);

/** What lies where its row or its button was, which has left the page. */
const isWhereItWas = ({ on, path }: Tap): boolean => on !== null && !on.isConnected && path === window.location.pathname;

const isSecondOf = (first: Tap | null, event: PointerEvent): boolean =>
  first !== null &&
  event.timeStamp - first.at < WITHIN &&
  Math.abs(event.clientX - first.x) < NEAR &&
  Math.abs(event.clientY - first.y) < NEAR &&
  (layerChanges() !== first.changes || isOnKnotAgain(first, event) || isWhereItWas(first));

const begunBy = (event: Event) => ({
  changes: layerChanges(),
  knot: closest(event, TICKED),
  on: closest(event, '.row, .swipe-row') ?? closest(event, TAPPED),
  path: window.location.pathname,
});

function stop(event: Event): void {
  event.stopImmediatePropagation();
  if (event.cancelable) event.preventDefault();
}

/**
 * An impatient hand taps twice. If the first tap opened or closed a sheet, took its row away, or went on to the next part of a page, something
 * else now lies under the finger, which nobody meant; and what it ticked it would untick. The second tap goes nowhere.
 */
export function swallowSecondTaps(): void {
  let first: Tap | null = null;
  let isSwallowed = false;
  const follow = (event: Event): void => {
    // a click that comes of a key has no tap before it
    if (isSwallowed && (event as UIEvent).detail !== 0) stop(event);
  };
  const begin = (event: PointerEvent): void => {
    isSwallowed = isSecondOf(first, event);
    if (isSwallowed) stop(event);
    const { timeStamp: at, clientX: x, clientY: y } = event;
    // a third tap is the second’s second: what counts as changed is still what the first one did
    const { changes, knot, on, path } = isSwallowed ? first! : begunBy(event);
    first = { at, x, y, changes, knot, on, path };
  };
  // a key in between: what comes next is no second tap
  window.addEventListener('keydown', () => void (first = null), { capture: true });
  window.addEventListener('pointerdown', begin, { capture: true });
  for (const name of ['mousedown', 'mouseup', 'click', 'dblclick']) window.addEventListener(name, follow, { capture: true });
}
