import type { Place } from '#core/contract';
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

/** Room in a cold place by the outside of what stands in it. */
export function roomIn(place: Place, packs: readonly PackState[]): PlaceRoom {
  const here = packs.filter((p) => p.placeId === place.id && statusOf(p) === 'frozen');
  const usableMl = place.litres * 1000 * (place.kind === 'chest' ? usable.chest : usable.other);
  const usedMl = here.reduce((sum, p) => sum + p.outerMl, 0);
  return { placeId: place.id, usableMl, usedMl, freeMl: Math.max(0, usableMl - usedMl), packs: here.length };
}

/** Containers in use by packs that hold food, or emptied and not washed yet. One-use ones are gone once filled. */
export function containersInUse(packs: readonly PackState[], oneUse: ReadonlySet<string>): Map<string, { inUse: number; toWash: number }> {
  const counts = new Map<string, { inUse: number; toWash: number }>();
  for (const pack of packs) {
    if (!pack.containerId) continue;
    const c = counts.get(pack.containerId) ?? { inUse: 0, toWash: 0 };
    const empty = statusOf(pack) === 'empty';
    if (!empty || oneUse.has(pack.containerId)) c.inUse += 1;
    else if (!pack.washed) c.toWash += 1;
    counts.set(pack.containerId, c);
  }
  return counts;
}
