import type { HeatRow } from './rows.ts';

/** Minutes as a cook reads a clock: both ends on a mark; long ones in quarter hours, very short ones in seconds. */
export interface Span {
  unit: 'h' | 'min' | 's';
  low: number;
  high: number;
}

/** Marks of a kitchen clock in minutes: halves below 2, ones below 10, then 12, 15, 18, 20, fives to 120 and tens to 150. */
const marks: readonly number[] = [
  0.5,
  1,
  1.5,
  ...Array.from({ length: 8 }, (_, i) => i + 2),
  10,
  12,
  15,
  18,
  20,
  ...Array.from({ length: 20 }, (_, i) => 25 + i * 5),
  130,
  140,
  150,
];
/** So little above a mark may still go down to it. */
const downShare = 1.04;
const quarterHour = 15;

/** The next mark up; down only by a sliver, so that no minutes get shorter than they should. */
function toMark(minutes: number, steps: readonly number[] | number): number {
  if (typeof steps === 'number') {
    const below = Math.floor(minutes / steps + 1e-9) * steps;
    return below > 0 && minutes <= below * downShare + 1e-9 ? below : Math.ceil(minutes / steps - 1e-9) * steps;
  }
  const below = steps.findLast((m) => m <= minutes + 1e-9);
  if (below !== undefined && minutes <= below * downShare + 1e-9) return below;
  return steps.find((m) => m >= minutes - 1e-9) ?? Math.ceil(minutes / quarterHour) * quarterHour;
}

/**
 * A range of minutes on the marks of a kitchen clock.
 * Law: neither end is more than 4 % shorter than what was worked out, and the low end never passes the high one.
 * @example onMarks(22.8, 31.9) // { unit: 'min', low: 25, high: 35 }
 */
export function onMarks(low: number, high: number): Span {
  const last = marks[marks.length - 1] ?? 150;
  if (high > last * downShare) return { unit: 'h', low: toMark(low, quarterHour) / 60, high: toMark(high, quarterHour) / 60 };
  if (high <= 1) return { unit: 's', low: toMark(low, marks) * 60, high: toMark(high, marks) * 60 };
  return { unit: 'min', low: toMark(low, marks), high: toMark(high, marks) };
}

/**
 * How much longer an amount takes than the row's base. Below what the row is valid for its least amount counts, above its most.
 * @param amount grams, millilitres or millimetres, as the row's base is
 * @example growth(row, 2) // how much longer two portions take than one
 */
export function growth(row: HeatRow, amount: number | undefined): number {
  if (row.law === undefined || row.law === 'fixed' || row.base <= 0 || amount === undefined || !(amount > 0)) return 1;
  const held = Math.min(Math.max(amount, row.validLow ?? 0), row.validHigh ?? Infinity);
  const q = held / row.base;
  return q ** (q < 1 ? row.expBelow : row.expAbove);
}

/** Watts that the minutes of the table are for. */
export const tableWatts = 800;
/** Heat needs time to even out, so strong and weak microwaves move the minutes only so far. */
const wattBounds = { least: 0.75, most: 1.35 } as const;

/**
 * How much longer a microwave of so many watts takes.
 * @example wattFactor(700) // a weaker microwave takes longer than the table's
 */
export const wattFactor = (watts: number): number => Math.min(wattBounds.most, Math.max(wattBounds.least, tableWatts / watts));

/** A block thicker than `slow` takes longer in a microwave, and above `most` it is not advised (table of thickness; reference 11.3). */
export interface BlockLimits {
  slowMm: number;
  mostMm: number;
  longer: number;
}

/** Liquid to add: to 5 ml below 100, to 10 above; at least a tablespoon (a teaspoon for babies) and at most a cup. */
export function liquidMl(per500g: number, amount: number, baby: boolean): number {
  const ml = (per500g * amount) / 500;
  const step = ml < 100 ? 5 : 10;
  return Math.min(250, Math.max(baby ? 5 : 15, Math.round(ml / step + 1e-9) * step));
}

/** Minutes without foil at the end: a share of the middle of the range, to five. */
export const foilOffMin = (low: number, high: number, pct: number): number => Math.round((((low + high) / 2) * pct) / 100 / 5) * 5;
