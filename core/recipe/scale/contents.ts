import type { Revision } from '#core/contract';
import type { Spread } from '#core/heat';
import type { Because } from '#core/kitchen';
import type { FlowStep } from './flow.ts';
import type { Gear } from './vessels.ts';
import type { WeighedRecipe } from './weigh.ts';

/** What a batch goes through in one kind of vessel: how many loads, how full, how long. */
export interface Load {
  /** A dip is blanched: in and out of a pot of boiling water. */
  use: 'pot' | 'bowl' | 'oven' | 'steamer' | 'dip';
  stepId: string;
  /** The vessel for each load that stands at the same time, with what each may hold and holds to the brim. */
  vessels: { id: string; name: string; usableMl: number; brimMl: number }[];
  loads: number;
  /** Loads one after another. */
  rounds: number;
  eachMl: number;
  /** Of a dip, what goes in at once; its millilitres are with the water. */
  eachG?: number;
  /** Of a dip, minutes until its water boils, where no step of the recipe brings it there. */
  boilMin?: number;
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
  /** Pots, or tiers of a steamer, that a step takes at the same time. */
  atOnce: Record<string, number>;
  /** More minutes of hands for the loads after the first. */
  hands: Record<string, number>;
}

export interface PassageInput {
  recipe: WeighedRecipe;
  /** Edible grams of each line at this size; absent lines weigh nothing that is known. */
  massG: ReadonlyMap<string, number>;
  finishedMl: number | undefined;
  gear: Gear;
  /** The pot that sets the size: nothing else is chosen. */
  only?: string | undefined;
}

/** Grams that a step holds, its own and those of the steps before. */
export const massIn = (flow: FlowStep, massG: ReadonlyMap<string, number>): number => {
  let sum = 0;
  for (const [lineId, share] of flow.holds) sum += (massG.get(lineId) ?? 0) * share;
  return sum;
};

/** Grams of all that is cooked in the batch. */
export const total = (massG: ReadonlyMap<string, number>, revision: Revision): number => {
  let sum = 0;
  for (const line of revision.lines) if (line.moment === 'batch') sum += massG.get(line.id) ?? 0;
  return sum;
};

/** Whether a step steams. */
export const steams = (flow: FlowStep): boolean => flow.step.needs.some((n) => n.kind === 'steamer');
