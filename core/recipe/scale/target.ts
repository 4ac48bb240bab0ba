import type { Line, Revision, Unit } from '#core/contract';
import { convert, fromNumber, gramsOf, over, times, toNumber, unitFacts, type Rational } from '#core/kitchen';
import { factorThatFills } from './pots.ts';
import { maxPortions } from './portions.ts';
import { brimMlOf, type Gear } from './vessels.ts';
import type { WeighedRecipe } from './weigh.ts';

/** What a recipe is scaled to. */
export type ScaleTarget =
  | { by: 'portions'; portions: number }
  | { by: 'litres'; ml: number }
  | { by: 'grams'; g: number }
  | { by: 'cubes'; cubes: number; cubeMl: number }
  /** What is on hand of one or more lines; the one that runs out first decides. As bought, so peel and core are taken off. */
  | { by: 'have'; have: readonly { lineId: string; amount: Rational; unit: Unit }[] }
  | { by: 'vessel'; vesselId: string };

export type TargetError = {
  ok: false;
  why:
    | 'zero'
    | 'negative'
    | 'tooMany'
    | 'noVolume'
    | 'noWeight'
    | 'nothingOnHand'
    | 'noSuchLine'
    | 'noAmount'
    | 'doesNotGrow'
    | 'noPath'
    | 'noVessel'
    | 'noSize'
    | 'vesselTooSmall'
    | 'vesselNotUsed';
  got: number;
  allowed: string;
  /** The line or vessel it is about. */
  name?: string;
};

export type TargetResult = { ok: true; factor: Rational; limit?: { type: 'line' | 'vessel'; id: string; name: string } } | TargetError;

export interface TargetOptions {
  gear?: Gear;
  /** What came out of earlier runs, by what was written; 1 when nothing is known. */
  yieldFactor?: number;
}

const fail = (why: TargetError['why'], got: number, allowed: string, name?: string): TargetError => ({
  ok: false,
  why,
  got,
  allowed,
  ...(name !== undefined && { name }),
});

const allowedPortions = `more than 0 and at most ${maxPortions} portions`;

function forPortions(revision: Revision, portions: number, yieldFactor: number): TargetResult {
  if (!Number.isFinite(portions) || portions === 0) return fail('zero', portions, allowedPortions);
  if (portions < 0) return fail('negative', portions, allowedPortions);
  if (portions > maxPortions) return fail('tooMany', portions, allowedPortions);
  const written = times(fromNumber(revision.servings), fromNumber(Number(yieldFactor.toFixed(6))));
  return { ok: true, factor: over(fromNumber(portions), written) };
}

/** The factor at which one line uses up what is on hand. */
function forLine(line: Line, have: { amount: Rational; unit: Unit }, recipe: WeighedRecipe): TargetResult {
  const name = line.name;
  const n = toNumber(have.amount);
  if (!(n > 0)) return fail(n < 0 ? 'negative' : 'zero', n, `some ${name}`, name);
  if (line.scaling.rule === 'fixed' || line.scaling.rule === 'perVessel' || line.scaling.rule === 'cover')
    return fail('doesNotGrow', n, 'a line that grows with the recipe', name);
  const facts = recipe.facts.find((f) => f.line.id === line.id);
  const own = line.unit && convert(have, line.unit);
  if (line.amount !== undefined && own && unitFacts[have.unit].dimension !== 'mass')
    return { ok: true, factor: over(own.amount, line.amount), limit: { type: 'line', id: line.id, name } };
  const row = facts?.row;
  const bought = row
    ? gramsOf(have, row, line.form)
    : own && line.amount !== undefined
      ? undefined
      : ({ ok: false, why: 'noDensity' } as const);
  if (bought === undefined && own && line.amount !== undefined)
    return { ok: true, factor: over(own.amount, line.amount), limit: { type: 'line', id: line.id, name } };
  const needsG = facts?.writtenG ?? ratioShare(line, recipe);
  if (needsG === undefined) return fail(line.amount === undefined ? 'noAmount' : 'noPath', n, 'an amount that can be weighed', name);
  if (!bought?.ok) return fail('noPath', n, 'grams, or the unit the line is written in', name);
  const edible = (bought.massG * (row?.ediblePct ?? 100)) / 100;
  return { ok: true, factor: fromNumber(Number((edible / needsG).toFixed(9))), limit: { type: 'line', id: line.id, name } };
}

