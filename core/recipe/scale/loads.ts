import type { Equipment, Revision } from '#core/contract';
import { trueDensity } from '#core/heat';
import type { Because } from '#core/kitchen';
import { roastLayerMm } from '../data/index.ts';
import { massIn, type Load, type Passage, type PassageInput } from './contents.ts';
import type { FlowStep } from './flow.ts';
import { bowlUsable, equalLoads, roundsMin, type EqualLoads, type Gear, type Usable } from './vessels.ts';

/** Equal loads in one vessel, one after another. */
function inTurn(
  use: Load['use'],
  flow: FlowStep,
  vessel: Equipment,
  usable: Pick<Usable, 'ml' | 'brimMl'>,
  l: EqualLoads,
  runMin: number,
  because: Because[],
): Load {
  return {
    use,
    stepId: flow.step.id,
    vessels: [{ id: vessel.id, name: vessel.name, usableMl: usable.ml, brimMl: usable.brimMl }],
    loads: l.loads,
    rounds: l.loads,
    eachMl: l.each,
    usableMl: usable.ml,
    brimMl: usable.brimMl,
    fill: l.fill,
    runMin,
    totalMin: roundsMin(use, l.loads, runMin),
    because,
  };
}

/** The same volume, to the brim. */
const level = (ml: number): Pick<Usable, 'ml' | 'brimMl'> => ({ ml, brimMl: ml });

/**
 * Loose volume of pieces, by each line's own density; undefined when one is not known.
 * @param shares what counts of each line: what a step takes itself, or all that it holds
 */
function looseMl(
  shares: Iterable<readonly [lineId: string, share: number]>,
  { massG, recipe }: Pick<PassageInput, 'massG' | 'recipe'>,
): number | undefined {
  let ml = 0;
  for (const [lineId, share] of shares) {
    const row = recipe.facts.find((f) => f.line.id === lineId)?.row;
    if (!row || row.aisle === 'oils_sauces' || row.aisle === 'spices') continue;
    const density = row.density.chopped ?? row.density.whole;
    const g = (massG.get(lineId) ?? 0) * share;
    if (g > 0 && density === undefined) return undefined;
    if (density !== undefined) ml += g / density;
  }
  return ml;
}

/** What a step takes itself. */
const own = (flow: FlowStep) => flow.step.uses.map((u) => [u.lineId, u.share] as const);

/** The pan a dish is baked in: the first foil or metal pan the household has. */
export const panOf = (gear: Gear, revision: Revision): Gear['containers'][number] | undefined => {
  const named = revision.lines.flatMap((l) => (l.scaling.rule === 'perVessel' && l.scaling.containerId ? [l.scaling.containerId] : []));
  return gear.containers.find((c) => named.includes(c.id)) ?? gear.containers.find((c) => c.shape === 'pan');
};

export function ovenLoad(flow: FlowStep, input: PassageInput, total: number, open: Passage['open']): Load | undefined {
  const oven = input.gear.equipment.find((e) => e.kind === 'oven' && e.count > 0);
  if (!oven) return undefined;
  const run = flow.step.waitMin;
  if (input.recipe.revision.tags.includes('pan')) {
    const pan = panOf(input.gear, input.recipe.revision);
    if (!pan || input.finishedMl === undefined || total <= 0 || oven.widthMm === undefined || oven.depthMm === undefined) return undefined;
    const panMl = pan.fillMl;
    const pans = Math.ceil((input.finishedMl * massIn(flow, input.massG)) / total / panMl - 1e-9);
    const [wide, deep] = [oven.widthMm, oven.depthMm];
    const across = Math.max(
      Math.floor(wide / pan.widthMm) * Math.floor(deep / pan.depthMm),
      Math.floor(wide / pan.depthMm) * Math.floor(deep / pan.widthMm),
    );
    if (across < 1) return undefined;
    const perRound = across * oven.count;
    const l = equalLoads(pans, perRound);
    const full = { ...l, each: Math.ceil(l.each) * panMl };
    return inTurn('oven', flow, oven, level(perRound * panMl), full, run, [
      { code: 'pansInOven', params: { pans, perRound, pan: pan.name } },
    ]);
  }
  const trays = input.gear.equipment.filter(
    (e) => e.kind === 'sheetPan' && e.count > 0 && e.widthMm !== undefined && e.depthMm !== undefined,
  );
  const [tray] = trays;
  if (!tray) {
    open.push('noTray');
    return undefined;
  }
  const loose = looseMl(own(flow), input);
  if (loose === undefined || loose === 0) return undefined;
  const layer = flow.step.uses.reduce((mm, u) => Math.max(mm, input.recipe.revision.lines.find((l) => l.id === u.lineId)?.sizeMm ?? 0), 0);
  const trayMl = ((tray.widthMm ?? 0) * (tray.depthMm ?? 0) * (layer > 0 ? Math.min(layer, roastLayerMm) : roastLayerMm)) / 1000;
  const atOnce = Math.min(tray.count, oven.count);
  const l = equalLoads(loose, trayMl * atOnce);
  return inTurn('oven', flow, oven, level(trayMl * atOnce), l, run, [
    { code: 'oneLayer', params: { trays: Math.min(atOnce, Math.ceil(l.each / trayMl - 1e-9)), tray: tray.name } },
  ]);
}

export function bowlLoad(flow: FlowStep, input: PassageInput, total: number, open: Passage['open']): Load | undefined {
  if (!flow.bowl || total <= 0) return undefined;
  // pieces lie loose in the bowl; a puree is its share of what comes out, or, where nobody knows that, all that goes in
  const inside = massIn(flow, input.massG);
  const smooth = input.finishedMl === undefined ? inside / trueDensity() : input.finishedMl * (inside / total);
  const loose = flow.bowl === 'pulse' ? looseMl(flow.step.uses.length > 0 ? own(flow) : flow.holds, input) : undefined;
  const ml = loose === undefined || loose === 0 ? smooth : loose;
  if (ml <= 0) return undefined;
  const kinds = flow.step.needs.map((n) => n.kind);
  const bowls = input.gear.equipment
    .filter((e) => (e.kind === 'processor' || e.kind === 'blender') && e.count > 0)
    .flatMap((e) => {
      const usable = bowlUsable(e, flow.bowl ?? 'pulse', input.gear);
      return usable ? [{ e, usable }] : [];
    })
    .sort(
      (a, b) => Number(kinds.includes(b.e.kind as 'blender')) - Number(kinds.includes(a.e.kind as 'blender')) || b.usable.ml - a.usable.ml,
    );
  const [bowl] = bowls;
  if (!bowl) {
    open.push('noBowl');
    return undefined;
  }
  const l = equalLoads(ml, bowl.usable.ml);
  return inTurn('bowl', flow, bowl.e, bowl.usable, l, flow.step.handsOnMin, bowl.usable.because);
}

export function steamLoad(flow: FlowStep, input: PassageInput, open: Passage['open']): Load | undefined {
  const steamer = input.gear.equipment.find((e) => e.kind === 'steamer' && e.count > 0 && e.litres !== undefined);
  if (!steamer?.litres) {
    open.push('noSteamer');
    return undefined;
  }
  const loose = looseMl(own(flow), input);
  if (loose === undefined || loose === 0) return undefined;
  const usable = steamer.litres * 1000 * steamer.count;
  const l = equalLoads(loose, usable);
  return inTurn('steamer', flow, steamer, level(usable), l, flow.step.waitMin, [{ code: 'tiers', params: { tiers: steamer.count } }]);
}
