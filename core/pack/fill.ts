import type { Container, Figures } from '#core/contract';

/** What the tables of headspace and space say of filling. */
export type FillFigures = Pick<Figures, 'headspaceShare' | 'cubesLitres' | 'bagSpace'>;

/** Rounded edges of a flat bag (reference 8.2). */
const bagEdges = 0.85;
/** Litres of 30 cubes of 30 ml, the bag of cubes of the table of space. */
const cubesOfTable = 0.9;
/** Room that cubes take loose, by their own volume: 30 cubes of 30 ml fill 1.3 L (reference 8.6). */
const looseCubes = (figures: Pick<Figures, 'cubesLitres'>): number => figures.cubesLitres / cubesOfTable;

/**
 * Millilitres that may go in: after headspace for the ice (water-rich food grows by about 9 %; NCHFP), and never above its own fill line.
 * @example fillLimitMl({ brimMl: 60, fillMl: 60 }, figures) // 54
 */
export const fillLimitMl = (c: Pick<Container, 'brimMl' | 'fillMl'>, figures: Pick<Figures, 'headspaceShare'>): number =>
  Math.min(c.fillMl, c.brimMl * (1 - figures.headspaceShare));

/** Cubes of a size that go loose into a bag or tub. @example cubesThatFit(tub500, 30, figures) // cubes of 30 ml that go into a tub */
export const cubesThatFit = (c: Pick<Container, 'brimMl'>, cubeMl: number, figures: Pick<Figures, 'cubesLitres'>): number =>
  Math.floor(c.brimMl / (cubeMl * looseCubes(figures)));

/** From this volume on a container is one of a litre for the table of headspace, else one of half a litre. */
const largeMl = 750;

/** What share of its volume lies below a share of its height: a frustum, by its foot and its top. */
function volumeShare(c: Pick<Container, 'footMm' | 'widthMm'>, height: number): number {
  const foot = c.footMm / c.widthMm;
  const area = (h: number): number => (foot + (1 - foot) * h) ** 2;
  const volume = (h: number): number => (h / 6) * (area(0) + 4 * area(h / 2) + area(h));
  return volume(height) / volume(1);
}

/**
 * How high the food stands, in millimetres: a bag lies flat, the others stand with sloping sides.
 * Law: an emptier container never stands higher.
 * @example thicknessMm(zipBag, 700) // how thick a flat bag lies
 */
export function thicknessMm(c: Container, ml: number): number {
  if (c.shape === 'bag') return (ml * 1000) / (c.widthMm * c.heightMm * bagEdges);
  const share = Math.min(1, ml / c.brimMl);
  let low = 0;
  let high = 1;
  for (let i = 0; i < 40; i += 1) {
    const mid = (low + high) / 2;
    if (volumeShare(c, mid) < share) low = mid;
    else high = mid;
  }
  return ((low + high) / 2) * c.heightMm;
}

/**
 * Millilitres the pack takes in a freezer: a bag by its flat food, the others by their outside (a wall of 2 mm and a lid).
 * @example outerMl(tub500, 450, figures) // what it takes up in the freezer, wall and lid
 */
export function outerMl(c: Container, ml: number, figures: Pick<Figures, 'cubesLitres' | 'bagSpace'>, cubes = false): number {
  if (cubes) return ml * looseCubes(figures);
  if (c.shape === 'bag') return ml * figures.bagSpace;
  return ((c.widthMm + 4) * (c.depthMm + 4) * (c.heightMm + 6)) / 1000;
}

/**
 * Millimetres that the table of headspace leaves under the lid of a container for liquid food, and what goes in under it.
 * @returns undefined for bags, trays and moulds, which have no lid
 * @example headspaceOf(tub500, figures)?.mm // 13
 */
export function headspaceOf(c: Container, figures: Figures): { mm: number; ml: number } | undefined {
  const large = c.brimMl >= largeMl;
  const mm =
    c.shape === 'tub' || c.shape === 'box'
      ? large
        ? figures.tubHeadspaceLarge
        : figures.tubHeadspace
      : c.shape === 'jar'
        ? large
          ? figures.jarHeadspaceLarge
          : figures.jarHeadspace
        : c.shape === 'pan'
          ? large
            ? figures.panHeadspaceLarge
            : figures.panHeadspace
          : undefined;
  if (mm === undefined || mm >= c.heightMm) return undefined;
  return { mm, ml: Math.round(c.brimMl * volumeShare(c, (c.heightMm - mm) / c.heightMm)) };
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
