import type { FigureName, Kind } from '#core/contract';

/** Grams per millilitre that finished food of a kind usually has, for when nothing better is known: a figure of the density table, or a kitchen estimate. */
export interface UsualDensity {
  id: string;
  kind: Kind;
  gPerMl: number | Extract<FigureName, `density${string}`>;
  source: string;
}

export const usualDensityRows: readonly UsualDensity[] = [
  { id: 'meal', kind: 'meal', gPerMl: 'densityMeal', source: 'density table: chunky soup, stew (USDA-Y;KIT)' },
  { id: 'kit', kind: 'kit', gPerMl: 'densityMeal', source: 'density table: chunky soup, stew (USDA-Y;KIT)' },
  { id: 'base', kind: 'base', gPerMl: 'densityBase', source: 'density table: tomato sauce (USDA-Y;KIT)' },
  { id: 'puree', kind: 'puree', gPerMl: 1.03, source: 'puree yields, default (KIT)' },
  { id: 'broth', kind: 'broth', gPerMl: 'densityBroth', source: 'density table: water, broth, thin soup (USDA-Y;KIT)' },
  { id: 'aromatic', kind: 'aromatic', gPerMl: 'densityAromatic', source: 'density table: garlic, pureed (USDA-Y;KIT)' },
  { id: 'dried', kind: 'dried', gPerMl: 0.3, source: 'KIT' },
  { id: 'bread', kind: 'bread', gPerMl: 0.3, source: 'KIT' },
];
