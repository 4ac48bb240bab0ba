/** Low and high end of a range as the source gives it. */
export interface Range {
  low: number;
  high: number;
}

/** How sure a figure is: A stated by the body, B range or good recall, confirm = weigh or check yours. */
export type Confidence = 'A' | 'B' | 'confirm';

/** A storage life; months and days are ranges, `no` means do not, `use-by` means the pack's date. */
export interface LifeRow {
  id: string;
  group: string;
  item: string;
  fridgeUsDays?: Range | string;
  fridgeUkDays?: Range | string;
  freezerMonths?: Range | string;
  roomDays?: Range | string;
  note?: string;
  source: string;
  conf: string;
}

/** Grams per millilitre by state; an absent state is not known. */
export type Densities = Partial<Record<'whole' | 'chopped' | 'grated' | 'pureed' | 'dry' | 'liquid' | 'cooked', number>>;

export interface IngredientRow {
  id: string;
  name: string;
  otherNames: readonly string[];
  aisle: string;
  baseState?: string;
  density: Densities;
  pieceName?: string;
  /** Grams of one piece as bought. */
  pieceG?: number;
  pieceGSmall?: number;
  pieceGLarge?: number;
  /** Edible percent of bought weight. */
  ediblePct?: number;
  cookedMethod?: string;
  cookedFactor?: number;
  contains: readonly string[];
  mayHold: readonly string[];
  allergenCheck: string;
  freeze?: string;
  freezeNote?: string;
  blanchId?: string;
  washBeforeStoring?: string;
  keepPlace?: string;
  liner?: string;
  keepDaysLow?: number;
  keepDaysHigh?: number;
  lifeId?: string;
  scrap?: string;
  source: string;
  conf: string;
  refRows?: readonly string[];
}

/** A reference row kept as its table has it; `source` and `conf` always stand. */
export interface ReferenceRow {
  id: string;
  source: string;
  conf: string;
  [column: string]: string | number;
}
