import { rateRows, type RateRow } from './data/index.ts';

/** Low, usual and high of something a model works out. */
export interface Spread {
  low: number;
  value: number;
  high: number;
}

const row = (id: string): RateRow => {
  const found = rateRows.find((r) => r.id === id);
  if (!found) throw new RangeError(`heat: no rate ${id}`);
  return found;
};

/** The surface of what stands in a round pot. @example surfaceM2(240) // the surface of a 24 cm pot: 0.045 */
export const surfaceM2 = (diameterMm: number): number => (Math.PI * (diameterMm / 1000) ** 2) / 4;

/**
 * Water that leaves a simmering pot: it depends on the surface and the time, not on how much is in it, so four times the soup in one pot does not lose four times the water.
 * @param lid off: bare at 90 to 97 °C; ajar halves it; on stops it
 * @returns millilitres, low to high: the bound of an open surface at 95 °C, 12 to 30 kg per m² and hour
 * @throws RangeError for a negative diameter or time
 * @example boiledOffMl({ diameterMm: 260, minutes: 45, lid: 'off' }).value // about 757
 */
export function boiledOffMl({ diameterMm, minutes, lid }: { diameterMm: number; minutes: number; lid: 'off' | 'ajar' | 'on' }): Spread {
  if (!(diameterMm >= 0) || !(minutes >= 0))
    throw new RangeError(`boiledOffMl: expected a diameter and minutes of 0 or more, got ${diameterMm} mm, ${minutes} min`);
  const rate = row(lid === 'off' ? 'simmer_open' : lid === 'ajar' ? 'simmer_ajar' : 'simmer_on');
  const perKgM2h = surfaceM2(diameterMm) * (minutes / 60) * 1000;
  return { low: rate.low * perKgM2h, value: rate.value * perKgM2h, high: rate.high * perKgM2h };
}

/**
 * Grams per millilitre of watery food without air between its pieces: what it displaces in a pot.
 * @example trueDensity() // grams per millilitre of food without the air between its pieces
 */
export const trueDensity = (): number => row('food_true').value;
