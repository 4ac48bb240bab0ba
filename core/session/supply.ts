import type { Day } from '#core/contract';
import { addDays, demand, groupOf, isDinner, sayDay, type Demand, type SupplyGroup } from '#core/kitchen';
import { runway, type DayEaten, type Runway } from '#core/eat';
import { ownEvening, sharesOf, type Moment, type PackState, type Shares } from '#core/store';
import { dinnerFood, dinnerQuarters, dinnersLeft } from './dinners.ts';
import type { World } from './world.ts';

/** What was eaten from the store by group and day, from the log, in the group's own units (`eatenUnits`). */
export interface EatenDay extends DayEaten {
  group: SupplyGroup;
}

/** How much of one thing there is and how long it lasts; the same object feeds every page. */
export interface Supply {
  group: EatenDay['group'];
  /** Whole dinners, baby meals, packs of 500 ml. */
  count: number;
  unit: string;
  runway: Runway;
  /** `last to about 9 Jan (1 to 18 Jan)`. */
  says: string;
}

export interface Supplies {
  dinners: Supply;
  baby?: Supply;
  broth?: Supply;
  /** Packs probably eaten by now, to be settled. */
  probable: number;
  /** Packs past their day in the fridge, to be answered for. */
  past: number;
}

/** Days and groups of a few evenings. */
const mostCurves = 24;

/** Who eats and what is kept in hand stand in documents; with the same ones, the same stock and the same log the curve is the same. */
function curveOf(world: Pick<World, 'household' | 'eaters' | 'memo'>, input: string, make: () => Runway): Runway {
  const curves = world.memo([world.household, world.eaters], 'curves', () => new Map<string, Runway>());
  const found = curves.get(input) ?? make();
  if (curves.size >= mostCurves) curves.clear();
  curves.set(input, found);
  return found;
}

/** Half a litre: what a unit of broth is. */
export const brothUnitMl = 500;

/**
 * Eaten portions of a pack as its group counts them: portions of dinners, cubes, half litres of broth.
 * @example eatenUnits({ kind: 'broth', portions: 1, volumeMl: 1000 }, 1) // 2 half litres
 */
export const eatenUnits = (pack: Pick<PackState, 'kind' | 'portions' | 'volumeMl'>, portions: number): number =>
  groupOf(pack.kind) === 'broth' ? ((portions / pack.portions) * pack.volumeMl) / brothUnitMl : portions;

/** How long a supply lasts, in words. @example saysLast(dinners.runway) // 'last to about 22 Dec (9 Dec to 4 Jan)' */
export const saysLast = (r: Runway): string => {
  if (r.left <= 0) return 'none left';
  const { early, middle, late } = r.runOut;
  if (!middle) return 'last for more than two years';
  return `last to about ${sayDay(middle)} (${early ? sayDay(early) : 'now'} to ${late ? sayDay(late) : 'later'})`;
};

/**
 * Dinners left, the baby's meals and broth with their runways, computed once for all pages.
 * Stock leaves out what was probably eaten; the runway counts it as eaten on its day.
 * @example supplies(world, at, eaten, false).dinners.count // 21
 */
export function supplies(
  world: World,
  at: Moment,
  eaten: readonly EatenDay[],
  tonightLogged: boolean,
  { stock, probable, past }: Shares = sharesOf(world.packs, at),
): Supplies {
  const { today } = at;
  const { household, eaters } = world;
  const asked = new Map<Day, Demand>();
  const demandOn = (day: Day): Demand => {
    const d = asked.get(day) ?? demand(eaters, day, household.guests);
    asked.set(day, d);
    return d;
  };
  const cubesPerMeal = eaters.find((e) => e.baby)?.baby?.cubesPerMeal ?? 3;
  const inGroup = (group: EatenDay['group']): DayEaten[] => [
    ...eaten
      .filter((e) => e.group === group)
      .map((e) => ({ day: e.day, portions: group === 'baby' ? e.portions / cubesPerMeal : e.portions })),
    ...probable
      .filter((p) => (group === 'dinner' ? isDinner(p) : groupOf(p.kind) === group))
      .map((p) => ({
        day: ownEvening(p, at) ?? today,
        portions:
          group === 'dinner'
            ? Math.min(p.left, demandOn(ownEvening(p, at) ?? today).quarters / 4)
            : group === 'baby'
              ? p.left / cubesPerMeal
              : eatenUnits(p, p.left),
      })),
  ];
  const startDay = tonightLogged ? addDays(today, 1) : today;
  const make = (group: EatenDay['group'], left: number, count: number, unit: string, daily: (day: Day) => number): Supply => {
    const from = group === 'dinner' ? startDay : today;
    const eatenHere = inGroup(group);
    const r = curveOf(world, `${group} ${from} ${left} ${eatenHere.map((e) => `${e.day}:${e.portions}`).join(' ')}`, () =>
      runway({ today: from, left, demand: daily, eaten: eatenHere, parDays: household.parDays, leadDays: household.leadDays }),
    );
    return { group, count, unit, runway: r, says: saysLast(r) };
  };

  const quarters = dinnerQuarters(stock);
  const dinners = make(
    'dinner',
    quarters / 4,
    dinnersLeft(dinnerFood(stock, at), eaters, today, tonightLogged, household.guests),
    'dinners',
    (day) => demandOn(day).quarters / 4,
  );
  const cubes = stock.filter((p) => p.kind === 'puree').reduce((s, p) => s + p.left, 0);
  const hasBaby = eaters.some((e) => e.stage === 'baby');
  const broths = stock.filter((p) => p.kind === 'broth').reduce((s, p) => s + eatenUnits(p, p.left), 0);
  return {
    dinners,
    ...(hasBaby && {
      baby: make('baby', cubes / cubesPerMeal, Math.floor(cubes / cubesPerMeal), 'baby meals', (day) => demandOn(day).babyMeals),
    }),
    ...((broths > 0 || household.brothPacksPerWeek > 0) && {
      broth: make('broth', broths, Math.floor(broths + 1e-9), 'packs of broth', () => household.brothPacksPerWeek / 7),
    }),
    probable: probable.length,
    past: past.length,
  };
}
