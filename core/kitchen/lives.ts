import type { Day, Household, LifeSnapshot } from '#core/contract';
import type { LifeRow, Range } from './data/types.ts';
import { addDays, addMonths } from './day.ts';

const lowOf = (value: Range | string | undefined): number | undefined => (typeof value === 'object' ? value.low : undefined);
const highOf = (value: Range | string | undefined): number | undefined => (typeof value === 'object' ? value.high : undefined);

/** A part of a dish and the storage row that governs it. */
export interface StoredPart {
  rowId: string;
  part: string;
}

export type LifeResult =
  { ok: true; life: LifeSnapshot } | { ok: false; why: 'noRow' | 'doNotFreeze' | 'noMonths'; rowId: string; part: string };

/** A row that stands for "the shop's use-by date": nothing may be counted from it at home, so the shortest clock holds. */
const useByDays = 1;

function fridgeDays(row: LifeRow, household: Pick<Household, 'country' | 'lives'>): number {
  const us = lowOf(row.fridgeUsDays);
  const uk = row.fridgeUkDays === 'use-by' ? useByDays : lowOf(row.fridgeUkDays);
  const own = household.country === 'US' ? us : uk;
  if (household.lives === 'cautious')
    return Math.min(us ?? Infinity, uk ?? Infinity) === Infinity ? 0 : Math.min(us ?? Infinity, uk ?? Infinity);
  return own ?? us ?? uk ?? 0;
}

/**
 * How long a dish keeps: the shortest of its parts decides and is the reason (DECISIONS 14).
 * The freezer's best-by is the row's low end, the limit its high end; usual and cautious differ in the fridge only.
 * @returns a typed refusal when a row is unknown or says not to freeze
 * @example lifeOf([{ rowId: 'stew_meat', part: 'stew' }], lives, household) // the part that keeps least decides
 */
export function lifeOf(
  parts: readonly StoredPart[],
  rows: ReadonlyMap<string, LifeRow>,
  household: Pick<Household, 'country' | 'lives'>,
): LifeResult {
  let shortest: LifeSnapshot | undefined;
  let fridge = Infinity;
  for (const part of parts) {
    const row = rows.get(part.rowId);
    if (!row) return { ok: false, why: 'noRow', ...part };
    if (row.freezerMonths === 'no') return { ok: false, why: 'doNotFreeze', ...part };
    const months = lowOf(row.freezerMonths);
    if (months === undefined) return { ok: false, why: 'noMonths', ...part };
    fridge = Math.min(fridge, fridgeDays(row, household));
    if (!shortest || months < shortest.months) {
      shortest = {
        rowId: row.id,
        part: part.part,
        months,
        monthsHigh: highOf(row.freezerMonths) ?? months,
        fridgeDays: 0,
        source: row.source,
      };
    }
  }
  if (!shortest) return { ok: false, why: 'noRow', rowId: '', part: '' };
  return { ok: true, life: { ...shortest, fridgeDays: fridge } };
}

/** Days of a broken month: half a month is 15 days. */
const monthDays = 30;

/** A day so many months later; of a broken month its days, never longer than was said. */
const afterMonths = (day: Day, months: number): Day =>
  addDays(addMonths(day, Math.floor(months)), Math.floor((months - Math.floor(months)) * monthDays + 1e-9));

/**
 * Best by and limit of something made on a day. A vague date counts from its earliest day.
 * @example datesFor({ rowId: 'stew_meat', part: 'stew', months: 3, monthsHigh: 4, fridgeDays: 2, source: 'FSIS' }, '2026-11-28').bestBy // '2027-02-28'
 */
export function datesFor(life: LifeSnapshot, madeEarliest: Day): { bestBy: Day; limit: Day } {
  return { bestBy: afterMonths(madeEarliest, life.months), limit: afterMonths(madeEarliest, life.monthsHigh) };
}

/**
 * The last day in the fridge for something opened or thawed on a day.
 * @example fridgeUntil({ rowId: 'stew_meat', part: 'stew', months: 3, monthsHigh: 4, fridgeDays: 2, source: 'FSIS' }, '2026-11-28') // '2026-11-30'
 */
export const fridgeUntil = (life: LifeSnapshot, from: Day): Day => addDays(from, Math.max(0, life.fridgeDays));
