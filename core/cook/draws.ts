import type { Dish } from '#core/plan';
import { quarterUp, sayPortions } from '#core/kitchen';
import { lastOf } from './closing.ts';
import type { Task } from './tasks.ts';

/** A base that dishes of a session draw from: what of it comes out of the freezer, and which batches make it here. */
export interface Drawn {
  recipeId: string;
  name: string;
  /** Portions out of the store; 0 when what is made here is enough. */
  fromStore: number;
  /** Batches of this session that make it. */
  madeIn: readonly string[];
  /** Batches that draw from it. */
  forBatches: readonly string[];
}

/** Finding it, its lid off, into the fridge or the pot (kitchen estimate). */
const takeOutMin = 3;

/**
 * Work that hangs on bases: packs are taken out before the step that takes them, and a base that is made here is done before a dish draws from it.
 * @param tasks the work of the session; none of it is changed
 * @example withDraws(tasks, dishes, [{ recipeId: 'stock', name: 'Stock', fromStore: 3, madeIn: [], forBatches: ['b1'] }]) // with "Take 3 portions of Stock out"
 */
export function withDraws(tasks: readonly Task[], dishes: readonly Dish[], drawn: readonly Drawn[]): Task[] {
  if (drawn.length === 0) return [...tasks];
  const out = drawn
    .filter((d) => d.fromStore > 0)
    .map((d): Task => {
      const forNames = [...new Set(dishes.filter((x) => d.forBatches.includes(x.batch.id)).map((x) => x.revision.name))];
      return {
        id: `out:${d.recipeId}`,
        follow: 'takeOut',
        batchIds: [...d.forBatches],
        title: `Take ${sayPortions(quarterUp(d.fromStore))} ${quarterUp(d.fromStore) > 1 ? 'portions' : 'portion'} of ${d.name} out of the freezer`,
        detail: `For ${forNames.join(' and ')}. Broth, cubes and sauce may go into the hot pot frozen; what must be soft thaws in the fridge from the evening before`,
        handsOnMin: takeOutMin,
        waitMin: 0,
        after: [],
        needs: [],
        hazards: [],
        cleanliness: 2,
        guess: true,
        timeKey: `out:${d.recipeId}`,
      };
    });
  const waits = new Map<string, string[]>();
  const wait = (stepId: string, ids: readonly string[]): void => void waits.set(stepId, [...(waits.get(stepId) ?? []), ...ids]);
  for (const { batch, revision } of dishes)
    for (const line of revision.lines) {
      if (line.item.type !== 'recipe' || line.moment !== 'batch') continue;
      const { id } = line.item;
      const base = drawn.find((d) => d.recipeId === id && d.forBatches.includes(batch.id));
      if (!base) continue;
      const before = [
        ...out.filter((t) => t.timeKey === `out:${id}`).map((t) => t.id),
        ...base.madeIn.filter((b) => b !== batch.id).flatMap((b) => lastOf(b, tasks)),
      ];
      const own = tasks.filter((t) => t.step?.batchId === batch.id);
      const users = own.filter((t) => revision.steps.some((s) => s.id === t.step?.stepId && s.uses.some((u) => u.lineId === line.id)));
      // a line that no step names goes in at the beginning
      const heads = users.length > 0 ? users : own.filter((t) => !t.after.some((a) => own.some((o) => o.id === a)));
      for (const t of heads) wait(t.id, before);
    }
  return [...out, ...tasks.map((t) => (waits.has(t.id) ? { ...t, after: [...new Set([...t.after, ...waits.get(t.id)!])] } : t))];
}
