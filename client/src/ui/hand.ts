/** ms: a mouse that moved so lately is on its way to something. */
const MOVED = 400;

let isPointing = false;
let isDown = false;
/** ms, the page’s own clock. */
let movedAt = 0;
let waiting: { timer: ReturnType<typeof setTimeout>; then: () => void } | null = null;

/** Whether the hand is at a finger or a mouse, and not on the keys. */
export const isByPointer = (): boolean => isPointing;

/** Does it so many milliseconds later, when nothing is held down and no mouse moves; at once when a key is pressed. What waited before it is done with it. */
export function onceStill(ms: number, then: () => void): void {
  if (waiting) clearTimeout(waiting.timer);
  waiting = { then, timer: setTimeout(look, ms) };
}

function look(): void {
  const movesOn = performance.now() - movedAt < MOVED;
  if (waiting && (isDown || movesOn)) waiting.timer = setTimeout(look, MOVED);
  else act();
}

function act(): void {
  if (!waiting) return;
  const { timer, then } = waiting;
  clearTimeout(timer);
  waiting = null;
  then();
}

/** ms: a tap that has not come so long after the finger went up does not come. */
const NO_TAP = 80;

/**
 * Does it at once, or where a finger is just going down on something else, as one leaves a field, once that tap has been taken: what it
 * puts in between would move the very thing from under the finger.
 */
export function afterTap(then: () => void): void {
  if (!isDown) return then();
  const over = new AbortController();
  const done = () => {
    over.abort();
    then();
  };
  const on = { once: true, signal: over.signal };
  // the tap itself is heard first, further in
  window.addEventListener('click', () => setTimeout(done, 0), on);
  for (const name of ['pointerup', 'pointercancel']) window.addEventListener(name, () => setTimeout(() => over.signal.aborted || done(), NO_TAP), on);
}

/** Knows from then on what the hand does. */
export function followHand(): void {
  const on = { capture: true, passive: true };
  window.addEventListener('pointerdown', () => void (isPointing = isDown = true), on);
  window.addEventListener('pointermove', ({ pointerType }) => void (movedAt = pointerType === 'mouse' ? performance.now() : movedAt), on);
  for (const name of ['pointerup', 'pointercancel']) window.addEventListener(name, () => void (isDown = false), on);
  window.addEventListener(
    'keydown',
    () => {
      isPointing = isDown = false;
      act();
    },
    on,
  );
}
