import type { WorkKind } from '#core/contract';

/** Where work stands: what changes it begins another step. */
export type Place = 'board' | 'bowl' | 'hob' | 'oven' | 'machine' | 'steamer' | 'sieve' | 'dish' | 'cold' | 'table';

export interface WorkFacts {
  place: Place;
  /** Minutes of hands where nothing is written: set-up, and for each kilo. */
  hands: readonly [setUp: number, perKg: number];
  /** Minutes by itself where nothing is written, the short end and the long one. */
  wait?: readonly [low: number, high: number];
  /** A written time is hands, or the work minds itself. */
  written: 'hands' | 'wait';
  /** How much of a written time of hands grows with the amount; the rest is set-up. */
  growing: number;
}

/** Kitchen estimates, each shown as a guess until the text, the cook or the last run says otherwise (KIT). */
export const workFacts: Readonly<Record<WorkKind, WorkFacts>> = {
  cut: { place: 'board', hands: [2, 10], written: 'hands', growing: 0.85 },
  mix: { place: 'bowl', hands: [3, 1], written: 'hands', growing: 0.4 },
  knead: { place: 'bowl', hands: [8, 1], written: 'hands', growing: 0.4 },
  // one layer of about 400 g in a 28 cm pan, some 7 minutes a load
  brown: { place: 'hob', hands: [2, 17], written: 'hands', growing: 0.9 },
  soften: { place: 'hob', hands: [8, 4], written: 'hands', growing: 0.35 },
  fry: { place: 'hob', hands: [2, 10], written: 'hands', growing: 0.85 },
  melt: { place: 'hob', hands: [3, 0], written: 'hands', growing: 0.2 },
  boil: { place: 'hob', hands: [3, 0], wait: [10, 15], written: 'wait', growing: 0 },
  simmer: { place: 'hob', hands: [3, 0], wait: [20, 25], written: 'wait', growing: 0 },
  reduce: { place: 'hob', hands: [3, 0], wait: [15, 30], written: 'wait', growing: 0 },
  steam: { place: 'steamer', hands: [3, 0], wait: [10, 15], written: 'wait', growing: 0 },
  preheat: { place: 'oven', hands: [1, 0], wait: [14, 15], written: 'wait', growing: 0 },
  bake: { place: 'oven', hands: [2, 0], wait: [30, 40], written: 'wait', growing: 0 },
  slow: { place: 'hob', hands: [3, 0], wait: [420, 540], written: 'wait', growing: 0 },
  rest: { place: 'bowl', hands: [1, 0], wait: [20, 30], written: 'wait', growing: 0 },
  soak: { place: 'bowl', hands: [2, 0], wait: [480, 720], written: 'wait', growing: 0 },
  cool: { place: 'cold', hands: [4, 0], wait: [45, 90], written: 'wait', growing: 0 },
  freeze: { place: 'cold', hands: [3, 1], wait: [180, 240], written: 'wait', growing: 0 },
  blend: { place: 'machine', hands: [2, 2], written: 'hands', growing: 0.7 },
  strain: { place: 'sieve', hands: [2, 1], written: 'hands', growing: 0.3 },
  shape: { place: 'board', hands: [3, 12], written: 'hands', growing: 0.9 },
  fill: { place: 'dish', hands: [3, 3], written: 'hands', growing: 0.8 },
  finish: { place: 'dish', hands: [2, 0], written: 'hands', growing: 0.2 },
  serve: { place: 'table', hands: [3, 0], written: 'hands', growing: 0.5 },
};

/** Whether work of a kind goes on by itself once it is begun. @example mindsItself('simmer') // true */
export const mindsItself = (kind: WorkKind): boolean => workFacts[kind].wait !== undefined;

/** Simmering times by what is in the pot, where nothing is written (KIT). */
export const simmerGuess: readonly (readonly [what: RegExp, low: number, high: number])[] = [
  [/\b(?:bones?|carcass(?:es)?)\b/i, 240, 600],
  [/\b(?:dried|soaked)\b.*\b(?:beans?|chickpeas?|peas)\b|\b(?:chickpeas?|beans?)\b.*\bdried\b/i, 45, 75],
  [/\b(?:lentils?)\b/i, 20, 30],
  [/\b(?:mince|ragu|ragù)\b/i, 30, 45],
  [/\b(?:shin|shoulder|stew|oxtail|lamb|beef|pork|hock|rabbit|brisket)\b/i, 90, 150],
  [/\b(?:rice|grain|barley|millet|pasta|noodles?)\b/i, 12, 20],
];
