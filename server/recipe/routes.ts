import { Router } from 'express';
import { z } from 'zod';
import type { Revision } from '#core/contract';
import { refusals } from '#core/contract';
import { sayMass, sayVolume } from '#core/kitchen';
import { allergenLines, allergenWarnings, canPlan, draftRecipe, readRecipeFile, recipeGaps } from '#core/recipe';
import { cautionsFor, type CautionPlace } from '#core/safety';
import { allergensOf, type ReadAnswer, type RecipeAnswer, type RecipeBrief, type World } from '#core/session';
import { lifeOf } from '#core/kitchen';
import { allDocuments, referenceRows } from '../db/index.ts';
import { answer, HttpRefusal, notFound, param, type Context } from '../http.ts';
import { lastMade, referenceOf, worldOf } from '../session/index.ts';
import { starters } from './starters.ts';

const servingText = (r: Revision): string => (r.serving.unit === 'ml' ? sayVolume(r.serving.amount) : sayMass(r.serving.amount));

const inStore = (world: World, recipeId: string): number =>
  world.packs.filter((p) => p.recipeId === recipeId).reduce((s, p) => s + p.left, 0);

function briefs(ctx: Context): RecipeBrief[] {
  const world = worldOf(ctx.db);
  const made = lastMade(ctx);
  return allDocuments(ctx.db, 'recipe')
    .filter((r) => !r.archived)
    .flatMap((recipe) => {
      const revision = world.revision(recipe.revisionId);
      if (!revision) return [];
      const day = made.get(recipe.id);
      return [
        {
          recipe,
          servings: revision.servings,
          servingText: servingText(revision),
          handsMin: revision.steps.reduce((s, x) => s + x.handsOnMin, 0),
          waitMin: revision.steps.reduce((s, x) => s + x.waitMin, 0),
          tags: revision.tags,
          ingredientIds: revision.lines.flatMap((l) => (l.item.type === 'ingredient' ? [l.item.id] : [])),
          allergens: allergenLines(allergensOf(revision, world), world.allergenNames),
          ...(day && { lastMade: day }),
          portionsInStore: inStore(world, recipe.id),
          canPlan: canPlan(revision),
        },
      ];
    })
    .sort((a, b) => a.recipe.name.localeCompare(b.recipe.name));
}

const hazardPlace: Readonly<Record<string, CautionPlace>> = {
  hotBlending: 'hotBlending',
  rawPoultry: 'rawPoultry',
  rawMeat: 'rawMeat',
  beans: 'beans',
  garlicOil: 'garlicOil',
  rice: 'rice',
  baby: 'baby',
  hotFat: 'hotFat',
};

function one(ctx: Context, id: string): RecipeAnswer {
  const world = worldOf(ctx.db);
  const found = world.recipe(id);
  if (!found) throw notFound('A recipe', id);
  const { recipe, revision } = found;
  const summary = allergensOf(revision, world);
  const life = lifeOf(revision.storage, world.lives, world.household);
  const day = lastMade(ctx).get(id);
  const places: CautionPlace[] = [
    ...new Set([
      ...revision.steps.flatMap((s) => s.hazards.flatMap((h) => hazardPlace[h] ?? [])),
      ...(revision.kind === 'puree' ? ['baby' as const] : []),
      'cooling' as const,
    ]),
  ];
  return {
    recipe,
    revision,
    rows: revision.lines.flatMap((l) => (l.item.type === 'ingredient' ? (world.finder.byId(l.item.id) ?? []) : [])),
    allergens: allergenLines(summary, world.allergenNames),
    warnings: allergenWarnings(summary, world.eaters),
    gaps: recipeGaps(revision),
    keeps: life.ok
      ? `${life.life.months === life.life.monthsHigh ? life.life.months : `${life.life.months} to ${life.life.monthsHigh}`} months frozen because of the ${life.life.part} (${life.life.source}), ${life.life.fridgeDays} ${life.life.fridgeDays === 1 ? 'day' : 'days'} in the fridge`
      : life.why === 'doNotFreeze'
        ? `${life.part} does not freeze well`
        : 'no storage life known yet',
    ...(day && { lastMade: day }),
    portionsInStore: inStore(world, id),
    scaleStepG: world.household.scaleStepG,
    cautions: cautionsFor(places, world.household.country),
  };
}

const readSchema = z.object({ text: z.string().max(5_000_000), fileName: z.string().max(200) });

const whyNot: Readonly<Record<string, string>> = {
  empty: 'This file is empty. Choose another one.',
  notJson: 'This file looks cut off or broken: its recipe block cannot be read. Save the page again, or paste the recipe as text.',
  noRecipe:
    'No recipe block was found in this file. Pages that carry one say so to search engines; save the whole page as HTML and try again.',
};

/** Recipes: the library, one recipe, and reading a file into drafts for the review card. Ingredients and lives to choose from. */
export function recipeRoutes(ctx: Context): Router {
  const r = Router();
  r.get(
    '/recipes',
    answer(() => briefs(ctx)),
  );
  r.get(
    '/starters',
    answer(() => starters(ctx.clock.now())),
  );
  r.get(
    '/recipes/:id',
    answer((req) => one(ctx, param(req, 'id'))),
  );
  r.post(
    '/recipes/read',
    answer((req): ReadAnswer => {
      const parsed = readSchema.safeParse(req.body);
      if (!parsed.success) throw new HttpRefusal(422, 'This file cannot be read.', refusals(parsed.error, req.body));
      const file = readRecipeFile(parsed.data.text);
      if (!file.ok)
        throw new HttpRefusal(422, whyNot[file.why] ?? file.detail, [
          { path: parsed.data.fileName, expected: 'a recipe in JSON-LD', got: file.detail },
        ]);
      const { finder } = referenceOf(ctx.db);
      return {
        drafts: file.recipes.map((recipe, n) => {
          let next = 0;
          return draftRecipe(recipe, finder, () => `d${n}-${(next += 1)}`);
        }),
      };
    }),
  );
  r.get(
    '/ingredients',
    answer((req) => referenceOf(ctx.db).finder.search(typeof req.query.q === 'string' ? req.query.q : '', 12)),
  );
  r.get(
    '/lives',
    answer(() => referenceRows(ctx.db, 'life').map((l) => ({ id: l.id, group: l.group, item: l.item }))),
  );
  return r;
}
