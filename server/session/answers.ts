import { sql } from 'drizzle-orm';
import type { Session } from '#core/contract';
import { addDays, dayOf, daysBetween } from '#core/kitchen';
import { cautionsFor } from '#core/safety';
import {
  sessionStanding,
  sessionView,
  stages,
  supplies,
  todayView,
  type FrameAnswer,
  type SessionBrief,
  type SessionView,
  type SessionsAnswer,
  type Supplies,
  type TodayAnswer,
  type World,
} from '#core/session';
import { probablyEaten } from '#core/eat';
import { dueOf } from '#core/store';
import { allDocuments, documentById, schema, storeId } from '../db/index.ts';
import { eventsOf } from '../events/index.ts';
import { notFound, type Context } from '../http.ts';
import { keptSince } from './kept.ts';
import { dinnerLogged, eatenDays, packsOfSession, worldOf } from './world.ts';

/** The household's day now. */
export const todayOf = (ctx: Context, world: Pick<World, 'household'>): string => dayOf(ctx.clock.now(), world.household.timeZone);

/** One session with everything derived. */
export function viewOf(ctx: Context, session: Session, world: World): SessionView {
  return sessionView(session, eventsOf(ctx.db, session.id), packsOfSession(ctx.db, session.id), world, ctx.clock.now());
}

export function sessionById(ctx: Context, id: string): { view: SessionView; world: World } {
  const session = documentById(ctx.db, 'session', id);
  if (!session) throw notFound('A session', id);
  const world = worldOf(ctx.db);
  return { view: viewOf(ctx, session, world), world };
}

function briefOf(ctx: Context, session: Session, world: World): SessionBrief {
  const { state, dishes } = sessionStanding(session, eventsOf(ctx.db, session.id), packsOfSession(ctx.db, session.id), world);
  return {
    id: session.id,
    name: session.name,
    day: session.day,
    dishes,
    portions: session.batches.reduce((s, b) => s + b.portions, 0),
    state,
  };
}

/** Sessions whose day lies far back are listed by name only; nobody packs a year-old pot. */
const recentDays = 30;

/** Sessions lately and to come, with where they stand. */
export function recentSessions(ctx: Context, world: World): SessionBrief[] {
  const today = todayOf(ctx, world);
  return keptSince(ctx.db, `sessions ${today}`, () =>
    allDocuments(ctx.db, 'session')
      .filter((s) => s.day >= addDays(today, -recentDays))
      .map((s) => briefOf(ctx, s, world)),
  );
}

/** Not stored away yet: the next thing to do is on one of these. */
const openOf = (sessions: readonly SessionBrief[]): SessionBrief[] =>
  sessions.filter((s) => s.state.batches > 0 && s.state.stage !== stages[stages.length - 1]).toSorted((a, b) => a.day.localeCompare(b.day));

export function sessionsAnswer(ctx: Context): SessionsAnswer {
  const world = worldOf(ctx.db);
  const recent = recentSessions(ctx, world);
  const known = new Set(recent.map((s) => s.id));
  return {
    sessions: recent.toSorted((a, b) => b.day.localeCompare(a.day)),
    older: allDocuments(ctx.db, 'session')
      .filter((s) => !known.has(s.id))
      .map((s) => ({ id: s.id, name: s.name, day: s.day }))
      .toSorted((a, b) => b.day.localeCompare(a.day)),
  };
}

export const suppliesNow = (ctx: Context, world: World): Supplies => {
  const today = todayOf(ctx, world);
  return keptSince(ctx.db, `supplies ${today}`, () => supplies(world, today, eatenDays(ctx.db, today), dinnerLogged(ctx.db, today)));
};

/** The frame needs the figures, not the curves. */
const withoutPoints = (s: Supplies): Supplies => {
  const bare = <T extends Supplies['dinners']>(x: T): T => ({ ...x, runway: { ...x.runway, points: [] } });
  return { ...s, dinners: bare(s.dinners), ...(s.baby && { baby: bare(s.baby) }), ...(s.broth && { broth: bare(s.broth) }) };
};

export function frameAnswer(ctx: Context): FrameAnswer {
  const world = worldOf(ctx.db);
  const today = todayOf(ctx, world);
  const { stock } = probablyEaten(world.packs, today);
  return {
    now: ctx.clock.now(),
    today,
    stopped: ctx.clock.stopped,
    storeId: storeId(ctx.db),
    household: world.household,
    strip: stock
      .map((p) => ({ packId: p.packId, code: p.code, kind: p.kind, name: p.name, due: dueOf(p, today, world.household.timeZone) }))
      .toSorted((a, b) => a.due.day.localeCompare(b.due.day) || a.code.localeCompare(b.code)),
    supplies: withoutPoints(suppliesNow(ctx, world)),
    open: openOf(recentSessions(ctx, world)),
    empty: world.eaters.length === 0 && world.packs.length === 0,
  };
}

export function todayAnswer(ctx: Context): TodayAnswer {
  const world = worldOf(ctx.db);
  const today = todayOf(ctx, world);
  const open = openOf(recentSessions(ctx, world));
  const next = open.find((s) => s.day >= today) ?? open[0];
  const anchor = world.household.demoAnchor;
  return {
    today,
    view: todayView(world, today, dinnerLogged(ctx.db, today)),
    supplies: suppliesNow(ctx, world),
    ...(next && { next }),
    cautions: cautionsFor(['thawing', 'reheating', 'bestBy'], world.household.country),
    eaters: [...world.eaters],
    places: [...world.places],
    demoOld: anchor !== undefined && daysBetween(anchor, today) >= 7,
  };
}

/** When a recipe was last packed, from the newest pack of it. */
export function lastMade(ctx: Context): Map<string, string> {
  const rows = ctx.db
    .select({ recipeId: schema.packState.recipeId, day: sql<string>`max(${schema.packState.madeDay})` })
    .from(schema.packState)
    .groupBy(schema.packState.recipeId)
    .all();
  return new Map(rows.flatMap((r) => (r.recipeId && r.day ? [[r.recipeId, r.day] as const] : [])));
}
