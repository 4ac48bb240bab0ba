import type { Equipment } from '#core/contract';
import { efficiencyRows, rateRows } from './data/index.ts';
import type { Spread } from './evaporation.ts';

/** A burner as far as it is known. */
export interface Burner {
  watts: number;
  heat: NonNullable<Equipment['heat']>;
  /** The household has not said; this is what was taken instead. */
  assumed?: 'heat';
}

/** Ingredients stand at room temperature; a pot has come to the boil at 95 °C in its middle. */
const fromC = 15;
const toC = 95;

const kindHeat = { broth: 'heat_broth', puree: 'heat_puree' } as const;

/**
 * Minutes until a pot boils: mass x specific heat x rise over the power that reaches it. A bigger batch takes longer, in proportion.
 * @param massG what is in the pot
 * @returns minutes, low to high by the hob's efficiency
 * @throws RangeError for a negative mass or no power
 * @example boilUpMinutes({ massG: 6600, kind: 'meal', burner: { watts: 2200, heat: 'ceramic' } }).value // about 21
 */
export function boilUpMinutes({ massG, kind, burner }: { massG: number; kind: string; burner: Burner }): Spread {
  if (!(massG >= 0) || !(burner.watts > 0))
    throw new RangeError(`boilUpMinutes: expected a mass of 0 or more and some power, got ${massG} g, ${burner.watts} W`);
  const heatId = kind in kindHeat ? kindHeat[kind as keyof typeof kindHeat] : 'heat_stew';
  const c = rateRows.find((r) => r.id === heatId)?.value ?? 0;
  const eta = efficiencyRows.find((r) => r.heat === burner.heat);
  if (!eta) throw new RangeError(`boilUpMinutes: no efficiency for ${burner.heat}`);
  const minutes = (share: number): number => (massG * c * (toC - fromC)) / (burner.watts * share) / 60;
  return { low: minutes(eta.high), value: minutes(eta.value), high: minutes(eta.low) };
}

/**
 * The household's burner; without a power nothing is worked out.
 * @example burnerOf([{ id: 'hob', name: 'Hob', kind: 'hob', count: 4, watts: 2200, heat: 'ceramic' }]).watts // 2200
 */
export function burnerOf(equipment: readonly Equipment[]): Burner | undefined {
  const hob = equipment.find((e) => e.kind === 'hob' && e.count > 0 && e.watts !== undefined);
  if (!hob?.watts) return undefined;
  return { watts: hob.watts, heat: hob.heat ?? 'ceramic', ...(!hob.heat && { assumed: 'heat' as const }) };
}
