import type { Step } from '#core/contract';

/**
 * Steps of a recipe that belong to a session: what is done at table is left for the day of eating, and nothing waits for it.
 * @example inSession(revision.steps).some((s) => s.moment === 'serve') // false
 */
export const inSession = (steps: readonly Step[]): Step[] => {
  const out = new Set(steps.filter((s) => s.moment === 'serve').map((s) => s.id));
  return out.size === 0 ? [...steps] : steps.flatMap((s) => (out.has(s.id) ? [] : [{ ...s, after: s.after.filter((a) => !out.has(a)) }]));
};

/**
 * Minutes of hands at a size: what was written grows by the part of it that does.
 * @param f times the written size
 * @example handsAt({ handsOnMin: 20, handsGrow: 0.5 }, 3) // 40: three times the work, one setting up
 */
export const handsAt = (step: Pick<Step, 'handsOnMin' | 'handsGrow'>, f: number): number =>
  step.handsOnMin * (1 + (step.handsGrow ?? 0) * (Math.max(0.25, f) - 1));
