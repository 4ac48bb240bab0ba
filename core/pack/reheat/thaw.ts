import type { Advice, ReferenceRow } from '#core/kitchen';

/** Hours in the fridge until no ice is left: plan by the long end, count eat-by from the short one. */
export interface ThawRange {
  low: number;
  high: number;
  /** Reference rows it lies between. */
  rowIds: string[];
}

/** What lies in the fridge, as the thawing table sorts it. */
export type ThawShape = 'cube' | 'flat' | 'tub' | 'pan' | 'raw';

const hoursOf = (row: ReferenceRow): { mm: number; low: number; high: number; id: string } | undefined => {
  const m = /^(\d+(?:\.\d+)?)-(\d+(?:\.\d+)?)/.exec(String(row.thawH ?? ''));
  const cm = Number(row.thicknessCm);
  return m && Number.isFinite(cm) ? { mm: cm * 10, low: Number(m[1]), high: Number(m[2]), id: row.id } : undefined;
};

/** Raw meat thaws for a day at least, so that no ice is left (reference 1.5). */
const rawLeastH = 24;

/**
 * Fridge hours to thaw food of a shape and thickness: between the two nearest rows of the table in proportion, outside it by the nearest.
 * Law: thicker food never thaws sooner.
 * @example thawRange(rows, 'flat', 22) // between the rows of 20 and 25 mm: 11 to 31 h
 */
export function thawRange(rows: readonly ReferenceRow[], shape: ThawShape, mm: number | undefined): ThawRange | undefined {
  const prefix = shape === 'raw' ? 't_flat' : `t_${shape}`;
  const points = rows
    .filter((r) => r.id.startsWith(prefix))
    .flatMap((r) => hoursOf(r) ?? [])
    .toSorted((a, b) => a.mm - b.mm);
  const [first] = points;
  const last = points[points.length - 1];
  if (!first || !last) return undefined;
  const at = mm ?? (points[Math.floor(points.length / 2)] ?? first).mm;
  const above = points.find((p) => p.mm >= at) ?? last;
  const below = points.findLast((p) => p.mm <= at) ?? first;
  const share = above.mm > below.mm ? (at - below.mm) / (above.mm - below.mm) : 0;
  const low = Math.floor(below.low + share * (above.low - below.low) + 1e-9);
  const high = Math.ceil(below.high + share * (above.high - below.high) - 1e-9);
  return {
    low: shape === 'raw' ? Math.max(rawLeastH, low) : low,
    high: shape === 'raw' ? Math.max(rawLeastH, high) : high,
    rowIds: [...new Set([below.id, above.id])],
  };
}

/**
 * What is thawed in the fridge is eaten within so many days: a day in the UK; cooked food three, raw food one in the US (FSA; FSIS; reference 1.5).
 * A baby's food keeps as long as raw food does.
 * @example thawedDays(adviceOf('GB', figures).thawedDays, false, false) // days that thawed food keeps in the fridge
 */
export const thawedDays = (days: Advice['thawedDays'], raw: boolean, baby: boolean): number => (raw || baby ? days.raw : days.cooked);

const nb = '\u00A0';

/**
 * `18–44 h in the fridge, then eat within 24 h`.
 * @example sayThaw({ low: 12, high: 24 }, advice, false, false) // `thaw 12 to 24 h in the fridge, eat within a day`
 */
export function sayThaw(range: Pick<ThawRange, 'low' | 'high'>, advice: Pick<Advice, 'thawedDays'>, raw: boolean, baby: boolean): string {
  const days = thawedDays(advice.thawedDays, raw, baby);
  const hours = range.low === range.high ? `about ${range.low}${nb}h` : `${range.low}–${range.high}${nb}h`;
  return `${hours} in the fridge, then ${raw ? 'cook' : 'eat'} within ${days === 1 ? `24${nb}h` : `${days}${nb}days`}`;
}
