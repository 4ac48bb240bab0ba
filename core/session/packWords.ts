import { isCounted, isOne, sayDayYear, sayMass, sayVolume } from '#core/kitchen';
import type { PackState } from '#core/store';

const unitName: Readonly<Record<string, [string, string]>> = {
  puree: ['cube', 'cubes'],
  aromatic: ['cube', 'cubes'],
  broth: ['pack', 'packs'],
  bread: ['piece', 'pieces'],
};

/** What one portion of a kind is called. @example portionName('puree', 2) // 'cubes' */
export const portionName = (kind: string, n: number): string => (unitName[kind] ?? ['portion', 'portions'])[isOne(n) ? 0 : 1] ?? 'portions';

/** Of food that nobody can date. @example sayUndated('2026-11-24') // how a label says that nobody knows when it was made */
export const sayUndated = (foundOn: string | undefined): string =>
  foundOn === undefined ? 'Date not known' : `Found ${sayDayYear(foundOn)}, date not known`;

/**
 * `800 ml` of what is poured, `490 g` of what is counted or weighed.
 * @example sayContents({ kind: 'broth', massG: 500, volumeMl: 500, measure: 'ml' }) // '500 ml'
 */
export const sayContents = (pack: Pick<PackState, 'kind' | 'measure' | 'volumeMl' | 'massG'>): string =>
  (pack.measure ?? (isCounted(pack.kind) ? 'g' : 'ml')) === 'g' ? sayMass(pack.massG) : sayVolume(pack.volumeMl);
