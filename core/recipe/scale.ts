import type { Line, Revision, Unit } from '#core/contract';
import {
  convert,
  fromNumber,
  gramsOf,
  inBase,
  measure,
  over,
  plus,
  quarterSpoons,
  sayMass,
  sayPortions,
  sayVolume,
  times,
  toNumber,
  unitFacts,
  wholePieces,
  type Because,
  type IngredientFinder,
  type Rational,
} from '#core/kitchen';

/** One line of a recipe at a new size. */
export interface ScaledLine {
  lineId: string;
  line: Line;
  /** Exact amount in the written unit. */
  exact?: { amount: Rational; unit: Unit };
  /** Edible grams that go in, when they can be known. */
  massG?: number;
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
}

export type ScaleError = { ok: false; why: 'zero' | 'negative' | 'tooMany'; got: number; allowed: string };
export type ScaleResult = { ok: true; scaled: ScaledRecipe } | ScaleError;

/** More than this many portions in one batch is a typing slip, not a plan. */
export const maxPortions = 2000;
const tightCap = 0.02;
const usualCap = 0.05;
const leaveners = /salt|yeast|baking powder|bicarbonate|gelatine/i;

/**
 * Finished volume and weight of so many servings: the serving says one, the density gives the other.
 * @returns only what can be known: without a density one of the two stays away
 */
export function finished(revision: Pick<Revision, 'serving' | 'density'>, portions: number): { ml?: number; g?: number } {
  const total = revision.serving.amount * portions;
  const d = revision.density?.gPerMl;
  if (revision.serving.unit === 'ml') return { ml: total, ...(d !== undefined && { g: total * d }) };
  return { g: total, ...(d !== undefined && { ml: total / d }) };
}

function grown(line: Line, factor: Rational): { amount: Rational | undefined; because: Because[] } {
  if (line.amount === undefined) return { amount: undefined, because: [{ code: 'noAmount' }] };
  const inProportion = times(line.amount, factor);
  switch (line.scaling.rule) {
    case 'fixed':
      return { amount: line.amount, because: [{ code: 'fixed' }] };
    case 'toTaste': {
      const f = toNumber(factor);
      return f <= 1
        ? { amount: inProportion, because: [{ code: 'toTaste' }] }
        : {
            amount: times(line.amount, fromNumber(f ** 0.8)),
            because: [{ code: 'toTasteFrom', params: { upTo: toNumber(inProportion) } }],
          };
    }
    case 'perVessel':
    case 'cover':
      return { amount: inProportion, because: [{ code: 'asIfProportional', params: { rule: line.scaling.rule } }] };
    default:
      return { amount: inProportion, because: [{ code: line.scaling.rule }] };
  }
}

/** Cups to the quarter or third when that is near enough. */
function cups(count: number): string | undefined {
  const best =
    [0.25, 1 / 3].map((step) => Math.round(count / step) * step).toSorted((a, b) => Math.abs(a - count) - Math.abs(b - count))[0] ?? 0;
  if (best <= 0 || Math.abs(best - count) / count > usualCap) return undefined;
  const whole = Math.floor(best + 1e-9);
  const third = Math.round((best - whole) * 3);
  const text =
    Math.abs((best - whole) * 4 - Math.round((best - whole) * 4)) < 1e-6
      ? sayPortions(best)
      : `${whole === 0 ? '' : whole}${third === 1 ? '⅓' : '⅔'}`;
  return text;
}

function measuredOut(
  line: Line,
  exact: { amount: Rational; unit: Unit },
  scaleStepG: number,
): { out: string; error: number; because: Because[] } {
  const fact = unitFacts[exact.unit];
  const n = toNumber(exact.amount);
  const cap = line.scaling.rule === 'ratio' || leaveners.test(line.name) ? tightCap : usualCap;
  if (exact.unit === 'piece') {
    if (line.scaling.rule === 'whole') {
      const m = wholePieces(n);
      return { out: String(m.value), error: m.error, because: [{ code: 'wholePieces' }] };
    }
    const quarters = Math.max(0.25, Math.round(n * 4) / 4);
    return { out: sayPortions(n >= 10 ? Math.round(n) : quarters), error: ((n >= 10 ? Math.round(n) : quarters) - n) / n, because: [] };
  }
  if (exact.unit === 'pinch')
    return { out: `${Math.max(1, Math.round(n))} ${Math.round(n) > 1 ? 'pinches' : 'pinch'}`, error: 0, because: [] };
  const base = inBase(exact)?.value ?? 0;
  if (fact.dimension === 'mass') {
    const m = measure(base, cap, scaleStepG);
    return {
      out: m.tooSmallToWeigh ? 'a pinch' : sayMass(m.value),
      error: m.error,
      because: m.tooSmallToWeigh ? [{ code: 'belowScale', params: { stepG: scaleStepG } }] : [],
    };
  }
  const spoon = exact.unit === 'tsp' || exact.unit === 'usTsp' || exact.unit === 'tbsp' || exact.unit === 'usTbsp';
  if (spoon && base <= 60) {
    const big = base >= 15;
    const spoonMl = toNumber(unitFacts[big ? 'tbsp' : 'tsp'].base);
    const q = quarterSpoons(base, spoonMl);
    const error = (q * spoonMl - base) / base;
    if (Math.abs(error) <= cap || base < 2) return { out: `${sayPortions(q)} ${big ? 'tbsp' : 'tsp'}`, error, because: [] };
    const teaspoons = quarterSpoons(base, 5);
    return { out: `${sayPortions(teaspoons)} tsp`, error: (teaspoons * 5 - base) / base, because: [] };
  }
  const isCup = exact.unit === 'cup' || exact.unit === 'usCup';
  const inCups = isCup ? cups(n) : undefined;
  if (inCups) return { out: `${inCups} ${fact.short}${n > 1 ? 's' : ''}`, error: 0, because: [] };
  const m = measure(base, cap, 1);
  return { out: m.tooSmallToWeigh ? 'a splash' : sayVolume(m.value), error: m.error, because: [] };
}

