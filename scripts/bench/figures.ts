/** Measuring, and the table of what was measured. */

interface Figure {
  name: string;
  measured: string;
  target: string;
  met: boolean;
}
export const figures: Figure[] = [];

export function note(name: string, value: number, limit: number, unit: string, digits = 0): void {
  figures.push({ name, measured: `${value.toFixed(digits)} ${unit}`, target: `under ${limit} ${unit}`, met: value < limit });
  console.log(`${name}: ${value.toFixed(digits)} ${unit} (under ${limit})`);
}

export const median = (list: number[]): number => list.toSorted((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0;
export const p95 = (list: number[]): number => list.toSorted((a, b) => a - b)[Math.ceil(list.length * 0.95) - 1] ?? 0;

/** Median of five after one warm-up. */
export async function five(run: () => Promise<number>): Promise<number> {
  await run();
  const list: number[] = [];
  for (let i = 0; i < 5; i += 1) list.push(await run());
  return median(list);
}

export async function timed(work: () => unknown): Promise<number> {
  const from = performance.now();
  await work();
  return performance.now() - from;
}

export const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
