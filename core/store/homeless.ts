import type { Place } from '#core/contract';
import type { PackState } from './state.ts';

/**
 * Packs that stand where nothing is once a cold place is changed or taken away: on a shelf that is no longer there.
 * @param after the place as it is to be; undefined when it is taken away
 * @example homeless(packs, shed, { ...shed, zones: [shed.zones[0]] }).length // what stood in the other baskets
 */
export function homeless<P extends Pick<PackState, 'placeId' | 'zoneId'>>(
  packs: readonly P[],
  before: Place,
  after: Place | undefined,
): P[] {
  const zones = new Set(after?.zones.map((z) => z.id));
  return packs.filter((p) => p.placeId === before.id && (!after || (p.zoneId !== undefined && !zones.has(p.zoneId))));
}
