import type { LifeSnapshot, PackCorrection, PackFacts } from '#core/contract';
import { datesFor } from '#core/kitchen';
import type { PackState } from './state.ts';

/** A pack as a form shows it. @example correctionFrom(tub7).made // '2026-10-03' */
export const correctionFrom = (pack: PackState): PackCorrection => ({
  name: pack.name,
  kind: pack.kind,
  portions: pack.portions,
  left: pack.left,
  massG: pack.massG,
  ...(pack.made && { made: pack.made.earliest }),
  ...(pack.bestBy && { bestBy: pack.bestBy }),
  containerId: pack.containerId ?? '',
  contains: [...pack.allergens.contains],
  lifeId: pack.life.rowId,
  placeId: pack.placeId ?? '',
  zoneId: pack.zoneId ?? '',
  reason: '',
});

/**
 * The best-by day that follows from another day of making, as when it was filled.
 * @example bestByFrom(tub7, '2026-10-10') // '2026-12-10', two months on
 */
export const bestByFrom = (pack: Pick<PackState, 'life'>, made: string): string => datesFor(pack.life, made).bestBy;

/**
 * Where a pack stands otherwise than was said; a pack in no freezer has no place to be wrong.
 * @example movedTo(tub7, { ...correctionFrom(tub7), zoneId: 'right' }) // { placeId: 'shed', zoneId: 'right' }
 */
export const movedTo = (pack: PackState, said: PackCorrection): { placeId: string; zoneId: string } | undefined =>
  pack.placeId !== undefined && said.placeId !== '' && (said.placeId !== pack.placeId || said.zoneId !== pack.zoneId)
    ? { placeId: said.placeId, zoneId: said.zoneId }
    : undefined;

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * What of a pack is otherwise than it was entered: as it is and as it was, and how much is left where that moved.
 * @param lives storage lives by row, for one that keeps like something else
 * Law: what was not changed is in neither; corrected twice back and forth, the pack is as it was.
 * @example correctionOf(tub7, { ...correctionFrom(tub7), name: 'Leek soup' }) // { is: { name: 'Leek soup' }, was: { name: 'Stew' } }
 */
export function correctionOf(
  pack: PackState,
  said: PackCorrection,
  lives: ReadonlyMap<string, LifeSnapshot> = new Map(),
): { is: PackFacts; was: PackFacts; portions?: number } {
  const is: PackFacts = {};
  const was: PackFacts = {};
  const put = <K extends keyof PackFacts>(key: K, now: PackFacts[K], before: PackFacts[K]): void => {
    if (same(now, before)) return;
    is[key] = now;
    was[key] = before;
  };
  put('name', said.name, pack.name);
  put('kind', said.kind, pack.kind);
  put('portions', said.portions, pack.portions);
  put('massG', said.massG, pack.massG);
  // as much larger as it is heavier; what was never weighed stays as large
  if (said.massG !== pack.massG && pack.massG > 0) {
    const grown = said.massG / pack.massG;
    put('volumeMl', Math.round(pack.volumeMl * grown), pack.volumeMl);
  }
  // a vague day stays vague until it is said anew
  if (said.made !== pack.made?.earliest)
    put('made', said.made === undefined ? null : { earliest: said.made, latest: said.made }, pack.made ?? null);
  const life = said.lifeId === pack.life.rowId ? undefined : lives.get(said.lifeId);
  if (life) put('life', life, pack.life);
  // how long it can be eaten at most follows both
  if ('made' in is || 'life' in is)
    put('limit', said.made === undefined ? null : datesFor(life ?? pack.life, said.made).limit, pack.limit ?? null);
  put('bestBy', said.bestBy ?? null, pack.bestBy ?? null);
  put('containerId', said.containerId === '' ? null : said.containerId, pack.containerId ?? null);
  if (!same([...said.contains].sort(), [...pack.allergens.contains].sort()))
    put('allergens', { ...pack.allergens, contains: [...said.contains].sort() }, pack.allergens);
  // a whole pack that held otherwise than was entered is still whole
  const whole = pack.left === pack.portions && said.left === pack.left;
  const left = whole ? said.portions : said.left;
  return { is, was, ...(left !== pack.left && { portions: left }) };
}
