import { eat } from '#core/commands';
import type { Eater, Meal } from '#core/contract';
import { demand, instantAt } from '#core/kitchen';
import { momentOf, sharesOf, statusOf, useFirst, type PackState } from '#core/store';
import type { Db } from '../db/index.ts';
import { householdOf, packsInStore, referenceOf } from '../session/index.ts';
import type { DemoClient } from './client.ts';

/** Tops quarters off packs in turn until a demand is met. */
function share(packs: readonly PackState[], quarters: number): { pack: PackState; quarters: number }[] {
  let left = quarters;
  return packs.flatMap((pack) => {
    const take = Math.min(left, Math.round(pack.left * 4));
    left -= take;
    return take > 0 ? [{ pack, quarters: take }] : [];
  });
}

/** One day of eating from the store: most dinners, a lunch after a late shift, Pip's cubes, broth now and then. */
export function eatDay(db: Db, client: DemoClient, eaters: readonly Eater[], day: string, zone: string, pipEats: boolean): void {
  const evening = instantAt(day, '19:20', zone);
  const at = momentOf(householdOf(db), referenceOf(db).figures, evening);
  const there = demand(eaters, day);
  const stored = (): PackState[] =>
    useFirst(sharesOf(packsInStore(db), at).stock, at)
      .map((x) => x.pack)
      .filter((p) => !p.raw && statusOf(p) !== 'unplaced');
  /** Somebody eats from a pack alone. */
  const alone = (clock: string, pack: PackState, meal: Meal, eaterId: string, portions: number): void =>
    void client.log(instantAt(day, clock, zone), eat(pack, { day, meal, shares: [{ eaterId, portions }], guests: 0, rest: 'none' }));
  const meals = stored().filter((p) => p.kind === 'meal');
  if (there.quarters > 0 && client.random() < 0.52 && meals.length > 0) {
    // one dish a night: the packs of one lot, mostly of what is due first
    const first = meals[Math.floor(client.random() * Math.min(meals.length, 9))] ?? meals[0];
    const dish = meals.filter((p) => p.recipeId === first?.recipeId);
    const parts = share(dish, there.quarters);
    const queue = there.eaters.map((e) => ({ ...e }));
    for (const part of parts) {
      let left = part.quarters;
      const shares: { eaterId: string; portions: number }[] = [];
      for (const eater of queue) {
        const q = Math.min(left, eater.quarters);
        if (q <= 0) continue;
        eater.quarters -= q;
        left -= q;
        shares.push({ eaterId: eater.eaterId, portions: q / 4 });
      }
      const rest = Math.round(part.pack.left * 4) - part.quarters;
      client.log(
        evening,
        eat(part.pack, {
          day,
          meal: 'dinner',
          shares,
          guests: 0,
          rest: rest === 0 ? 'none' : rest === 1 ? 'binned' : 'fridge',
        }),
      );
    }
  }
  // what was opened yesterday is lunch for the baker
  const open = stored().find(
    (p) => p.kind === 'meal' && statusOf(p) === 'fridge' && p.fridgeSince !== undefined && p.fridgeSince < evening,
  );
  if (open) alone('21:40', open, 'lunch', 'eater_joaquim', open.left);
  if (pipEats) {
    let cubes = client.random() < 0.9 ? 6 : 3;
    for (const bag of stored().filter((p) => p.kind === 'puree')) {
      const n = Math.min(cubes, Math.round(bag.left));
      cubes -= n;
      if (n > 0) alone('17:10', bag, 'dinner', 'eater_pip', n);
      if (cubes === 0) break;
    }
  }
  const broth = stored().find((p) => p.kind === 'broth');
  if (broth && client.random() < 0.14) alone('12:30', broth, 'lunch', 'eater_osk', broth.left);
  const spoon = stored().find((p) => p.kind === 'aromatic');
  if (spoon && client.random() < 0.25) alone('18:00', spoon, 'dinner', 'eater_joaquim', Math.min(2, spoon.left));
}
