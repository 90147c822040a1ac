/** Pixels a frame: as fast as a thumb flings. */
const STEP = 120;
/** Milliseconds at most: what is longer is not scrolled to its end. */
const MOST_MS = 10_000;

/** In the page, as text so that nothing is added to it: scrolls what holds `first` to its end by the frame. Gives frames a second. */
export const scrollThrough = (first: string): string => `(async () => {
  let holder = document.querySelector(${JSON.stringify(first)});
  while (holder.scrollHeight <= holder.clientHeight || getComputedStyle(holder).overflowY === 'visible') holder = holder.parentElement;
  const next = () => new Promise((resume) => requestAnimationFrame(resume));
  await next();
  const from = performance.now();
  let frames = 0;
  while (holder.scrollTop + holder.clientHeight < holder.scrollHeight - 1 && performance.now() - from < ${MOST_MS}) {
    holder.scrollTop += ${STEP};
    await next();
    frames += 1;
  }
  return (frames * 1000) / (performance.now() - from);
})()`;
