import type { Line } from '#core/contract';
import { countOf, inBase, pluralOf, isOne, sayMassIn, sayPortions, sayVolumeIn, toNumber, unitFacts, type UnitSystem } from '#core/kitchen';
import type { Ask, Composed } from './compose.ts';

const spoons: ReadonlySet<string> = new Set(['tsp', 'tbsp', 'cup', 'usTsp', 'usTbsp', 'usCup']);

function sayOne(n: number, unit: NonNullable<Line['unit']>, units: UnitSystem): string {
  const fact = unitFacts[unit];
  if (unit === 'piece') return countOf(n, 'piece');
  if (fact.dimension === 'count' || fact.dimension === 'none') return `${sayPortions(n)} ${isOne(n) ? fact.short : pluralOf(fact.short)}`;
  if (spoons.has(unit)) return `${sayPortions(n)} ${unit === 'cup' && !isOne(n) ? 'cups' : fact.short}`;
  const base = inBase({ amount: '1', unit })?.value ?? 1;
  return fact.dimension === 'mass' ? sayMassIn(units, n * base) : sayVolumeIn(units, n * base);
}

/**
 * A line's amount as it will be weighed: `567 g` for a pound and a quarter, `2 cloves`, `2 to 3 pieces`, `up to 4 tbsp`, `to taste`.
 * @example sayAmount({ amount: '20', unit: 'oz', scaling: { rule: 'proportional' } }, 'metric') // '567 g'
 */
export function sayAmount(line: Pick<Line, 'amount' | 'amountTo' | 'unit' | 'scaling'>, units: UnitSystem): string {
  if (line.amount === undefined || !line.unit) return line.scaling.rule === 'toTaste' ? 'to taste' : 'as you like';
  const low = toNumber(line.amount);
  const high = line.amountTo === undefined ? undefined : toNumber(line.amountTo);
  if (high === undefined) return sayOne(low, line.unit, units);
  if (low === 0) return `up to ${sayOne(high, line.unit, units)}`;
  const [a, b] = [sayOne(low, line.unit, units), sayOne(high, line.unit, units)];
  // one unit is said once
  const [, unitA] = /^[\d.,¼-¾⅐-⅞\s]*\s?(.*)$/u.exec(a) ?? [];
  const [, unitB] = /^[\d.,¼-¾⅐-⅞\s]*\s?(.*)$/u.exec(b) ?? [];
  return unitA === unitB && unitA ? `${a.slice(0, a.length - unitA.length).trim()} to ${b}` : `${a} to ${b}`;
}

/** What is asked, in a sentence that says what to do. @example sayAsk({ ask: 'name' }) // 'It has no name yet.' */
export function sayAsk(a: Ask): string {
  switch (a.ask) {
    case 'name':
      return 'It has no name yet.';
    case 'lines':
      return 'It has no ingredients yet.';
    case 'makes':
      return 'How much does it make? Portions, litres, cubes or loaves: “7 plates of 420 g”, “3 litres”.';
    case 'kind':
      return 'What is it?';
    case 'food':
      return `${a.name} is not known here: its weight and allergens stay open.`;
    case 'cannotBeMeant':
      return `“${a.text}” ${a.why === 'nothing' ? 'is nothing at all' : 'is more than any kitchen cooks at once'}: mend the amount. The line is kept as it is written.`;
    case 'servingTooLarge':
      return `A serving of ${a.unit === 'g' ? sayMassIn('metric', a.amount) : sayVolumeIn('metric', a.amount)} is a pot, not a plate. Is that what all of it makes?`;
    case 'tooMany':
      return `A recipe holds ${a.most} ${a.what}; what is beyond is kept in this draft only. Make two of it.`;
  }
}

/** Whether a recipe may be kept: it has a name and something to cook, and no figure that cannot be meant. @example canKeep(composed) // false without a name */
export const canKeep = (c: Composed): boolean =>
  !c.asks.some((a) => a.ask === 'name' || a.ask === 'lines' || a.ask === 'cannotBeMeant' || a.ask === 'tooMany');
