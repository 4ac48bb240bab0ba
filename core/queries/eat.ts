import type { Instant } from '#core/contract';
import { addDays, daysFrom, demand, sayPortions } from '#core/kitchen';
import { momentOf, statusOf, useFirst, type PackState } from '#core/store';
import type { EatAnswer } from './answers.ts';
import { packWarnings, sayWarning, type World } from '#core/session';
import type { Records } from './records.ts';
import { howWasIt } from './howWasIt.ts';
import { briefOf } from './brief.ts';
import { sharesNow, suppliesNow } from './today.ts';

/** Evenings back that may still be written down. */
const daysBack = 6;
/** Meals from elsewhere that are listed. */
const otherwiseShown = 14;
/** Evenings shown ahead. */
const evenings = 9;

/** What comes out and when, what is left, who ate what. @example eatAnswer(world, records, now).eatFirst[0] // what is due first */
export function eatAnswer(world: World, records: Records, now: Instant): EatAnswer {
  const at = momentOf(world.household, world.figures, now);
  const { today } = at;
  const { stock, probable, past } = sharesNow(world, records, at);
  const brief = (p: PackState) => briefOf(p, at, world);
  const ordered = useFirst(stock, at).map((x) => x.pack);
  const sayAll = (packs: readonly PackState[], day: string): string[] => [
    ...new Set(packs.flatMap((p) => packWarnings(p, world, day).map((w) => sayWarning(w, world.allergenNames)))),
  ];
  const names = new Map(world.eaters.map((e) => [e.id, e.name]));
  return {
    today,
    supplies: suppliesNow(world, records, at),
    evenings: daysFrom(today, evenings).map((day) => {
      const d = demand(world.eaters, day, world.household.guests);
      const planned = stock.filter((p) => p.planned?.day === day);
      return {
        day,
        quarters: d.quarters,
        eaters: d.eaters,
        guests: d.guests,
        babyMeals: d.babyMeals,
        packs: planned.map(brief),
        notFor: sayAll(planned, day),
      };
    }),
    eatFirst: ordered.filter((p) => statusOf(p) === 'frozen').map(brief),
    fridge: ordered.filter((p) => statusOf(p) === 'fridge').map(brief),
    probable: probable.map(brief),
    past: past.map(brief),
    recent: records.lately().map((r) => ({
      packId: r.packId,
      shares: r.shares,
      guests: r.guests,
      eventId: r.eventId,
      day: r.day,
      meal: r.meal,
      name: r.name,
      portions: r.portions,
      who: [
        ...r.shares.filter((s) => s.portions > 0).map((s) => `${names.get(s.eaterId) ?? 'somebody'} ${sayPortions(s.portions)}`),
        ...(r.guests > 0 ? [`guests ${sayPortions(r.guests)}`] : []),
      ].join(', '),
    })),
    eaters: [...world.eaters],
    quiet: daysFrom(addDays(today, -daysBack), daysBack).filter(
      (day) => !records.dinnerLogged(day) && demand(world.eaters, day, world.household.guests).quarters > 0,
    ),
    howWasIt: howWasIt(world, records, today),
    otherwise: records.ateOtherwise().filter((m) => m.day >= addDays(today, -otherwiseShown)),
    tableSeen: world.tableSeen,
    householdId: world.household.id,
    tonightLogged: records.dinnerLogged(today),
  };
}
