import {
  figureCells,
  readFigure,
  type FigureCell,
  type FigureName,
  type Figures,
  type Household,
  type ReferenceTable,
} from '#core/contract';
import type { ReferenceRow } from './data/types.ts';

/** A row of a table, as the household sees it or as it shipped. */
type FindRow = (table: ReferenceTable, id: string) => ReferenceRow | undefined;

/**
 * The figures that computations read, from the household's own tables; a cell that was emptied or garbled falls back to what shipped.
 * @param shipped the rows as they came
 * @throws RangeError when a cell cannot be read even as it shipped
 * @example figuresOf(ownRow, shippedRow).cool21 // 120 minutes to 21 °C
 */
export function figuresOf(find: FindRow, shipped: FindRow): Figures {
  const read = ([name, at]: [string, FigureCell]): [string, number] => {
    const value = readFigure(at, find(at.table, at.id)?.[at.column]) ?? readFigure(at, shipped(at.table, at.id)?.[at.column]);
    if (value === undefined) throw new RangeError(`no figure in ${at.table} ${at.id}, column ${at.column}`);
    return [name, value];
  };
  return Object.fromEntries(Object.entries<FigureCell>(figureCells).map(read)) as Record<FigureName, number>;
}

/** What a country's advice says of heating and of thawed food, in the household's figures. */
export interface Advice {
  country: Household['country'];
  /** The middle of reheated food, and whose figure it is. */
  coreC: number;
  coreSource: string;
  /** Days that thawed food keeps in the fridge. */
  thawedDays: { cooked: number; raw: number };
}

/**
 * The advice of a country: the UK's and the EU's days after thawing are the same, the US's own; the UK has its own heat.
 * @example adviceOf('GB', figures).coreC // 75
 */
export function adviceOf(country: Household['country'], figures: Figures): Advice {
  const uk = country === 'GB';
  const us = country === 'US';
  return {
    country,
    coreC: uk ? figures.coreUk : figures.coreUs,
    coreSource: uk ? 'FSA' : 'FSIS',
    thawedDays: {
      cooked: Math.max(1, Math.floor(us ? figures.thawedUsCooked : figures.thawedUk)),
      raw: Math.max(1, Math.floor(us ? figures.thawedUsRaw : figures.thawedUk)),
    },
  };
}

/** Stages that eat from the household's pot; a baby's meals are counted in cubes. */
const stages = ['toddler', 'child', 'adult', 'elder'] as const;

/** Appetites by stage, an adult's being 1. @example appetitesOf(figures).toddler // 0.3 */
export const appetitesOf = (figures: Figures): Readonly<Record<(typeof stages)[number] | 'baby', number>> => ({
  ...(Object.fromEntries(stages.map((s) => [s, figures[s]])) as Record<(typeof stages)[number], number>),
  baby: 1,
});