/** Salt and cures held to a share of other lines: x = p/100 of the rest, or p/(100 - p) of the total without it. */
function solveRatio(line: Line, masses: ReadonlyMap<string, number>): number | undefined {
  if (line.scaling.rule !== 'ratio') return undefined;
  const others = line.scaling.lines.map((id) => masses.get(id));
  if (others.some((m) => m === undefined)) return undefined;
  const rest = others.reduce<number>((sum, m) => sum + (m ?? 0), 0);
  const p = line.scaling.percent;
  return line.scaling.of === 'rest' ? (p / 100) * rest : (p / (100 - p)) * rest;
}

/**
 * Scales a recipe to a number of portions.
 * @param portions servings wanted, above 0 and at most {@link maxPortions}
 * @param options ingredient rows for weights; the household scale's step, 1 g or 0.1 g
 * @returns amounts exact and as measured out, or what was wrong with the portion count
 * @example scaleRecipe(stew, 17, { finder, scaleStepG: 1 })
 */
export function scaleRecipe(revision: Revision, portions: number, options: { finder: IngredientFinder; scaleStepG: number }): ScaleResult {
  const allowed = `more than 0 and at most ${maxPortions} portions`;
  if (!Number.isFinite(portions) || portions === 0) return { ok: false, why: 'zero', got: portions, allowed };
  if (portions < 0) return { ok: false, why: 'negative', got: portions, allowed };
  if (portions > maxPortions) return { ok: false, why: 'tooMany', got: portions, allowed };
  const factor = over(fromNumber(portions), fromNumber(revision.servings));
  const masses = new Map<string, number>();
  const firstPass = revision.lines.map((line) => {
    const { amount, because } = grown(line, factor);
    const exact = amount !== undefined && line.unit ? { amount, unit: line.unit } : undefined;
    const row = line.item.type === 'ingredient' ? options.finder.byId(line.item.id) : undefined;
    const mass = row
      ? gramsOf(exact, row, line.form)
      : exact && inBase(exact)?.dimension === 'mass'
        ? ({ ok: true, massG: inBase(exact)?.value ?? 0, by: 'weight' } as const)
        : undefined;
    const edible =
      mass?.ok && mass.by === 'piece' && row?.ediblePct !== undefined
        ? (mass.massG * row.ediblePct) / 100
        : mass?.ok
          ? mass.massG
          : undefined;
    if (edible !== undefined) masses.set(line.id, edible);
    const why: Because[] =
      mass?.ok && mass.by === 'piece'
        ? [{ code: 'pieceWeight', params: { g: mass.figure ?? 0, edible: row?.ediblePct ?? 100 }, ...(row && { source: row.source }) }]
        : mass?.ok && mass.by === 'density'
          ? [{ code: 'density', params: { gPerMl: mass.figure ?? 0 }, ...(row && { source: row.source }) }]
          : mass && !mass.ok && (mass.why === 'noDensity' || mass.why === 'noPieceWeight')
            ? [{ code: mass.why }]
            : [];
    return { line, exact, because: [...because, ...why] };
  });
  const lines = firstPass.map(({ line, exact, because }): ScaledLine => {
    const solved = solveRatio(line, masses);
    const settled = solved !== undefined ? { amount: fromNumber(Number(solved.toFixed(3))), unit: 'g' as Unit } : exact;
    if (solved !== undefined) masses.set(line.id, solved);
    const massG = masses.get(line.id);
    const shown = settled
      ? measuredOut(line, settled, options.scaleStepG)
      : { out: line.scaling.rule === 'toTaste' ? 'to taste' : '', error: 0, because: [] };
    return {
      lineId: line.id,
      line,
      ...(settled && { exact: settled }),
      ...(massG !== undefined && { massG }),
      out: shown.out,
      error: shown.error,
      because: [...because, ...shown.because],
    };
  });
  const done = finished(revision, portions);
  return {
    ok: true,
    scaled: {
      factor,
      portions,
      lines,
      ...(done.ml !== undefined && { finishedMl: done.ml }),
      ...(done.g !== undefined && { finishedG: done.g }),
    },
  };
}

/** The sum of rational amounts in one unit; lines in another dimension are left out. */
export const sumIn = (unit: Unit, amounts: readonly { amount: Rational; unit: Unit }[]): Rational =>
  amounts.reduce<Rational>((sum, q) => plus(sum, convert(q, unit)?.amount ?? '0'), '0');
