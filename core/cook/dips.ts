import { trueDensity } from '#core/heat';
import { sayMassIn, sayVolumeIn, type UnitSystem } from '#core/kitchen';
import type { Load } from '#core/recipe';
import type { Limit } from './limits.ts';

/** What is parted of a piece of work. */
interface Work {
  id: string;
  title: string;
  detail: string;
  handsOnMin: number;
  waitMin: number;
  after: string[];
  windows?: Limit[];
  vessel?: { count: number; brimMl: number };
  guess: boolean;
  timeKey: string;
}

/** Hands for a pot of water: filled, salted, put on, the lid on it (min). A guess, until it was timed. */
const fillMin = 3;

/** Work with the dips its food goes through. */
export interface Dipped<T extends Work> {
  task: T;
  dips?: Load;
}

/** The water of one dip, in the household's measures. */
const litresOf = (dips: Load, units: UnitSystem): string =>
  sayVolumeIn(units, Math.round((dips.eachMl - (dips.eachG ?? 0) / trueDensity()) / 100) * 100);

/** One of so many equal parts of a task; the last one keeps its name, so that what waits for the whole waits for it. */
const part = <T extends Work>(task: T, k: number, of: number): T => ({
  ...task,
  id: k === of ? task.id : `${task.id}:${k}`,
  title: `Dip ${k} of ${of}: ${task.title}`,
  handsOnMin: Math.max(1, Math.round(task.handsOnMin / of)),
});
const idOf = (id: string, k: number, of: number): string => (k === of ? id : `${id}:${k}`);

/** The water of the dips, brought to the boil, where no step of the recipe does it. */
function waterOf<T extends Work>(dip: T, dips: Load, units: UnitSystem): T[] {
  if (dips.boilMin === undefined) return [];
  return [
    {
      ...dip,
      id: `${dip.id}:water`,
      title: `Bring ${litresOf(dips, units)} of water to the boil`,
      detail: `for: ${dip.title.replace(/\.$/, '')}`,
      handsOnMin: fillMin,
      waitMin: Math.round(dips.boilMin),
      after: [],
      windows: [],
      guess: true,
      timeKey: `${dip.timeKey}:water`,
    },
  ];
}

/**
 * What a pot of water does not take at once is blanched dip by dip, and each dip goes into the ice by itself, within a minute: a dip and its ice are work of
 * their own, so that the next one boils while the last one cools.
 * @param all the steps of one batch
 * @example inDips([{ task: blanch, dips }, { task: ice }]).length // 6: three dips, each with its ice
 */
export function inDips<T extends Work>(all: readonly Dipped<T>[], units: UnitSystem): T[] {
  const dipsOf = new Map(all.flatMap(({ task, dips }) => (dips ? [[task.id, dips] as const] : [])));
  return all.flatMap(({ task, dips }) => {
    if (dips) return dipsIn(task, dips, units);
    const ice = task.windows?.find((w) => w.why === 'ice' && (dipsOf.get(w.after)?.loads ?? 1) > 1);
    const of = ice && dipsOf.get(ice.after)?.loads;
    if (!ice || of === undefined) return [task];
    const others = (task.windows ?? []).filter((w) => w !== ice);
    return Array.from({ length: of }, (_, i): T => {
      const dip = idOf(ice.after, i + 1, of);
      return {
        ...part(task, i + 1, of),
        after: [...task.after.map((a) => (a === ice.after ? dip : a)), ...(i === 0 ? [] : [idOf(task.id, i, of)])],
        windows: [...others, { ...ice, after: dip }],
      };
    });
  });
}

/** The dips of one step, one after the other, and before the first the water that has to boil. */
function dipsIn<T extends Work>(task: T, dips: Load, units: UnitSystem): T[] {
  const each = `${sayMassIn(units, Math.round((dips.eachG ?? 0) / 10) * 10)} at once, ${litresOf(dips, units)} of boiling water`;
  const whole: T = {
    ...task,
    detail: task.detail ? `${task.detail}; ${each}` : each,
    vessel: { count: 1, brimMl: Math.round(dips.vessels[0]?.brimMl ?? 0) },
  };
  const water = waterOf(whole, dips, units);
  const before = (i: number): string[] => (i === 0 ? water.map((t) => t.id) : [idOf(task.id, i, dips.loads)]);
  const parts = Array.from({ length: dips.loads }, (_, i): T => {
    const dip = dips.loads === 1 ? whole : part(whole, i + 1, dips.loads);
    return { ...dip, after: [...dip.after, ...before(i)] };
  });
  return [...water, ...parts];
}
