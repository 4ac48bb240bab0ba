import type { Container, Day, Place } from '#core/contract';
import { statusOf, type PackState } from './state.ts';

/** Share of the label litres that packs can really fill: chest 0.85, drawers and boxes 0.75 (reference 8.6, KIT). */
const usable = { chest: 0.85, other: 0.75 } as const;

export interface PlaceRoom {
  placeId: string;
  usableMl: number;
  usedMl: number;
  freeMl: number;
  packs: number;
}

/**
 * What of a place's litres packs can fill: the household's own share, else the usual one of its kind.
 * @example usableShareOf({ kind: 'chest' }) // 0.85
 */
export const usableShareOf = (place: Pick<Place, 'kind' | 'usableShare'>): number =>
  place.usableShare ?? (place.kind === 'chest' ? usable.chest : usable.other);

/**
 * Room in a cold place by the outside of what stands in it.
 * @param packs what is in store ({@link sharesOf}); packs that are probably eaten take no room
 * @example roomIn(chest, packs).freeMl // by the outside of the packs
 */
export function roomIn(place: Place, packs: readonly PackState[]): PlaceRoom {
  const here = packs.filter((p) => p.placeId === place.id && statusOf(p) === 'frozen');
  const usableMl = place.litres * 1000 * usableShareOf(place);
  const usedMl = here.reduce((sum, p) => sum + p.outerMl, 0);
  return { placeId: place.id, usableMl, usedMl, freeMl: Math.max(0, usableMl - usedMl), packs: here.length };
}

/** How a container kind is used: holding food, emptied and not washed, filled ever. */
export interface ContainerUse {
  holding: number;
  toWash: number;
  ever: number;
}

/** Usage by container kind from packs. @example usageOf(packs).get('tub500')?.holding // 4 */
export function usageOf(packs: readonly PackState[]): Map<string, ContainerUse> {
  const counts = new Map<string, ContainerUse>();
  for (const pack of packs) {
    if (!pack.containerId) continue;
    const c = counts.get(pack.containerId) ?? { holding: 0, toWash: 0, ever: 0 };
    const empty = statusOf(pack) === 'empty';
    counts.set(pack.containerId, {
      holding: c.holding + (empty ? 0 : 1),
      toWash: c.toWash + (empty && !pack.washed ? 1 : 0),
      ever: c.ever + 1,
    });
  }
  return counts;
}

/** How many of a container kind are at somebody else's. @example lentOf({ lent: [{ id: 'l1', to: 'Anna', count: 2, day: '2026-11-20' }] }) // 2 */
export const lentOf = (container: Pick<Container, 'lent'>): number => (container.lent ?? []).reduce((s, l) => s + l.count, 0);

/**
 * Fewer of a container kind: broken or given away they are gone, lent they come back.
 * Law: lent and back again, as many are free as before.
 * @example fewer(tub500, { count: 1, how: 'broken' }).owned // one less
 */
export function fewer(
  container: Container,
  said: { count: number; how: 'broken' } | { count: number; how: 'lent'; id: string; to: string; day: Day },
): Container {
  const count = Math.min(said.count, container.owned);
  return said.how === 'broken'
    ? { ...container, owned: container.owned - count }
    : { ...container, lent: [...(container.lent ?? []), { id: said.id, to: said.to, count, day: said.day }] };
}

/** Lent ones are back. @example backAgain(tub500, 'l1').lent // undefined */
export function backAgain({ lent = [], ...container }: Container, id: string): Container {
  const still = lent.filter((l) => l.id !== id);
  return { ...container, ...(still.length > 0 && { lent: still }) };
}

/**
 * Containers free now: a returning one is free again once its pack is eaten and it is washed, a one-use one is gone for good, a lent one is elsewhere.
 * Trays are never filled for good and stay free.
 * @example freeNow(containers, usageOf(packs))[0]?.free // 6
 */
export const freeNow = (
  containers: readonly Container[],
  usage: ReadonlyMap<string, ContainerUse>,
): { container: Container; free: number; toWash: number }[] =>
  containers.map((container) => {
    const use = usage.get(container.id) ?? { holding: 0, toWash: 0, ever: 0 };
    return {
      container,
      free: Math.max(0, container.owned - lentOf(container) - (container.oneUse ? use.ever : use.holding + use.toWash)),
      toWash: container.oneUse ? 0 : use.toWash,
    };
  });
