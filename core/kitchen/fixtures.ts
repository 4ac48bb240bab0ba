import type { Eater, Figures } from '#core/contract';

const dinners = {
  mon: ['dinner'],
  tue: ['dinner'],
  wed: ['dinner'],
  thu: ['dinner'],
  fri: ['dinner'],
  sat: ['dinner'],
  sun: ['dinner'],
} satisfies Eater['presence']['weekly'];

/** An adult at dinner every day unless told otherwise. */
export const testEater = (id: string, over: Partial<Eater> = {}): Eater => ({
  id,
  name: id,
  stage: 'adult',
  appetite: 1,
  allergens: [],
  needs: [],
  presence: { weekly: dinners, away: [], exceptions: [] },
  ...over,
});

/** The figures of the tables as they ship; the server's test holds them against the rows. */
export const testFigures: Figures = {
  cool21: 120,
  cool5: 240,
  thawedUk: 1,
  thawedUsCooked: 3,
  thawedUsRaw: 1,
  riceUk: 60,
  coreUk: 75,
  coreUs: 74,
  freezer: -18,
  headspaceShare: 0.1,
  tubHeadspace: 13,
  tubHeadspaceLarge: 25,
  jarHeadspace: 13,
  jarHeadspaceLarge: 25,
  panHeadspace: 10,
  panHeadspaceLarge: 13,
  cubesLitres: 1.3,
  bagSpace: 1.15,
  toddler: 0.3,
  child: 0.55,
  adult: 1,
  elder: 0.8,
  blockSlow: 50,
  blockMost: 60,
  blockLonger: 1.2,
  densityMeal: 1.04,
  densityBase: 1.06,
  densityBroth: 1,
  densityAromatic: 0.95,
  garlicOil: 4,
  hotShare: 1 / 3,
};

/**
 * How long work takes at best of three tries, in ms: what hangs on its input hangs each time, a machine that is busy elsewhere does not. Work that is
 * done within the limit the first time is not done again.
 */
export function quickestMs(limitMs: number, clock: { now(): number }, work: () => void): number {
  let quickest = Infinity;
  for (let tries = 0; tries < 3 && quickest >= limitMs; tries += 1) {
    const began = clock.now();
    work();
    quickest = Math.min(quickest, clock.now() - began);
  }
  return quickest;
}
