import type { Day, Instant } from '#core/contract';
import { addDays, addMinutes, adviceOf, clockOf, dayOf, daysFrom, demand, instantAt, isDinner } from '#core/kitchen';
import { thawedDays } from '#core/pack';
import {
  coldOf,
  firstEvening,
  sharesOf,
  statusOf,
  thawHoursOf,
  useFirst,
  type Due,
  type Moment,
  type PackState,
  type Shares,
} from '#core/store';
import { packWarnings, sayWarning } from './allergy.ts';
import type { World } from './world.ts';

/** Packs of one sort that Today can need; Store and Eat list them all. */
const mostShown = 24;

/** Packs that something is still to be done with: how many, and the first of them. */
export interface Undone {
  count: number;
  packs: PackState[];
}

const counted = (packs: readonly PackState[]): Undone => ({ count: packs.length, packs: packs.slice(0, mostShown) });

export interface WeekDay {
  day: Day;
  quarters: number;
  /** Quarter plates planned from the store for that dinner. */
  covered: number;
  babyMeals: number;
}

export interface TodayView {
  tonight: { packs: PackState[]; quarters: number; guests: number; logged: boolean; notFor: string[] };
  /** Planned for a coming meal, still frozen, with the hours it needs. */
  takeOut: { pack: PackState; day: Day; by: Instant; notFor: string[] }[];
  fridge: { pack: PackState; due: Due }[];
  eatFirst: { pack: PackState; due: Due; notFor: string[] }[];
  unlabelled: Undone;
  unplaced: Undone;
  probable: Undone;
  /** Past their day in the fridge: binned, or eaten? */
  past: { pack: PackState; eatBy: Day }[];
  week: WeekDay[];
}

/** Somebody is awake between these. */
const wakes = '07:00';
const sleeps = '22:00';
/** Minutes of cooking kept before dinner (thawing table, window). */
const cookingMin = 30;

/** The nearest hour at which somebody is awake: earlier, or later when it must not be earlier. */
function wakeful(instant: Instant, later: boolean, zone: string): Instant {
  const day = dayOf(instant, zone);
  const clock = clockOf(instant, zone);
  if (clock >= wakes && clock <= sleeps) return instant;
  const morning = clock < wakes ? day : addDays(day, 1);
  return later ? instantAt(morning, wakes, zone) : instantAt(addDays(morning, -1), sleeps, zone);
}

/**
 * When a planned pack leaves the freezer: the last wakeful hour that leaves its long thaw hours before dinner, but not so early that the time it keeps
 * once thawed runs out. Where both cannot be, the earliest: some ice is then left in the middle. A household's own hour stands in place of the wakeful one.
 */
function takeOutBy(pack: PackState, day: Day, { household, figures }: World): Instant {
  const { dinnerAt, timeZone, reminders, country } = household;
  const dinner = instantAt(day, dinnerAt, timeZone);
  const range = thawHoursOf(pack);
  const keepsH = 24 * thawedDays(adviceOf(country, figures).thawedDays, pack.raw, pack.kind === 'puree');
  const earliest = addMinutes(dinner, -60 * (range.low + keepsH));
  const latest = addMinutes(dinner, -60 * range.high - cookingMin);
  const open = latest >= earliest;
  const own = reminders?.takeOutAt;
  if (own === undefined) return wakeful(open ? latest : earliest, !open, timeZone);
  const at = dayOf(open ? latest : earliest, timeZone);
  const sameDay = instantAt(at, own, timeZone);
  return open
    ? sameDay <= latest
      ? sameDay
      : instantAt(addDays(at, -1), own, timeZone)
    : sameDay >= earliest
      ? sameDay
      : instantAt(addDays(at, 1), own, timeZone);
}

/**
 * What Today shows, from the stock and who is at the table.
 * @example todayView(world, at, false).tonight // what is planned, or what could be eaten
 */
export function todayView(
  world: World,
  at: Moment,
  tonightLogged: boolean,
  { stock, probable, past }: Shares = sharesOf(world.packs, at),
): TodayView {
  const { today } = at;
  const tonightDemand = demand(world.eaters, today, world.household.guests);
  const ordered = useFirst(stock, at);
  const plannedFor = (day: Day): PackState[] => stock.filter((p) => p.planned?.day === day && p.planned.meal === 'dinner');
  // what has only begun to thaw is no dinner tonight, whatever it was planned for
  const tonight = plannedFor(today).filter((p) => firstEvening(p, at) <= today);
  const says = (p: PackState, day?: Day): string[] => packWarnings(p, world, day).map((w) => sayWarning(w, world.allergenNames));
  const frozen = ordered.filter((o) => statusOf(o.pack) === 'frozen');
  return {
    tonight: {
      packs: tonight,
      quarters: tonightDemand.quarters,
      guests: tonightDemand.guests,
      logged: tonightLogged,
      notFor: [...new Set(tonight.flatMap((p) => says(p, today)))],
    },
    takeOut: stock
      .filter((p) => p.planned && p.planned.day > today && statusOf(p) === 'frozen')
      .map((pack) => ({ pack, day: pack.planned?.day ?? today, by: takeOutBy(pack, pack.planned?.day ?? today, world) }))
      .sort((a, b) => a.by.localeCompare(b.by) || a.day.localeCompare(b.day))
      .slice(0, mostShown)
      .map((t) => ({ ...t, notFor: says(t.pack, t.day) })),
    fridge: ordered.filter((o) => statusOf(o.pack) === 'fridge').slice(0, mostShown),
    eatFirst: frozen.slice(0, mostShown).map((o) => ({ ...o, notFor: says(o.pack) })),
    unlabelled: counted(stock.filter((p) => !p.labelled)),
    unplaced: counted(stock.filter((p) => statusOf(p) === 'unplaced')),
    probable: counted(probable),
    past: past
      .slice(0, mostShown)
      .map((pack) => ({ pack, eatBy: coldOf(pack, at).eatBy ?? today }))
      .toSorted((a, b) => a.eatBy.localeCompare(b.eatBy)),
    week: daysFrom(today, 7).map((day) => {
      const d = demand(world.eaters, day, world.household.guests);
      const covered = plannedFor(day)
        .filter((p) => isDinner(p) && firstEvening(p, at) <= day)
        .reduce((s, p) => s + p.left * 4, 0);
      return { day, quarters: d.quarters, babyMeals: d.babyMeals, covered: Math.min(d.quarters, covered) };
    }),
  };
}