/** A ratio line weighs a share of others. */
function ratioShare(line: Line, recipe: WeighedRecipe): number | undefined {
  if (line.scaling.rule !== 'ratio') return undefined;
  let rest = 0;
  for (const id of line.scaling.lines) {
    const g = recipe.facts.find((f) => f.line.id === id)?.writtenG;
    if (g === undefined) return undefined;
    rest += g;
  }
  const p = line.scaling.percent;
  return line.scaling.of === 'rest' ? (p / 100) * rest : (p / (100 - p)) * rest;
}

function forVessel(recipe: WeighedRecipe, vesselId: string, options: TargetOptions): TargetResult {
  const vessel = options.gear?.equipment.find((e) => e.id === vesselId);
  if (!vessel || !options.gear) return fail('noVessel', 0, 'a pot or bowl of this kitchen');
  if (brimMlOf(vessel) === undefined && !vessel.marks) return fail('noSize', 0, 'its litres, or diameter and height', vessel.name);
  const factor = factorThatFills(recipe, options.gear, vesselId);
  if (factor === undefined)
    return recipe.written.ml === undefined
      ? fail('noVolume', 0, 'a weight per litre: weigh one full tub when you pack', vessel.name)
      : fail('vesselNotUsed', 0, 'a vessel this dish goes through', vessel.name);
  const portions = factor * recipe.revision.servings * (options.yieldFactor ?? 1);
  if (portions < 1) return fail('vesselTooSmall', Math.max(0, portions), 'room for one portion at least', vessel.name);
  if (portions > maxPortions) return fail('tooMany', portions, allowedPortions, vessel.name);
  return { ok: true, factor: fromNumber(Number(factor.toFixed(6))), limit: { type: 'vessel', id: vessel.id, name: vessel.name } };
}

/**
 * The exact factor on the written amounts that reaches a target.
 * Law: scaling to what a factor makes gives that factor back, for every kind of target.
 * @returns the factor with the line or vessel that set it, or what was wrong, in a code with what is allowed
 * @example factorFor(weighRecipe(stew, finder), { by: 'vessel', vesselId: 'gear_pot9' }, { gear })
 */
export function factorFor(recipe: WeighedRecipe, target: ScaleTarget, options: TargetOptions): TargetResult {
  const y = options.yieldFactor ?? 1;
  const { revision, serving: one } = recipe;
  switch (target.by) {
    case 'portions':
      return forPortions(revision, target.portions, y);
    case 'litres':
      return one.ml === undefined
        ? fail('noVolume', target.ml, 'a weight per litre: weigh one full tub when you pack')
        : forPortions(revision, target.ml / one.ml, y);
    case 'grams':
      return one.g === undefined
        ? fail('noWeight', target.g, 'a weight per litre: weigh one full tub when you pack')
        : forPortions(revision, target.g / one.g, y);
    case 'cubes':
      return one.ml === undefined
        ? fail('noVolume', target.cubes, 'a weight per litre: weigh one full tub when you pack')
        : forPortions(revision, (target.cubes * target.cubeMl) / one.ml, y);
    case 'vessel':
      return forVessel(recipe, target.vesselId, options);
    case 'have': {
      let least: TargetResult | undefined;
      for (const have of target.have) {
        const line = revision.lines.find((l) => l.id === have.lineId);
        const found = line ? forLine(line, have, recipe) : fail('noSuchLine', 0, 'a line of this recipe');
        if (!found.ok) return found;
        if (!least?.ok || toNumber(found.factor) < toNumber(least.factor)) least = found;
      }
      if (!least?.ok) return fail('nothingOnHand', 0, 'an amount of at least one line');
      const portions = toNumber(least.factor) * revision.servings * y;
      return portions > maxPortions ? fail('tooMany', portions, allowedPortions, least.limit?.name) : least;
    }
  }
}
