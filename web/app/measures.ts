import { sayMassIn, sayVolumeIn, type UnitSystem } from '#core/kitchen';

/** The household's measures, as the frame last said; pages are drawn anew when it answers. */
let units: UnitSystem = 'metric';

/** Follows the household: from the next drawing on every weight and volume is said its way. */
export function followUnits(now: UnitSystem): void {
  units = now;
}

/** A weight in the household's own measures. */
export const sayMass = (g: number): string => sayMassIn(units, g);

/** A volume in the household's own measures. */
export const sayVolume = (ml: number): string => sayVolumeIn(units, ml);
