import type { Line, Revision, Unit } from '#core/contract';
import {
  convert,
  fromNumber,
  measureIn,
  over,
  plus,
  times,
  toNumber,
  unitFacts,
  type Because,
  type Measure,
  type Rational,
  type UnitSystem,
} from '#core/kitchen';
import type { Passage } from './contents.ts';
import { coverMl, grown, ratioBecause, solveRatios, vesselsFilled, waterLine, withBoilOff, type Grown } from './grow.ts';
import { passageOf } from './passage.ts';
import { finished } from './portions.ts';
import { factorFor, type ScaleTarget, type TargetError } from './target.ts';
import type { Gear } from './vessels.ts';
import { massOf, type LineFacts, type WeighedRecipe } from './weigh.ts';

/** One line of a recipe at a new size. */
export interface ScaledLine {
  lineId: string;
  line: Line;
  /** Exact amount in the written unit. */
  exact?: { amount: Rational; unit: Unit };
  /** The most it may become, for what is seasoned to taste. */
  upTo?: { amount: Rational; unit: Unit };
  /** Edible grams that go in, when they can be known. */
  massG?: number;
  /** Grams per millilitre in its form, when known. */
  gPerMl?: number;
  /** What to measure out: `920 g`, `1½ tsp`, `3`. */
  out: string;
  /** (measured - exact) / exact. */
  error: number;
  because: Because[];
}

export interface ScaledRecipe {
  /** Exact factor on the written amounts. */
  factor: Rational;
  portions: number;
  lines: ScaledLine[];
  finishedMl?: number;
  finishedG?: number;
  /** Pots, bowls, oven and steamer it goes through; absent when the household's gear was not given. */
  passage?: Passage;
  /** What set the size. */
  limit?: { type: 'line' | 'vessel'; id: string; name: string };
}

export interface ScaleOptions {
  /** What the household's scale shows: 1 g or 0.1 g. */
  scaleStepG: number;
  units?: UnitSystem;
  gear?: Gear;
  /** What came out of earlier runs, by what was written; 1 when nothing is known. */
  yieldFactor?: number;
}

export type ScaleError = TargetError;
export type ScaleResult = { ok: true; scaled: ScaledRecipe } | ScaleError;

/** Rules whose amount does not follow the factor, so that the weight is worked out again. */
const countedApart = new Set<Line['scaling']['rule']>(['fixed', 'perVessel', 'cover']);

const tightCap = 0.02;
const usualCap = 0.05;
/** What is tasted anyway may be measured in whole and half spoons. */
const tasteCap = 0.1;

/** What one line is measured as, in a system of units. @example measureLine(scaledLine, facts, 1, 'us')?.text // '2½ cups' */
export function measureLine(
  scaled: Pick<ScaledLine, 'line' | 'exact' | 'gPerMl'>,
  facts: Pick<LineFacts, 'pour' | 'weighOnly' | 'tight'>,
  scaleStepG: number,
  units: UnitSystem,
): Measure | undefined {
  if (!scaled.exact) return undefined;
  return measureIn(units, {
    quantity: scaled.exact,
    gPerMl: scaled.gPerMl,
    pour: facts.pour,
    weighOnly: facts.weighOnly,
    whole: scaled.line.scaling.rule === 'whole',
    cap: facts.tight ? tightCap : scaled.line.scaling.rule === 'toTaste' ? tasteCap : usualCap,
    scaleStepG,
  });
}

/**
 * Scales a recipe by an exact factor: every line by its rule, what boils off, pots and bowls, and what to measure out.
 * Law: at factor 1 in the same pot every amount is what was written.
 * @example scaleBy(weighRecipe(stew, finder), '17/6', { scaleStepG: 1 }).lines[0]?.out // '1.28 kg'
 */
