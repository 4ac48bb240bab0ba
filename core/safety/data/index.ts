export { allergenRows } from './allergens.rows.ts';
export { clockRows } from './clocks.rows.ts';
export { hazardRows } from './hazards.rows.ts';
export { hiddenAllergenRows } from './hiddenAllergens.rows.ts';
export { hotBlendingRows } from './hotBlending.rows.ts';
export { setpointRows } from './setpoints.rows.ts';
