import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RecipeList } from '#core/contract';
import type { EatAnswer, HistoryAnswer, KeptRecipe, RecipeAnswer, RecipeBrief, RecordAnswer, TodayAnswer } from '#core/queries';
import { stamped, testServer, type TestServer } from '../testing.ts';

const now = '2026-11-24T16:00:00.000Z';
const today = '2026-11-24';
let s: TestServer;
let n = 0;
beforeAll(() => {
  s = testServer(now, { demo: true });
}, 60_000);
afterAll(() => s.close());

const get = async <T>(p: string): Promise<T> => (await request(s.app).get(`/api${p}`)).body as T;
const log = (...events: unknown[]) => request(s.app).post('/api/events').send(events);
const write = (changes: { table: string; id: string; data: unknown }[]) =>
  request(s.app)
    .post('/api/writes')
    .send({ writeId: `rr${(n += 1)}`, device: 'test', instant: now, label: 'test', changes });
const record = (key: string): Promise<RecordAnswer> => get<RecordAnswer>(`/recipes/recipe_${key}/record`);
const rated = (recipeId: string, eaterId: string, stars: number, counter: number) =>
  stamped(
    'rated',
    [recipeId, eaterId],
    { recipeId, eaterId, stars, day: today },
    { instant: `2026-11-24T16:0${counter}:00.000Z`, counter },
  );

describe('what became of a recipe', () => {
  it('has every run that was weighed, with the same figures as the recipe’s own page', async () => {
    const [stew, page] = [await record('stew'), await get<RecipeAnswer>('/recipes/recipe_stew')];
    expect(page.runs.length).toBeGreaterThan(0);
    for (const run of page.runs) {
      const mine = stew.runs.find((r) => r.sessionId === run.sessionId)!;
      expect(mine).toMatchObject({ day: run.day, planned: run.portions, weighed: { planned: run.planned, weighed: run.weighed } });
      expect(mine.packed).toBeGreaterThan(0);
    }
    expect(stew.timesMade).toBe(stew.runs.length);
  });
  it('says how many of its pieces of work were timed, and leaves minutes out where none was', async () => {
    for (const run of (await record('stew')).runs) {
      if (!run.minutes) continue;
      expect(run.minutes.timed).toBeLessThanOrEqual(run.minutes.of);
      expect(run.minutes.took).toBeGreaterThan(0);
    }
  });
  it('finds its packs where they stand: as many portions as the library counts', async () => {
    const briefs = await get<RecipeBrief[]>('/recipes');
    for (const b of briefs) {
      const { stands } = await get<RecordAnswer>(`/recipes/${b.recipe.id}/record`);
      expect(
        stands.reduce((sum, x) => sum + x.portions, 0),
        b.recipe.name,
      ).toBeCloseTo(b.portionsInStore, 9);
    }
  });
  it('pairs with what was cooked beside it, each pair from both sides', async () => {
    const { pairs } = await record('stew');
    expect(pairs.length).toBeGreaterThan(0);
    for (const pair of pairs) {
      const other = await get<RecordAnswer>(`/recipes/${pair.recipeId}/record`);
      const back = other.pairs.find((p) => p.recipeId === 'recipe_stew');
      if (other.pairs.length < 5) expect(back, pair.name).toMatchObject({ times: pair.times });
    }
  });
  it('was never made where it only stands in a plan', async () => {
    const fresh: RecordAnswer = await record('kit');
    for (const run of fresh.runs) expect(run.day <= today).toBe(true);
    expect((await request(s.app).get('/api/recipes/nothing/record')).status).toBe(404);
  });
});

