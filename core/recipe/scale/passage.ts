import type { Equipment, Revision } from '#core/contract';
import { boiledOffMl, boilUpMinutes, burnerOf, trueDensity, type Spread } from '#core/heat';
import type { Because, IngredientFinder } from '#core/kitchen';
import { roastLayerMm } from '../data/index.ts';
import { flowOf, onHob, type FlowStep } from './flow.ts';
import { bowlUsable, equalLoads, potUsable, roundsMin, type Gear, type Usable } from './vessels.ts';

/** What a batch goes through in one kind of vessel: how many loads, how full, how long. */
export interface Load {
  use: 'pot' | 'bowl' | 'oven' | 'steamer';
  stepId: string;
  /** The vessel for each load that stands at the same time, with what each may hold and holds to the brim. */
  vessels: { id: string; name: string; usableMl: number; brimMl: number }[];
  loads: number;
  /** Loads one after another. */
  rounds: number;
  eachMl: number;
  usableMl: number;
  brimMl: number;
  /** Share of what the vessel may hold. */
  fill: number;
  runMin: number;
  /** All rounds, set up and emptied. */
  totalMin: number;
  because: Because[];
}

export interface Passage {
  loads: Load[];
  /** Water that leaves the pot, all pots together, and how that compares with the written size. */
  boilOff?: Spread & { minutes: number; writtenMl: number };
  boilUp?: Spread & { writtenMin: number; assumed: boolean };
  /** The vessel that fills up first. */
  limit?: { vesselId: string; name: string; fill: number; loads: number; use: Load['use'] };
  /** Why something could not be worked out. */
  open: ('noPots' | 'noVolume' | 'noTray' | 'noSteamer' | 'noBowl')[];
  /** Minutes that a step waits longer, or shorter, than at the written size. */
  waits: Record<string, number>;
  /** More minutes of hands for the loads after the first. */
  hands: Record<string, number>;
}

export interface PassageInput {
  revision: Revision;
  /** Edible grams of each line at this size and at the written one; absent lines weigh nothing that is known. */
  massG: ReadonlyMap<string, number>;
  finishedMl: number | undefined;
  writtenMassG: ReadonlyMap<string, number>;
  writtenMl: number | undefined;
  gear: Gear;
  finder: IngredientFinder;
  /** The pot that sets the size: nothing else is chosen. */
  only?: string | undefined;
}

const massIn = (flow: FlowStep, massG: ReadonlyMap<string, number>): number => {
  let sum = 0;
  for (const [lineId, share] of flow.holds) sum += (massG.get(lineId) ?? 0) * share;
  return sum;
};

interface Pot {
  equipment: Equipment;
  usable: Usable;
}

const potsKnown = new WeakMap<readonly Equipment[], Map<boolean, Pot[]>>();

/** Every pot of a kitchen, the smallest first; worked out once for its equipment. */
function potsOf(gear: Gear, stock: boolean): readonly Pot[] {
  const known = potsKnown.get(gear.equipment) ?? new Map<boolean, Pot[]>();
  potsKnown.set(gear.equipment, known);
  const found = known.get(stock);
  if (found) return found;
  const pots = gear.equipment
    .filter((e) => e.kind === 'pot' && e.count > 0)
    .flatMap((equipment) => {
      const usable = potUsable(equipment, stock ? 'stock' : 'stew');
      return usable ? Array.from({ length: equipment.count }, () => ({ equipment, usable })) : [];
    })
    .sort((a, b) => a.usable.ml - b.usable.ml || a.equipment.id.localeCompare(b.equipment.id));
  known.set(stock, pots);
  return pots;
}

/** What simmers away in one pot over the whole method. */
function lossOf(pot: Pot, simmers: readonly NonNullable<FlowStep['simmer']>[]): Spread {
  const sum = { low: 0, value: 0, high: 0 };
  for (const s of simmers) {
    const lost = boiledOffMl({ diameterMm: pot.equipment.diameterMm ?? 0, minutes: s.minutes, lid: s.lid });
    sum.low += lost.low;
    sum.value += lost.value;
    sum.high += lost.high;
  }
  return sum;
}

