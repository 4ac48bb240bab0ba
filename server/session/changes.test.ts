import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { declineRevisions, withRevisions, type ChangesAnswer, type RecipeAnswer, type SessionsAnswer } from '#core/queries';
import type { SessionView } from '#core/session';
import { stamped, testServer, type TestServer } from '../testing.ts';

const now = '2026-11-24T16:00:00.000Z';
let s: TestServer;
let n = 0;
beforeAll(() => {
  s = testServer(now, { demo: true });
}, 60_000);
afterAll(() => s.close());

const get = async <T>(p: string): Promise<T> => (await request(s.app).get(`/api${p}`)).body as T;
const write = async (changes: { table: string; id: string; data: unknown }[]) => {
  const answer = await request(s.app)
    .post('/api/writes')
    .send({ writeId: `ch${(n += 1)}`, device: 'test', instant: now, label: 'test', changes });
  expect(answer.status, JSON.stringify(answer.body)).toBe(200);
};
const upcoming = async (): Promise<string> => (await get<SessionsAnswer>('/sessions')).sessions.find((x) => x.day > '2026-11-24')!.id;
const lineOf = (v: SessionView, name: RegExp) => v.list.flatMap((x) => x.lines).find((l) => name.test(l.name))!;

/** The stew with twice the chickpeas, and a step less. */
async function changeStew(): Promise<string> {
  const { recipe, revision } = await get<RecipeAnswer>('/recipes/recipe_stew');
  const id = `stew_changed_${(n += 1)}`;
  const lines = revision.lines.map((l) =>
    /chickpea/i.test(l.name) ? { ...l, amount: '900', unit: 'g' as const, written: '900 g chickpeas' } : l,
  );
  await write([
    { table: 'recipe_revision', id, data: { ...revision, id, lines } },
    { table: 'recipe', id: recipe.id, data: { ...recipe, revisionId: id } },
  ]);
  return id;
}

describe('a recipe changed after the session was planned', () => {
  it('is offered with what it changes on the list, taken, and nothing that was ticked is lost', async () => {
    const id = await upcoming();
    expect((await get<ChangesAnswer>(`/changes/${id}`)).dishes).toEqual([]);
    const before = await get<SessionView>(`/sessions/${id}`);
    const onion = lineOf(before, /onion/i);
    await request(s.app)
      .post('/api/events')
      .send([
        stamped(
          'ticked',
          [id],
          { sessionId: id, key: onion.key, amount: onion.amount, unit: onion.unit, how: 'bought' },
          { instant: '2026-11-24T16:01:00.000Z' },
        ),
      ]);
    const changed = await changeStew();
    const offer = await get<ChangesAnswer>(`/changes/${id}`);
    expect(offer.dishes).toMatchObject([{ name: 'Smoky aubergine and chickpea stew', revisionId: changed }]);
    expect(offer.dishes[0]!.differences.some((d) => d.part === 'lines' && /900 g/.test(d.after ?? ''))).toBe(true);
    const line = offer.lines.find((l) => /chickpea/i.test(l.name))!;
    expect(line.before).toBe(lineOf(before, /chickpea/i).out);
    expect(line.before).not.toBe(line.after);
    // until it is taken nothing moves
    expect(lineOf(await get<SessionView>(`/sessions/${id}`), /chickpea/i).out).toBe(line.before);
    await write([{ table: 'session', id, data: withRevisions(offer.session, offer.dishes) }]);
    const after = await get<SessionView>(`/sessions/${id}`);
    expect(lineOf(after, /chickpea/i).out).toBe(line.after);
    expect(lineOf(after, /onion/i).ticked).toBe('bought');
    expect((await get<ChangesAnswer>(`/changes/${id}`)).dishes).toEqual([]);
  });
  it('may be left as planned, and is offered again once it is changed again', async () => {
    const id = await upcoming();
    await changeStew();
    const back = await get<RecipeAnswer>('/recipes/recipe_stew');
    const shorter = `stew_shorter_${(n += 1)}`;
    await write([
      {
        table: 'recipe_revision',
        id: shorter,
        data: {
          ...back.revision,
          id: shorter,
          lines: back.revision.lines.slice(0, -1),
          steps: back.revision.steps.map((x) => ({ ...x, uses: x.uses.filter((u) => u.lineId !== back.revision.lines.at(-1)!.id) })),
        },
      },
      { table: 'recipe', id: 'recipe_stew', data: { ...back.recipe, revisionId: shorter } },
    ]);
    const offer = await get<ChangesAnswer>(`/changes/${id}`);
    expect(offer.dishes).toHaveLength(1);
    await write([{ table: 'session', id, data: declineRevisions(offer.session, offer.dishes) }]);
    expect((await get<ChangesAnswer>(`/changes/${id}`)).dishes).toEqual([]);
    const whole = `stew_whole_${(n += 1)}`;
    await write([
      { table: 'recipe_revision', id: whole, data: { ...back.revision, id: whole, servings: back.revision.servings + 1 } },
      { table: 'recipe', id: 'recipe_stew', data: { ...back.recipe, revisionId: whole } },
    ]);
    expect((await get<ChangesAnswer>(`/changes/${id}`)).dishes).toHaveLength(1);
  });
  it('is not offered to what is cooked already, and a session that is none is said so', async () => {
    const { sessions } = await get<SessionsAnswer>('/sessions');
    for (const x of sessions.filter((y) => y.day < '2026-11-24'))
      expect((await get<ChangesAnswer>(`/changes/${x.id}`)).dishes, x.name).toEqual([]);
    expect((await request(s.app).get('/api/changes/nothing')).status).toBe(404);
  });
});
