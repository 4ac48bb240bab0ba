import type { ReferenceRow } from '#core/kitchen';

/** Where a pack stands when it is heated. */
export type HeatStart = 'frozen' | 'thawed' | 'chilled' | 'dry' | 'any';
export type HeatMethod =
  | 'hob'
  | 'boil'
  | 'steam'
  | 'microwave'
  | 'oven'
  | 'air fryer'
  | 'pressure cooker'
  | 'slow cooker'
  | 'toaster'
  | 'kettle'
  | 'water bath'
  | 'none';
/** What food stands in as far as heat is concerned. */
export type HeatForm = 'bag' | 'tub' | 'jar' | 'foil' | 'dish' | 'loose' | 'any';

/** A row of the reheating table, its cells as what they mean. */
export interface HeatRow {
  id: string;
  /** Rows of one base differ only by container. */
  baseId: string;
  classId: string;
  one: string;
  many: string;
  /** Storage rows that this class serves. */
  lifeIds: readonly string[];
  form: HeatForm;
  start: HeatStart;
  method: HeatMethod;
  allowed: 'yes' | 'thaw first' | 'no';
  why: string;
  setting: string;
  /** Microwave stages in per cent of full power. */
  powers: readonly number[];
  ovenC: readonly number[];
  fanC: readonly number[];
  cover: string;
  foilOffLastPct: number | undefined;
  takeOut: boolean;
  into: string;
  liquid: string;
  liquidMlPer500g: number | undefined;
  stir: string;
  stirEveryMin: number | undefined;
  base: number;
  baseUnit: 'g' | 'ml' | 'mm' | 'pack' | 'each';
  stages: readonly { low: number; high: number }[];
  law: 'mass' | 'thickness' | 'fixed' | undefined;
  expBelow: number;
  expAbove: number;
  validLow: number | undefined;
  validHigh: number | undefined;
  beyond: string;
  restMin: number;
  end: string;
  coreC: number | undefined;
  /** What must be added: raw, baby, rice... */
  say: string;
  /** Rows of the older table it takes the place of. */
  refRows: readonly string[];
  source: string;
}

const text = (row: ReferenceRow, column: string): string => String(row[column] ?? '').trim();
const list = (row: ReferenceRow, column: string): string[] => text(row, column).split(';').filter(Boolean);

function number(row: ReferenceRow, column: string): number | undefined {
  const cell = text(row, column);
  const n = Number(cell);
  return cell !== '' && Number.isFinite(n) ? n : undefined;
}

function stages(row: ReferenceRow): HeatRow['stages'] {
  return (['min1', 'min2'] as const).flatMap((name) => {
    const low = number(row, `${name}Low`);
    return low === undefined ? [] : [{ low, high: Math.max(low, number(row, `${name}High`) ?? low) }];
  });
}

/**
 * A reference row as a reheating row; an edited cell that cannot be read counts as not known, never as 0.
 * @example heatRow(rowOfTheTable) // its cells as figures
 */
export const heatRow = (row: ReferenceRow): HeatRow => ({
  id: row.id,
  baseId: text(row, 'baseId') || row.id,
  classId: text(row, 'class'),
  one: text(row, 'nounOne') || 'food',
  many: text(row, 'nounMany') || text(row, 'nounOne') || 'food',
  lifeIds: list(row, 'lifeIds'),
  form: (text(row, 'container') || 'any') as HeatForm,
  start: (text(row, 'start') || 'any') as HeatStart,
  method: (text(row, 'method') || 'none') as HeatMethod,
  allowed: (text(row, 'allowed') || 'yes') as HeatRow['allowed'],
  why: text(row, 'why'),
  setting: text(row, 'setting'),
  powers: ['power1Pct', 'power2Pct'].flatMap((c) => number(row, c) ?? []),
  ovenC: list(row, 'ovenC').map(Number).filter(Number.isFinite),
  fanC: list(row, 'fanC').map(Number).filter(Number.isFinite),
  cover: text(row, 'cover') || 'none',
  foilOffLastPct: number(row, 'foilOffLastPct'),
  takeOut: text(row, 'takeOut') === 'yes',
  into: text(row, 'into'),
  liquid: text(row, 'liquid'),
  liquidMlPer500g: number(row, 'liquidMlPer500g'),
  stir: text(row, 'stir') || 'none',
  stirEveryMin: number(row, 'stirEveryMin'),
  base: number(row, 'base') ?? 0,
  baseUnit: (text(row, 'baseUnit') || 'pack') as HeatRow['baseUnit'],
  stages: stages(row),
  law: (text(row, 'law') || undefined) as HeatRow['law'],
  expBelow: number(row, 'expBelow') ?? 0,
  expAbove: number(row, 'expAbove') ?? 0,
  validLow: number(row, 'validLow'),
  validHigh: number(row, 'validHigh'),
  beyond: text(row, 'beyond'),
  restMin: number(row, 'restMin') ?? 0,
  end: text(row, 'end'),
  coreC: number(row, 'coreC'),
  say: text(row, 'say'),
  refRows: list(row, 'refRows'),
  source: row.source,
});