interface PotChoice {
  pots: Pot[];
  loads: number;
  rounds: number;
  eachMl: number;
  lost: Spread;
}

const most = 40;

/**
 * The pots for a volume: the smallest that holds it with what boils off, else equal loads, standing side by side when that saves a round.
 */
function choosePots(
  fullMl: number,
  pots: readonly Pot[],
  simmers: readonly NonNullable<FlowStep['simmer']>[],
  keeps: boolean,
): PotChoice | undefined {
  let best: PotChoice | undefined;
  for (let loads = 1; loads <= most; loads += 1) {
    const fits = pots.filter((p) => fullMl / loads + (keeps ? lossOf(p, simmers).value : 0) <= p.usable.ml + 1e-6);
    const [first] = fits;
    if (!first) continue;
    const atOnce = Math.min(loads, fits.length);
    const rounds = Math.ceil(loads / fits.length);
    if (best && rounds >= best.rounds) {
      if (loads > best.loads + 2) break;
      continue;
    }
    const used = fits.slice(0, atOnce);
    const lost = { low: 0, value: 0, high: 0 };
    for (let i = 0; i < loads; i += 1) {
      const p = used[i % used.length];
      if (!p) continue;
      const l = lossOf(p, simmers);
      lost.low += l.low;
      lost.value += l.value;
      lost.high += l.high;
    }
    best = { pots: used, loads, rounds, eachMl: fullMl / loads + (keeps ? lost.value / loads : 0), lost };
    if (rounds === 1) break;
  }
  return best;
}

interface Fullest {
  flow: FlowStep;
  ml: number;
  /** The volume stays and water boils off on top of it; not so for what is strained. */
  keeps: boolean;
}

/** The fullest a pot gets: its share of what comes out, or, when something is strained out, all that is in it. */
function fullest(
  steps: readonly FlowStep[],
  massG: ReadonlyMap<string, number>,
  totalG: number,
  finishedMl: number | undefined,
): Fullest | undefined {
  let best: Fullest | undefined;
  for (const flow of steps) {
    const inside = massIn(flow, massG);
    if (inside <= 0) continue;
    const found: Fullest | undefined = flow.strainedLater
      ? { flow, ml: inside / trueDensity(), keeps: false }
      : finishedMl === undefined || totalG <= 0
        ? undefined
        : { flow, ml: finishedMl * (inside / totalG), keeps: true };
    if (found && (!best || found.ml > best.ml)) best = found;
  }
  return best;
}

const total = (massG: ReadonlyMap<string, number>, revision: Revision): number => {
  let sum = 0;
  for (const line of revision.lines) if (line.moment === 'batch') sum += massG.get(line.id) ?? 0;
  return sum;
};

/** Loose volume of what lies on a tray or in a steamer, by each line's own density; undefined when one is not known. */
function looseMl(flow: FlowStep, massG: ReadonlyMap<string, number>, revision: Revision, finder: IngredientFinder): number | undefined {
  let ml = 0;
  for (const [lineId] of flow.holds) {
    const use = flow.step.uses.find((u) => u.lineId === lineId);
    const line = use && revision.lines.find((l) => l.id === lineId);
    if (!use || !line || line.item.type !== 'ingredient') continue;
    const row = finder.byId(line.item.id);
    if (!row || row.aisle === 'oils_sauces' || row.aisle === 'spices') continue;
    const density = row.density.chopped ?? row.density.whole;
    const g = (massG.get(lineId) ?? 0) * use.share;
    if (g > 0 && density === undefined) return undefined;
    if (density !== undefined) ml += g / density;
  }
  return ml;
}

