/** Figures of the heat models, low, usual and high, each with where it comes from. */
export interface RateRow { id: string; low: number; value: number; high: number; unit: string; source: string; conf: 'A' | 'B' | 'confirm' }
export interface EfficiencyRow extends RateRow { heat: 'gas' | 'ceramic' | 'induction' }

export const rateRows: readonly RateRow[] = [
  { id: 'simmer_open', low: 12, value: 19, high: 30, unit: 'kg/m2h', source: 'CALC', conf: 'B' },
  { id: 'simmer_ajar', low: 6, value: 9.5, high: 15, unit: 'kg/m2h', source: 'CALC;KIT', conf: 'B' },
  { id: 'simmer_on', low: 0, value: 0, high: 1, unit: 'kg/m2h', source: 'KIT', conf: 'confirm' },
  { id: 'heat_broth', low: 4.0, value: 4.08, high: 4.15, unit: 'kJ/kgK', source: 'CALC', conf: 'B' },
  { id: 'heat_puree', low: 3.77, value: 3.9, high: 3.95, unit: 'kJ/kgK', source: 'CALC', conf: 'B' },
  { id: 'heat_stew', low: 3.4, value: 3.7, high: 3.9, unit: 'kJ/kgK', source: 'CALC', conf: 'B' },
  { id: 'food_true', low: 1.01, value: 1.04, high: 1.1, unit: 'g/ml', source: 'CALC', conf: 'B' },
];

export const efficiencyRows: readonly EfficiencyRow[] = [
  { id: 'eta_gas', heat: 'gas', low: 0.35, value: 0.4, high: 0.45, unit: 'share', source: 'KIT', conf: 'B' },
  { id: 'eta_ceramic', heat: 'ceramic', low: 0.65, value: 0.7, high: 0.75, unit: 'share', source: 'KIT', conf: 'B' },
  { id: 'eta_induction', heat: 'induction', low: 0.75, value: 0.8, high: 0.85, unit: 'share', source: 'KIT', conf: 'B' },
];
