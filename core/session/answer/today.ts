import type { Day, Instant } from '#core/contract';
import { dayOf, daysBetween } from '#core/kitchen';
import { probablyEaten } from '#core/eat';
import { cautionsFor } from '#core/safety';
import { dueOf } from '#core/store';
import type { FrameAnswer, TodayAnswer } from '../answers.ts';
import { supplies, type Supplies } from '../supply.ts';
import { todayView } from '../today.ts';
import type { World } from '../world.ts';
import type { Book } from './book.ts';
import { openOf, recentSessions } from './sessions.ts';

/** The household's day at an instant. */
export const todayOf = (world: Pick<World, 'household'>, now: Instant): Day => dayOf(now, world.household.timeZone);

/** Dinners, baby meals and broth with their runways, worked out once for all pages. */
export const suppliesNow = (world: World, book: Book, today: Day): Supplies =>
  book.keep(`supplies ${today}`, () => supplies(world, today, book.eatenDays(today), book.dinnerLogged(today)));

/** The frame needs the figures, not the curves. */
const withoutPoints = (s: Supplies): Supplies => {
  const bare = <T extends Supplies['dinners']>(x: T): T => ({ ...x, runway: { ...x.runway, points: [] } });
  return { ...s, dinners: bare(s.dinners), ...(s.baby && { baby: bare(s.baby) }), ...(s.broth && { broth: bare(s.broth) }) };
};

/** What stands around every page. */
export function frameAnswer(world: World, book: Book, now: Instant, stopped: boolean): FrameAnswer {
  const today = todayOf(world, now);
  const { stock } = probablyEaten(world.packs, today);
  return {
    now,
    today,
    stopped,
    storeId: book.storeId,
    household: world.household,
    strip: stock
      .map((p) => ({ packId: p.packId, code: p.code, kind: p.kind, name: p.name, due: dueOf(p, today, world.household.timeZone) }))
      .toSorted((a, b) => a.due.day.localeCompare(b.due.day) || a.code.localeCompare(b.code)),
    supplies: withoutPoints(suppliesNow(world, book, today)),
    open: openOf(recentSessions(world, book, today)),
    setup: {
      eaters: world.eaters.length > 0,
      gear: world.containers.length > 0 && world.places.length > 0,
      packs: world.packs.length > 0,
      session: book.sessions().length > 0,
    },
  };
}

export function todayAnswer(world: World, book: Book, now: Instant): TodayAnswer {
  const today = todayOf(world, now);
  const open = openOf(recentSessions(world, book, today));
  const next = open.find((s) => s.day >= today) ?? open[0];
  const anchor = world.household.demoAnchor;
  return {
    today,
    view: todayView(world, today, book.dinnerLogged(today)),
    supplies: suppliesNow(world, book, today),
    ...(next && { next }),
    cautions: cautionsFor(['thawing', 'reheating', 'bestBy'], world.household.country),
    eaters: [...world.eaters],
    places: [...world.places],
    demoOld: anchor !== undefined && daysBetween(anchor, today) >= 7,
  };
}
