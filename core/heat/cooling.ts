/** A pot that stands in water and is stirred now and then. */
export interface Pot {
  /** Grams of food in it. */
  massG: number;
  /** From what it is cooled, °C; off the boil when nothing is said. */
  fromC?: number;
  /** So many of the same, side by side or in turn. */
  count?: number;
}

/** Watery food takes the most heat out of the pot: the slow side (thermal.md A, soup). */
const foodHeat = 3900;
const waterHeat = 4186;
const meltHeat = 333_600;
/** Heat a stirred pot of five kilos gives to a bath, W/K (thermal.md B2); by the two-thirds power of its mass for others. */
const bathUA = 30;
const bathKg = 5;
/** Off the boil in its middle. */
const boilC = 95;
/** Water about the pot, for each kilo of food (thermal.md B2: 3 kg for 5 kg). */
const bathWater = 0.6;
/** Ice melts in warm rooms and hands too (thermal.md B2: +30 %). */
const moreIce = 1.3;
/** The first stage of cooling ends here (FDA Food Code). */
const firstStageC = 21;
/** Tap water, where nobody measured it (thermal.md B2). */
export const usualTapC = 12;
/** Cold water takes a pot down to here before the ice is spent on it (kitchen estimate). */
const thenIceC = 30;

/**
 * Minutes of stirred food from one temperature to another, in surroundings that stay at theirs.
 * @param uaWK heat it gives off, W/K
 * @returns `Infinity` when it never gets there
 * @source thermal.md B1
 * @example lumpedMinutes({ massG: 4000, heat: 3700, uaWK: 1.44, fromC: 80, toC: 60, aroundC: 19 }) // about 68
 */
export function lumpedMinutes(x: { massG: number; heat: number; uaWK: number; fromC: number; toC: number; aroundC: number }): number {
  if (x.fromC <= x.toC) return 0;
  if (x.aroundC >= x.toC) return Infinity;
  return (((x.massG / 1000) * x.heat) / x.uaWK / 60) * Math.log((x.fromC - x.aroundC) / (x.toC - x.aroundC));
}

const uaOf = (massG: number): number => bathUA * Math.cbrt(massG / 1000 / bathKg) ** 2;
const inWater = (massG: number, fromC: number, toC: number, aroundC: number): number =>
  lumpedMinutes({ massG, heat: foodHeat, uaWK: uaOf(massG), fromC, toC, aroundC });

/**
 * Kilos of ice that keep a bath at nought until the food has come down.
 * @param waterKg tap water in the bath, at `tapC`
 * @source thermal.md B2
 * @example iceKgFor({ massG: 5000, fromC: 95, toC: 5, waterKg: 3, tapC: 12 }) // about 5.7
 */
export const iceKgFor = (x: { massG: number; fromC: number; toC: number; waterKg: number; tapC: number }): number =>
  Math.max(0, ((x.massG / 1000) * foodHeat * (x.fromC - x.toC) + x.waterKg * waterHeat * x.tapC) / meltHeat);

/** How a pot may be cooled, and what that takes. */
export interface CoolingWay {
  way: 'ice' | 'waterThenIce' | 'water';
  /** To 21 °C, stirred now and then. */
  minutes: number;
  /** For all of them, with a third more than the bare sum, since ice melts in hands and rooms too. */
  iceKg: number;
}

/**
 * Ways to bring a pot under 21 °C, the quickest first: ice from the beginning, cold water and ice for the rest, cold water alone, changed when it is warm.
 * Left out is what never gets there: water alone, out of a tap as warm as a room.
 * @example coolingWays({ massG: 5000 }).map((w) => w.way) // ['ice', 'waterThenIce', 'water']
 */
export function coolingWays({ massG, fromC = boilC, count = 1 }: Pot, tapC: number = usualTapC): CoolingWay[] {
  const waterKg = (bathWater * massG) / 1000;
  const down = Math.max(thenIceC, tapC + 10);
  const ways: CoolingWay[] = [
    {
      way: 'ice',
      minutes: inWater(massG, fromC, firstStageC, 0),
      iceKg: moreIce * iceKgFor({ massG, fromC, toC: firstStageC, waterKg, tapC }),
    },
    {
      way: 'waterThenIce',
      minutes: inWater(massG, fromC, Math.min(fromC, down), tapC) + inWater(massG, Math.min(fromC, down), firstStageC, 0),
      iceKg: moreIce * iceKgFor({ massG, fromC: Math.min(fromC, down), toC: firstStageC, waterKg, tapC }),
    },
    { way: 'water', minutes: inWater(massG, fromC, firstStageC, tapC), iceKg: 0 },
  ];
  return ways
    .filter((w) => Number.isFinite(w.minutes))
    .map((w) => ({ ...w, iceKg: w.iceKg * count }))
    .sort((a, b) => a.minutes - b.minutes);
}

/**
 * One way for each pot out of the ice there is: the largest pots have it first, since they have least surface for their weight.
 * @param iceKg ice on hand; 0 when there is none
 * @returns in the order of the pots
 * @example coolAll([{ massG: 5000 }, { massG: 900 }], 1.4).map((w) => w.way) // ['waterThenIce', 'water']
 */
export function coolAll(pots: readonly Pot[], iceKg: number, tapC: number = usualTapC): CoolingWay[] {
  let left = iceKg;
  const order = pots.map((_, i) => i).sort((a, b) => pots[b]!.massG - pots[a]!.massG || a - b);
  const chosen: CoolingWay[] = [];
  for (const i of order) {
    const ways = coolingWays(pots[i]!, tapC);
    // with no ice at all and a warm tap, ice has to be got: the least of it
    const way = ways.find((w) => w.iceKg <= left + 1e-9) ?? ways.reduce((a, b) => (b.iceKg < a.iceKg ? b : a));
    left = Math.max(0, left - way.iceKg);
    chosen[i] = way;
  }
  return chosen;
}
