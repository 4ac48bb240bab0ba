import { z } from 'zod';
import { eat, type Act } from '#core/commands';
import { daySchema, mealSchema, type Day, type Eater } from '#core/contract';
import { dealShares, usualHelpings, usualRest } from '#core/eat';
import type { PackBrief } from '#core/queries';
import { eatenPortions } from '#core/store';

/** Of one dish: who ate how much of which packs, and where the rest goes. */
const dishSchema = z.object({
  packIds: z.array(z.string()),
  eaten: z.record(z.string(), z.number()),
  guests: z.number(),
  rest: z.enum(['fridge', 'freezer', 'binned']),
});

/** A meal as it is being written down: when, and dish by dish. */
export const mealSaidSchema = z.object({ day: daySchema, meal: mealSchema, dishes: z.array(dishSchema) });

export type MealSaid = z.infer<typeof mealSaidSchema>;
export type DishSaid = MealSaid['dishes'][number];

/** A dish as it usually goes: each at the table their own plate, the rest where such a rest goes. */
export const dishSaid = (packs: readonly PackBrief[], eaters: readonly Eater[], day: Day, guests: number): DishSaid => ({
  packIds: packs.map((p) => p.packId),
  eaten: Object.fromEntries(usualHelpings(packs, eaters, day)),
  guests,
  rest: usualRest(packs[0]?.kind),
});

/** What a dish comes to: what its packs hold, what was taken, and what stays. */
export function dishSums(
  packs: readonly Pick<PackBrief, 'left'>[],
  dish: DishSaid,
): { held: number; total: number; over: boolean; stays: number } {
  const held = packs.reduce((s, p) => s + p.left, 0);
  const total = Object.values(dish.eaten).reduce((s, n) => s + n, 0) + dish.guests;
  return { held, total, over: total > held + 1e-9, stays: Math.max(0, held - total) };
}

/** A meal as entries: one for each pack that somebody took from, or whose rest is binned. */
export function mealActs({ day, meal, dishes }: MealSaid, packOf: (id: string) => PackBrief | undefined): Act[] {
  return dishes.flatMap(({ packIds, eaten, guests, rest }) => {
    const packs = packIds.flatMap((id) => packOf(id) ?? []);
    const shares = Object.entries(eaten).flatMap(([eaterId, portions]) => (portions > 0 ? [{ eaterId, portions }] : []));
    return dealShares(packs, shares, guests).flatMap((d) => {
      const pack = packs.find((p) => p.packId === d.packId);
      const taken = eatenPortions(d);
      return pack && (taken > 0 || rest === 'binned')
        ? [eat(pack, { day, meal, shares: d.shares, guests: d.guests, rest: d.left > 0 ? rest : 'none' })]
        : [];
    });
  });
}
