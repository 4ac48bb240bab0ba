export { portionRows } from './portions.rows.ts';
