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

/** How many dishes that stand in the library ask for each kind of gear. */
const gearUse = (world: World, records: Records): KitchenAnswer['gearUse'] =>
  records.cached('gear use', () => {
    const use: KitchenAnswer['gearUse'] = {};
    for (const { id, archived, mergedInto } of records.recipes()) {
      if (archived || mergedInto !== undefined) continue;
      const steps = world.recipe(id)?.revision.steps ?? [];
      for (const kind of new Set(steps.flatMap((s) => s.needs.map((n) => n.kind)))) use[kind] = (use[kind] ?? 0) + 1;
    }
    return use;
  });

/**
 * Who eats, what there is to cook, pack and store in.
 * @example kitchenAnswer(world, records, now).containers[0]?.free // tubs that are washed and empty
 */
export function kitchenAnswer(world: World, records: Records, now: Instant): KitchenAnswer {
  const at = momentOf(world.household, world.figures, now);
  const days = daysFrom(at.today, weeksShown * 7);
  const { stock } = sharesNow(world, records, at);
  const wanted = wantedNext(world, records, now);
  const asked = days.map((d) => demand(world.eaters, d, world.household.guests));
  return {
    household: world.written.household,
    eaters: [...world.written.eaters],
    tableSeen: world.tableSeen,
    equipment: [...world.equipment],
    gearUse: gearUse(world, records),
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
    containers: freeNow(world.containers, world.usage).map((c) => ({
      ...c,
      holding: world.usage.get(c.container.id)?.holding ?? 0,
      wanted: wanted.get(c.container.id) ?? 0,
    })),
    places: world.places.map((place) => ({ place, room: roomIn(place, stock) })),
    allergenNames: Object.fromEntries(world.allergenNames),
    presets: [...records.presets()],
    figures: world.figures,
    materials: Object.fromEntries(world.materials),
  };
}
