import type { Equipment } from '#core/contract';
import { boiledOffMl, boilUpMinutes, burnerOf, trueDensity, type Spread } from '#core/heat';
import { massIn, steams, total, type Passage, type PassageInput } from './contents.ts';
import { onHob, type FlowStep } from './flow.ts';
import { bowlUsable, potUsable, roundsMin, type Gear, type Usable } from './vessels.ts';
import type { WeighedRecipe } from './weigh.ts';

interface Pot {
  equipment: Equipment;
  usable: Usable;
}

/** Every pot of a kitchen, the smallest first. */
const potsOf = (gear: Gear, stock: boolean): Pot[] =>
  gear.equipment
    .filter((e) => e.kind === 'pot' && e.count > 0)
    .flatMap((equipment) => {
      const usable = potUsable(equipment, stock ? 'stock' : 'stew');
      return usable ? Array.from({ length: equipment.count }, () => ({ equipment, usable })) : [];
    })
    .sort((a, b) => a.usable.ml - b.usable.ml || a.equipment.id.localeCompare(b.equipment.id));

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

/** Pots that can stand on the hob at once; a hob that nobody entered has the usual four burners. */
const usualBurners = 4;
/** How many pots may stand on the hob at once. @example burnersOf({ equipment: [] }) // 4: the usual hob, when nobody entered one */
export const burnersOf = (gear: Pick<Gear, 'equipment'>): number =>
  gear.equipment.filter((e) => e.kind === 'hob').reduce((s, e) => s + e.count, 0) || usualBurners;

interface PotChoice {
  pots: Pot[];
  loads: number;
  rounds: number;
  eachMl: number;
  lost: Spread;
}

const most = 40;

/** How full one pot gets with its share of the loads. */
const heldMl = (full: Fullest, loads: number, lostMl: number): number =>
  Math.max(full.keptMl === undefined ? 0 : full.keptMl / loads + lostMl, full.inMl / loads);

/**
 * The pots for a volume: the smallest that holds it with what boils off, else equal loads, standing side by side when that saves a round.
 */
function choosePots(
  full: Fullest,
  pots: readonly Pot[],
  simmers: readonly NonNullable<FlowStep['simmer']>[],
  burners: number,
): PotChoice | undefined {
  let best: PotChoice | undefined;
  for (let loads = 1; loads <= most; loads += 1) {
    const fits = pots.filter((p) => heldMl(full, loads, lossOf(p, simmers).value) <= p.usable.ml + 1e-6);
    const [first] = fits;
    if (!first) continue;
    const atOnce = Math.min(loads, fits.length, burners);
    const rounds = Math.ceil(loads / Math.min(fits.length, burners));
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
    best = { pots: used, loads, rounds, eachMl: heldMl(full, loads, lost.value / loads), lost };
    if (rounds === 1) break;
  }
  return best;
}

interface Fullest {
  flow: FlowStep;
  /** All that is in it, by weight. */
  inMl: number;
  /** Its share of what comes out, on top of which water boils off; not so for what is strained, nor where nobody knows what comes out. */
  keptMl?: number;
}

const fullOf = (f: Fullest): number => Math.max(f.inMl, f.keptMl ?? 0);

/** The fullest a pot gets: all that went in by then, or its share of what comes out where that is more. */
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
    const found: Fullest = {
      flow,
      inMl: inside / trueDensity(),
      ...(!flow.strainedLater && finishedMl !== undefined && totalG > 0 && { keptMl: finishedMl * (inside / totalG) }),
    };
    if (!best || fullOf(found) > fullOf(best)) best = found;
  }
  return best;
}

/** Pots, boil-off and the time to boil of a batch, into its passage. */
export function potPassage(passage: Passage, input: PassageInput, potSteps: readonly FlowStep[], sum: number): void {
  const { recipe, massG, finishedMl, gear } = input;
  const { revision, massG: writtenMassG } = recipe;
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
  const before = fullest(potSteps, writtenMassG, total(writtenMassG, revision), recipe.written.ml);
  if (!full || !before) return;
  // only what simmers in the same pot: steps that hold at least half of what the fullest holds
  const half = massIn(full.flow, massG) / 2;
  const simmering = potSteps.filter((f) => f.simmer && massIn(f, massG) >= half);
  const simmers = simmering.flatMap((f) => f.simmer ?? []);
  const burners = burnersOf(gear);
  const now = choosePots(full, pots, simmers, burners);
  const then = choosePots(before, all, simmers, burners);
  if (!now || !then) return;
  const [pot] = now.pots;
  if (!pot) return;
  const run = full.flow.step.waitMin;
  // each pot stands on a burner of its own while it is as full as this
  for (const f of potSteps) if (massIn(f, massG) >= half) passage.atOnce[f.step.id] = now.pots.length;
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
export function factorThatFills(recipe: WeighedRecipe, gear: Gear, vesselId: string): number | undefined {
  const { revision, massG, flow } = recipe;
  const writtenMl = recipe.written.ml;
  const vessel = gear.equipment.find((e) => e.id === vesselId);
  if (!vessel) return undefined;
  const sum = total(massG, revision);
  if (vessel.kind === 'processor' || vessel.kind === 'blender') {
    const factors = flow.flatMap((f) => {
      const usable = f.bowl && bowlUsable(vessel, f.bowl, gear);
      const share = sum > 0 ? massIn(f, massG) / sum : 0;
      return usable && share > 0 && writtenMl !== undefined ? [usable.ml / (writtenMl * share)] : [];
    });
    return factors.length > 0 ? Math.min(...factors) : undefined;
  }
  const potSteps = flow.filter((f) => onHob(f.step) && !steams(f));
  const full = fullest(potSteps, massG, sum, writtenMl);
  const usable = potUsable(vessel, potSteps.some((f) => f.strainedLater) ? 'stock' : 'stew');
  if (!full || !usable) return undefined;
  const half = massIn(full.flow, massG) / 2;
  const simmers = potSteps.filter((f) => f.simmer && massIn(f, massG) >= half).flatMap((f) => f.simmer ?? []);
  const lost = lossOf({ equipment: vessel, usable }, simmers).value;
  return Math.min(full.keptMl === undefined ? Infinity : (usable.ml - lost) / full.keptMl, usable.ml / full.inMl);
}
