import { eq } from 'drizzle-orm';
import { rate } from '#core/commands';
import { instantAt, isEatenAsIs } from '#core/kitchen';
import { schema, type Db } from '../db/index.ts';
import { DemoClient } from './client.ts';

/** A number that is always the same for the same words. */
const fixed = (words: string): number => [...words].reduce((n, c) => (n * 31 + (c.codePointAt(0) ?? 0)) % 9973, 7);

/** One in so many says how it was. */
const silent = 4;

/**
 * What the household said of its meals, from a phone of its own so that nothing else of the story moves: mostly three to five stars, each by their
 * own taste; and a list of what is for Pip.
 */
export function sayHowMealsWere(db: Db, from: string, zone: string, today: string, forPip: readonly string[]): void {
  const phone = new DemoClient(db, 41, from, 'phone');
  const meals = db
    .select({ day: schema.eatenLog.day, kind: schema.eatenLog.kind, shares: schema.eatenLog.shares, recipeId: schema.packState.recipeId })
    .from(schema.eatenLog)
    .innerJoin(schema.packState, eq(schema.packState.packId, schema.eatenLog.packId))
    .orderBy(schema.eatenLog.day, schema.eatenLog.eventId)
    .all();
  for (const { day, kind, shares, recipeId } of meals) {
    if (recipeId === null || !isEatenAsIs(kind)) continue;
    for (const { eaterId } of shares)
      if (fixed(`${recipeId} ${eaterId} ${day}`) % silent === 0)
        phone.log(instantAt(day, '20:40', zone), rate(recipeId, eaterId, 3 + (fixed(`${eaterId} ${recipeId}`) % 3), day, ''));
  }
  phone.write(instantAt(today, '08:10', zone), 'A list for Pip', [
    { table: 'recipe_list', id: 'list_pip', data: { id: 'list_pip', name: 'For Pip', recipes: forPip.map((id) => ({ id })) } },
  ]);
}
