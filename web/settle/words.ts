import type { DocumentTable } from '#core/contract';

/** What a document is called. */
export const documentWords: Readonly<Record<DocumentTable, string>> = {
  household: 'The household’s settings',
  eater: 'Somebody at the table',
  equipment: 'A piece of kitchen gear',
  container: 'A container',
  place: 'A cold place',
  recipe: 'A recipe',
  recipe_revision: 'What is written in a recipe',
  picture: 'A picture',
  recipe_list: 'A list of recipes',
  session: 'A session',
};

/** Fields whose names need more than their own letters. */
const fieldWords: Readonly<Record<string, string>> = {
  dinnerAt: 'dinner at',
  startAt: 'starts at',
  parDays: 'dinners to keep in store, days',
  leadDays: 'notice before a cook, days',
  servings: 'portions as written',
  revisionId: 'what is written in it',
  batches: 'dishes',
  owned: 'how many there are',
  fillMl: 'filled to, ml',
  brimMl: 'to the brim, ml',
  litres: 'litres',
  temperatureC: 'temperature, °C',
  singleKeys: 'single letters as keys',
  scaleStepG: 'the scale shows, g',
  birthDay: 'born on',
  ownReheat: 'how it is heated',
  ownThaw: 'how it is thawed',
  written: 'as written',
  handsOnMin: 'hands-on minutes',
  waitMin: 'waiting minutes',
};

const spaced = (name: string): string => fieldWords[name] ?? name.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();

/** A field's path as words: `dishes, Beet soup, portions`. */
export const fieldOf = (names: readonly string[]): string =>
  names.map((n, i) => (i === 0 || n === n.toLowerCase() || fieldWords[n] ? spaced(n) : n)).join(', ') || 'all of it';

/** A value as one reads it. */
export function valueOf(value: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string' || typeof value === 'number') return String(value);
  if (Array.isArray(value)) return value.length === 0 ? 'none' : value.map(valueOf).join(', ');
  const { name, text, written, portions } = value as Record<string, unknown>;
  const called = [name, text, written].find((v) => typeof v === 'string' && v !== '');
  if (called !== undefined) return String(called);
  if (portions !== undefined) return `${valueOf(portions)} portions`;
  return Object.entries(value)
    .filter(([key]) => !key.endsWith('Id') && key !== 'id')
    .map(([key, v]) => `${spaced(key)} ${valueOf(v)}`)
    .join(', ');
}
