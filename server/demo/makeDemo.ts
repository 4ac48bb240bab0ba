import { and, eq, isNotNull } from 'drizzle-orm';
import { planFor, takeOut, tick, wash } from '#core/commands';
import { addDays, addMinutes, dayOf, daysBetween, daysFrom, demand, instantAt, nextWeekday } from '#core/kitchen';
import { sessionView } from '#core/session';
import { momentOf, statusOf, useFirst, type PackState } from '#core/store';
import { allDocuments, schema, type Db } from '../db/index.ts';
import { householdOf, packsInStore, referenceOf, worldOf } from '../session/index.ts';
import { DemoClient } from './client.ts';
import { sayHowMealsWere } from './library.ts';
import { cookSession, planSession } from './cookSession.ts';
import { revisionOf } from './dish.ts';
import { dishes } from './dishes/index.ts';
import { eatDay } from './eatDay.ts';
import { powerCutAt } from '../faults.ts';
import { demoPrices } from './prices.ts';
import { demoContainers, demoEaters, demoEquipment, demoHousehold, demoPlaces } from './kitchen.ts';

export interface DemoOptions {
  /** The moment the story has reached. */
  now: string;
  zone: string;
  seed: number;
}

/** Puts the next dinners on their evenings, as taps on Eat first do: tonight's is thawed, tomorrow's still frozen, one of last week's never answered. */
function planEvenings(db: Db, client: DemoClient, today: string, now: string, zone: string): void {
  const eaters = allDocuments(db, 'eater');
  const meals = useFirst(packsInStore(db), momentOf(householdOf(db), referenceOf(db).figures, now))
    .map((x) => x.pack)
    .filter((p) => p.kind === 'meal' && statusOf(p) === 'frozen');
  const used = new Set<string>();
  const take = (day: string, skip: readonly (string | undefined)[]): PackState[] => {
    let need = demand(eaters, day).quarters / 4;
    const first = meals.find(
      (p) =>
        !used.has(p.packId) &&
        !skip.includes(p.recipeId) &&
        meals.filter((q) => q.recipeId === p.recipeId && !used.has(q.packId)).reduce((sum, q) => sum + q.left, 0) >= need,
    );
    return meals
      .filter((p) => p.recipeId === first?.recipeId && !used.has(p.packId))
      .filter((p) => {
        if (need <= 0) return false;
        need -= p.left;
        used.add(p.packId);
        return true;
      });
  };
  const forgotten = meals.find((p) => p.portions <= 2);
  if (forgotten) {
    used.add(forgotten.packId);
    for (const act of planFor([forgotten], addDays(today, -3))) client.log(instantAt(addDays(today, -4), '12:00', zone), act);
  }
  const tonight = take(today, []);
  for (const act of takeOut(tonight, today)) client.log(instantAt(addDays(today, -1), '18:10', zone), act);
  const tomorrow = take(addDays(today, 1), [tonight[0]?.recipeId]);
  const after = take(addDays(today, 2), [tonight[0]?.recipeId, tomorrow[0]?.recipeId]);
  for (const [i, packs] of [tomorrow, after].entries())
    for (const act of planFor(packs, addDays(today, 1 + i))) client.log(addMinutes(now, -180), act);
}

/**
 * Makes the demo household up to a moment, through the doors a user's clicks go through: kitchen, recipes, two big Saturdays and small midweek purees walked from list to freezer,
 * eight weeks of eating, and the coming Saturday planned. Saturday is 1 to 7 days after the anchor, Marit ships out the day after.
 */
