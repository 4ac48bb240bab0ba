import { desc } from 'drizzle-orm';
import { Router } from 'express';
import type { Meal } from '#core/contract';
import { daysFrom, demand, sayPortions } from '#core/kitchen';
import { probablyEaten } from '#core/eat';
import type { EatAnswer } from '#core/session';
import { statusOf, useFirst, type PackState } from '#core/store';
import { schema } from '../db/index.ts';
import { answer, type Context } from '../http.ts';
import { dinnerLogged, suppliesNow, todayOf, worldOf } from '../session/index.ts';
import { briefOf } from '../store/brief.ts';

/** Evenings shown ahead. */
const evenings = 9;

function eat(ctx: Context): EatAnswer {
  const world = worldOf(ctx.db);
  const today = todayOf(ctx, world);
  const { stock, probable } = probablyEaten(world.packs, today);
  const brief = (p: PackState) => briefOf(p, today, world.household.timeZone, world.containers);
  const ordered = useFirst(stock, today, world.household.timeZone).map((x) => x.pack);
  const names = new Map(world.eaters.map((e) => [e.id, e.name]));
  const recent = ctx.db.select().from(schema.eatenLog).orderBy(desc(schema.eatenLog.day), desc(schema.eatenLog.eventId)).limit(24).all();
  return {
    today,
    supplies: suppliesNow(ctx, world),
    evenings: daysFrom(today, evenings).map((day) => {
      const d = demand(world.eaters, day);
      return {
        day,
        quarters: d.quarters,
        eaters: d.eaters,
        babyMeals: d.babyMeals,
        packs: stock.filter((p) => p.planned?.day === day).map(brief),
      };
    }),
    eatFirst: ordered.filter((p) => statusOf(p) === 'frozen').map(brief),
    fridge: ordered.filter((p) => statusOf(p) === 'fridge').map(brief),
    probable: probable.map(brief),
    recent: recent.map((r) => ({
      eventId: r.eventId,
      day: r.day,
      meal: r.meal as Meal,
      name: r.name,
      portions: r.portions,
      who: [
        ...r.shares.filter((s) => s.portions > 0).map((s) => `${names.get(s.eaterId) ?? 'somebody'} ${sayPortions(s.portions)}`),
        ...(r.guests > 0 ? [`guests ${sayPortions(r.guests)}`] : []),
      ].join(', '),
    })),
    eaters: [...world.eaters],
    tonightLogged: dinnerLogged(ctx.db, today),
  };
}

/** What comes out and when, what is left, who ate what. */
export function eatRoutes(ctx: Context): Router {
  const r = Router();
  r.get(
    '/eat',
    answer(() => eat(ctx)),
  );
  return r;
}
