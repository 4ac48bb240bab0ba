import type { Day, Figures, Household, Instant } from '#core/contract';
import { addDays, adviceOf, type Advice, addMinutes, dayOf, daysBetween, fridgeUntil, instantAt, maxDay, minDay } from '#core/kitchen';
import { thawedDays } from '#core/pack';
import { statusOf, type PackState } from './state.ts';

/** The moment a question is asked, in the household's own day. */
export interface Moment {
  now: Instant;
  today: Day;
  timeZone: string;
  /** Days that thawed food keeps, by this household's tables and country. */
  thawedDays: Advice['thawedDays'];
  dinnerAt: string;
}

/** A household's moment. @example momentOf(household, figures, now).today // '2026-11-24' */
export const momentOf = (household: Pick<Household, 'timeZone' | 'country' | 'dinnerAt'>, figures: Figures, now: Instant): Moment => ({
  now,
  today: dayOf(now, household.timeZone),
  timeZone: household.timeZone,
  thawedDays: adviceOf(household.country, figures).thawedDays,
  dinnerAt: household.dinnerAt,
});

/** Frozen; thawing until its range is over; thawed or in the fridge, to be eaten by a day; past that day; not put away; empty. */
export type ColdState = 'frozen' | 'thawing' | 'thawed' | 'fridge' | 'past' | 'unplaced' | 'empty';

export interface Cold {
  state: ColdState;
  /** Thawed at the earliest, and for certain. */
  readyFrom?: Instant;
  readyBy?: Instant;
  /** The last day it may be eaten, once out of the freezer. */
  eatBy?: Day;
}

/** Hours to thaw where nobody knows the shape: those of a half-litre tub (thawing table). */
const usualThaw = { low: 18, high: 44 } as const;
const cubeThaw = { low: 7, high: 18 } as const;

/** Hours a pack takes to thaw in the fridge. @example thawHoursOf({ thawH: { low: 12, high: 24 } }) // { low: 12, high: 24 } */
export function thawHoursOf(pack: Pick<PackState, 'thawH' | 'thaw' | 'cubes'>): { low: number; high: number } {
  if (pack.thawH) return pack.thawH;
  // packs filled before the hours were kept apart carry them in their label's words
  const said = /(\d+)\D+(\d+)/.exec(pack.thaw ?? '');
  if (said) return { low: Number(said[1]), high: Math.max(Number(said[1]), Number(said[2])) };
  return pack.cubes !== undefined ? cubeThaw : usualThaw;
}

/** Since when it thaws: taken out and neither opened nor put back; packs folded before that was kept apart say it by their pull. */
const thawsSince = (pack: PackState): Instant | undefined =>
  pack.thawSince ?? (pack.fridgeSince !== undefined && pack.fridgeSince === pack.pulled?.at ? pack.pulled.at : undefined);

const hours = (at: Instant, h: number): Instant => addMinutes(at, Math.round(h * 60));

/**
 * Where a pack stands in the cold (decision 44). Plan by the long end of its thaw hours; the day to eat it by counts from the short end.
 * Law: as time goes on it only moves on: frozen stays, thawing becomes thawed, thawed becomes past.
 * @example coldOf(tub7, at).state // 'thawing'
 */
export function coldOf(pack: PackState, at: Moment): Cold {
  const status = statusOf(pack);
  if (status !== 'fridge') return { state: status };
  const limit = (day: Day): Day => (pack.limit === undefined ? day : minDay(day, pack.limit));
  const since = thawsSince(pack);
  if (since !== undefined) {
    const range = thawHoursOf(pack);
    const readyFrom = hours(since, range.low);
    const readyBy = hours(since, range.high);
    const eatBy = limit(addDays(dayOf(readyFrom, at.timeZone), thawedDays(at.thawedDays, pack.raw, pack.kind === 'puree')));
    // what passed its limit while frozen is still there to be eaten now: a day about quality
    const day = pack.limit !== undefined && eatBy < dayOf(since, at.timeZone) ? dayOf(readyFrom, at.timeZone) : eatBy;
    return { state: at.today > day ? 'past' : at.now < readyBy ? 'thawing' : 'thawed', readyFrom, readyBy, eatBy: day };
  }
  const from = dayOf(pack.fridgeSince ?? at.now, at.timeZone);
  const until = fridgeUntil(pack.life, from);
  const eatBy = pack.limit !== undefined && pack.limit >= from ? minDay(until, pack.limit) : until;
  return { state: at.today > eatBy ? 'past' : 'fridge', eatBy };
}

