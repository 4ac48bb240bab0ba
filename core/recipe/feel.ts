import type { Line, Unit } from '#core/contract';
import {
  capital,
  fromNumber,
  measureIn,
  plus,
  pluralOf,
  sayMass,
  sayVolume,
  times,
  toNumber,
  unitFacts,
  type IngredientFinder,
  type Rational,
} from '#core/kitchen';

/** One pour, pinch or handful, as it went in. */
export interface Pour {
  name: string;
  ingredientId?: string;
  amount: number;
  unit: Unit;
}

/** What went in of one thing, all pours together. */
export interface Tally {
  name: string;
  ingredientId?: string;
  amount: Rational;
  unit: Unit;
  pours: number;
}

const key = (p: Pick<Pour, 'name' | 'ingredientId'>, unit: Unit): string => `${p.ingredientId ?? p.name.toLowerCase()}|${unit}`;

/** Grams, millilitres and pieces are summed in their base; a pinch stays a pinch. */
function baseOf(p: Pour): { amount: Rational; unit: Unit } {
  const fact = unitFacts[p.unit];
  const amount = fromNumber(p.amount);
  if (fact.dimension === 'mass') return { amount: times(amount, fact.base), unit: 'g' };
  if (fact.dimension === 'volume') return { amount: times(amount, fact.base), unit: 'ml' };
  return { amount, unit: p.unit };
}

/**
 * Adds pours up, thing by thing and kind of measure by kind, in the order of their first pour.
 * Law: the sum does not depend on the order of the pours.
 * @throws RangeError for a pour of 0 or less
 * @example tally([{ name: 'water', amount: 30, unit: 'ml' }, { name: 'water', amount: 15, unit: 'ml' }])[0].amount // '45'
 */
export function tally(pours: readonly Pour[]): Tally[] {
  const sums = new Map<string, Tally>();
  for (const p of pours) {
    if (!(p.amount > 0)) throw new RangeError(`tally: expected a pour above 0, got ${p.amount} of ${p.name}`);
    const { amount, unit } = baseOf(p);
    const k = key(p, unit);
    const before = sums.get(k);
    sums.set(
      k,
      before
        ? { ...before, amount: plus(before.amount, amount), pours: before.pours + 1 }
        : { name: p.name, ...(p.ingredientId && { ingredientId: p.ingredientId }), amount, unit, pours: 1 },
    );
  }
  return [...sums.values()];
}

/**
 * How much of a planned amount has been poured.
 * @example pouredOf([30, 15, 15], 60) // { poured: 60, left: 0, over: 0 }
 */
export function pouredOf(pours: readonly number[], planned: number): { poured: number; left: number; over: number } {
  const poured = pours.reduce((s, n) => s + n, 0);
  return { poured, left: Math.max(0, planned - poured), over: Math.max(0, poured - planned) };
}

/**
 * Pours as the lines of a recipe that can be made again: seasonings start low and are tasted, the rest grows in proportion.
 * @example linesOf(tally(pours)) // what went in by feel, as lines of a recipe
 */
export function linesOf(pours: readonly Pour[], finder: IngredientFinder, id: (n: number) => string): Line[] {
  return tally(pours).map((t, n): Line => {
    const row = t.ingredientId ? finder.byId(t.ingredientId) : undefined;
    const byFeel = unitFacts[t.unit].dimension === 'none';
    const text = measureIn('metric', {
      quantity: { amount: t.amount, unit: t.unit },
      pour: t.unit === 'ml',
      cap: 0.02,
      scaleStepG: 0.1,
    }).text;
    return {
      id: id(n),
      written: `${text} ${t.name}`,
      amount: t.amount,
      unit: t.unit,
      item: t.ingredientId ? { type: 'ingredient', id: t.ingredientId } : { type: 'unmatched' },
      name: t.name,
      moment: 'batch',
      scaling: byFeel || row?.aisle === 'spices' ? { rule: 'toTaste' } : { rule: 'proportional' },
    };
  });
}

/** What changed in one thing between two runs. */
export interface FeelChange {
  name: string;
  change: 'more' | 'less' | 'same' | 'new' | 'gone';
  says: string;
}

function amountText(amount: number, unit: Unit): string {
  const n = Math.abs(amount);
  if (unit === 'g') return sayMass(Number(n.toFixed(1)));
  if (unit === 'ml') return sayVolume(Number(n.toFixed(1)));
  const { dimension, short: one } = unitFacts[unit];
  const word = unit === 'piece' ? '' : n > 1 && dimension !== 'mass' && dimension !== 'volume' ? pluralOf(one) : one;
  return `${Number(n.toFixed(2))}${word ? ` ${word}` : ''}`;
}

/**
 * What was different from one run to the next, thing by thing, in the order of the newer one.
 * @example compareRuns(batch1, batch2).map((c) => c.says).join(', ') // 'pepper +1 turn, lentils 0, +120 g tomato'
 */
export function compareRuns(before: readonly Pour[], after: readonly Pour[]): FeelChange[] {
  const [a, b] = [tally(before), tally(after)];
  const found = (list: readonly Tally[], t: Tally): Tally | undefined => list.find((x) => key(x, x.unit) === key(t, t.unit));
  const changes = b.map((t): FeelChange => {
    const was = found(a, t);
    if (!was) return { name: t.name, change: 'new', says: `+${amountText(toNumber(t.amount), t.unit)} ${t.name}` };
    const diff = toNumber(t.amount) - toNumber(was.amount);
    if (Math.abs(diff) < 1e-9) return { name: t.name, change: 'same', says: `${t.name} 0` };
    return { name: t.name, change: diff > 0 ? 'more' : 'less', says: `${t.name} ${diff > 0 ? '+' : '−'}${amountText(diff, t.unit)}` };
  });
  const gone = a
    .filter((t) => !found(b, t))
    .map((t): FeelChange => ({ name: t.name, change: 'gone', says: `no ${t.name} (was ${amountText(toNumber(t.amount), t.unit)})` }));
  return [...changes, ...gone];
}

/** A recipe's lines as pours, to be compared with another run. @example poursOf(events) // what was poured, in order */
export const poursOf = (lines: readonly Line[]): Pour[] =>
  lines.flatMap((l): Pour[] => {
    const n = l.amount === undefined ? 0 : toNumber(l.amount);
    return l.unit && n > 0
      ? [{ name: l.name, ...(l.item.type === 'ingredient' && { ingredientId: l.item.id }), amount: n, unit: l.unit }]
      : [];
  });

/**
 * What the pot says, before and after: what is in it and what went up in steam.
 * @example potBalance(pours, weighings) // what the pot weighs against what went in
 */
export function potBalance(
  emptyG: number,
  fullG: number,
  wentInG: number | undefined,
): { ok: true; madeG: number; steamedG?: number } | { ok: false; why: 'lighterThanEmpty' | 'heavierThanPoured' } {
  const madeG = fullG - emptyG;
  if (!(madeG > 0)) return { ok: false, why: 'lighterThanEmpty' };
  if (wentInG !== undefined && madeG > wentInG * 1.1) return { ok: false, why: 'heavierThanPoured' };
  return { ok: true, madeG, ...(wentInG !== undefined && { steamedG: Math.max(0, wentInG - madeG) }) };
}

/** Names as a head of a list. @example sayChanges(lastTime, thisTime) // 'more paprika than last time, less water' */
export const sayChanges = (changes: readonly FeelChange[]): string => capital(changes.map((c) => c.says).join(', '));
