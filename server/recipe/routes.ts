import { Router } from 'express';
import { z } from 'zod';
import type { Container, Recipe, Revision } from '#core/contract';
import { mostReadChars, refusals } from '#core/contract';
import { sayMass, sayVolume } from '#core/kitchen';
import {
  allergenLines,
  allergenWarnings,
  canPlan,
  draftRecipe,
  earliest,
  finished,
  freezeFlags,
  inSession,
  type FreezeFlag,
  type RecipeDraft,
} from '#core/recipe';
import { allergensOf, cubeMlOf, learnedFrom, sayWarning } from '#core/session';
import { sharesNow, type MeansAnswer, type ReadAnswer, type RecipeBrief } from '#core/queries';
import { momentOf } from '#core/store';
import { allDocuments, documentById, referenceRows } from '../db/index.ts';
import { readFile } from '../files/reading.ts';
import { answer, answerLater, HttpRefusal, notFound, param, type Context } from '../http.ts';
import { lastMade, referenceOf, settingOf, weighedRuns, worldOf } from '../session/index.ts';
import { recipeAnswer } from './one.ts';
import { starters } from './starters.ts';
import { awayRecipes, recipesFile, revisionsAnswer, writeAnswer } from './write.ts';

/** Longer than any name somebody looks for. */
const mostAsked = 200;

const servingText = (r: Revision): string => (r.serving.unit === 'ml' ? sayVolume(r.serving.amount) : sayMass(r.serving.amount));

/** Cubes are those of the household's own tray. */
function inOwnTray(draft: RecipeDraft, containers: readonly Container[]): RecipeDraft {
  const cubeMl = cubeMlOf(draft.revision, containers);
  return cubeMl === undefined
    ? draft
    : { ...draft, revision: { ...draft.revision, cubeMl, serving: { ...draft.revision.serving, amount: cubeMl } } };
}

/** Portions in store by recipe: what every other page counts, so without what was probably eaten or is past. */
function inStore(ctx: Context): Map<string, number> {
  const { world, records, now } = settingOf(ctx);
  const left = new Map<string, number>();
  for (const p of sharesNow(world, records, momentOf(world.household, now)).stock)
    if (p.recipeId !== undefined) {
      // what was packed of a recipe that is the same as another counts there
      const id = world.recipe(p.recipeId)?.recipe.id ?? p.recipeId;
      left.set(id, (left.get(id) ?? 0) + p.left);
    }
  return left;
}

/** How the worst of a dish bears the freezer. */
const worst = (flags: readonly FreezeFlag[]): RecipeBrief['freezes'] =>
  flags.some((f) => f.fitness === 'badly' && f.place === 'inside') ? 'badly' : flags.length > 0 ? 'changes' : 'well';

/** Of a recipe that cannot be worked out, its name and why; the others stand beside it as ever. */
const nameOnly = (recipe: Recipe, error: unknown): RecipeBrief => ({
  recipe,
  servings: 0,
  servingText: '',
  handsMin: 0,
  waitMin: 0,
  wholeMin: 0,
  tags: [],
  ingredientIds: [],
  allergens: [],
  holds: [],
  needs: [],
  notes: '',
  contains: [],
  mayContain: [],
  unchecked: true,
  containsNames: [],
  freezes: 'well',
  portionsInStore: 0,
  canPlan: false,
  notFor: [],
  broken: error instanceof Error ? error.message : String(error),
});

function briefs(ctx: Context): RecipeBrief[] {
  const world = worldOf(ctx.db);
  const made = lastMade(ctx);
  const runs = weighedRuns(ctx.db);
  const stored = inStore(ctx);
  const tables = {
    textures: new Map(referenceRows(ctx.db, 'texture').map((row) => [row.id, row])),
    seasonings: new Map(referenceRows(ctx.db, 'seasoning').map((row) => [row.id, row])),
  };
  const briefOf = (recipe: Recipe): RecipeBrief | undefined => {
    const revision = world.revision(recipe.revisionId);
    if (!revision) return undefined;
    const day = made.get(recipe.id);
    const summary = allergensOf(revision, world);
    const madeMl = finished(revision, revision.servings).ml;
    return {
      recipe,
      servings: revision.servings,
      servingText: servingText(revision),
      handsMin: inSession(revision.steps).reduce((s, x) => s + x.handsOnMin, 0),
      waitMin: inSession(revision.steps).reduce((s, x) => s + (x.moment === 'eve' ? 0 : x.waitMin), 0),
      wholeMin: Math.round(Math.max(0, ...earliest(revision.steps).map((e) => e.end))),
      tags: revision.tags,
      ingredientIds: revision.lines.flatMap((l) => (l.item.type === 'ingredient' ? [l.item.id] : [])),
      holds: revision.lines.map((l) => l.name),
      needs: revision.lines.flatMap((l): RecipeBrief['needs'] =>
        l.moment !== 'batch' || l.item.type === 'unmatched'
          ? []
          : [{ id: l.item.id, ...(l.item.type === 'recipe' && { recipe: true as const }) }],
      ),
      notes: [revision.note, ...(recipe.notes ?? []).map((n) => n.text)].filter(Boolean).join(' ').slice(0, 600),
      allergens: allergenLines(summary, world.allergenNames, 'page'),
      contains: summary.contains,
      mayContain: [...new Set(summary.check.flatMap((c) => c.mayHold))],
      unchecked: summary.unmatched.length > 0,
      containsNames: summary.contains.map((c) => world.allergenNames.get(c) ?? c),
      ...(madeMl !== undefined && { litres: Number((madeMl / 1000).toFixed(2)) }),
      freezes: worst(freezeFlags(revision.lines, world.finder, tables)),
      ...(day && { lastMade: day }),
      portionsInStore: stored.get(recipe.id) ?? 0,
      canPlan: canPlan(revision),
      notFor: allergenWarnings(summary, world.eaters).map((w) => sayWarning(w, world.allergenNames)),
      ...(runs.has(recipe.id) && { yieldFactor: Number(learnedFrom(runs.get(recipe.id) ?? []).factor.toFixed(3)) }),
    };
  };
  return allDocuments(ctx.db, 'recipe')
    .filter((r) => !r.archived)
    .flatMap((recipe): RecipeBrief[] => {
      try {
        const brief = briefOf(recipe);
        return brief ? [brief] : [];
      } catch (error) {
        return [nameOnly(recipe, error)];
      }
    })
    .sort((a, b) => a.recipe.name.localeCompare(b.recipe.name));
}

