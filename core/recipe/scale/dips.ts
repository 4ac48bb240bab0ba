import type { Step } from '#core/contract';
import { boilUpMinutes, burnerOf, trueDensity } from '#core/heat';
import { waterPerDip } from '../data/index.ts';
import { massIn, type Load, type Passage, type PassageInput } from './contents.ts';
import { onHob, type FlowStep } from './flow.ts';
import { equalLoads, potUsable, roundsMin } from './vessels.ts';

/**
 * Whether a step blanches: a dip into much boiling water. What was blanched before, and the water it was blanched in, do not count.
 * @example blanches({ text: 'Blanch the beans for 3 minutes.' }) // true; 'Add the blanched almonds.' is not
 */
export const blanches = ({ text }: Pick<Step, 'text'>): boolean =>
  /\bblanch(?!ed|ing|iert|ie?s?\b)/iu.test(text) && !/\bblanching (?:water|pot)\b/i.test(text);

/** A pot of water, salted at the most. */
export const holdsWaterOnly = (flow: FlowStep, { recipe }: Pick<PassageInput, 'recipe'>): boolean =>
  [...flow.holds.keys()].every((id) => isWater.test(recipe.facts.find((f) => f.line.id === id)?.row?.id ?? ''));

/**
 * The water of the dips, brought to the boil: as long as its litres take on this hob. Where the recipe has a step for it and nobody said how long, that step
 * waits by it; where it has none, it is work of its own.
 */
export function waterPassage(passage: Passage, { gear }: PassageInput, dip: Load, water: readonly FlowStep[]): void {
  const burner = burnerOf(gear.equipment);
  if (!burner) return;
  const up = boilUpMinutes({ massG: dip.eachMl - (dip.eachG ?? 0) / trueDensity(), kind: 'broth', burner });
  passage.boilUp ??= { ...up, writtenMin: up.value, assumed: burner.assumed !== undefined };
  if (water.length === 0) dip.boilMin = up.value;
  for (const { step } of water) if (step.guessed?.includes('wait')) passage.waits[step.id] = up.value - step.waitMin;
}

/** Lines that are the water, not what is dipped into it. */
const isWater = /^(?:water|ice$|salt)/;

/**
 * Blanching in dips of one size: no more at once than the water of a pot brings back to the boil (reference 5.1: NCHFP). The pot is the smallest that
 * needs no more dips than the largest.
 * @returns undefined for a step that does not blanch, or when nothing that goes in was weighed, or no pot has a size
 */
export function dipLoad(flow: FlowStep, { recipe, massG, gear }: PassageInput): Load | undefined {
  if (!onHob(flow.step) || !blanches(flow.step)) return undefined;
  const lines = new Map(recipe.facts.map((f) => [f.line.id, f]));
  const holds = new Map([...flow.holds].filter(([id]) => !isWater.test(lines.get(id)?.row?.id ?? '')));
  const g = massIn({ ...flow, holds }, massG);
  if (g <= 0) return undefined;
  const leaf = [...holds.keys()].some((id) => waterPerDip.leaf.blanchIds.includes(lines.get(id)?.row?.blanchId ?? ''));
  const { mlPerG } = waterPerDip[leaf ? 'leaf' : 'other'];
  const mlOf = (food: number): number => food * mlPerG + food / trueDensity();
  const pots = gear.equipment
    .filter((e) => e.kind === 'pot' && e.count > 0)
    .flatMap((pot) => {
      const usable = potUsable(pot);
      return usable ? [{ pot, usable, loads: equalLoads(mlOf(g), usable.ml) }] : [];
    })
    .toSorted((a, b) => a.loads.loads - b.loads.loads || a.usable.ml - b.usable.ml);
  const [best] = pots;
  if (!best) return undefined;
  const { pot, usable, loads } = best;
  return {
    use: 'dip',
    stepId: flow.step.id,
    vessels: [{ id: pot.id, name: pot.name, usableMl: usable.ml, brimMl: usable.brimMl }],
    loads: loads.loads,
    rounds: loads.loads,
    eachMl: loads.each,
    eachG: g / loads.loads,
    usableMl: usable.ml,
    brimMl: usable.brimMl,
    fill: loads.fill,
    runMin: flow.step.waitMin,
    totalMin: roundsMin('dip', loads.loads, flow.step.waitMin),
    because: [...usable.because, { code: leaf ? 'leafWater' : 'dipWater', params: { litres: mlPerG }, source: 'NCHFP' }],
  };
}
