export type { Because, Explained } from './explained.ts';
export type { Confidence, Densities, IngredientRow, LifeRow, Range, ReferenceRow } from './data/types.ts';
export { fromNumber, over, plus, times, toNumber, type Rational } from './rational.ts';
export { convert, inBase, unitFacts, unitNamed, unitWords, type Quantity } from './units.ts';
export { densityFor, gramsOf, weighsAsPiece, type MassResult } from './mass.ts';
export { measure, wholePieces, type Measured } from './rounding.ts';
export { measureIn, sayMassIn, sayVolumeIn, spoonsAndCups, type Measure, type MeasureInput, type UnitSystem } from './measures.ts';
export {
  capital,
  countOf,
  isOne,
  listOf,
  pluralOf,
  quarterDown,
  quarterUp,
  sayMass,
  sayMinutes,
  sayMoney,
  sayPortions,
  sayVolume,
} from './display.ts';
export {
  addDays,
  addMinutes,
  addMonths,
  addMs,
  clockOf,
  clockPlus,
  dayOf,
  daysBetween,
  daysFrom,
  instantAt,
  longWeekday,
  maxDay,
  minDay,
  minuteOfDay,
  minutesBetween,
  monthsOld,
  nextWeekday,
  sayDay,
  sayDayYear,
  sayLongDay,
  sayNear,
  sayWeekday,
  shortMonth,
  shortWeekday,
  weekdayOf,
  type Weekday,
} from './day.ts';
export { demand, guestsAt, isPresent, quartersOf, withSaid, type Demand, type SaidOfTable } from './presence.ts';
export { datesFor, fridgeUntil, lifeOf, type LifeResult, type StoredPart } from './lives.ts';
export {
  allKinds,
  isRawKind,
  groupOf,
  isCounted,
  isDinner,
  isDinnerKind,
  isEatenAsIs,
  mayHold,
  type Packable,
  type SupplyGroup,
} from './kinds.ts';
export { ingredientFinder, type IngredientFinder } from './ingredients.ts';
export { createMemo, noMemo, type Memo } from './memo.ts';
export { readDay, type DayReading } from './readDay.ts';
export { adviceOf, appetitesOf, figuresOf, type Advice } from './figures.ts';
export { referenceOnly, tableReaders, type TableReader } from './readers.ts';