/** The first evening on which something that is ready from an instant on can be eaten. */
function eveningFrom(ready: Instant, at: Moment): Day {
  const day = dayOf(ready, at.timeZone);
  return ready <= instantAt(day, at.dinnerAt, at.timeZone) ? day : addDays(day, 1);
}

const readyAfter = (pack: PackState, since: Instant, at: Moment): Day => eveningFrom(hours(since, thawHoursOf(pack).low), at);

/**
 * The first evening on which a pack can be eaten: tonight, unless it has only begun to thaw.
 * @example firstEvening(tub7, at) // the first evening it can be eaten on
 */
export function firstEvening(pack: PackState, at: Moment): Day {
  const since = thawsSince(pack);
  return statusOf(pack) !== 'fridge' || since === undefined ? at.today : maxDay(at.today, readyAfter(pack, since, at));
}

/**
 * The evening it could be eaten on, thawed, if it left the freezer now.
 * @example eveningIfPulled(tub7, at) // '2026-11-25': a night in the fridge
 */
export const eveningIfPulled = (pack: PackState, at: Moment): Day =>
  statusOf(pack) === 'frozen' ? readyAfter(pack, at.now, at) : firstEvening(pack, at);

/**
 * The evening a pack was meant for, or the first one it could be ready on, whichever is later.
 * @example ownEvening(tub7, at) // the evening it is planned or thawed for
 */
export function ownEvening(pack: PackState, at: Moment): Day | undefined {
  if (!pack.planned) return undefined;
  const since = thawsSince(pack);
  return since === undefined ? pack.planned.day : maxDay(pack.planned.day, readyAfter(pack, since, at));
}

/** When a pack should be eaten, and why then. Without a day nobody knows when it was made. */
export type Due =
  | { reason: 'fridge' | 'thaw' | 'bestBy'; day: Day; daysLeft: number; past: boolean }
  | { reason: 'undated'; day?: undefined; daysLeft?: undefined; past: false };

/**
 * The day a pack is due: its fridge clock once out of the freezer, else its printed best-by day, else not known.
 * @example dueOf(tub7, at).day // '2027-02-28'
 */
export function dueOf(pack: PackState, at: Moment): Due {
  const cold = coldOf(pack, at);
  if (cold.eatBy !== undefined)
    return {
      day: cold.eatBy,
      reason: cold.readyBy === undefined ? 'fridge' : 'thaw',
      daysLeft: daysBetween(at.today, cold.eatBy),
      past: cold.state === 'past',
    };
  if (pack.bestBy === undefined) return { reason: 'undated', past: false };
  return { day: pack.bestBy, reason: 'bestBy', daysLeft: daysBetween(at.today, pack.bestBy), past: false };
}

/** Everything that holds food, sorted once for all pages. */
export interface Shares {
  /** What is there to be eaten: dinners, room, runway and suggestions come from it alone. */
  stock: PackState[];
  /** Its evening has passed without an answer: probably eaten, counted by the runway, shown apart (decision 28). */
  probable: PackState[];
  /** Past its day in the fridge: asked about, eaten or binned, and in nothing else. */
  past: PackState[];
}

/**
 * What is in store: the one place that decides it.
 * Law: every pack that holds food is in just one of the three.
 * @example sharesOf(packs, at).past // days over in the fridge
 */
export function sharesOf(packs: readonly PackState[], at: Moment): Shares {
  const shares: Shares = { stock: [], probable: [], past: [] };
  for (const pack of packs) {
    if (statusOf(pack) === 'empty') continue;
    const evening = ownEvening(pack, at);
    if (evening !== undefined && evening < at.today) shares.probable.push(pack);
    else if (coldOf(pack, at).state === 'past') shares.past.push(pack);
    else shares.stock.push(pack);
  }
  return shares;
}
