import { eq, sql } from 'drizzle-orm';
import { z } from 'zod';
import type { Recipe, RecipeList, Revision } from '#core/contract';
import { toCsv, toJsonLd, toMarkdown, type ReadingContext } from '#core/recipe';
import type { AwayRecipe, KeptRecipe, RevisionsAnswer, WriteAnswer } from '#core/queries';
import { allDocuments, documentById, referenceRows, schema } from '../db/index.ts';
import { HttpRefusal, notFound, type Context } from '../http.ts';
import { leadsTo, referenceOf, worldOf } from '../session/index.ts';
import { gearOf } from '#core/session';

/** Recipes in the library, with what they are written as now. */
function library(ctx: Context): { recipe: Recipe; revision: Revision }[] {
  const world = worldOf(ctx.db);
  return allDocuments(ctx.db, 'recipe').flatMap((recipe) => {
    const revision = recipe.archived ? undefined : world.revision(recipe.revisionId);
    return revision ? [{ recipe, revision }] : [];
  });
}

/** All that a recipe is written with, in one answer. */
export function writeAnswer(ctx: Context): WriteAnswer {
  const world = worldOf(ctx.db);
  return {
    rows: [...referenceOf(ctx.db).finder.rows],
    recipes: library(ctx).map(({ recipe, revision }) => ({
      id: recipe.id,
      name: revision.name,
      kind: revision.kind,
      ingredientIds: revision.lines.flatMap((l) => (l.item.type === 'ingredient' ? [l.item.id] : [])),
    })),
    lives: referenceRows(ctx.db, 'life').map((l) => ({ id: l.id, group: l.group, item: l.item })),
    textures: referenceRows(ctx.db, 'texture'),
    seasonings: referenceRows(ctx.db, 'seasoning'),
    household: world.household,
    gear: gearOf(world),
    figures: world.figures,
    eaters: [...world.eaters],
    allergenNames: Object.fromEntries(world.allergenNames),
  };
}

/** Every revision of a recipe that can be read, the newest first. */
export function revisionsAnswer(ctx: Context, id: string): RevisionsAnswer {
  const recipe = documentById(ctx.db, 'recipe', id);
  if (!recipe) throw notFound('A recipe', id);
  const t = schema.documents.recipe_revision;
  const ids = ctx.db
    .select({ id: t.id })
    .from(t)
    .where(eq(sql`json_extract(${t.data}, '$.recipeId')`, id))
    .all();
  const revisions = ids.flatMap((r) => documentById(ctx.db, 'recipe_revision', r.id) ?? []);
  return {
    recipe,
    revisions: revisions.toSorted((a, b) => b.madeAt.localeCompare(a.madeAt)),
    timeZone: worldOf(ctx.db).household.timeZone,
  };
}

/** Recipes with what they are written as, to change several at once. */
export const keptRecipes = (ctx: Context, ids: readonly string[]): KeptRecipe[] => {
  const wanted = new Set(ids);
  return library(ctx).filter((r) => wanted.has(r.recipe.id));
};

/** The household's lists, by name; a recipe that was put away stays on its list and comes back with it. */
export const recipeLists = (ctx: Context): RecipeList[] =>
  allDocuments(ctx.db, 'recipe_list').toSorted((a, b) => a.name.localeCompare(b.name));

/** Recipes that were put away, or are the same as another. */
export function awayRecipes(ctx: Context): AwayRecipe[] {
  const all = new Map(allDocuments(ctx.db, 'recipe').map((r) => [r.id, r]));
  return [...all.values()]
    .filter((r) => r.archived)
    .map((recipe) => {
      const to = recipe.mergedInto === undefined ? undefined : all.get(leadsTo(all, recipe.mergedInto));
      return { recipe, ...(to && { leadsTo: to.name }) };
    })
    .toSorted((a, b) => a.recipe.name.localeCompare(b.recipe.name));
}

/** Formats that recipes go out in. */
const formats = {
  json: { type: 'application/ld+json', write: toJsonLd },
  md: { type: 'text/markdown', write: toMarkdown },
  csv: { type: 'text/csv', write: toCsv },
} as const;

const askedSchema = z.object({ format: z.enum(['json', 'md', 'csv']), ids: z.array(z.string().max(80)).max(5000) });

/** A file of recipes: those asked for, or all of the library. */
export function recipesFile(ctx: Context, format: string, ids: readonly string[]): { name: string; type: string; text: string } {
  const asked = askedSchema.safeParse({ format, ids });
  if (!asked.success)
    throw new HttpRefusal(422, 'Recipes go out as json, md or csv.', [
      { path: 'format', expected: 'json, md or csv', got: format.slice(0, 40) },
    ]);
  const wanted = new Set(ids);
  const all = library(ctx);
  const chosen = all.filter((r) => wanted.size === 0 || wanted.has(r.recipe.id));
  if (chosen.length === 0) throw notFound('A recipe', ids.join(', ').slice(0, 80));
  const reading: ReadingContext = {
    finder: referenceOf(ctx.db).finder,
    recipes: all.map(({ recipe }) => ({ id: recipe.id, name: recipe.name })),
  };
  const { type, write } = formats[asked.data.format];
  const only = chosen.length === 1 ? chosen[0] : undefined;
  const name =
    (only?.recipe.name ?? 'recipes')
      .toLowerCase()
      .replace(/[^\p{L}\d]+/gu, '-')
      .replace(/^-|-$/g, '') || 'recipe';
  return {
    name: `${name}.${asked.data.format}`,
    type,
    text: write(
      chosen.map((r) => r.revision),
      reading,
    ),
  };
}
