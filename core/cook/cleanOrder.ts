import type { Lag } from './schedule/index.ts';
import { rawFrom } from './limits.ts';
import type { Task } from './tasks.ts';

/** Nuts, sesame and the like, and raw fish and meat after them: nothing for a baby comes later on a board (reference 1.12). */
const notBeforeBaby = 4;

/** Whether one piece of work on a board must be over before another begins, for somebody's sake. */
function cleaner(a: Task, b: Task, cleanFirst: boolean): boolean {
  if (a.cleanliness === 0 && b.cleanliness >= notBeforeBaby) return true;
  if (b.holds?.some((code) => !a.holds?.includes(code)) && !a.holds?.some((code) => !b.holds?.includes(code))) return true;
  return cleanFirst && a.cleanliness < rawFrom && b.cleanliness >= rawFrom;
}

/**
 * The order on the boards that protects: a baby's food before nuts and raw meat, what is free from an allergen of the table before what holds it; on request all that is clean before
 * all that is raw. Where a dish itself needs it the other way round, the wash between them has to do.
 * @param open tasks that have not begun
 * @param all tasks that lie in the plan, for what hangs on what
 * @source reference/food-reference.md 1.12
 */
export function cleanLags(open: readonly Task[], all: readonly Task[], cleanFirst: boolean): Lag[] {
  const boards = open.filter((t) => t.board);
  const pairs = boards.flatMap((a) => boards.filter((b) => a !== b && cleaner(a, b, cleanFirst)).map((b) => ({ a, b })));
  if (pairs.length === 0) return [];
  const after = new Map<string, string[]>();
  const link = (from: string, to: string): void => void after.set(from, [...(after.get(from) ?? []), to]);
  for (const t of all) {
    for (const a of t.after) link(a, t.id);
    // what is tied by a limit of time moves as one
    for (const w of t.windows ?? []) {
      link(w.after, t.id);
      link(t.id, w.after);
    }
  }
  const lags: Lag[] = [];
  const leads = (from: string, to: string): boolean => {
    const seen = new Set([from]);
    for (const open = [from]; open.length > 0;)
      for (const next of after.get(open.pop()!) ?? []) {
        if (next === to) return true;
        if (!seen.has(next)) {
          seen.add(next);
          open.push(next);
        }
      }
    return false;
  };
  for (const { a, b } of pairs)
    if (!leads(b.id, a.id)) {
      lags.push({ a: a.id, b: b.id, from: 'end', to: 'start', min: 0 });
      link(a.id, b.id);
    }
  return lags;
}
