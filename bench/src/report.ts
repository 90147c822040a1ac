/** One result a line: the figure, its baseline in the same run, and their ratio (value ÷ baseline). */
export function report(name: string, value: number, unit: string, baseline: number): void {
  console.log(JSON.stringify({ name, value: round(value), unit, baseline: round(baseline), ratio: round(value / baseline) }));
}

const round = (value: number): number => Number(value.toPrecision(4));

export function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!;
}

/** Milliseconds something takes. */
export async function timed(task: () => Promise<unknown>): Promise<number> {
  const from = performance.now();
  await task();
  return performance.now() - from;
}
