import type { Bound } from './held.ts';

/** What each piece waits for: those whose results it takes, and those that only come first; of a circle the one told later waits. */
export interface Ordered {
  after: number[][];
  /** Pieces that each needed the other's outcome. */
  circle: number[];
}

/**
 * What each of a list waits for, without a circle: of two that wait for each other, the one that comes later in the list waits.
 * @param waits for each, the places in the list of those it waits for
 * @example withoutCircles([[1], [0]]) // { after: [[], [0]], circle: [0, 1] }
 */
export function withoutCircles(waits: readonly (readonly number[])[]): Ordered {
  // whoever waits for what stands before it in the list can be in no circle
  const after = waits.map((list, n) => list.filter((before) => before < n));
  const circle: number[] = [];
  const reaches = (from: number, to: number, seen = new Set<number>()): boolean =>
    from === to || after[from]!.some((k) => !seen.has(k) && seen.add(k) && reaches(k, to, seen));
  waits.forEach((list, n) => {
    for (const before of list.filter((k) => k > n)) {
      if (reaches(before, n)) circle.push(n, before);
      else after[n] = [...after[n]!, before];
    }
  });
  return { after: after.map((list) => list.toSorted((a, b) => a - b)), circle: [...new Set(circle)] };
}

/**
 * Order by data flow, without a circle.
 * @example orderOf(bound).after[2] // [0, 1]
 */
export const orderOf = (bound: readonly Bound[]): Ordered => withoutCircles(bound.map((b) => [...new Set([...b.takes, ...b.after])]));
