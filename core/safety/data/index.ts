export { allergenRows } from './allergens.rows.ts';
export { clockRows } from './clocks.rows.ts';
export { hiddenAllergenRows } from './hiddenAllergens.rows.ts';
export { setpointRows } from './setpoints.rows.ts';