export function makeDemo(db: Db, { now, zone, seed }: DemoOptions): void {
  const today = dayOf(now, zone);
  const saturday = nextWeekday(addDays(today, 1), 'sat');
  const begin = instantAt(addDays(saturday, -62), '18:00', zone);
  const client = new DemoClient(db, seed, begin);
  const eaters = demoEaters(today, saturday);

  client.write(begin, 'Set up the household', [
    { table: 'household', id: 'household', data: demoHousehold(zone, today) },
    ...eaters.map((data) => ({ table: 'eater' as const, id: data.id, data })),
  ]);
  client.write(addMinutes(begin, 4), 'Set up the kitchen', [
    ...demoEquipment.map((data) => ({ table: 'equipment' as const, id: data.id, data })),
    ...demoContainers.map((data) => ({ table: 'container' as const, id: data.id, data })),
    ...demoPlaces.map((data) => ({ table: 'place' as const, id: data.id, data })),
  ]);
  powerCutAt('demo:half');
  const { finder } = referenceOf(db);
  client.write(
    addMinutes(begin, 6),
    'Note what things cost',
    Object.entries(demoPrices).flatMap(([id, price]) => {
      const row = finder.byId(id);
      const edit = row && { id: `ingredient:${id}`, table: 'ingredient' as const, row: { ...row, prices: [{ ...price, madeUp: true }] } };
      return edit ? [{ table: 'reference' as const, id: edit.id, data: edit }] : [];
    }),
  );
  const recipes = new Map<string, { recipeId: string; revisionId: string }>();
  dishes.forEach((dish, i) => {
    const ids = { recipe: `recipe_${dish.key}`, revision: client.id() };
    const at = addMinutes(begin, 10 + 3 * i);
    const revision = revisionOf(dish, ids, at);
    recipes.set(dish.key, { recipeId: ids.recipe, revisionId: ids.revision });
    client.write(at, `Add ${dish.name}`, [
      { table: 'recipe_revision', id: ids.revision, data: revision },
      {
        table: 'recipe',
        id: ids.recipe,
        data: { id: ids.recipe, revisionId: ids.revision, name: dish.name, kind: dish.kind, archived: false },
      },
    ]);
  });
  const of = (key: string, portions: number) => {
    const ids = recipes.get(key);
    if (!ids) throw new Error(`demo: no dish ${key}`);
    return { ...ids, portions };
  };

  const sessions = [
    {
      day: addDays(saturday, -56),
      name: 'Big Saturday before the autumn trip',
      startAt: '09:00',
      dishes: [of('stew', 14), of('meatballs', 12), of('pie', 12), of('lentils', 12), of('broth', 7), of('base', 12), of('rolls', 16)],
    },
    {
      day: addDays(saturday, -28),
      name: 'Big Saturday',
      startAt: '09:00',
      dishes: [
        of('stew', 14),
        of('soup', 12),
        of('gratin', 12),
        of('lentils', 10),
        of('meatballs', 10),
        of('kit', 8),
        of('paste', 40),
        of('millet', 56),
      ],
    },
    { day: addDays(saturday, -17), name: 'Midweek purees', startAt: '10:30', dishes: [of('quince', 72)] },
    { day: addDays(saturday, -8), name: 'Friday purees', startAt: '10:30', dishes: [of('millet', 72), of('quince', 36)] },
  ];
  const cooks = new Map(sessions.map((x) => [x.day, x]));
  const start = addDays(saturday, -56);
  for (const day of daysFrom(start, daysBetween(start, today))) {
    const plan = cooks.get(day);
    if (plan) {
      const session = planSession(client, instantAt(addDays(day, -3), '20:00', zone), plan);
      cookSession(db, client, session, zone, plan.name === 'Friday purees' ? 1 : 0);
    } else eatDay(db, client, eaters, day, zone, day > addDays(saturday, -28));
  }
  // empties are washed up as they come back
  const washDay = instantAt(addDays(today, -1), '11:00', zone);
  for (const empty of allEmpties(db).slice(0, -3)) client.log(washDay, wash(empty));
  planEvenings(db, client, today, now, zone);

  const big = planSession(client, addMinutes(now, -150), {
    day: saturday,
    name: 'Big Saturday before Marit ships out',
    startAt: '09:00',
    cooks: [
      { id: 'cook_joaquim', name: 'Joaquim' },
      { id: 'cook_neighbour', name: 'Neighbour' },
    ],
    dishes: [of('stew', 12), of('meatballs', 12), of('gratin', 8), of('lentils', 8), of('base', 12), of('broth', 8), of('millet', 56)],
  });
  const list = sessionView(big, [], [], worldOf(db), now).list.flatMap((x) => x.lines);
  for (const line of list.filter((x) => ['spices', 'oils_sauces'].includes(x.aisle)))
    client.log(addMinutes(now, -140), tick({ ...line, sessionId: big.id, seen: big.id }, 'haveIt'));
  sayHowMealsWere(db, instantAt(start, '06:00', zone), zone, today, [of('quince', 1).recipeId, of('millet', 1).recipeId]);
}

/** Returning containers whose pack has been eaten. */
function allEmpties(db: Db): { packId: string }[] {
  const returning = new Set(
    allDocuments(db, 'container')
      .filter((c) => !c.oneUse)
      .map((c) => c.id),
  );
  return db
    .select({ packId: schema.packState.packId, containerId: schema.packState.containerId })
    .from(schema.packState)
    .where(and(eq(schema.packState.status, 'empty'), isNotNull(schema.packState.containerId)))
    .all()
    .filter((r) => returning.has(r.containerId ?? ''));
}
