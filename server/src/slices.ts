/** Unbroken work of one thing before others have their turn, in milliseconds. */
const SLICE_MS = 15;

/** Lets whoever else waits have their turn. */
export const breathe = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

/** Does what a generator does, a slice at a time. Returns what it returns. */
export async function inSlices<T>(steps: Generator<void, T>): Promise<T> {
  let from = performance.now();
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    if (performance.now() - from < SLICE_MS) continue;
    await breathe();
    from = performance.now();
  }
}

/** Does it without a pause: where nobody else waits. */
export function atOnce<T>(steps: Generator<void, T>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
