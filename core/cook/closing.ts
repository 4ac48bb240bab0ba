import type { CoolingWay } from '#core/heat';
import { sayMassIn, type UnitSystem } from '#core/kitchen';
import type { Dish } from '#core/plan';
import { ownWords } from './ends.ts';
import type { Follow, Task } from './tasks.ts';

/** What is known of a dish when its cooking ends. */
export interface ClosingInput extends Pick<Dish, 'batch' | 'revision'> {
  pots: number;
  /** Packs that are to be filled; none when nothing was found to fill. */
  packs: number;
  /** How its pots are cooled; nothing when it was never hot, or is not to be cold. */
  cooling?: CoolingWay;
}

/** Hot food is on its way into the cold within half an hour, so that two hours are enough. */
export const intoIceMin = 30;
/** Under 21 °C within two hours of coming off the heat (reference: clocks, two-stage cooling). */
export const under21Min = 120;

/** Less than this is not worth a clock. */
const leastCoolMin = 5;

/** Minutes of hands; a kitchen estimate. */
const unhurried = { cool: { ice: 4, waterThenIce: 6, water: 6 }, packSetUp: 3, perPack: 0.7, wash: 3, perPot: 2 } as const;

/** How a pot is cooled, in words. Thick food is split shallow whatever it stands in: its middle is slow. */
function sayCooling({ way, minutes, iceKg }: CoolingWay, units: UnitSystem): string {
  const ice = sayMassIn(units, Math.max(100, Math.round(iceKg * 10) * 100));
  const how = {
    ice: `In ice water, ${ice} of ice, stirred now and then`,
    waterThenIce: `In cold water, changed when it is warm, then with ${ice} of ice, stirred now and then`,
    water: 'In cold water, changed when it is warm, stirred now and then',
  }[way];
  return `${how}: about ${Math.max(leastCoolMin, Math.ceil(minutes))} min to 21 °C, then into the fridge. What is too thick to stir: split it shallow, 2 cm`;
}

/** What is last of a dish: nothing else of it waits for them. */
export function lastOf(batchId: string, tasks: readonly Task[]): string[] {
  const own = tasks.filter((t) => t.batchIds.includes(batchId));
  const waitedFor = new Set(tasks.filter((t) => t.step?.batchId === batchId).flatMap((t) => t.after));
  const steps = own.filter((t) => t.step?.batchId === batchId);
  return (steps.length > 0 ? steps : own).filter((t) => !waitedFor.has(t.id)).map((t) => t.id);
}

/**
 * Cooling, packing and washing-up of dishes as work of the session: hands are a kitchen estimate, cooling is worked out.
 * @param tasks the cooking, whose last pieces they wait for
 * @example closingTasks([{ batch, revision, pots: 1, packs: 6, cooling }], tasks) // into the ice, fill 6 packs, wash the pot
 */
export function closingTasks(inputs: readonly ClosingInput[], tasks: readonly Task[], units: UnitSystem = 'metric'): Task[] {
  return inputs.flatMap(({ batch, revision, pots, packs, cooling }): Task[] => {
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
    const cool = cooling
      ? [
          {
            ...task(
              'cool',
              `Cool ${revision.name}`,
              [ownWords(revision, 'cool'), sayCooling(cooling, units)].filter(Boolean).join(' '),
              unhurried.cool[cooling.way],
              Math.max(leastCoolMin, Math.ceil(cooling.minutes)),
              last,
            ),
            windows: last.flatMap((after) => [
              { after, from: 'end' as const, to: 'start' as const, maxMin: intoIceMin, why: 'cooling' as const },
              { after, from: 'end' as const, to: 'end' as const, maxMin: under21Min, why: 'cooling' as const },
            ]),
          },
        ]
      : [];
    const said = ownWords(revision, 'pack');
    const pack =
      packs > 0 || said !== ''
        ? [
            task(
              'pack',
              `Pack ${revision.name}`,
              [
                packs > 0
                  ? `${packs} ${packs === 1 ? 'pack' : 'packs'}: fill, close, label, put away`
                  : 'Nothing that fits is free: say on Pack what it goes into',
                said,
              ]
                .filter(Boolean)
                .join('. '),
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