function ovenLoad(flow: FlowStep, input: PassageInput, total: number, open: Passage['open']): Load | undefined {
  const oven = input.gear.equipment.find((e) => e.kind === 'oven' && e.count > 0);
  if (!oven) return undefined;
  const run = flow.step.waitMin;
  if (input.revision.tags.includes('pan')) {
    const pan = panOf(input.gear, input.revision);
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
    return {
      use: 'oven',
      stepId: flow.step.id,
      vessels: [{ id: oven.id, name: oven.name, usableMl: perRound * panMl, brimMl: perRound * panMl }],
      loads: l.loads,
      rounds: l.loads,
      eachMl: Math.ceil(l.each) * panMl,
      usableMl: perRound * panMl,
      brimMl: perRound * panMl,
      fill: l.fill,
      runMin: run,
      totalMin: roundsMin('oven', l.loads, run),
      because: [{ code: 'pansInOven', params: { pans, perRound, pan: pan.name } }],
    };
  }
  const trays = input.gear.equipment.filter(
    (e) => e.kind === 'sheetPan' && e.count > 0 && e.widthMm !== undefined && e.depthMm !== undefined,
  );
  const [tray] = trays;
  if (!tray) {
    open.push('noTray');
    return undefined;
  }
  const loose = looseMl(flow, input.massG, input.revision, input.finder);
  if (loose === undefined || loose === 0) return undefined;
  const layer = flow.step.uses.reduce((mm, u) => Math.max(mm, input.revision.lines.find((l) => l.id === u.lineId)?.sizeMm ?? 0), 0);
  const trayMl = ((tray.widthMm ?? 0) * (tray.depthMm ?? 0) * (layer > 0 ? Math.min(layer, roastLayerMm) : roastLayerMm)) / 1000;
  const atOnce = Math.min(tray.count, oven.count);
  const l = equalLoads(loose, trayMl * atOnce);
  return {
    use: 'oven',
    stepId: flow.step.id,
    vessels: [{ id: oven.id, name: oven.name, usableMl: trayMl * atOnce, brimMl: trayMl * atOnce }],
    loads: l.loads,
    rounds: l.loads,
    eachMl: l.each,
    usableMl: trayMl * atOnce,
    brimMl: trayMl * atOnce,
    fill: l.fill,
    runMin: run,
    totalMin: roundsMin('oven', l.loads, run),
    because: [{ code: 'oneLayer', params: { trays: Math.min(atOnce, Math.ceil(l.each / trayMl - 1e-9)), tray: tray.name } }],
  };
}

/** The pan a dish is baked in: the first foil or metal pan the household has. */
export const panOf = (gear: Gear, revision: Revision): Gear['containers'][number] | undefined => {
  const named = revision.lines.flatMap((l) => (l.scaling.rule === 'perVessel' && l.scaling.containerId ? [l.scaling.containerId] : []));
  return gear.containers.find((c) => named.includes(c.id)) ?? gear.containers.find((c) => c.shape === 'pan');
};

