import type { ReferenceTable } from './referenceTables.ts';

/** How a cell of a table of figures is read. */
export type Reading = 'number' | 'minutes' | 'days' | 'degrees' | 'percent' | 'fraction' | 'millimetres';

/** A cell that a computation reads: where it stands, how it is read, and between which bounds it can be meant. */
export interface FigureCell {
  table: Exclude<ReferenceTable, 'ingredient' | 'life'>;
  id: string;
  column: string;
  as: Reading;
  least: number;
  most: number;
}

const cell = (table: FigureCell['table'], id: string, column: string, as: Reading, least: number, most: number): FigureCell => ({
  table,
  id,
  column,
  as,
  least,
  most,
});

const headspace = (id: string): { small: FigureCell; large: FigureCell } => ({
  small: cell('headspace', id, 'pintOrHalfLCm', 'millimetres', 0, 80),
  large: cell('headspace', id, 'quartOr1LCm', 'millimetres', 0, 80),
});
const appetite = (id: string): FigureCell => cell('portion', id, 'factorOfAdult', 'number', 0.05, 3);
const density = (id: string): FigureCell => cell('density', id, 'gPerMl', 'number', 0.05, 2);

/** The cells that computations read, by what they are for (decision 40). */
export const figureCells = {
  /** The two stages of cooling, and cooked food in the warm. */
  cool21: cell('clock', 'cool_stage1_fc', 'limit', 'minutes', 10, 480),
  cool5: cell('clock', 'cool_stage2_fc', 'limit', 'minutes', 10, 960),
  /** Days that thawed food keeps in the fridge. */
  thawedUk: cell('clock', 'thawed_uk', 'limit', 'days', 0.5, 7),
  thawedUsCooked: cell('clock', 'thawed_us_cooked', 'limit', 'days', 0.5, 7),
  thawedUsRaw: cell('clock', 'thawed_us_raw_ground', 'limit', 'days', 0.5, 7),
  riceUk: cell('clock', 'room_limit_rice_uk', 'limit', 'minutes', 10, 240),
  /** What the middle of reheated food has to reach. */
  coreUk: cell('setpoint', 'reheat_uk', 'tempC', 'degrees', 60, 100),
  coreUs: cell('setpoint', 'reheat_us', 'tempC', 'degrees', 60, 100),
  freezer: cell('setpoint', 'freezer', 'tempC', 'number', -40, -5),
  /** Share of a container that stays free for the ice where no fill line is known. */
  headspaceShare: cell('headspace', 'hs_cube', 'packStyle', 'percent', 0.02, 0.5),
  tubHeadspace: headspace('hs_tub_1to4').small,
  tubHeadspaceLarge: headspace('hs_tub_1to4').large,
  jarHeadspace: headspace('hs_liquid_wide').small,
  jarHeadspaceLarge: headspace('hs_liquid_wide').large,
  panHeadspace: headspace('hs_pan').small,
  panHeadspaceLarge: headspace('hs_pan').large,
  /** Litres that 30 loose cubes of 30 ml take, and how much more than its food a flat bag takes. */
  cubesLitres: cell('space', 'cap_cubes', 'lPerUnit', 'number', 0.9, 5),
  bagSpace: cell('space', 'cap_flatq', 'spaceFactor', 'number', 1, 3),
  /** Appetites by stage, an adult's being 1. */
  toddler: appetite('hf_toddler'),
  child: appetite('hf_child1'),
  adult: appetite('hf_adult'),
  elder: appetite('hf_elder'),
  /** Blocks in a microwave: from this thickness slower, from that not advised. */
  blockSlow: cell('thickness', 'tf5', 'thicknessCm', 'millimetres', 10, 150),
  blockMost: cell('thickness', 'tf6', 'thicknessCm', 'millimetres', 10, 150),
  blockLonger: cell('thickness', 'tf6', 'factorMicrowave', 'number', 1, 4),
  /** Grams per millilitre of finished food of which nothing else is known. */
  densityMeal: density('soup_chunky'),
  densityBase: density('tomato_sauce'),
  densityBroth: density('water'),
  densityAromatic: density('garlic_paste'),
  /** Days that garlic or herbs in oil keep in the fridge at most. */
  garlicOil: cell('hazard', 'oil_garlic_fridge', 'figure', 'days', 0.5, 7),
  /** Hot food in a jug blender. */
  hotShare: cell('hot_blending', 'bl_fill', 'figure', 'fraction', 0.1, 0.9),
} as const satisfies Record<string, FigureCell>;

