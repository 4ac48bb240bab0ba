import type { Day, Kind, Place } from '#core/contract';
import { usableShareOf } from './room.ts';

/** What of a pack decides which pile it lies on. */
export interface Piled {
  packId: string;
  name: string;
  kind: Kind;
  recipeId?: string;
  left: number;
  outerMl: number;
  due: { day?: Day };
  placeId?: string;
  zoneId?: string;
}

/** Packs of one dish that lie together, the one to be used first on top. */
export interface Pile<P extends Piled = Piled> {
  key: string;
  name: string;
  kind: Kind;
  packs: readonly P[];
  /** Portions in all, and in the smallest and the largest pack. */
  left: number;
  least: number;
  most: number;
  /** Millilitres that they take up. */
  outerMl: number;
  /** The earliest day of any; absent when none is dated. */
  soonest?: Day;
}

/**
 * Lays packs of one dish onto piles: of the whole store, or shelf by shelf.
 * @param packs in the order they are to be used ({@link useFirst}); it is kept, in each pile and among the piles
 * @param where `spot`: a pile for each shelf that a dish lies on
 * @returns every pack lies on exactly one
 * @example pilesOf([gratin1, gratin2, soup], 'dish').map((p) => p.packs.length) // [2, 1]
 */
export function pilesOf<P extends Piled>(packs: readonly P[], where: 'dish' | 'spot'): Pile<P>[] {
  const groups = new Map<string, P[]>();
  for (const p of packs) {
    const dish = `${p.recipeId ?? ''} ${p.name} ${p.kind}`;
    const key = where === 'dish' ? dish : `${p.placeId ?? ''} ${p.zoneId ?? ''} ${dish}`;
    const group = groups.get(key);
    if (group) group.push(p);
    else groups.set(key, [p]);
  }
  return [...groups].map(([key, list]): Pile<P> => {
    const [top] = list;
    const lefts = list.map((p) => p.left);
    const [soonest] = list.flatMap((p) => p.due.day ?? []).toSorted();
    return {
      key,
      name: top?.name ?? '',
      kind: top?.kind ?? 'meal',
      packs: list,
      left: lefts.reduce((s, n) => s + n, 0),
      least: Math.min(...lefts),
      most: Math.max(...lefts),
      outerMl: list.reduce((s, p) => s + p.outerMl, 0),
      ...(soonest !== undefined && { soonest }),
    };
  });
}

/**
 * What of a shelf or basket is free, its share of the place's usable litres less what lies on it.
 * @returns millilitres, 0 when it is full or more than that
 * @example zoneFreeMl(chest, chest.zones[0], [gratin1, gratin2]) // 41200
 */
export const zoneFreeMl = (place: Place, zone: Place['zones'][number], packs: readonly Pick<Piled, 'outerMl'>[]): number =>
  Math.max(0, zone.litres * 1000 * usableShareOf(place) - packs.reduce((s, p) => s + p.outerMl, 0));