function bowlLoad(flow: FlowStep, input: PassageInput, total: number, open: Passage['open']): Load | undefined {
  if (!flow.bowl || input.finishedMl === undefined || total <= 0) return undefined;
  const kinds = flow.step.needs.map((n) => n.kind);
  const bowls = input.gear.equipment
    .filter((e) => (e.kind === 'processor' || e.kind === 'blender') && e.count > 0)
    .flatMap((e) => {
      const usable = bowlUsable(e, flow.bowl ?? 'pulse');
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
  const ml = input.finishedMl * (massIn(flow, input.massG) / total);
  const l = equalLoads(ml, bowl.usable.ml);
  const run = flow.step.handsOnMin;
  return {
    use: 'bowl',
    stepId: flow.step.id,
    vessels: [{ id: bowl.e.id, name: bowl.e.name, usableMl: bowl.usable.ml, brimMl: bowl.usable.brimMl }],
    loads: l.loads,
    rounds: l.loads,
    eachMl: l.each,
    usableMl: bowl.usable.ml,
    brimMl: bowl.usable.brimMl,
    fill: l.fill,
    runMin: run,
    totalMin: roundsMin('bowl', l.loads, run),
    because: bowl.usable.because,
  };
}

function steamLoad(flow: FlowStep, input: PassageInput, open: Passage['open']): Load | undefined {
  const steamer = input.gear.equipment.find((e) => e.kind === 'steamer' && e.count > 0 && e.litres !== undefined);
  if (!steamer?.litres) {
    open.push('noSteamer');
    return undefined;
  }
  const loose = looseMl(flow, input.massG, input.revision, input.finder);
  if (loose === undefined || loose === 0) return undefined;
  const usable = steamer.litres * 1000 * steamer.count;
  const l = equalLoads(loose, usable);
  return {
    use: 'steamer',
    stepId: flow.step.id,
    vessels: [{ id: steamer.id, name: steamer.name, usableMl: usable, brimMl: usable }],
    loads: l.loads,
    rounds: l.loads,
    eachMl: l.each,
    usableMl: usable,
    brimMl: usable,
    fill: l.fill,
    runMin: flow.step.waitMin,
    totalMin: roundsMin('steamer', l.loads, flow.step.waitMin),
    because: [{ code: 'tiers', params: { tiers: steamer.count } }],
  };
}

const steams = (flow: FlowStep): boolean => flow.step.needs.some((n) => n.kind === 'steamer');

/**
 * What a batch goes through at its size: pots, bowls, oven and steamer with equal loads and times, what boils off, how long it takes to boil,
 * and the vessel that fills up first.
 * Laws: at the written size no step waits longer than it is written; loads x each is what goes in; the boil-off of one pot does not grow with the batch.
 */
export function passageOf(input: PassageInput): Passage {
  const { revision, massG, writtenMassG, finishedMl, writtenMl } = input;
  const flow = flowOf(revision);
  const passage: Passage = { loads: [], open: [], waits: {}, hands: {} };
  const sum = total(massG, revision);
  const potSteps = flow.filter((f) => onHob(f.step) && !steams(f));
  if (potSteps.length > 0) potPassage(passage, input, potSteps, sum);
  for (const f of flow) {
    const load = f.bowl
      ? bowlLoad(f, input, sum, passage.open)
      : steams(f)
        ? steamLoad(f, input, passage.open)
        : f.step.needs.some((n) => n.kind === 'oven')
          ? ovenLoad(f, input, sum, passage.open)
          : undefined;
    if (!load) continue;
    passage.loads.push(load);
    // the written minutes hold for one load; each further one is set up, run and emptied too
    if (load.use === 'bowl') {
      if (load.loads > 1) passage.hands[f.step.id] = roundsMin('bowl', load.loads - 1, 0);
    } else if (load.rounds > 1)
      passage.waits[f.step.id] = (passage.waits[f.step.id] ?? 0) + roundsMin(load.use, load.rounds - 1, load.runMin);
  }
  if (finishedMl === undefined || writtenMl === undefined || writtenMassG.size === 0) passage.open.push('noVolume');
  passage.open = [...new Set(passage.open)];
  const first = passage.loads.toSorted((a, b) => b.loads - a.loads || b.fill - a.fill)[0];
  const [vessel] = first?.vessels ?? [];
  if (first && vessel) passage.limit = { vesselId: vessel.id, name: vessel.name, fill: first.fill, loads: first.loads, use: first.use };
  return passage;
}

function potPassage(passage: Passage, input: PassageInput, potSteps: readonly FlowStep[], sum: number): void {
  const { revision, massG, writtenMassG, finishedMl, writtenMl, gear } = input;
  const all = potsOf(
    gear,
    potSteps.some((f) => f.strainedLater),
  );
  const set = all.find((p) => p.equipment.id === input.only);
  // seasoning that grows slower than the pot must not tip it over its own limit
  const pots = set ? [{ ...set, usable: { ...set.usable, ml: set.usable.ml * 1.01 } }] : all;
  if (pots.length === 0) {
    passage.open.push('noPots');
    return;
  }
  const full = fullest(potSteps, massG, sum, finishedMl);
  const before = fullest(potSteps, writtenMassG, total(writtenMassG, revision), writtenMl);
  if (!full || !before) return;
  // only what simmers in the same pot: steps that hold at least half of what the fullest holds
  const half = massIn(full.flow, massG) / 2;
  const simmering = potSteps.filter((f) => f.simmer && massIn(f, massG) >= half);
  const simmers = simmering.flatMap((f) => f.simmer ?? []);
  const now = choosePots(full.ml, pots, simmers, full.keeps);
  const then = choosePots(before.ml, all, simmers, before.keeps);
  if (!now || !then) return;
  const [pot] = now.pots;
  if (!pot) return;
  const run = full.flow.step.waitMin;
  passage.loads.push({
    use: 'pot',
    stepId: full.flow.step.id,
    vessels: now.pots.map((p) => ({
      id: p.equipment.id,
      name: p.equipment.name,
      usableMl: set?.usable.ml ?? p.usable.ml,
      brimMl: p.usable.brimMl,
    })),
    loads: now.loads,
    rounds: now.rounds,
    eachMl: now.eachMl,
    usableMl: set?.usable.ml ?? pot.usable.ml,
    brimMl: pot.usable.brimMl,
    fill: set ? 1 : now.eachMl / pot.usable.ml,
    runMin: run,
    totalMin: now.rounds === 1 ? run : roundsMin('pot', now.rounds, run),
    because: pot.usable.because,
  });
  if (simmers.length > 0 && pots.some((p) => p.equipment.diameterMm !== undefined))
    passage.boilOff = { ...now.lost, minutes: simmers.reduce((s, x) => s + x.minutes, 0), writtenMl: then.lost.value };
  const burner = burnerOf(gear.equipment);
  const boiling = potSteps.find((f) => f.boilsUp);
  if (burner && boiling) {
    // each pot stands on a burner of its own
    const perPotG = (massIn(boiling, massG) || 0) / now.loads;
    const wasG = massIn(boiling, writtenMassG) / then.loads;
    const up = boilUpMinutes({ massG: perPotG, kind: revision.kind, burner });
    const was = boilUpMinutes({ massG: wasG, kind: revision.kind, burner });
    passage.boilUp = { ...up, writtenMin: was.value, assumed: burner.assumed !== undefined };
    const more = up.value - was.value;
    if (Math.abs(more) >= 0.5) passage.waits[boiling.step.id] = Math.max(1 - boiling.step.waitMin, more);
  }
  if (now.rounds > 1)
    for (const f of simmering)
      passage.waits[f.step.id] = (passage.waits[f.step.id] ?? 0) + roundsMin('pot', now.rounds - 1, f.step.waitMin);
}

/** What a vessel may hold of this dish, as a factor on the written amounts; water that boils off stays in the reckoning. */
export function factorThatFills(input: Omit<PassageInput, 'massG' | 'finishedMl'>, vesselId: string): number | undefined {
  const { revision, writtenMassG, writtenMl, gear } = input;
  const vessel = gear.equipment.find((e) => e.id === vesselId);
  if (!vessel) return undefined;
  const flow = flowOf(revision);
  const sum = total(writtenMassG, revision);
  if (vessel.kind === 'processor' || vessel.kind === 'blender') {
    const factors = flow.flatMap((f) => {
      const usable = f.bowl && bowlUsable(vessel, f.bowl);
      const share = sum > 0 ? massIn(f, writtenMassG) / sum : 0;
      return usable && share > 0 && writtenMl !== undefined ? [usable.ml / (writtenMl * share)] : [];
    });
    return factors.length > 0 ? Math.min(...factors) : undefined;
  }
  const potSteps = flow.filter((f) => onHob(f.step) && !steams(f));
  const full = fullest(potSteps, writtenMassG, sum, writtenMl);
  const usable = potUsable(vessel, potSteps.some((f) => f.strainedLater) ? 'stock' : 'stew');
  if (!full || !usable) return undefined;
  const half = massIn(full.flow, writtenMassG) / 2;
  const simmers = potSteps.filter((f) => f.simmer && massIn(f, writtenMassG) >= half).flatMap((f) => f.simmer ?? []);
  const lost = full.keeps ? lossOf({ equipment: vessel, usable }, simmers).value : 0;
  return (usable.ml - lost) / full.ml;
}
