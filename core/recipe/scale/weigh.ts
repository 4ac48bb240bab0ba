import type { Line, Revision, Unit } from '#core/contract';
import { densityFor, gramsOf, inBase, type Because, type IngredientFinder, type IngredientRow, type Rational } from '#core/kitchen';
import { flowOf, type FlowStep } from './flow.ts';
import { finished, type Finished } from './portions.ts';

/** What is known of a line before it is scaled. */
export interface LineFacts {
  line: Line;
  row?: IngredientRow;
  /** Edible grams of the written amount. */
  writtenG?: number;
  /** Grams per millilitre in the form it goes in. */
  gPerMl?: number;
  pour: boolean;
  weighOnly: boolean;
  /** Holds to 2 % rather than 5 %. */
  tight: boolean;
  because: Because[];
}

const leaveners = /salt|yeast|baking powder|bicarbonate|gelatine|cure/i;
const poured = new Set(['oils_sauces', 'drinks_other']);
/** What is written by the jug and not known otherwise is poured: a base, a sauce of one's own. */
const jugUnits = new Set<string>(['ml', 'cl', 'dl', 'l']);
const weighedAisles = new Set(['meat', 'fish']);

/** Edible grams of an amount of a line, with the reason, or why it cannot be weighed. */
export function massOf(
  line: Line,
  exact: { amount: Rational; unit: Unit } | undefined,
  row: IngredientRow | undefined,
): { g?: number; because: Because[] } {
  if (!exact) return { because: [] };
  if (!row) {
    const base = inBase(exact);
    return base?.dimension === 'mass' ? { g: base.value, because: [] } : { because: [] };
  }
  const mass = gramsOf(exact, row, line.form);
  if (!mass.ok) return mass.why === 'noDensity' || mass.why === 'noPieceWeight' ? { because: [{ code: mass.why }] } : { because: [] };
  if (mass.by === 'piece')
    return {
      g: row.ediblePct === undefined ? mass.massG : (mass.massG * row.ediblePct) / 100,
      because: [{ code: 'pieceWeight', params: { g: mass.figure ?? 0, edible: row.ediblePct ?? 100 }, source: row.source }],
    };
  return mass.by === 'density'
    ? { g: mass.massG, because: [{ code: 'density', params: { gPerMl: mass.figure ?? 0 }, source: row.source }] }
    : { g: mass.massG, because: [] };
}

function factsOf(line: Line, finder: IngredientFinder): LineFacts {
  const row = line.item.type === 'ingredient' ? finder.byId(line.item.id) : undefined;
  // “up to four spoons” counts with its high end, as it is measured out
  const amount = line.amountTo !== undefined && line.amount === '0' ? line.amountTo : line.amount;
  const written = amount !== undefined && line.unit ? { amount, unit: line.unit } : undefined;
  // ice cools the bath, it goes into no pot
  const mass = row?.id === 'ice' ? { because: [] } : massOf(line, written, row);
  const density = row && densityFor(row, line.form);
  return {
    line,
    ...(row && { row }),
    ...(mass.g !== undefined && { writtenG: mass.g }),
    ...(density && { gPerMl: density.gPerMl }),
    pour: row ? row.density.liquid !== undefined || row.baseState === 'liquid' || poured.has(row.aisle) : jugUnits.has(line.unit ?? ''),
    weighOnly: row ? weighedAisles.has(row.aisle) : false,
    tight: line.scaling.rule === 'ratio' || leaveners.test(line.name),
    because: mass.because,
  };
}

/** The facts of every line. @example lineFacts(revision, finder)[0]?.writtenG // 400 g of onion without its peel */
export const lineFacts = (revision: Revision, finder: IngredientFinder): LineFacts[] => revision.lines.map((line) => factsOf(line, finder));

/** A recipe as it is written, weighed once: what every size of it is worked out from. */
export interface WeighedRecipe {
  revision: Revision;
  /** Line by line, in the recipe's order. */
  facts: readonly LineFacts[];
  /** Edible grams by line id, of the lines of the batch that can be weighed. */
  massG: ReadonlyMap<string, number>;
  /** What a serving comes to. */
  serving: Finished;
  /** What all written servings come to. */
  written: Finished;
  /** Its steps as pots and bowls see them. */
  flow: readonly FlowStep[];
}

/**
 * Weighs a recipe, for scaling it to any number of sizes.
 * @example const stew = weighRecipe(revision, finder); [4, 12, 40].map((n) => scaleWeighed(stew, { by: 'portions', portions: n }, options))
 */
export function weighRecipe(revision: Revision, finder: IngredientFinder): WeighedRecipe {
  const facts = lineFacts(revision, finder);
  return {
    revision,
    facts,
    massG: new Map(
      facts.flatMap((f): [string, number][] => (f.line.moment === 'batch' && f.writtenG !== undefined ? [[f.line.id, f.writtenG]] : [])),
    ),
    serving: finished(revision, 1),
    written: finished(revision, revision.servings),
    flow: flowOf(revision),
  };
}
