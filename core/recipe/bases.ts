import type { Line, Revision } from '#core/contract';
import { inBase, toNumber, type Quantity } from '#core/kitchen';
import { finished } from './scale/index.ts';

/** Portions of a recipe that are wanted for themselves. */
export interface Want {
  recipeId: string;
  portions: number;
}

/** What one dish draws from a base. */
export interface Draw {
  /** Who draws. */
  recipeId: string;
  name: string;
  /** In portions of the base. */
  portions: number;
  ml?: number;
  g?: number;
}

export interface SolvedBatch {
  recipeId: string;
  name: string;
  /** All that has to be made: draws and what is packed. */
  portions: number;
  /** Wanted for itself. */
  packed: number;
  draws: Draw[];
}

export type BasesResult =
  | { ok: true; batches: SolvedBatch[] }
  | { ok: false; why: 'circle'; names: string[] }
  | { ok: false; why: 'unknown'; recipeId: string; name: string }
  | { ok: false; why: 'noPath'; name: string; base: string };

/**
 * Portions of a base in what a line asks for: grams or millilitres through its serving and density, pieces as portions.
 * @returns undefined when no way leads from the line's unit to the base's
 * @example drawOf({ amount: '600', unit: 'ml' }, stock) // how many portions of stock that is
 */
export function drawOf(q: Quantity, base: Revision): { portions: number; ml?: number; g?: number } | undefined {
  const one = finished(base, 1);
  const asked = inBase(q);
  if (!asked) {
    if (q.unit !== 'piece') return undefined;
    const portions = toNumber(q.amount);
    return { portions, ...(one.ml !== undefined && { ml: one.ml * portions }), ...(one.g !== undefined && { g: one.g * portions }) };
  }
  const per = asked.dimension === 'mass' ? one.g : one.ml;
  if (per === undefined || per <= 0) return undefined;
  const portions = asked.value / per;
  return { portions, ...(one.ml !== undefined && { ml: one.ml * portions }), ...(one.g !== undefined && { g: one.g * portions }) };
}

/** Lines of a recipe that draw from another one. @example drawLines(revision) // lines that take from another recipe */
export const drawLines = (revision: Revision): Line[] => revision.lines.filter((l) => l.item.type === 'recipe');

/**
 * Solves bases backwards from what is wanted (P7): a base is made as much as the dishes draw from it, and what is packed besides.
 * Laws: a base's portions are the sum of its draws and what is packed; the order of the wants does not matter; dishes come after what they draw from.
 * @returns batches, bases first; or the circle, by name; or a line that finds no way from its unit to the base's
 * @example solveBases([{ recipeId: 'stew', portions: 12 }], (id) => revisions.get(id))
 */
export function solveBases(wants: readonly Want[], revisionOf: (recipeId: string) => Revision | undefined): BasesResult {
  const order: string[] = [];
  const state = new Map<string, 'open' | 'done'>();
  const path: string[] = [];
  const nameOf = (id: string): string => revisionOf(id)?.name ?? id;
  let problem: Exclude<BasesResult, { ok: true }> | undefined;
  const visit = (id: string, asName: string): void => {
    if (problem || state.get(id) === 'done') return;
    if (state.get(id) === 'open') {
      problem = { ok: false, why: 'circle', names: [...path.slice(path.indexOf(id)), id].map(nameOf) };
      return;
    }
    const revision = revisionOf(id);
    if (!revision) {
      problem = { ok: false, why: 'unknown', recipeId: id, name: asName };
      return;
    }
    state.set(id, 'open');
    path.push(id);
    for (const line of drawLines(revision)) if (line.item.type === 'recipe') visit(line.item.id, line.name);
    path.pop();
    state.set(id, 'done');
    order.push(id);
  };
  for (const want of wants.toSorted((a, b) => a.recipeId.localeCompare(b.recipeId))) visit(want.recipeId, want.recipeId);
  if (problem) return problem;
  const batches = new Map<string, SolvedBatch>(
    order.map((id) => {
      const packed = wants.filter((w) => w.recipeId === id).reduce((s, w) => s + w.portions, 0);
      return [id, { recipeId: id, name: nameOf(id), portions: packed, packed, draws: [] }];
    }),
  );
  // from the dishes up to what they stand on: each is settled before its own draws are counted
  for (const id of order.toReversed()) {
    const batch = batches.get(id);
    const revision = revisionOf(id);
    if (!batch || !revision || batch.portions === 0) continue;
    const factor = batch.portions / revision.servings;
    for (const line of drawLines(revision)) {
      if (line.item.type !== 'recipe' || line.amount === undefined || !line.unit) continue;
      const base = batches.get(line.item.id);
      const baseRevision = revisionOf(line.item.id);
      if (!base || !baseRevision) continue;
      const one = drawOf({ amount: line.amount, unit: line.unit }, baseRevision);
      if (!one) return { ok: false, why: 'noPath', name: line.name, base: baseRevision.name };
      base.draws.push({
        recipeId: id,
        name: revision.name,
        portions: one.portions * factor,
        ...(one.ml !== undefined && { ml: one.ml * factor }),
        ...(one.g !== undefined && { g: one.g * factor }),
      });
      base.portions += one.portions * factor;
    }
  }
  return { ok: true, batches: order.flatMap((id) => batches.get(id) ?? []).filter((b) => b.portions > 0) };
}

export interface Settled {
  /** What each draw gets, in the unit given. */
  gets: { id: string; asked: number; gets: number }[];
  /** Missing in all; 0 when there is enough. */
  short: number;
  /** Left to pack. */
  left: number;
}

/**
 * Deals out what was really made: all get what they asked for, or the shortfall is shared in proportion.
 * Law: what is dealt out and what is left is what was made.
 * @example settleDraws(300, [{ id: 'pie', asked: 200 }, { id: 'soup', asked: 200 }]).gets // 150 each
 */
export function settleDraws(made: number, draws: readonly { id: string; asked: number }[]): Settled {
  if (!(made >= 0)) throw new RangeError(`settleDraws: expected 0 or more made, got ${made}`);
  const asked = draws.reduce((s, d) => s + d.asked, 0);
  const share = asked > made && asked > 0 ? made / asked : 1;
  return {
    gets: draws.map((d) => ({ ...d, gets: d.asked * share })),
    short: Math.max(0, asked - made),
    left: Math.max(0, made - asked),
  };
}
