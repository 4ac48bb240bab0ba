import type { Instant } from '#core/contract';
import { lifeOf } from '#core/kitchen';
import type { KnownDish } from '#core/store';
import type { CountAnswer } from './answers.ts';
import { portionMlOf, type World } from '#core/session';
import type { Records } from './records.ts';
import { todayOf } from './today.ts';

/**
 * What a first count needs: places, dishes that a name may mean, lives.
 * @example countAnswer(world, records, now).dishes // what a count may call by name
 */
export function countAnswer(world: World, records: Records, now: Instant): CountAnswer {
  const dishes = records.recipes().flatMap((recipe): KnownDish[] => {
    const revision = world.revision(recipe.revisionId);
    const life = revision && lifeOf(revision.storage, world.lives, world.household);
    return revision && life?.ok
      ? [
          {
            recipeId: recipe.id,
            name: recipe.name,
            kind: recipe.kind,
            lifeRow: life.life.rowId,
            portionMl: portionMlOf(revision) ?? revision.serving.amount,
          },
        ]
      : [];
  });
  return {
    today: todayOf(world, now),
    storeId: records.storeId,
    household: world.household,
    places: world.places.filter((p) => p.kind === 'freezer' || p.kind === 'chest'),
    dishes,
    lives: [...world.lives.values()],
    packs: world.packs.length,
  };
}
