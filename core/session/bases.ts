import type { Batch, Kind, Revision } from '#core/contract';
import type { Dish } from '#core/plan';
import { drawOf, settleDraws } from '#core/recipe';
import { portionMlOf } from './batch.ts';
import type { World } from './world.ts';

/** A base that dishes of a session draw from: asked for, made here, in store. Portions of the base. */
export interface BaseNeed {
  recipeId: string;
  name: string;
  kind: Kind;
  asked: number;
  made: number;
  inStore: number;
  /** Still missing after what is made here and what is in store. */
  short: number;
  draws: { batchId: string; name: string; portions: number; gets: number }[];
}

/** What was made of a batch, in portions of its recipe; planned until it is weighed. */
type MadeOf = (batch: Batch, revision: Revision) => number;

const plannedPortions: MadeOf = (batch) => batch.portions;

/**
 * What the dishes of a session draw from bases, against what is made here and what stands in the store (P7).
 * Law: what the draws get together is what they ask for, or all there is.
 * @param made portions that came out of a batch; planned ones by default
 * @example baseNeeds([risotto, soup], world)[0]?.short // portions of stock still missing
 */
export function baseNeeds(dishes: readonly Dish[], world: Pick<World, 'recipe' | 'packs'>, made: MadeOf = plannedPortions): BaseNeed[] {
  const needs = new Map<string, BaseNeed>();
  for (const { batch, revision, scaled } of dishes) {
    for (const { line, exact } of scaled.lines) {
      if (line.item.type !== 'recipe' || line.moment !== 'batch' || !exact) continue;
      const { id } = line.item;
      const base = world.recipe(id)?.revision;
      const drawn = base && drawOf(exact, base);
      if (!base || !drawn) continue;
      const own = dishes.filter((d) => d.batch.recipeId === id);
      const need = needs.get(id) ?? {
        recipeId: id,
        name: base.name,
        kind: base.kind,
        asked: 0,
        made: own.reduce((s, d) => s + made(d.batch, d.revision), 0),
        inStore: world.packs.filter((p) => p.recipeId === id).reduce((s, p) => s + p.left, 0),
        short: 0,
        draws: [],
      };
      need.asked += drawn.portions;
      need.draws.push({ batchId: batch.id, name: revision.name, portions: drawn.portions, gets: drawn.portions });
      needs.set(id, need);
    }
  }
  return [...needs.values()].map((need) => {
    const settled = settleDraws(
      need.made + need.inStore,
      need.draws.map((d) => ({ id: d.batchId, asked: d.portions })),
    );
    return { ...need, short: settled.short, draws: need.draws.map((d, i) => ({ ...d, gets: settled.gets[i]?.gets ?? 0 })) };
  });
}

/**
 * Millilitres of each base batch that go into other dishes and are not packed: its share of what is drawn, at most all of it.
 * @example drawnMl([risotto, stock], world).get(stock.batch.id) // 1200 ml go into the risotto
 */
export function drawnMl(dishes: readonly Dish[], world: Pick<World, 'recipe' | 'packs'>): Map<string, number> {
  const drawn = new Map<string, number>();
  for (const need of baseNeeds(dishes, world)) {
    const own = dishes.filter((d) => d.batch.recipeId === need.recipeId);
    const share = need.made > 0 ? Math.min(1, need.asked / need.made) : 0;
    for (const d of own) drawn.set(d.batch.id, share * d.batch.portions * portionMlOf(d.revision));
  }
  return drawn;
}
