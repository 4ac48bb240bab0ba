import type { Day, Household, Instant } from '#core/contract';
import { addDays, daysFrom, demand, instantAt, minuteOfDay } from '#core/kitchen';
import { probablyEaten } from '#core/eat';
import { statusOf, useFirst, type Due, type PackState } from '#core/store';
import type { World } from './world.ts';

/** Packs that Today can need of those to eat first; Store and Eat list them all. */
const mostFirst = 24;

export interface WeekDay {
  day: Day;
  quarters: number;
  /** Quarter plates planned from the store for that dinner. */
  covered: number;
  babyMeals: number;
}

export interface TodayView {
  tonight: { packs: PackState[]; quarters: number; guests: number; logged: boolean };
  /** Planned for a coming meal, still frozen, with the hours it needs. */
  takeOut: { pack: PackState; day: Day; by: Instant }[];
  fridge: { pack: PackState; due: Due }[];
  eatFirst: { pack: PackState; due: Due }[];
  unlabelled: PackState[];
  unplaced: PackState[];
  probable: PackState[];
  week: WeekDay[];
}

/** Longest fridge-thaw hours a pack's text gives; without one a day is planned. */
export const thawHoursOf = (pack: Pick<PackState, 'thaw'>): number => {
  const m = /to (\d+)/.exec(pack.thaw ?? '');
  return m?.[1] ? Number(m[1]) : 24;
};

/**
 * When a planned pack has to leave the freezer: at the household's own hour, the last time that leaves its thaw hours
 * before dinner. Without such an hour at dinner time, and at the latest at ten the evening before, when somebody is awake.
 */
function takeOutBy(pack: PackState, day: Day, { household }: World): Instant {
  const { dinnerAt, timeZone, reminders } = household;
  const at = reminders?.takeOutAt ?? dinnerAt;
  const hours = thawHoursOf(pack) + (minuteOfDay(at) - minuteOfDay(dinnerAt)) / 60;
  const counted = instantAt(addDays(day, -Math.ceil(hours / 24)), at, timeZone);
  const latest = instantAt(addDays(day, -1), '22:00', timeZone);
  return reminders?.takeOutAt || counted < latest ? counted : latest;
}

/**
 * Whether Today asks now if tonight's dinner was eaten as planned: from the household's hour on, unless it wants no such question.
 * @example asksAboutDinner({ ...household, reminders: { askDinner: false } }, '21:00') // false
 */
export const asksAboutDinner = ({ dinnerAt, reminders }: Pick<Household, 'dinnerAt' | 'reminders'>, clock: string): boolean =>
  (reminders?.askDinner ?? true) && clock >= (reminders?.askDinnerAt ?? dinnerAt);

/** What Today shows, from the stock and who is at the table. */
export function todayView(world: World, today: Day, tonightLogged: boolean): TodayView {
  const { stock, probable } = probablyEaten(world.packs, today);
  const tonightDemand = demand(world.eaters, today, world.household.guests);
  const ordered = useFirst(stock, today, world.household.timeZone);
  const plannedFor = (day: Day): PackState[] => stock.filter((p) => p.planned?.day === day && p.planned.meal === 'dinner');
  return {
    tonight: { packs: plannedFor(today), quarters: tonightDemand.quarters, guests: tonightDemand.guests, logged: tonightLogged },
    takeOut: stock
      .filter((p) => p.planned && p.planned.day > today && statusOf(p) === 'frozen')
      .map((pack) => ({ pack, day: pack.planned?.day ?? today, by: takeOutBy(pack, pack.planned?.day ?? today, world) }))
      .sort((a, b) => a.by.localeCompare(b.by) || a.day.localeCompare(b.day)),
    fridge: ordered.filter((o) => statusOf(o.pack) === 'fridge'),
    eatFirst: ordered.filter((o) => statusOf(o.pack) === 'frozen').slice(0, mostFirst),
    unlabelled: stock.filter((p) => !p.labelled),
    unplaced: stock.filter((p) => statusOf(p) === 'unplaced'),
    probable,
    week: daysFrom(today, 7).map((day) => {
      const d = demand(world.eaters, day, world.household.guests);
      const covered = plannedFor(day)
        .filter((p) => p.kind === 'meal' || p.kind === 'kit')
        .reduce((s, p) => s + p.left * 4, 0);
      return { day, quarters: d.quarters, babyMeals: d.babyMeals, covered: Math.min(d.quarters, covered) };
    }),
  };
}
