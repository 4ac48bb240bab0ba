import { sayMassIn, sayVolumeIn, type UnitSystem } from '#core/kitchen';
import { useAppSelector, type RootState } from './store.ts';
import { selectHousehold } from './selectors.ts';

/** Weights and volumes as a household says them. */
export interface Measures {
  units: UnitSystem;
  sayMass: (g: number) => string;
  sayVolume: (ml: number) => string;
  /** A volume as exactly as a pot is read: to 50 ml from a litre on, to 10 ml below. */
  aboutVolume: (ml: number) => string;
}

/**
 * The words of a system of measures; the same object for the same system.
 * @example measuresIn.us.sayMass(907.2) // '2 lb'
 */
export const measuresIn: Readonly<Record<UnitSystem, Measures>> = {
  metric: measuresOf('metric'),
  us: measuresOf('us'),
  uk: measuresOf('uk'),
};

function measuresOf(units: UnitSystem): Measures {
  const sayVolume = (ml: number): string => sayVolumeIn(units, ml);
  return {
    units,
    sayMass: (g) => sayMassIn(units, g),
    sayVolume,
    aboutVolume: (ml) => sayVolume(ml >= 1000 ? Math.round(ml / 50) * 50 : Math.round(ml / 10) * 10),
  };
}

/** The household's measures: as the frame says, and before it has answered, as it last did on this device. */
export const selectUnits = (state: RootState): UnitSystem => selectHousehold(state)?.units ?? state.device.units;

/** Weights and volumes the household's way; a page that shows them is drawn anew when the household changes its measures. */
export const useMeasures = (): Measures => measuresIn[useAppSelector(selectUnits)];