export function scaleBy(recipe: WeighedRecipe, factor: Rational, options: ScaleOptions, limit?: ScaledRecipe['limit']): ScaledRecipe {
  const f = toNumber(factor);
  const { revision, facts } = recipe;
  const { gear, scaleStepG, units = 'metric' } = options;
  const portions = Number((f * revision.servings * (options.yieldFactor ?? 1)).toFixed(6));
  const done = finished(revision, portions);
  const masses = new Map<string, number>();
  const first = facts.map((fact) => {
    const g = grown(fact.line, factor, f);
    if (fact.writtenG !== undefined) {
      masses.set(fact.line.id, fact.writtenG * (fact.line.scaling.rule === 'toTaste' && f > 1 ? f ** 0.8 : f));
    }
    return g;
  });
  const passage =
    gear &&
    passageOf({
      recipe,
      massG: masses,
      finishedMl: done.ml,
      gear,
      only: limit?.type === 'vessel' ? limit.id : undefined,
    });
  const water = passage && waterLine(revision);
  const settledLines = facts.map((fact, i): Grown => {
    const { line } = fact;
    const g = first[i] ?? { amount: undefined, because: [] };
    if (g.amount === undefined || !line.unit) return g;
    const unit = line.unit;
    const rule = line.scaling.rule;
    if (rule === 'fixed') {
      const pots = passage?.loads.find((l) => l.use === 'pot')?.loads ?? 1;
      return { amount: times(line.amount ?? '0', `${pots}`), because: [{ code: 'fixed', params: { pots } }], unit };
    }
    if (rule === 'perVessel') {
      const filled = gear && vesselsFilled(line, revision, done.ml, gear);
      return filled
        ? {
            amount: times(line.amount ?? '0', `${filled.n}`),
            because: [{ code: 'perVessel', params: { n: filled.n, name: filled.name } }],
            unit,
          }
        : { ...g, because: [{ code: 'asIfProportional', params: { rule } }], unit };
    }
    if (rule === 'cover') {
      const covered = passage && gear && coverMl(line, revision, facts, masses, passage, gear);
      return covered ? { ...covered, unit } : { ...g, because: [{ code: 'asIfProportional', params: { rule } }], unit };
    }
    if (passage && water?.id === line.id) {
      const boiled = withBoilOff(line, g.amount, f, passage);
      if (boiled) return { ...boiled, unit };
    }
    return g;
  });
  facts.forEach((fact, i) => {
    const s = settledLines[i];
    if (!s?.unit || s.amount === undefined || (!countedApart.has(fact.line.scaling.rule) && fact.line.id !== water?.id)) return;
    const g = massOf(fact.line, { amount: s.amount, unit: s.unit }, fact.row).g;
    if (g !== undefined) masses.set(fact.line.id, g);
  });
  const ratios = solveRatios(revision.lines, masses);
  const lines = facts.map((fact, i): ScaledLine => {
    const { line } = fact;
    const s = settledLines[i] ?? { amount: undefined, because: [] };
    const ratio = ratios.get(line.id);
    const because = ratio ? [ratioBecause(line, ratio)] : fact.because.length > 0 ? [...s.because, ...fact.because] : s.because;
    const scaled: ScaledLine = { lineId: line.id, line, out: '', error: 0, because };
    if (ratio) {
      if (ratio !== 'missing' && 'g' in ratio) scaled.exact = { amount: fromNumber(Number(ratio.g.toFixed(3))), unit: 'g' };
    } else if (s.amount !== undefined && s.unit) scaled.exact = { amount: s.amount, unit: s.unit };
    if (s.upTo !== undefined && line.unit) scaled.upTo = { amount: s.upTo, unit: line.unit };
    const massG = masses.get(line.id);
    if (massG !== undefined) scaled.massG = massG;
    if (fact.gPerMl !== undefined) scaled.gPerMl = fact.gPerMl;
    const shown = measureLine(scaled, fact, scaleStepG, units);
    scaled.out = shown?.text ?? (ratio ? 'cannot be solved' : line.scaling.rule === 'toTaste' ? 'to taste' : '');
    scaled.error = shown?.error ?? 0;
    if (shown?.how === 'pinch' && scaled.exact && unitFacts[scaled.exact.unit].dimension === 'mass')
      scaled.because = [...because, { code: 'belowScale', params: { stepG: scaleStepG } }];
    return scaled;
  });
  return {
    factor,
    portions,
    lines,
    ...(done.ml !== undefined && { finishedMl: done.ml }),
    ...(done.g !== undefined && { finishedG: done.g }),
    ...(passage && { passage }),
    ...(limit && { limit }),
  };
}

/**
 * Scales a weighed recipe to any target: portions, litres, grams, cubes, what is on hand, what fills a vessel.
 * @returns amounts exact and as measured out, or what was wrong with the target
 * @example scaleTo(weighRecipe(stew, finder), { by: 'vessel', vesselId: 'gear_pot9' }, { scaleStepG: 1, gear })
 */
export function scaleTo(recipe: WeighedRecipe, target: ScaleTarget, options: ScaleOptions): ScaleResult {
  const found = factorFor(recipe, target, options);
  return found.ok ? { ok: true, scaled: scaleBy(recipe, found.factor, options, found.limit) } : found;
}

/**
 * Scales a recipe to a number of portions.
 * @param portions servings wanted, above 0 and at most {@link maxPortions}
 * @example scaleRecipe(weighRecipe(stew, finder), 17, { scaleStepG: 1 })
 */
export const scaleRecipe = (recipe: WeighedRecipe, portions: number, options: ScaleOptions): ScaleResult =>
  scaleTo(recipe, { by: 'portions', portions }, options);

/**
 * The sum of rational amounts in one unit; lines in another dimension are left out.
 * @example sumIn('g', [{ amount: '1', unit: 'kg' }, { amount: '250', unit: 'g' }]) // '1250'
 */
export const sumIn = (unit: Unit, amounts: readonly { amount: Rational; unit: Unit }[]): Rational =>
  amounts.reduce<Rational>((sum, q) => plus(sum, convert(q, unit)?.amount ?? '0'), '0');

/** How many times the written recipe a number of portions is. @example factorOf({ servings: 6 }, 17) // '17/6' */
export const factorOf = (revision: Pick<Revision, 'servings'>, portions: number): Rational =>
  over(fromNumber(portions), fromNumber(revision.servings));
