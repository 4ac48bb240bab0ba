import type { Bound } from './held.ts';

/** What each piece waits for: those whose results it takes, and those that only come first; a circle is broken where the text is told last. */
export interface Ordered {
  after: number[][];
  /** Pieces that each needed the other's outcome. */
  circle: number[];
}

/**
 * Order by data flow, without a circle.
 * @example orderOf(bound).after[2] // [0, 1]
 */
export function orderOf(bound: readonly Bound[]): Ordered {
  const after = bound.map((b) => [...new Set([...b.takes, ...b.after])]);
  const circle: number[] = [];
  const state = bound.map(() => 0);
  const visit = (n: number): void => {
    state[n] = 1;
    for (const before of [...after[n]!]) {
      if (state[before] === 1) {
        circle.push(before, n);
        after[n] = after[n]!.filter((x) => x !== before);
      } else if (state[before] === 0) visit(before);
    }
    state[n] = 2;
  };
  bound.forEach((_b, n) => {
    if (state[n] === 0) visit(n);
  });
  return { after: after.map((list) => [...list].sort((a, b) => a - b)), circle: [...new Set(circle)] };
}
