export { reheatRows } from './reheat.rows.ts';
export { thawRows } from './thaw.rows.ts';
export { thicknessRows } from './thickness.rows.ts';
export { boldWidths, regularWidths } from './widths.rows.ts';
