import type { Instant, Meal } from '#core/contract';
import { daysFrom, demand, isPresent } from '#core/kitchen';
import { freeNow, momentOf, roomIn } from '#core/store';
import type { KitchenAnswer } from './answers.ts';
import type { World } from '#core/session';
import type { Records } from './records.ts';
import { openOf, recentSessions, viewOf } from './sessions.ts';
import { sharesNow, todayOf } from './today.ts';

const meals: readonly Meal[] = ['breakfast', 'lunch', 'dinner'];
const weeksShown = 4;

/** Containers that the next session to be packed asks for. */
function wantedNext(world: World, records: Records, now: Instant): Map<string, number> {
  const wanted = new Map<string, number>();
  const next = openOf(recentSessions(world, records, todayOf(world, now))).find((s) => s.state.counts.packed < s.state.batches);
  const session = next && records.sessions().find((s) => s.id === next.id);
  if (session)
    for (const b of viewOf(session, world, records, now).batches)
      if (b.packing.ok && !b.flags.packed)
        for (const g of b.packing.choice.groups) wanted.set(g.container.id, (wanted.get(g.container.id) ?? 0) + g.packs);
  return wanted;
}

/**
 * Who eats, what there is to cook, pack and store in.
 * @example kitchenAnswer(world, records, now).containers[0]?.free // tubs that are washed and empty
 */
export function kitchenAnswer(world: World, records: Records, now: Instant): KitchenAnswer {
  const at = momentOf(world.household, now);
  const days = daysFrom(at.today, weeksShown * 7);
  const { stock } = sharesNow(world, records, at);
  const wanted = wantedNext(world, records, now);
  const asked = days.map((d) => demand(world.eaters, d, world.household.guests));
  return {
    household: world.written.household,
    eaters: [...world.written.eaters],
    tableSeen: world.tableSeen,
    equipment: [...world.equipment],
    weeks: {
      days,
      present: Object.fromEntries(
        world.eaters.map((e) => [
          e.id,
          days.map((day) => Object.fromEntries(meals.map((m) => [m, isPresent(e.presence, day, m)])) as Record<Meal, boolean>),
        ]),
      ),
      quarters: asked.map((d) => d.quarters),
      babyMeals: asked.map((d) => d.babyMeals),
    },
    containers: freeNow(world.containers, world.usage).map((c) => ({ ...c, wanted: wanted.get(c.container.id) ?? 0 })),
    places: world.places.map((place) => ({ place, room: roomIn(place, stock) })),
    allergenNames: Object.fromEntries(world.allergenNames),
    presets: [...records.presets()],
    materials: Object.fromEntries(world.materials),
  };
}
