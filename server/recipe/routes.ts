import { Router } from 'express';
import { z } from 'zod';
import type { Container } from '#core/contract';
import { mostReadChars, refusals } from '#core/contract';
import { lifeOf } from '#core/kitchen';
import { draftRecipe, type RecipeDraft } from '#core/recipe';
import { cubeMlOf } from '#core/session';
import { recordAnswer, type LifeChoice, type MeansAnswer, type ReadAnswer, type RecordAnswer } from '#core/queries';
import { documentById } from '../db/index.ts';
import { readFile } from '../files/reading.ts';
import { answer, answerLater, HttpRefusal, notFound, param, type Context } from '../http.ts';
import { referenceOf, settingOf, worldOf } from '../session/index.ts';
import { briefs } from './briefs.ts';
import { recipeAnswer } from './one.ts';
import { fitting, starters } from './starters.ts';
import { awayRecipes, keptRecipes, recipeLists, recipesFile, revisionsAnswer, writeAnswer } from './write.ts';

/** Longer than any name somebody looks for. */
const mostAsked = 200;

/** Cubes are those of the household's own tray. */
function inOwnTray(draft: RecipeDraft, containers: readonly Container[]): RecipeDraft {
  const cubeMl = cubeMlOf(draft.revision, containers);
  return cubeMl === undefined
    ? draft
    : { ...draft, revision: { ...draft.revision, cubeMl, serving: { ...draft.revision.serving, amount: cubeMl } } };
}

const idsIn = (asked: unknown): string[] => (typeof asked === 'string' ? asked.split(',').filter(Boolean) : []);

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
    answer(() => fitting(starters(ctx.clock.now()), worldOf(ctx.db))),
  );
  r.get(
    '/recipes/away',
    answer(() => awayRecipes(ctx)),
  );
  r.get(
    '/write',
    answer(() => writeAnswer(ctx)),
  );
  r.get(
    '/lists',
    answer(() => recipeLists(ctx)),
  );
  r.get(
    '/recipes/kept',
    answer((req) => keptRecipes(ctx, idsIn(req.query.ids))),
  );
  r.get('/recipes/file/:format', (req, res, next) => {
    try {
      const file = recipesFile(ctx, param(req, 'format'), idsIn(req.query.ids));
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
    '/recipes/:id/record',
    answer((req): RecordAnswer => {
      const { world, records, now } = settingOf(ctx);
      const found = world.recipe(param(req, 'id'));
      if (!found) throw notFound('A recipe', param(req, 'id'));
      return recordAnswer(found.recipe.id, world, records, now);
    }),
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
    answer((): LifeChoice[] => {
      const { lives, household } = worldOf(ctx.db);
      return [...lives.values()].map((l) => {
        const read = lifeOf([{ rowId: l.id, part: l.item }], lives, household);
        return { id: l.id, group: l.group, item: l.item, ...(read.ok && { life: read.life }) };
      });
    }),
  );
  return r;
}
