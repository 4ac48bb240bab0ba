import { brimMlOf } from '#core/recipe';

/** A yield measured without weighing the whole pot, with how far off it may be. */
export interface MeasuredYield {
  ml: number;
  low: number;
  high: number;
}

export type MeasureError = { ok: false; why: 'notPositive' | 'noDiameter' | 'deeperThanPot' | 'noLadle' | 'tooMany' };
export type MeasureYield = { ok: true; measured: MeasuredYield } | MeasureError;

/** A wet ruler is read to about this much. */
const readMm = 2;
/** A pot's inner diameter is measured to about this much. */
const widthMm = 2;
/** No two ladles are alike by about this share. */
const ladleOff = 0.07;
const mostLadles = 400;

/**
 * What is in a pot by a ruler held upright to its bottom: depth times the pot's area (C4).
 * @returns millilitres with the range that a wet ruler leaves, or why it cannot be
 * @example dipped({ depthMm: 118, pot: { diameterMm: 260, heightMm: 175 } }) // 6.26 L
 */
export function dipped({
  depthMm,
  pot,
}: {
  depthMm: number;
  pot: { diameterMm?: number; heightMm?: number; litres?: number };
}): MeasureYield {
  if (!(depthMm > 0) || !Number.isFinite(depthMm)) return { ok: false, why: 'notPositive' };
  const { diameterMm } = pot;
  if (diameterMm === undefined) return { ok: false, why: 'noDiameter' };
  const brim = brimMlOf(pot);
  const volume = (depth: number, width: number): number => ((Math.PI * width ** 2) / 4) * (Math.max(0, depth) / 1000);
  const ml = volume(depthMm, diameterMm);
  if ((pot.heightMm !== undefined && depthMm > pot.heightMm) || (brim !== undefined && ml > brim * 1.1))
    return { ok: false, why: 'deeperThanPot' };
  return {
    ok: true,
    measured: { ml, low: volume(depthMm - readMm, diameterMm - widthMm), high: volume(depthMm + readMm, diameterMm + widthMm) },
  };
}

/**
 * What was ladled out: full ladles times what one holds, to the quarter ladle.
 * @example ladled({ ladles: 31, ladleMl: 200 }) // 6.2 L
 */
export function ladled({ ladles, ladleMl }: { ladles: number; ladleMl: number }): MeasureYield {
  if (!(ladles > 0) || !Number.isFinite(ladles)) return { ok: false, why: 'notPositive' };
  if (!(ladleMl > 0)) return { ok: false, why: 'noLadle' };
  if (ladles > mostLadles) return { ok: false, why: 'tooMany' };
  const ml = ladles * ladleMl;
  return { ok: true, measured: { ml, low: ml * (1 - ladleOff), high: ml * (1 + ladleOff) } };
}

/**
 * What was wrong with a measuring, and what to do.
 * @example sayMeasureError('deeperThanPot') // words for a ruler that was read wrong
 */
export function sayMeasureError(why: MeasureError['why']): string {
  switch (why) {
    case 'notPositive':
      return 'Give a figure above 0.';
    case 'noDiameter':
      return 'This pot has no inner diameter yet: measure it across once and enter it in Kitchen.';
    case 'deeperThanPot':
      return 'That is deeper than this pot. Check the ruler, or the pot that is chosen; what you typed is kept.';
    case 'noLadle':
      return 'Say what one ladle holds: fill it into a jug once.';
    case 'tooMany':
      return 'More than 400 ladles: check the count; what you typed is kept.';
  }
}
