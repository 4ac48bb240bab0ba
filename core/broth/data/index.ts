export { brothRows } from './broths.rows.ts';
export { scrapRows } from './scraps.rows.ts';
