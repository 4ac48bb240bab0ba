import type { Container } from '#core/contract';

/** Water-rich food grows about this much of its water when it freezes (NCHFP; reference 8.1 asks for 10 % and more). */
const expansion = 0.1;
/** Rounded edges of a flat bag (reference 8.2). */
const bagEdges = 0.85;
/** Room cubes take loose in a bag: 30 cubes of 30 ml fill 1.3 L (reference 8.6). */
const looseCubes = 1.3 / 0.9;

/**
 * Millilitres that may go in: after headspace, and never above the reference's fill.
 * @example fillLimitMl(jar, household.materials) // up to the shoulder, with room to freeze
 */
export const fillLimitMl = (c: Pick<Container, 'brimMl' | 'fillMl'>): number => Math.min(c.fillMl, c.brimMl * (1 - expansion));

/** Cubes of a size that go loose into a bag or tub. @example cubesThatFit(tub500, 30) // cubes of 30 ml that go into a tub */
export const cubesThatFit = (c: Pick<Container, 'brimMl'>, cubeMl: number): number => Math.floor(c.brimMl / (cubeMl * looseCubes));

/**
 * How high the food stands, in millimetres: a bag lies flat, the others stand with sloping sides.
 * Law: an emptier container never stands higher.
 * @example thicknessMm(zipBag, 700) // how thick a flat bag lies
 */
export function thicknessMm(c: Container, ml: number): number {
  if (c.shape === 'bag') return (ml * 1000) / (c.widthMm * c.heightMm * bagEdges);
  // a frustum by its heights: the share of the volume gives the share of the height
  const foot = c.footMm / c.widthMm;
  const share = Math.min(1, ml / c.brimMl);
  const area = (h: number): number => (foot + (1 - foot) * h) ** 2;
  const volume = (h: number): number => (h / 6) * (area(0) + 4 * area(h / 2) + area(h));
  const whole = volume(1);
  let low = 0;
  let high = 1;
  for (let i = 0; i < 40; i += 1) {
    const mid = (low + high) / 2;
    if (volume(mid) < share * whole) low = mid;
    else high = mid;
  }
  return ((low + high) / 2) * c.heightMm;
}

/**
 * Millilitres the pack takes in a freezer: a bag by its flat food, the others by their outside (a wall of 2 mm and a lid).
 * @example outerMl(tub500) // what it takes up in the freezer, wall and lid
 */
export function outerMl(c: Container, ml: number, cubes = false): number {
  if (cubes) return ml * looseCubes;
  if (c.shape === 'bag') return ml * 1.15;
  return ((c.widthMm + 4) * (c.depthMm + 4) * (c.heightMm + 6)) / 1000;
}

export interface CubeRounds {
  cubes: number;
  traysOwned: number;
  cellsPerRound: number;
  rounds: number;
  leftMl: number;
}

/**
 * Cubes from a yield and the rounds the trays need; what does not fill a cube is left.
 * @example cubeRounds(1900, 18, 3, 14) // 105 cubes, 42 a round, 3 rounds
 */
export function cubeRounds(yieldMl: number, cubeMl: number, trays: number, cells: number): CubeRounds {
  const cubes = Math.floor(yieldMl / cubeMl + 1e-9);
  const perRound = trays * cells;
  return {
    cubes,
    traysOwned: trays,
    cellsPerRound: perRound,
    rounds: perRound > 0 ? Math.ceil(cubes / perRound) : 0,
    leftMl: yieldMl - cubes * cubeMl,
  };
}
