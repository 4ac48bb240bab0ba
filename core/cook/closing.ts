import type { Dish } from '#core/plan';
import type { Follow, Task } from './tasks.ts';

/** What is known of a dish when its cooking ends. */
export interface ClosingInput extends Pick<Dish, 'batch' | 'revision'> {
  /** Grams in each pot that stands side by side. */
  potG: number;
  pots: number;
  /** Packs that are to be filled; none when nothing was found to fill. */
  packs: number;
  /** It is hot when it is done, and is to be cold before it is packed. */
  hot: boolean;
}

/**
 * Minutes a stirred pot in an ice bath takes from the boil to 21 °C, about: five kilos take 16 min, and more food has less surface for its weight.
 * @param g grams in the pot
 * @source reference/thermal.md 3, B2: 5 kg soup, c 3900, UA 30 W/K, 95 to 21 °C in 16.3 min; UA by the two-thirds power of the mass
 * @example iceBathMinutes(5000) // 17
 */
export const iceBathMinutes = (g: number): number => Math.max(5, Math.ceil(16.3 * Math.cbrt(Math.max(0, g) / 5000)));

/** Hot food is on its way into the cold within half an hour, so that two hours are enough. */
export const intoIceMin = 30;
/** Under 21 °C within two hours of coming off the heat (reference: clocks, two-stage cooling). */
export const under21Min = 120;

const unhurried = { cool: 4, packSetUp: 3, perPack: 0.7, wash: 3, perPot: 2 } as const;

/** What is last of a dish: nothing else of it waits for them. */
function lastOf(batchId: string, tasks: readonly Task[]): string[] {
  const own = tasks.filter((t) => t.batchIds.includes(batchId));
  const waitedFor = new Set(tasks.filter((t) => t.step?.batchId === batchId).flatMap((t) => t.after));
  const steps = own.filter((t) => t.step?.batchId === batchId);
  return (steps.length > 0 ? steps : own).filter((t) => !waitedFor.has(t.id)).map((t) => t.id);
}

/**
 * Cooling, packing and washing-up of dishes as work of the session: minutes are a kitchen estimate, cooling by the ice bath.
 * @param tasks the cooking, whose last pieces they wait for
 * @example closingTasks([{ batch, revision, potG: 4200, pots: 1, packs: 6, hot: true }], tasks) // into the ice, fill 6 packs, wash the pot
 */
export function closingTasks(inputs: readonly ClosingInput[], tasks: readonly Task[]): Task[] {
  return inputs.flatMap(({ batch, revision, potG, pots, packs, hot }): Task[] => {
    const last = lastOf(batch.id, tasks);
    if (last.length === 0) return [];
    const task = (follow: Follow, title: string, detail: string, handsOnMin: number, waitMin: number, after: string[]): Task => ({
      id: `${follow}:${batch.id}`,
      follow,
      batchIds: [batch.id],
      title,
      detail,
      handsOnMin,
      waitMin,
      after,
      needs: [],
      hazards: [],
      cleanliness: 2,
      guess: true,
      timeKey: `${follow}:${revision.recipeId}`,
    });
    const cool = hot
      ? [
          {
            ...task(
              'cool',
              `Cool ${revision.name}`,
              'In ice water, stirred now and then, or split shallow',
              unhurried.cool,
              iceBathMinutes(potG),
              last,
            ),
            windows: last.flatMap((after) => [
              { after, from: 'end' as const, to: 'start' as const, maxMin: intoIceMin, why: 'cooling' as const },
              { after, from: 'end' as const, to: 'end' as const, maxMin: under21Min, why: 'cooling' as const },
            ]),
          },
        ]
      : [];
    const pack =
      packs > 0
        ? [
            task(
              'pack',
              `Pack ${revision.name}`,
              `${packs} ${packs === 1 ? 'pack' : 'packs'}: fill, close, label, put away`,
              Math.round(unhurried.packSetUp + unhurried.perPack * packs),
              0,
              cool.length > 0 ? cool.map((t) => t.id) : last,
            ),
          ]
        : [];
    const before = [...pack, ...cool][0];
    const wash =
      pots > 0
        ? [
            task(
              'wash',
              `Wash up after ${revision.name}`,
              pots === 1 ? 'Its pot and what it was stirred with' : `Its ${pots} pots and what it was stirred with`,
              unhurried.wash + unhurried.perPot * pots,
              0,
              before ? [before.id] : last,
            ),
          ]
        : [];
    return [...cool, ...pack, ...wash];
  });
}