const readSchema = z.object({ text: z.string().max(mostReadChars), fileName: z.string().max(200) });

const whyNot: Readonly<Record<string, string>> = {
  empty: 'This file is empty. Choose another one.',
  notJson: 'This file looks cut off or broken: its recipe block cannot be read. Save the page again, or paste the recipe as text.',
  noRecipe:
    'No recipe was found in this: no block for machines, and no two lines that look like ingredients. Save the whole page as HTML, or paste the recipe as text.',
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
    '/recipes/away',
    answer(() => awayRecipes(ctx)),
  );
  r.get(
    '/write',
    answer(() => writeAnswer(ctx)),
  );
  r.get('/recipes/file/:format', (req, res, next) => {
    try {
      const ids = typeof req.query.ids === 'string' && req.query.ids ? req.query.ids.split(',') : [];
      const file = recipesFile(ctx, param(req, 'format'), ids);
      res.setHeader(
        'Content-Disposition',
        `attachment; filename="${encodeURIComponent(file.name)}"; filename*=UTF-8''${encodeURIComponent(file.name)}`,
      );
      res.type(file.type).send(file.text);
    } catch (error) {
      next(error);
    }
  });
  r.get('/pictures/:id', (req, res, next) => {
    const picture = documentById(ctx.db, 'picture', param(req, 'id'));
    if (!picture) return next(notFound('A picture', param(req, 'id')));
    // a picture never changes: another one has an id of its own
    res.setHeader('Cache-Control', 'private, max-age=31536000, immutable').type(picture.type).send(Buffer.from(picture.base64, 'base64'));
  });
  r.get(
    '/recipes/:id/revisions',
    answer((req) => revisionsAnswer(ctx, param(req, 'id'))),
  );
  r.get(
    '/recipes/:id',
    answer((req) => recipeAnswer(ctx, param(req, 'id'))),
  );
  r.post(
    '/recipes/read',
    answerLater(async (req): Promise<ReadAnswer> => {
      const parsed = readSchema.safeParse(req.body);
      if (!parsed.success) throw new HttpRefusal(422, 'This file cannot be read.', refusals(parsed.error, req.body));
      const file = await readFile<'readRecipes'>(ctx, { kind: 'readRecipes', text: parsed.data.text }, parsed.data.fileName);
      if (!file.ok)
        throw new HttpRefusal(422, whyNot[file.why] ?? file.detail, [
          { path: parsed.data.fileName, expected: 'a recipe: a saved page, JSON-LD, Markdown, a table or plain text', got: file.detail },
        ]);
      const { finder } = referenceOf(ctx.db);
      const { containers } = worldOf(ctx.db);
      return {
        drafts: file.recipes.map((recipe, n) => {
          let next = 0;
          return inOwnTray(
            draftRecipe(recipe, finder, () => `d${n}-${(next += 1)}`),
            containers,
          );
        }),
      };
    }),
  );
  r.get(
    '/ingredients',
    answer((req) => referenceOf(ctx.db).finder.search(typeof req.query.q === 'string' ? req.query.q.slice(0, mostAsked) : '', 12)),
  );
  r.get(
    '/ingredients/means',
    answer((req): MeansAnswer => {
      const { finder } = referenceOf(ctx.db);
      const q = typeof req.query.q === 'string' ? req.query.q.slice(0, mostAsked) : '';
      const found = finder.read(q);
      return found?.sure
        ? { taken: found.row }
        : { offers: [...new Set([...(found ? [found.row] : []), ...finder.search(q, 3)])].slice(0, 3) };
    }),
  );
  r.get(
    '/lives',
    answer(() => referenceRows(ctx.db, 'life').map((l) => ({ id: l.id, group: l.group, item: l.item }))),
  );
  return r;
}
