import type { Line, Price, Revision } from '#core/contract';
import { inBase, toNumber, unitFacts, weighsAsPiece, type IngredientFinder, type IngredientRow } from '#core/kitchen';
import { finished, scaleRecipe, weighRecipe, type ScaledLine, type ScaleOptions } from './scale/index.ts';

/** What one line costs, as the used share of the packs it is bought in. */
export interface LineCost {
  lineId: string;
  name: string;
  cents?: number;
  /** The pack it was reckoned with. */
  price?: Price;
  why?: 'noPrice' | 'noAmount' | 'noPath' | 'unmatched';
}

export interface Cost {
  /** Cents of all that has a price. */
  cents: number;
  perPortionCents: number;
  lines: LineCost[];
  /** Names of lines without a price or an amount: the total leaves them out and says so. */
  leftOut: string[];
  /** Some price is made up for the demo. */
  madeUp: boolean;
}

/** Cents of what a line draws from another recipe, when known. */
export type Drawn = (line: Line, exact: ScaledLine['exact']) => number | undefined;

/**
 * The newest price of a row.
 * @example newestPrice({ prices: [{ cents: 120, amount: 1000, unit: 'g', day: '2026-10-01' }] })?.cents // 120
 */
export const newestPrice = (row: Pick<IngredientRow, 'prices'>): Price | undefined =>
  row.prices?.toSorted((a, b) => (b.day ?? '').localeCompare(a.day ?? ''))[0];

/** As-purchased amount of a line in the unit a price is given for. */
function boughtIn(unit: Price['unit'], scaled: ScaledLine, row: IngredientRow): number | undefined {
  const edible = (row.ediblePct ?? 100) / 100;
  if (unit === 'piece') {
    if (scaled.exact && weighsAsPiece(scaled.exact.unit, row)) return toNumber(scaled.exact.amount);
    return scaled.massG !== undefined && row.pieceG !== undefined ? scaled.massG / edible / row.pieceG : undefined;
  }
  if (unit === 'ml') {
    const base = scaled.exact && inBase(scaled.exact);
    if (base?.dimension === 'volume') return base.value;
    return scaled.massG !== undefined && row.density.liquid !== undefined ? scaled.massG / row.density.liquid : undefined;
  }
  return scaled.massG === undefined ? undefined : scaled.massG / edible;
}

const free = new Set(['water']);

function lineCost(scaled: ScaledLine, finder: IngredientFinder, drawn: Drawn): LineCost {
  const { line } = scaled;
  const head = { lineId: scaled.lineId, name: line.name };
  if (line.item.type === 'recipe') {
    const cents = drawn(line, scaled.exact);
    return cents === undefined ? { ...head, why: 'noPrice' } : { ...head, cents };
  }
  const row = line.item.type === 'ingredient' ? finder.byId(line.item.id) : undefined;
  if (!row) return { ...head, why: 'unmatched' };
  if (free.has(row.id)) return { ...head, cents: 0 };
  const price = newestPrice(row);
  if (!price) return { ...head, why: 'noPrice' };
  if (!scaled.exact || unitFacts[scaled.exact.unit].dimension === 'none') return { ...head, cents: 0, price };
  const amount = boughtIn(price.unit, scaled, row);
  return amount === undefined ? { ...head, why: 'noPath' } : { ...head, cents: (price.cents * amount) / price.amount, price };
}

/**
 * Cost of a scaled recipe: the used share of the packs bought; energy and containers are not in it.
 * Law: twice the recipe costs twice as much for what grows in proportion; what has no price is named, never 0.
 * @param drawn cents of what a line draws from another recipe, when known
 * @example costOf(scaled.lines, 9, finder).perPortionCents // 212
 */
export function costOf(lines: readonly ScaledLine[], portions: number, finder: IngredientFinder, drawn: Drawn = () => undefined): Cost {
  if (!(portions > 0)) throw new RangeError(`costOf: expected more than 0 portions, got ${portions}`);
  const costs = lines.map((l) => lineCost(l, finder, drawn));
  const cents = costs.reduce((s, c) => s + (c.cents ?? 0), 0);
  return {
    cents,
    perPortionCents: cents / portions,
    lines: costs,
    leftOut: costs.filter((c) => c.cents === undefined).map((c) => c.name),
    madeUp: costs.some((c) => c.price?.madeUp),
  };
}

/**
 * Cents of what a line draws from another recipe: that recipe at the amount drawn, through its own draws; a circle stays unknown.
 * @param revisionOf recipes drawn from
 * @example costOf(lines, 9, finder, drawnCost(recipeById, { finder, scaleStepG: 1 })) // with what the stock cost
 */
export function drawnCost(
  revisionOf: (recipeId: string) => Revision | undefined,
  options: ScaleOptions & { finder: IngredientFinder },
  seen: ReadonlySet<string> = new Set(),
): Drawn {
  return (line, exact) => {
    if (line.item.type !== 'recipe' || seen.has(line.item.id)) return undefined;
    const base = revisionOf(line.item.id);
    if (!base || !exact) return undefined;
    const one = finished(base, 1);
    const asked = inBase(exact);
    const portions =
      exact.unit === 'piece'
        ? toNumber(exact.amount)
        : asked?.dimension === 'volume' && one.ml !== undefined
          ? asked.value / one.ml
          : asked?.dimension === 'mass' && one.g !== undefined
            ? asked.value / one.g
            : undefined;
    if (portions === undefined || !(portions > 0)) return undefined;
    const made = scaleRecipe(weighRecipe(base, options.finder), portions, options);
    if (!made.ok) return undefined;
    const cost = costOf(made.scaled.lines, portions, options.finder, drawnCost(revisionOf, options, new Set([...seen, line.item.id])));
    return cost.leftOut.length === cost.lines.length ? undefined : cost.cents;
  };
}
