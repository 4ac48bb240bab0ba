import type { Day, Instant } from '#core/contract';
import { dayOf, daysBetween, guestsAt } from '#core/kitchen';
import { cautionsFor } from '#core/safety';
import { dueOf, momentOf, sharesOf, type Moment, type Shares } from '#core/store';
import type { FrameAnswer, TodayAnswer } from './answers.ts';
import { printAgain, supplies, todayView, type Supplies, type World } from '#core/session';
import type { Records } from './records.ts';
import { howWasIt } from './howWasIt.ts';
import { briefOf } from './brief.ts';
import { brokenSessions, openOf, recentSessions } from './sessions.ts';

/** The household's day at an instant. @example todayOf({ household: auckland }, '2026-11-24T16:00:00.000Z') // '2026-11-25' */
export const todayOf = (world: Pick<World, 'household'>, now: Instant): Day => dayOf(now, world.household.timeZone);

/**
 * What is in store, sorted once for all pages: it changes with the day and with what is logged.
 * @example sharesNow(world, records, at).probable // packs that were probably eaten
 */
export const sharesNow = (world: World, records: Records, at: Moment): Shares =>
  records.cached(`shares ${at.today}`, () => sharesOf(world.packs, at));

/**
 * Dinners, baby meals and broth with their runways, worked out once for all pages.
 * @example suppliesNow(world, records, at).dinners.says // 'last to about 22 Dec (9 Dec to 4 Jan)'
 */
export const suppliesNow = (world: World, records: Records, at: Moment): Supplies =>
  records.cached(`supplies ${at.today}`, () =>
    supplies(world, at, records.eatenDays(at.today), records.dinnerLogged(at.today), sharesNow(world, records, at)),
  );

/** The frame needs the figures, not the curves. */
const withoutPoints = (s: Supplies): Supplies => {
  const bare = <T extends Supplies['dinners']>(x: T): T => ({ ...x, runway: { ...x.runway, points: [] } });
  return { ...s, dinners: bare(s.dinners), ...(s.baby && { baby: bare(s.baby) }), ...(s.broth && { broth: bare(s.broth) }) };
};

/** What stands around every page. @example frameAnswer(world, records, now, false).supplies.dinners.count // 21 */
export function frameAnswer(world: World, records: Records, now: Instant, stopped: boolean): FrameAnswer {
  const at = momentOf(world.household, world.figures, now);
  const { today } = at;
  const { stock } = sharesNow(world, records, at);
  return {
    now,
    today,
    stopped,
    storeId: records.storeId,
    version: String(records.changes()),
    asOf: `${records.changes()} ${records.logged()}`,
    household: world.written.household,
    figures: world.figures,
    strip: stock
      .map((p) => ({ packId: p.packId, code: p.code, kind: p.kind, name: p.name, due: dueOf(p, at) }))
      .toSorted((a, b) => (a.due.day ?? '').localeCompare(b.due.day ?? '') || a.code.localeCompare(b.code)),
    supplies: withoutPoints(suppliesNow(world, records, at)),
    open: openOf(recentSessions(world, records, today)),
    setup: {
      eaters: world.eaters.length > 0,
      gear: world.containers.length > 0 && world.places.length > 0,
      packs: world.packs.length > 0,
      session: records.sessions().length > 0,
    },
    allergenNames: Object.fromEntries(world.allergenNames),
    unreadable: [...records.unreadable(), ...brokenSessions(world, records, today)],
    clashes: [...records.clashes()],
  };
}

/** Labels that Today names; the rest is counted. */
const mostAgain = 6;

/** What Today shows. @example todayAnswer(world, records, now).next?.name // 'Big Saturday before Marit ships out' */
export function todayAnswer(world: World, records: Records, now: Instant): TodayAnswer {
  const at = momentOf(world.household, world.figures, now);
  const { today } = at;
  const open = openOf(recentSessions(world, records, today));
  const next = open.find((s) => s.day >= today) ?? open[0];
  const anchor = world.household.demoAnchor;
  const again = records.cached(`print again ${today}`, () => sharesNow(world, records, at).stock.filter((p) => printAgain(p, world)));
  return {
    today,
    view: todayView(world, at, records.dinnerLogged(today), sharesNow(world, records, at)),
    supplies: suppliesNow(world, records, at),
    ...(next && { next }),
    longJobs: recentSessions(world, records, today)
      .flatMap((s) => s.longJobs)
      .toSorted((a, b) => a.readyAt.localeCompare(b.readyAt)),
    cautions: cautionsFor(['thawing', 'reheating', 'bestBy'], world.household.country, world.figures),
    eaters: [...world.eaters],
    guests: guestsAt(world.household.guests ?? [], today),
    howWasIt: howWasIt(world, records, today),
    tableSeen: world.tableSeen,
    places: [...world.places],
    printAgain: { count: again.length, packs: again.slice(0, mostAgain).map((p) => briefOf(p, at, world)) },
    demoOld: anchor !== undefined && daysBetween(anchor, today) >= 7,
  };
}
