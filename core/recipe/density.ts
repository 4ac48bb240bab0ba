import type { Figures, Revision } from '#core/contract';
import { trueDensity } from '#core/heat';
import { unitFacts, type IngredientFinder } from '#core/kitchen';
import { usualDensityRows } from './data/index.ts';
import { lineFacts } from './scale/weigh.ts';

export type FinishedDensity = NonNullable<Revision['density']>;

/** Kinds whose pieces leave no air between them, so that their parts add up. */
const dense = new Set<Revision['kind']>(['meal', 'base', 'puree', 'broth', 'aromatic']);
/** So much of what goes in has to be known before its parts say anything. */
const knownShare = 0.8;

/** Grams per millilitre of all that goes in, solids without the air between them; undefined when too little is known. */
function fromLines(revision: Revision, finder: IngredientFinder): number | undefined {
  if (!dense.has(revision.kind)) return undefined;
  const batch = lineFacts(revision, finder).filter(
    (f) =>
      f.line.moment === 'batch' &&
      f.line.amount !== undefined &&
      (f.line.unit === undefined || unitFacts[f.line.unit].dimension !== 'none'),
  );
  const weighed = batch.filter((f) => f.writtenG !== undefined);
  if (batch.length === 0 || weighed.length < batch.length * knownShare) return undefined;
  let g = 0;
  let ml = 0;
  for (const f of weighed) {
    const mass = f.writtenG ?? 0;
    g += mass;
    ml += mass / (f.row?.density.liquid ?? trueDensity());
  }
  return ml > 0 ? g / ml : undefined;
}

const usualOf = (kind: Revision['kind'], figures: Figures): number => {
  const row = usualDensityRows.find((r) => r.kind === kind);
  return row === undefined ? trueDensity() : typeof row.gPerMl === 'number' ? row.gPerMl : figures[row.gPerMl];
};

/**
 * Grams per millilitre of the finished food, never absent and never 1 by silence (decision 43): weighed here, else entered, else from what goes in,
 * else the usual one of its kind. All but the first two are guesses, and look like it.
 * @param learned from tubs that were filled and weighed
 * @example finishedDensity(leekSoup, finder, figures).gPerMl // 1.02
 */
export function finishedDensity(revision: Revision, finder: IngredientFinder, figures: Figures, learned?: number): FinishedDensity {
  if (learned !== undefined) return { gPerMl: learned, reason: 'learned' };
  if (revision.density?.reason === 'entered') return revision.density;
  const computed = fromLines(revision, finder);
  if (computed !== undefined) return { gPerMl: Number(computed.toFixed(3)), reason: 'computed' };
  return { gPerMl: usualOf(revision.kind, figures), reason: 'texture' };
}

/** Nobody weighed or entered it. @example densityIsGuess({ gPerMl: 1.05, reason: 'learned' }) // false: a tub was weighed */
export const densityIsGuess = (density: Revision['density']): boolean =>
  density === undefined || density.reason === 'computed' || density.reason === 'texture';