describe('who liked it', () => {
  it('is asked of those who ate it lately, until they have said', async () => {
    const eat = await get<EatAnswer>('/eat');
    const [asked] = eat.howWasIt;
    expect((await get<TodayAnswer>('/today')).howWasIt).toEqual(eat.howWasIt);
    expect(asked).toBeDefined();
    const meals = eat.recent.filter((m) => m.name === asked!.name);
    for (const eater of asked!.eaters) expect(meals.some((m) => m.who.includes(eater.name))).toBe(true);
    const before = await get<RecordAnswer>(`/recipes/${asked!.recipeId}/record`);
    const first = rated(asked!.recipeId, asked!.eaters[0]!.id, 4, 1);
    expect((await log(first)).status).toBe(200);
    const after = (await get<EatAnswer>('/eat')).howWasIt.find((h) => h.recipeId === asked!.recipeId);
    expect(after?.eaters.map((e) => e.id) ?? []).toEqual(asked!.eaters.slice(1).map((e) => e.id));
    const brief = (await get<RecipeBrief[]>('/recipes')).find((b) => b.recipe.id === asked!.recipeId)!;
    const his = await get<RecordAnswer>(`/recipes/${asked!.recipeId}/record`);
    const said = his.eaters.flatMap((e) => e.stars ?? []);
    expect(his.stars).toBeCloseTo(said.reduce((a, b) => a + b, 0) / said.length, 1);
    expect(brief.liked).toBe(his.stars);
    const timesBefore = before.eaters.find((e) => e.eaterId === asked!.eaters[0]!.id)!.times;
    expect(his.eaters.find((e) => e.eaterId === asked!.eaters[0]!.id)).toMatchObject({ stars: 4, times: timesBefore + 1, seen: first.id });
    const history = await get<HistoryAnswer>('/history?limit=5');
    expect(history.entries[0]!.says).toBe(`${asked!.name}: 4\u00a0stars by ${asked!.eaters[0]!.name}`);
    // taken back, it is asked again
    await log(stamped('undone', first.subjects, { eventId: first.id }, { instant: '2026-11-24T16:05:00.000Z', counter: 2 }));
    expect((await get<EatAnswer>('/eat')).howWasIt.find((h) => h.recipeId === asked!.recipeId)?.eaters.length).toBe(asked!.eaters.length);
    expect((await get<RecipeBrief[]>('/recipes')).find((b) => b.recipe.id === asked!.recipeId)!.liked).toBe(before.stars);
  });
  it.each([
    ['a recipe that is not there', rated('nothing', 'osk', 4, 6), /recipe of this household/],
    ['somebody who is not of the house', rated('recipe_stew', 'nobody', 4, 7), /somebody of this household/],
    ['six stars', rated('recipe_stew', 'osk', 6, 8), /5/],
  ])('of %s is refused in words', async (_what, event, words) => {
    const answer = await log(event);
    expect(JSON.stringify(answer.body)).toMatch(words);
  });
});

describe('lists of recipes', () => {
  const list: RecipeList = { id: 'list_trip', name: 'Before the trip', recipes: [{ id: 'recipe_stew' }, { id: 'recipe_soup' }] };
  const trips = async () => (await get<RecipeList[]>('/lists')).filter((l) => l.id === list.id);
  it('are kept, changed and taken away, with undo like every document', async () => {
    expect((await write([{ table: 'recipe_list', id: list.id, data: list }])).status).toBe(200);
    expect(await trips()).toEqual([list]);
    await write([{ table: 'recipe_list', id: list.id, data: null }]);
    expect(await trips()).toEqual([]);
    const undone = await request(s.app)
      .post('/api/undo')
      .send({ writeId: 'rrback', device: 'test', instant: now, undoes: `rr${n}` });
    expect(undone.status).toBe(200);
    expect(await trips()).toEqual([list]);
  });
  it('without a name are refused', async () =>
    expect((await write([{ table: 'recipe_list', id: 'x', data: { id: 'x', name: '  ', recipes: [] } }])).status).toBe(422));
  it('several recipes at once are handed out with what they are written as', async () => {
    const kept = await get<KeptRecipe[]>('/recipes/kept?ids=recipe_stew,recipe_soup,nothing');
    expect(kept.map((k) => k.recipe.id).toSorted()).toEqual(['recipe_soup', 'recipe_stew']);
    for (const k of kept) expect(k.revision.id).toBe(k.recipe.revisionId);
    expect(await get<KeptRecipe[]>('/recipes/kept')).toEqual([]);
  });
});
