import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RecipeAnswer, RecipeBrief } from '#core/queries';
import { testServer, type TestServer } from '../testing.ts';

let s: TestServer;
beforeAll(() => {
  s = testServer('2026-11-24T16:00:00.000Z', { demo: true });
});
afterAll(() => s.close());

const one = async (key: string): Promise<RecipeAnswer> => (await request(s.app).get(`/api/recipes/recipe_${key}`)).body as RecipeAnswer;

describe('one recipe with all that its page works with', () => {
  it('tells what came out of it so far, the newest run first, as a range', async () => {
    const { learned, runs } = await one('stew');
    expect(runs.length).toBe(2);
    expect(runs[0]!.day > runs[1]!.day).toBe(true);
    expect(learned!.runs).toBe(2);
    expect(learned!.low).toBeLessThan(learned!.factor);
    expect(learned!.high).toBeGreaterThan(learned!.factor);
    const seen = runs.reduce((sum, r) => sum + r.ratio, 0);
    expect(learned!.factor).toBeCloseTo((3 + seen) / 5, 9);
  });
  it('is without a guess where nothing was weighed: a raw kit', async () => expect((await one('kit')).learned).toBeUndefined());
  it('brings along what it draws from, with the rows to reckon with', async () => {
    const meatballs = await one('meatballs');
    expect(meatballs.drawn.map((r) => r.recipeId)).toEqual(['recipe_base']);
    for (const line of meatballs.drawn[0]!.lines)
      if (line.item.type === 'ingredient') expect(meatballs.rows.map((r) => r.id)).toContain(line.item.id);
    expect((await one('base')).drawnBy.map((r) => r.recipeId)).toEqual(['recipe_meatballs']);
  });
  it('flags what freezes badly with its source, and leaves out what is added on the day', async () => {
    const soup = await one('soup');
    expect(soup.freezing.some((f) => f.name.includes('soured cream'))).toBe(false);
    for (const flag of (await one('stew')).freezing) {
      expect(flag.advice.length, flag.name).toBeGreaterThan(5);
      expect(flag.source.length, flag.name).toBeGreaterThan(0);
    }
  });
  it('knows the concentrates of the house', async () => {
    const { doses, doseNames } = await one('paste');
    expect(doses).toMatchObject([{ recipeId: 'recipe_paste', dose: { insteadOf: { ingredientId: 'lemongrass' } } }]);
    expect(doseNames).toEqual({ lemongrass: 'lemongrass' });
  });
  it('prices are marked as made up', async () => {
    for (const row of (await one('stew')).rows) for (const p of row.prices ?? []) expect(p.madeUp).toBe(true);
  });
  it('the library offers the expected yield to the plan', async () => {
    const briefs = (await request(s.app).get('/api/recipes')).body as RecipeBrief[];
    const stew = briefs.find((b) => b.recipe.id === 'recipe_stew')!;
    expect(stew.yieldFactor).toBeCloseTo((await one('stew')).learned!.factor, 3);
    expect(briefs.find((b) => b.recipe.id === 'recipe_kit')!.yieldFactor).toBeUndefined();
  });
  it('one that is not there is said so', async () => expect((await request(s.app).get('/api/recipes/nothing')).status).toBe(404));
});
