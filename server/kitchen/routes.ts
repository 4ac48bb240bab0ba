import { Router } from 'express';
import type { Meal } from '#core/contract';
import { daysFrom, demand, isPresent } from '#core/kitchen';
import type { KitchenAnswer } from '#core/session';
import { freeNow, roomIn } from '#core/store';
import { referenceRows } from '../db/index.ts';
import { answer, type Context } from '../http.ts';
import { frameAnswer, sessionById, todayOf, worldOf } from '../session/index.ts';

const meals: readonly Meal[] = ['breakfast', 'lunch', 'dinner'];

function kitchen(ctx: Context): KitchenAnswer {
  const world = worldOf(ctx.db);
  const days = daysFrom(todayOf(ctx, world), 28);
  const wanted = new Map<string, number>();
  const next = frameAnswer(ctx).open.find((s) => s.state.counts.packed < s.state.batches);
  if (next)
    for (const b of sessionById(ctx, next.id).view.batches)
      if (b.packing.ok && !b.flags.packed)
        for (const g of b.packing.choice.groups) wanted.set(g.container.id, (wanted.get(g.container.id) ?? 0) + g.packs);
  return {
    household: world.household,
    eaters: [...world.eaters],
    equipment: [...world.equipment],
    weeks: {
      days,
      present: Object.fromEntries(
        world.eaters.map((e) => [
          e.id,
          days.map((day) => Object.fromEntries(meals.map((m) => [m, isPresent(e.presence, day, m)])) as Record<Meal, boolean>),
        ]),
      ),
      quarters: days.map((d) => demand(world.eaters, d).quarters),
      babyMeals: days.map((d) => demand(world.eaters, d).babyMeals),
    },
    containers: freeNow(world.containers, world.usage).map((c) => ({ ...c, wanted: wanted.get(c.container.id) ?? 0 })),
    places: world.places.map((place) => ({ place, room: roomIn(place, world.packs) })),
    allergenNames: Object.fromEntries(world.allergenNames),
    presets: [...referenceRows(ctx.db, 'tub'), ...referenceRows(ctx.db, 'bag'), ...referenceRows(ctx.db, 'pan')],
  };
}

/** Who eats, what there is to cook, pack and store in. */
export function kitchenRoutes(ctx: Context): Router {
  const r = Router();
  r.get(
    '/kitchen',
    answer(() => kitchen(ctx)),
  );
  return r;
}
