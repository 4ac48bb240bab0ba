import { dipLoad, holdsWaterOnly, waterPassage } from './dips.ts';
import { steams, total, type Load, type Passage, type PassageInput } from './contents.ts';
import { onHob, type FlowStep } from './flow.ts';
import { bowlLoad, ovenLoad, steamLoad } from './loads.ts';
import { potPassage } from './pots.ts';
import { roundsMin } from './vessels.ts';

/** The loads of a step that needs a bowl, a steamer or the oven. */
function loadOf(flow: FlowStep, input: PassageInput, open: Passage['open']): Load | undefined {
  if (flow.bowl) return bowlLoad(flow, input, total(input.massG, input.recipe.revision), open);
  if (steams(flow)) return steamLoad(flow, input, open);
  return flow.step.needs.some((n) => n.kind === 'oven')
    ? ovenLoad(flow, input, total(input.massG, input.recipe.revision), open)
    : undefined;
}

/** Tiers of the steamer, each a place of its own. */
const tiersOf = (gear: PassageInput['gear']): number => gear.equipment.find((e) => e.kind === 'steamer' && e.count > 0)?.count ?? 1;

/**
 * What a batch goes through at its size: pots, bowls, oven and steamer with equal loads and times, what boils off, how long it takes to boil,
 * and the vessel that fills up first.
 * Laws: at the written size no step waits longer than it is written; loads x each is what goes in; the boil-off of one pot does not grow with the batch.
 * @example passageOf({ recipe, massG, finishedMl, gear }).loads // two pots side by side, 3.6 l in each
 */
export function passageOf(input: PassageInput): Passage {
  const { recipe, massG, finishedMl, gear } = input;
  const { flow, written } = recipe;
  const passage: Passage = { loads: [], open: [], waits: {}, hands: {}, atOnce: {} };
  const sum = total(massG, recipe.revision);
  const dips = flow.flatMap((f) => dipLoad(f, input) ?? []);
  const water = dips.length > 0 ? flow.filter((f) => onHob(f.step) && holdsWaterOnly(f, input)) : [];
  const potSteps = flow.filter((f) => onHob(f.step) && !steams(f) && !water.includes(f) && !dips.some((d) => d.stepId === f.step.id));
  if (potSteps.length > 0) potPassage(passage, input, potSteps, sum);
  passage.loads.push(...dips);
  if (dips[0]) waterPassage(passage, input, dips[0], water);
  for (const f of flow) {
    const load = loadOf(f, input, passage.open);
    if (!load) continue;
    passage.loads.push(load);
    if (load.use === 'steamer') passage.atOnce[f.step.id] = Math.max(1, Math.ceil((load.eachMl / load.usableMl) * tiersOf(gear) - 1e-9));
    // the written minutes hold for the loads of the written size; each further one is set up, run and emptied too
    const more = load.loads > 1 ? load.loads - (loadOf(f, { ...input, massG: recipe.massG, finishedMl: written.ml }, [])?.loads ?? 1) : 0;
    if (more === 0) continue;
    if (load.use === 'bowl') passage.hands[f.step.id] = Math.sign(more) * roundsMin('bowl', Math.abs(more), 0);
    else passage.waits[f.step.id] = (passage.waits[f.step.id] ?? 0) + more * roundsMin(load.use, 1, load.runMin);
  }
  if (finishedMl === undefined || written.ml === undefined || recipe.massG.size === 0) passage.open.push('noVolume');
  passage.open = [...new Set(passage.open)];
  const first = passage.loads.toSorted((a, b) => b.loads - a.loads || b.fill - a.fill)[0];
  const [vessel] = first?.vessels ?? [];
  if (first && vessel) passage.limit = { vesselId: vessel.id, name: vessel.name, fill: first.fill, loads: first.loads, use: first.use };
  return passage;
}
