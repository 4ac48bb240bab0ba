import type { Day, Id } from '#core/contract';
import { addDays, isDinnerKind, isEatenAsIs } from '#core/kitchen';
import type { World } from '#core/session';
import type { HowWasIt } from './answers.ts';
import type { Records } from './records.ts';

/** Meals of today and yesterday are asked about; older ones nobody remembers. */
const daysAsked = 1;
/** Whoever has said it within so many days is not asked again. */
const saidHolds = 60;
const dishesAsked = 2;

/**
 * Dishes of the last meals that somebody ate and has not said how they were, the newest first; empty most days.
 * @example howWasIt(world, records, '2026-11-24')[0]?.eaters.map((e) => e.name) // ['Marit', 'Osk']
 */
export function howWasIt(world: World, records: Records, today: Day): HowWasIt[] {
  const ratings = records.ratings();
  const asked = new Map<Id, HowWasIt>();
  const lately = records
    .lately()
    .filter((e) => e.day >= addDays(today, -daysAsked) && e.day <= today)
    .toSorted((a, b) => b.day.localeCompare(a.day));
  for (const e of lately) {
    const recipe = e.recipeId === undefined ? undefined : world.recipe(e.recipeId)?.recipe;
    if (!recipe || recipe.archived || !isEatenAsIs(recipe.kind)) continue;
    const before = asked.get(recipe.id) ?? {
      recipeId: recipe.id,
      name: recipe.name,
      kind: recipe.kind,
      day: e.day,
      meal: e.meal,
      eaters: [],
    };
    const more = e.shares.flatMap((s) => {
      const eater = s.portions > 0 ? world.eaters.find((x) => x.id === s.eaterId) : undefined;
      if (!eater || before.eaters.some((x) => x.id === eater.id)) return [];
      const said = ratings.find((r) => r.recipeId === recipe.id && r.eaterId === eater.id);
      const holds = said?.stars !== undefined && said.day >= addDays(today, -saidHolds);
      return holds ? [] : [{ id: eater.id, name: eater.name, seen: said?.seen ?? '' }];
    });
    if (before.eaters.length + more.length > 0) asked.set(recipe.id, { ...before, eaters: [...before.eaters, ...more] });
  }
  // dinners before what the baby had beside them
  return [...asked.values()]
    .toSorted((a, b) => b.day.localeCompare(a.day) || Number(isDinnerKind(b.kind)) - Number(isDinnerKind(a.kind)))
    .slice(0, dishesAsked);
}
