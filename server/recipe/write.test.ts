import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Recipe, Revision } from '#core/contract';
import { ingredientFinder } from '#core/kitchen';
import { compose, readRecipeFile, writingOf, writingOfFile } from '#core/recipe';
import type { AwayRecipe, RecipeAnswer, RecipeBrief, RevisionsAnswer, WriteAnswer } from '#core/queries';
import { testServer, type TestServer } from '../testing.ts';

let s: TestServer;
beforeAll(() => {
  s = testServer('2026-11-24T16:00:00.000Z', { demo: true });
});
afterAll(() => s.close());

const get = async <T>(address: string): Promise<T> => (await request(s.app).get(`/api${address}`)).body as T;
let writes = 0;
const write = async (changes: object[]): Promise<number> =>
  (
    await request(s.app)
      .post('/api/writes')
      .send({ writeId: `w${(writes += 1)}`, device: 'test', instant: '2026-11-24T16:00:00.000Z', label: 'Test', changes })
  ).status;
const reading = async () => {
  const data = await get<WriteAnswer>('/write');
  return { finder: ingredientFinder(data.rows), recipes: data.recipes };
};
/** Recipes as they are at first, each asked for once. */
const answers = new Map<string, RecipeAnswer>();
const answerOf = async (id: string): Promise<RecipeAnswer> => {
  const answer = answers.get(id) ?? (await get<RecipeAnswer>(`/recipes/${id}`));
  answers.set(id, answer);
  return answer;
};
/** What of a revision is the recipe's own. */
const bare = ({ id: _i, recipeId: _r, madeAt: _m, density: _d, ...rest }: Revision): unknown => JSON.parse(JSON.stringify(rest));

describe('a recipe of the household', () => {
  it('opened in the editor and kept untouched is as it was, every one of them', async () => {
    const ctx = await reading();
    const briefs = await get<RecipeBrief[]>('/recipes');
    expect(briefs.length).toBeGreaterThan(10);
    for (const b of briefs) {
      const { revision } = await answerOf(b.recipe.id);
      const composed = compose(writingOf(revision, ctx), ctx).revision;
      expect(composed.lines, b.recipe.name).toEqual(revision.lines);
      expect(composed.steps, b.recipe.name).toEqual(revision.steps);
      expect(composed, b.recipe.name).toMatchObject({
        kind: revision.kind,
        servings: revision.servings,
        serving: revision.serving,
        storage: revision.storage,
        tags: revision.tags,
      });
    }
  });
  it.each(['json', 'md', 'csv'])('goes out as %s and is read back without loss, all of the library in one file', async (format) => {
    const ctx = await reading();
    const res = await request(s.app)
      .get(`/api/recipes/file/${format}`)
      .buffer(true)
      .parse((r, done) => {
        let text = '';
        r.setEncoding('utf8');
        r.on('data', (d: string) => (text += d));
        r.on('end', () => done(null, text));
      });
    const read = readRecipeFile(res.body as string);
    if (!read.ok) throw new Error(read.detail);
    const briefs = await get<RecipeBrief[]>('/recipes');
    expect(read.recipes).toHaveLength(briefs.length);
    const known = new Set(ctx.recipes.map((r) => r.id));
    for (const file of read.recipes) {
      const id = briefs.find((b) => b.recipe.name === file.name)!.recipe.id;
      const { revision } = await answerOf(id);
      let n = 0;
      const back = compose(
        writingOfFile(file, () => `new${(n += 1)}`, known),
        ctx,
      ).revision;
      const { density: _d, yieldText, ...composed } = JSON.parse(JSON.stringify(back)) as Revision;
      expect(yieldText).toBeTruthy();
      expect(composed, file.name).toEqual(bare(revision));
    }
  });
  it('a format that is none, and a recipe that is none, are refused in words', async () => {
    expect((await request(s.app).get('/api/recipes/file/xls')).status).toBe(422);
    expect((await request(s.app).get('/api/recipes/file/md?ids=nothing')).status).toBe(404);
  });
  it('has its revisions, the newest first', async () => {
    const { recipe, revision } = await get<RecipeAnswer>('/recipes/recipe_stew');
    const next = { ...revision, id: 'rev-next', servings: 8, madeAt: '2026-11-24T17:00:00.000Z' };
    expect(
      await write([
        { table: 'recipe_revision', id: next.id, data: next },
        { table: 'recipe', id: recipe.id, data: { ...recipe, revisionId: next.id } },
      ]),
    ).toBe(200);
    expect((await get<RevisionsAnswer>('/recipes/recipe_stew/revisions')).revisions.map((r) => r.id)).toEqual(['rev-next', revision.id]);
  });
  it('that is the same as another leads to it, through and through, with its packs; a ring of them ends', async () => {
    const stew = (await get<RecipeAnswer>('/recipes/recipe_stew')).recipe;
    const soup = await get<RecipeAnswer>('/recipes/recipe_soup');
    const before = (await get<RecipeAnswer>('/recipes/recipe_stew')).portionsInStore;
    const merged: Recipe = { ...stew, archived: true, mergedInto: 'recipe_soup' };
    await write([{ table: 'recipe', id: stew.id, data: merged }]);
    const led = await get<RecipeAnswer>('/recipes/recipe_stew');
    expect(led.recipe.id).toBe('recipe_soup');
    expect(led.portionsInStore).toBe(soup.portionsInStore + before);
    expect(await get<AwayRecipe[]>('/recipes/away')).toMatchObject([{ recipe: { id: 'recipe_stew' }, leadsTo: soup.recipe.name }]);
    await write([{ table: 'recipe', id: 'recipe_soup', data: { ...soup.recipe, mergedInto: 'recipe_stew' } }]);
    expect((await request(s.app).get('/api/recipes/recipe_stew')).status).toBe(200);
  });
  it('has its picture in the database, of a size and a kind that is known', async () => {
    const base64 = Buffer.from('not really a picture').toString('base64');
    expect(await write([{ table: 'picture', id: 'pic', data: { id: 'pic', type: 'image/jpeg', base64 } }])).toBe(200);
    const res = await request(s.app).get('/api/pictures/pic');
    expect([res.status, res.headers['content-type']]).toEqual([200, 'image/jpeg']);
    expect(Buffer.from(res.body as Buffer).toString()).toBe('not really a picture');
    expect(await write([{ table: 'picture', id: 'big', data: { id: 'big', type: 'image/jpeg', base64: 'A'.repeat(300_000) } }])).toBe(422);
    expect(await write([{ table: 'picture', id: 'svg', data: { id: 'svg', type: 'image/svg+xml', base64 } }])).toBe(422);
    expect((await request(s.app).get('/api/pictures/none')).status).toBe(404);
  });
});
