import type { Densities, IngredientRow } from './data/types.ts';
import { toNumber } from './rational.ts';
import type { Unit } from '#core/contract';
import { inBase, unitFacts, type Quantity } from './units.ts';

/** Grams of a line, or in words why they cannot be known. */
export type MassResult =
  | { ok: true; massG: number; by: 'weight' | 'density' | 'piece'; figure?: number; state?: keyof Densities; source?: string }
  | { ok: false; why: 'noDensity' | 'noPieceWeight' | 'pinch' | 'noAmount' };

const statesFor: Readonly<Record<string, readonly (keyof Densities)[]>> = {
  grated: ['grated', 'chopped'],
  pureed: ['pureed', 'liquid'],
  diced: ['chopped', 'whole'],
  chopped: ['chopped', 'whole'],
  sliced: ['chopped', 'whole'],
  cubed: ['chopped', 'whole'],
  cooked: ['cooked', 'chopped'],
  drained: ['cooked', 'whole'],
};

/**
 * The density that fits a form: the form's own state, else liquid, dry, pureed, whole as sold.
 * @example densityFor(onion, 'diced') // { gPerMl: 0.68, state: 'chopped' }
 */
export function densityFor(row: IngredientRow, form?: string): { gPerMl: number; state: keyof Densities } | undefined {
  const order: readonly (keyof Densities)[] = [...(form ? (statesFor[form] ?? []) : []), 'liquid', 'dry', 'pureed', 'whole', 'chopped'];
  const state = order.find((s) => row.density[s] !== undefined);
  const gPerMl = state === undefined ? undefined : row.density[state];
  return state !== undefined && gPerMl !== undefined ? { gPerMl, state } : undefined;
}

/** Names of one thing: a stick of celery is a stalk and a rib. */
const sameCount: readonly ReadonlySet<string>[] = [
  new Set(['stick', 'stalk', 'rib']),
  new Set(['rasher', 'slice']),
  new Set(['loaf', 'each']),
];
/** What a thumb or a knob of a root is: an inch of it. */
const inches = new Set(['thumb', 'knob']);

/**
 * Whether a count word means the piece a row gives the weight of: a clove of garlic, a tin of tomatoes; not a head of garlic.
 * @example weighsAsPiece('rib', celery) // true: it is weighed by the stick
 */
export function weighsAsPiece(unit: Unit, row: Pick<IngredientRow, 'pieceName'>): boolean {
  if (unitFacts[unit].dimension === 'piece') return true;
  const piece = row.pieceName;
  if (unitFacts[unit].dimension !== 'count' || piece === undefined) return false;
  return piece === unit || sameCount.some((names) => names.has(unit) && names.has(piece)) || (inches.has(unit) && piece === '2.5 cm piece');
}

/**
 * Grams of a quantity of an ingredient. Volumes need a density, pieces a piece weight; without one it says so and never guesses 1.
 * @example gramsOf({ amount: '3', unit: 'piece' }, onion) // { ok: true, by: 'piece', massG: 450, ... }
 */
export function gramsOf(q: Quantity | undefined, row: IngredientRow, form?: string): MassResult {
  if (!q) return { ok: false, why: 'noAmount' };
  // pinches, glugs and handfuls are no measures
  if (unitFacts[q.unit].dimension === 'none') return { ok: false, why: 'pinch' };
  const base = inBase(q);
  if (base?.dimension === 'mass') return { ok: true, massG: base.value, by: 'weight' };
  if (base?.dimension === 'volume') {
    const density = densityFor(row, form);
    return density
      ? { ok: true, massG: base.value * density.gPerMl, by: 'density', figure: density.gPerMl, state: density.state, source: row.source }
      : { ok: false, why: 'noDensity' };
  }
  return row.pieceG === undefined || !weighsAsPiece(q.unit, row)
    ? { ok: false, why: 'noPieceWeight' }
    : { ok: true, massG: toNumber(q.amount) * row.pieceG, by: 'piece', figure: row.pieceG, source: row.source };
}
