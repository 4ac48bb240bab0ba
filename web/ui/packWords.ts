import type { Place } from '#core/contract';
import { sayDay, sayPortions } from '#core/kitchen';
import { portionName, sayUndated } from '#core/session';

/** `2 portions`, `12 cubes`: what is left in a pack. */
export const amountOf = (p: { kind: string; left: number }): string => `${sayPortions(p.left)}\u00A0${portionName(p.kind, p.left)}`;

/** Where a pack stands: `Shed chest, left basket`. */
export function placeName(places: readonly Place[], p: { placeId?: string; zoneId?: string }): string {
  const place = places.find((x) => x.id === p.placeId);
  if (!place) return 'not put away';
  const zone = place.zones.find((z) => z.id === p.zoneId);
  return zone ? `${place.name}, ${zone.name}` : place.name;
}

/** `best by 3 Nov`, `found 12 Dec 2026, date not known`. */
export const datedAs = (p: { bestBy?: string | undefined; foundOn?: string | undefined }): string => {
  if (p.bestBy !== undefined) return `best by ${sayDay(p.bestBy)}`;
  const says = sayUndated(p.foundOn);
  return `${says.charAt(0).toLowerCase()}${says.slice(1)}`;
};
