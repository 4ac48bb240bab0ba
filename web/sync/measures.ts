import { sayMassIn, sayVolumeIn, type UnitSystem } from '#core/kitchen';

const key = 'tambo.units';

function keptUnits(): UnitSystem {
  try {
    const kept = localStorage.getItem(key);
    return kept === 'us' || kept === 'uk' ? kept : 'metric';
  } catch {
    return 'metric';
  }
}

/** The household's measures, as the frame last said; kept over reloads, so that a page is right before the frame has answered. */
let units = keptUnits();

/** Follows the household: from the next drawing on every weight and volume is said its way. */
export function followUnits(now: UnitSystem): void {
  units = now;
  try {
    localStorage.setItem(key, now);
  } catch {
    // then the next page begins in grams until the frame has answered
  }
}

/** What pages are drawn in now: a page that began in others is drawn anew. */
export const unitsNow = (): UnitSystem => units;

/** A weight in the household's own measures. */
export const sayMass = (g: number): string => sayMassIn(units, g);

/** A volume in the household's own measures. */
export const sayVolume = (ml: number): string => sayVolumeIn(units, ml);
