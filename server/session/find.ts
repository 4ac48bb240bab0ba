import { inArray } from 'drizzle-orm';
import { capital, sayDay, sayDayYear } from '#core/kitchen';
import type { FindEntry } from '#core/queries';
import { allDocuments, referenceRows, schema } from '../db/index.ts';
import type { Context } from '../http.ts';
import { cachedSince } from './cache.ts';
import { packsInStore, worldOf } from './world.ts';

/** Everything the finder can go to in this household; the page does the finding, so that it works without a connection. */
export const findIndex = (ctx: Context): FindEntry[] => cachedSince(ctx.db, 'find', () => readIndex(ctx));

function readIndex(ctx: Context): FindEntry[] {
  const world = worldOf(ctx.db);
  const zones = new Map(world.places.flatMap((p) => p.zones.map((z) => [z.id, `${p.name}, ${z.name}`] as const)));
  const recipes = allDocuments(ctx.db, 'recipe').filter((r) => !r.archived);
  const revisions = recipes.map((r) => r.revisionId);
  const used = new Set(
    revisions.length === 0
      ? []
      : ctx.db
          .selectDistinct({ id: schema.recipeIngredient.ingredientId })
          .from(schema.recipeIngredient)
          .where(inArray(schema.recipeIngredient.revisionId, revisions))
          .all()
          .map((r) => r.id),
  );
  return [
    ...recipes.map((r): FindEntry => ({ id: r.id, type: 'recipe', name: r.name, note: r.kind, to: `/recipes/${r.id}` })),
    ...allDocuments(ctx.db, 'session').map((s): FindEntry => ({
      id: s.id,
      type: 'session',
      name: s.name,
      note: sayDayYear(s.day),
      to: `/plan/${s.id}`,
    })),
    ...packsInStore(ctx.db).map((p): FindEntry => ({
      id: p.packId,
      type: 'pack',
      name: p.name,
      code: p.code,
      note: `${p.code}, ${zones.get(p.zoneId ?? '') ?? 'not put away'}, ${p.bestBy === undefined ? 'date not known' : `best by ${sayDay(p.bestBy)}`}`,
      to: `/p/${p.code}`,
    })),
    ...referenceRows(ctx.db, 'ingredient')
      .filter((r) => used.has(r.id))
      .map((r): FindEntry => ({
        id: r.id,
        type: 'ingredient',
        name: capital(r.name),
        note: 'recipes with it',
        to: `/recipes?with=${encodeURIComponent(r.id)}`,
      })),
  ];
}
