import type { Container, Equipment } from '#core/contract';
import type { Because } from '#core/kitchen';
import { limitRows, loadTimeRows, stockRimMm } from '../data/index.ts';

/** What a household cooks in and packs in. */
export interface Gear {
  equipment: readonly Equipment[];
  containers: readonly Container[];
  /** How much of a bowl hot food may fill, by the table of hot blending. */
  hotShare: number;
}

/** What a vessel may hold at most. */
export interface Usable {
  ml: number;
  /** To the brim. */
  brimMl: number;
  because: Because[];
}

const share = (id: string): number => limitRows.find((r) => r.id === id)?.share ?? 1;

/** Litres entered, else the cylinder that diameter and height make. @example brimMlOf({ litres: 9 }) // 9000 */
export function brimMlOf(e: Pick<Equipment, 'litres' | 'diameterMm' | 'heightMm'>): number | undefined {
  if (e.litres !== undefined) return e.litres * 1000;
  if (e.diameterMm === undefined || e.heightMm === undefined) return undefined;
  return ((Math.PI * e.diameterMm ** 2) / 4) * (e.heightMm / 1000);
}

/**
 * How full a pot may be: three quarters, the owner's own limit, or for a stock pot 25 mm under the rim.
 * @returns undefined when its size is not known
 * @example potUsable({ litres: 4.5, fillShare: 0.8 })?.ml // 3600
 */
export function potUsable(
  pot: Pick<Equipment, 'litres' | 'diameterMm' | 'heightMm' | 'fillShare'>,
  use: 'stew' | 'stock' = 'stew',
): Usable | undefined {
  const brimMl = brimMlOf(pot);
  if (brimMl === undefined) return undefined;
  if (pot.fillShare !== undefined)
    return { ml: brimMl * pot.fillShare, brimMl, because: [{ code: 'ownLimit', params: { percent: Math.round(pot.fillShare * 100) } }] };
  if (use === 'stock' && pot.heightMm !== undefined && pot.heightMm > stockRimMm)
    return {
      ml: (brimMl * (pot.heightMm - stockRimMm)) / pot.heightMm,
      brimMl,
      because: [{ code: 'underRim', params: { mm: stockRimMm }, source: 'KIT' }],
    };
  return { ml: brimMl * share('pot'), brimMl, because: [{ code: 'threeQuarters', source: 'KIT' }] };
}

/**
 * How full a bowl may be for what is done in it: its own mark, with nothing more left free, else half pulsed, two thirds pureed, one third hot.
 * @example bowlUsable({ litres: 2.2, marks: { pureeMl: 2200 } }, 'puree', gear)?.ml // 2200
 */
export function bowlUsable(
  bowl: Pick<Equipment, 'litres' | 'marks' | 'fillShare'>,
  action: 'pulse' | 'puree' | 'hot',
  { hotShare }: Pick<Gear, 'hotShare'>,
): Usable | undefined {
  const mark = action === 'pulse' ? bowl.marks?.pulseMl : action === 'puree' ? bowl.marks?.pureeMl : bowl.marks?.hotMl;
  const brimMl = bowl.litres === undefined ? mark : bowl.litres * 1000;
  if (brimMl === undefined) return undefined;
  if (mark !== undefined) return { ml: mark, brimMl, because: [{ code: 'bowlMark', params: { action } }] };
  return {
    ml: brimMl * (action === 'hot' ? hotShare : share(action)),
    brimMl,
    because: [{ code: 'bowlShare', params: { action }, source: 'MAKER' }],
  };
}

/** Loads of one size, and the minutes they take one after another. */
export interface EqualLoads {
  loads: number;
  each: number;
  /** Share of what the vessel may hold. */
  fill: number;
}

/**
 * Equal loads of an amount: as few as the vessel allows.
 * Law: loads x each is the amount; no load is above what the vessel may hold; one load fewer would be.
 * @throws RangeError for an amount below 0 or a vessel that holds nothing
 * @example equalLoads(5400, 3600) // { loads: 2, each: 2700, fill: 0.75 }
 */
export function equalLoads(amount: number, usable: number): EqualLoads {
  if (!(amount >= 0) || !(usable > 0))
    throw new RangeError(`equalLoads: expected an amount of 0 or more and a vessel that holds something, got ${amount} into ${usable}`);
  const loads = Math.max(1, Math.ceil(amount / usable - 1e-9));
  return { loads, each: amount / loads, fill: amount / loads / usable };
}

/**
 * Minutes for so many rounds: set up, run, empty, each time (COMPUTATION, loads).
 * @example roundsMin('bowl', 3, 4) // 18
 */
export function roundsMin(use: 'pot' | 'bowl' | 'oven' | 'steamer' | 'dip', rounds: number, runMin: number): number {
  const t = loadTimeRows.find((r) => r.use === use) ?? { setupMin: 0, emptyMin: 0 };
  return rounds * (t.setupMin + runMin + t.emptyMin);
}
