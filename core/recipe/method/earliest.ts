import type { Step } from '#core/contract';
import { inSession } from './grow.ts';

/** A step at its earliest: when hands begin, when they are free, when it is done, in minutes from the first. */
export interface EarlyStep {
  step: Step;
  /** Its number among all steps of the recipe, from 0. */
  n: number;
  start: number;
  handsEnd: number;
  end: number;
  row: number;
}

/**
 * Steps of the session at their earliest, however many hands there are: what waits for what, and what may be done side by side, each in the row of
 * the step it follows where that is free.
 * @example earliest(revision.steps).at(-1)?.end // minutes from the first cut
 */
export function earliest(steps: readonly Step[]): EarlyStep[] {
  const list = inSession(steps).filter((s) => s.moment !== 'eve');
  const known = new Map(list.map((s) => [s.id, s]));
  const placed = new Map<string, EarlyStep>();
  const rows: number[] = [];
  const waiting = [...list];
  while (waiting.length > 0) {
    const ready = waiting.filter((s) => s.after.every((a) => placed.has(a) || !known.has(a)));
    // a circle is nobody's plan: what is left is laid down as it is told
    const startOf = (s: Step): number => Math.max(0, ...s.after.map((a) => placed.get(a)?.end ?? 0));
    const next = (ready.length > 0 ? ready : waiting).reduce((a, b) => (startOf(b) < startOf(a) ? b : a));
    waiting.splice(waiting.indexOf(next), 1);
    const start = startOf(next);
    const handsEnd = start + Math.max(1, next.handsOnMin);
    const end = handsEnd + next.waitMin;
    const followed = next.after
      .flatMap((a) => placed.get(a) ?? [])
      .toSorted((a, b) => b.end - a.end)
      .map((p) => p.row);
    const free = (row: number): boolean => (rows[row] ?? 0) <= start;
    const row = followed.find(free) ?? rows.findIndex((_r, r) => free(r) && !followed.includes(r));
    const at = row >= 0 && (followed.length > 0 ? followed.includes(row) || free(row) : free(row)) ? row : rows.length;
    rows[at] = end;
    placed.set(next.id, { step: next, n: steps.findIndex((s) => s.id === next.id), start, handsEnd, end, row: at });
  }
  return [...placed.values()];
}
