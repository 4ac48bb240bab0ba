import type { Day, Eater, EventData, Meal } from '#core/contract';
import { isDinnerKind, isPresent, quartersOf } from '#core/kitchen';
import { dealShares } from './share.ts';

/** A pack on the table. */
export interface Served {
  packId: string;
  kind: string;
  left: number;
}

/**
 * What each eater probably took of these packs: their own plate of a dinner if they were at home, the baby's cubes of a puree,
 * nobody in particular of the rest. Never more than there is.
 * @example usualHelpings([stew], household.eaters, tuesday) // a child's half plate, Osk's whole one
 */
export function usualHelpings(packs: readonly Served[], eaters: readonly Eater[], day: Day, meal: Meal = 'dinner'): Map<string, number> {
  const kind = packs[0]?.kind;
  let left = packs.reduce((s, p) => s + p.left, 0);
  const wanted = (e: Eater): number => {
    if (kind === 'puree') return e.baby?.cubesPerMeal ?? 0;
    if (e.stage === 'baby' || !isDinnerKind(kind ?? '')) return 0;
    return isPresent(e.presence, day, meal) ? quartersOf(e) / 4 : 0;
  };
  return new Map(
    eaters.map((e): [string, number] => {
      const takes = Math.min(left, wanted(e));
      left -= takes;
      return [e.id, takes];
    }),
  );
}

/**
 * Where what is left of a pack usually goes: cubes stay frozen, a dinner goes to the fridge.
 * @example usualRest('puree') // where the rest of such a pack goes
 */
export const usualRest = (kind: string | undefined): 'freezer' | 'fridge' =>
  kind === 'puree' || kind === 'aromatic' ? 'freezer' : 'fridge';

/**
 * A meal that went as planned, as it is logged: one `eaten` for each pack that somebody took from.
 * Law: what is dealt out is what the eaters took and what the guests took.
 * @example eatenAsPlanned([stewForTuesday], household.eaters, tuesday) // what one tap logs
 */
export function eatenAsPlanned(
  packs: readonly Served[],
  eaters: readonly Eater[],
  guests: number,
  at: { day: Day; meal: Meal },
): { packId: string; data: EventData<'eaten'> }[] {
  const helpings = usualHelpings(packs, eaters, at.day, at.meal);
  const eaten = [...helpings].map(([eaterId, portions]) => ({ eaterId, portions })).filter((h) => h.portions > 0);
  const room = packs.reduce((s, p) => s + p.left, 0) - eaten.reduce((s, h) => s + h.portions, 0);
  return dealShares(packs, eaten, Math.min(guests, Math.max(0, room))).flatMap((d) =>
    d.guests > 0 || d.shares.length > 0
      ? [
          {
            packId: d.packId,
            data: { ...at, shares: d.shares, guests: d.guests, rest: d.left > 0 ? usualRest(packs[0]?.kind) : ('none' as const) },
          },
        ]
      : [],
  );
}
