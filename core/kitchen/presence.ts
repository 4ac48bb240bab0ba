import type { Day, Eater, EventOf, Guests, Household, Meal, Presence } from '#core/contract';
import { daysBetween, weekdayOf } from './day.ts';

/** Whether the rota has somebody at home on a day: `daysOn` away from `firstDay`, then `daysOff` at home, and so on both ways. */
function homeByRota(rota: NonNullable<Presence['rota']>, day: Day): boolean {
  const cycle = rota.daysOn + rota.daysOff;
  const at = ((daysBetween(rota.firstDay, day) % cycle) + cycle) % cycle;
  return at >= rota.daysOn;
}

/**
 * Whether an eater is at the table for a meal: an exception for that day and meal wins, then days away, then the rota, then the week.
 * @example isPresent(marit.presence, '2026-11-29', 'dinner') // false: she ships out that day
 */
export function isPresent(presence: Presence, day: Day, meal: Meal): boolean {
  const exception = presence.exceptions.findLast((e) => e.day === day && e.meal === meal);
  if (exception) return exception.present;
  if (presence.away.some((a) => a.from <= day && day <= a.to)) return false;
  if (presence.rota && !homeByRota(presence.rota, day)) return false;
  return presence.weekly[weekdayOf(day)]?.includes(meal) ?? false;
}

/**
 * Quarter plates one eater wants at one dinner: appetite to the nearest quarter, at least one. A baby's meals are counted apart.
 * @example quartersOf({ ...osk, appetite: 1.3 }) // 5 quarter plates
 */
export const quartersOf = (eater: Eater): number => (eater.stage === 'baby' ? 0 : Math.max(1, Math.round(eater.appetite * 4)));

export interface Demand {
  /** Quarter plates for the grown-ups and children. */
  quarters: number;
  eaters: { eaterId: string; quarters: number }[];
  /** Plates for guests among them. */
  guests: number;
  /** Puree meals for babies on that day. */
  babyMeals: number;
}

/**
 * What a day's dinner asks for: who is there and how many quarter plates, with the baby's meals beside it.
 * Law: quarters is the sum over eaters and four for each guest.
 * @example demand(household.eaters, '2026-11-27', household.guests).quarters // plates on Friday, in quarters
 */
export function demand(eaters: readonly Eater[], day: Day, visits: readonly Guests[] = []): Demand {
  const there = eaters
    .filter((e) => e.stage !== 'baby' && isPresent(e.presence, day, 'dinner'))
    .map((e) => ({ eaterId: e.id, quarters: quartersOf(e) }));
  const babyMeals = eaters
    .filter((e) => e.stage === 'baby' && e.baby)
    .reduce((sum, e) => sum + (babyPresent(e, day) ? (e.baby?.mealsPerDay ?? 0) : 0), 0);
  const guests = visits.filter((g) => g.day === day && g.meal === 'dinner').reduce((sum, g) => sum + g.plates, 0);
  return { quarters: there.reduce((sum, e) => sum + e.quarters, 0) + guests * 4, eaters: there, guests, babyMeals };
}

const babyPresent = (eater: Eater, day: Day): boolean =>
  (['breakfast', 'lunch', 'dinner'] as const).some((m) => isPresent(eater.presence, day, m));

/** The guests of one dinner. @example guestsAt([{ day: '2026-11-27', meal: 'dinner', plates: 2 }], '2026-11-27')?.plates // 2 */
export const guestsAt = (visits: readonly Guests[], day: Day): Guests | undefined =>
  visits.find((g) => g.day === day && g.meal === 'dinner');

/** Who said what of one meal, the oldest first: guests, and who is at home. */
export type SaidOfTable = EventOf<'invited'> | EventOf<'atHome'>;

/** The newest word on each meal. */
const newestWord = <T extends SaidOfTable>(said: readonly T[]): T[] => [
  ...new Map(said.map((e) => [`${e.subjects[0] ?? ''} ${e.data.day} ${e.data.meal}`, e])).values(),
];

const onSameMeal = (a: { day: Day; meal: Meal }, b: { day: Day; meal: Meal }): boolean => a.day === b.day && a.meal === b.meal;

/**
 * A household and its eaters with what was said of single meals laid over what their documents hold (decision 59): the newest word on a meal wins.
 * @param said in the order of events, without what was taken back
 * @example withSaid(household, eaters, saidOfTable(events)) // Marit away on Friday, two guests on Saturday
 */
export function withSaid<H extends Pick<Household, 'guests'>>(
  household: H,
  eaters: readonly Eater[],
  said: readonly SaidOfTable[],
): { household: H; eaters: readonly Eater[] } {
  if (said.length === 0) return { household, eaters };
  const invited = newestWord(said.filter((e) => e.type === 'invited'));
  const words = newestWord(said.filter((e) => e.type === 'atHome'));
  const guests: Guests[] = [
    ...(household.guests ?? []).filter((g) => !invited.some((e) => onSameMeal(e.data, g))),
    ...invited.flatMap(({ data: { day, meal, plates, allergens } }) =>
      plates > 0 ? [{ day, meal, plates, ...(allergens.length > 0 && { allergens }) }] : [],
    ),
  ];
  return {
    household: { ...household, guests },
    eaters: eaters.map((eater) => {
      const own = words.filter((e) => e.subjects.includes(eater.id));
      if (own.length === 0) return eater;
      const exceptions = [
        ...eater.presence.exceptions.filter((x) => !own.some((e) => onSameMeal(e.data, x))),
        ...own.map(({ data: { day, meal, home } }) => ({ day, meal, present: home })),
      ];
      return { ...eater, presence: { ...eater.presence, exceptions } };
    }),
  };
}