export type FigureName = keyof typeof figureCells;
/** Every figure by its name: minutes, days, °C, shares, millimetres, litres, g/ml as its cell says. */
export type Figures = Readonly<Record<FigureName, number>>;

const one = '(-?\\d+(?:[.,]\\d+)?)';
const readings: Readonly<Record<Reading, { shape: string; read: (text: string) => number | undefined }>> = (() => {
  const n = (s: string | undefined): number => Number((s ?? '').replace(',', '.'));
  const first = (text: string): number | undefined => {
    const found = new RegExp(one).exec(text);
    return found ? n(found[1]) : undefined;
  };
  const minutes = (text: string): number | undefined => {
    const found = new RegExp(`${one}(?:\\s*(?:-|–|to)\\s*${one})?\\s*(h|min|d)`, 'i').exec(text);
    if (!found) return undefined;
    const each = { h: 60, min: 1, d: 1440 }[found[3]?.toLowerCase() as 'h' | 'min' | 'd'];
    return n(found[1]) * each;
  };
  return {
    number: { shape: 'a number, as in 1.15', read: first },
    minutes: { shape: 'a time with its unit, as in 2 h or 90 min', read: minutes },
    days: {
      shape: 'a time with its unit, as in 24 h or 3 days',
      read: (text) => {
        const m = minutes(text);
        return m === undefined ? undefined : m / 1440;
      },
    },
    degrees: {
      shape: 'degrees Celsius, as in 75',
      read: (text) => {
        // the hottest of several, and not how long it is held
        const all = [...text.matchAll(new RegExp(`${one}(?!\\s*(?:min|s\\b|h\\b|[\\d.,]))`, 'gi'))].map((m) => n(m[1]));
        return all.length > 0 ? Math.max(...all) : undefined;
      },
    },
    percent: {
      shape: 'a share, as in 10 %',
      read: (text) => {
        const found = new RegExp(`${one}\\s*(?:%|pct|per ?cent)`, 'i').exec(text);
        return found ? n(found[1]) / 100 : undefined;
      },
    },
    fraction: {
      shape: 'a share, as in 1/3 or 0.4',
      read: (text) => {
        const found = /(\d+)\s*\/\s*(\d+)/.exec(text);
        return found ? n(found[1]) / n(found[2]) : first(text);
      },
    },
    millimetres: {
      shape: 'centimetres, as in 2.5',
      read: (text) => {
        const cm = first(text);
        return cm === undefined ? undefined : Math.round(cm * 1000) / 100;
      },
    },
  };
})();

/**
 * What a cell says, in the unit of its figure; undefined where it says none, or one that cannot be meant.
 * @example readFigure(figureCells.cool21, '2 h') // 120
 */
export function readFigure(at: FigureCell, value: unknown): number | undefined {
  if (typeof value !== 'string' && typeof value !== 'number') return undefined;
  const read = readings[at.as].read(String(value));
  return read !== undefined && Number.isFinite(read) && read >= at.least && read <= at.most ? read : undefined;
}

/** Whether something is worked out from a cell. @example isReadCell('clock', 'cool_stage1_fc', 'limit') // true */
export const isReadCell = (table: ReferenceTable, id: string, column: string): boolean =>
  (Object.values(figureCells) as FigureCell[]).some((at) => at.table === table && at.id === id && at.column === column);

/**
 * The cells of a changed row that a computation reads and can no longer read, each with what it should hold.
 * @example unreadCells('clock', { id: 'cool_stage1_fc', limit: 'soon' })[0]?.column // 'limit'
 */
export function unreadCells(table: ReferenceTable, row: Readonly<Record<string, unknown>>): { column: string; message: string }[] {
  return (Object.values(figureCells) as FigureCell[]).flatMap((at) =>
    at.table === table && at.id === row.id && readFigure(at, row[at.column]) === undefined
      ? [{ column: at.column, message: `something is worked out from this: it has to hold ${readings[at.as].shape}` }]
      : [],
  );
}
