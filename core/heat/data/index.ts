export { efficiencyRows, rateRows, type EfficiencyRow, type RateRow } from './rates.rows.ts';
