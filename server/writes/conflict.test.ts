import request from 'supertest';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { stateOf, versions, type Household, type Recipe, type Session, type WritableTable } from '#core/contract';
import type { SessionView } from '#core/session';
import type { FrameAnswer, KitchenAnswer, RecipeBrief } from '#core/queries';
import { testServer, type TestServer } from '../testing.ts';

const now = '2026-11-24T16:00:00.000Z';
let s: TestServer;
let n = 0;
beforeEach(() => {
  s = testServer(now, { demo: true });
});
afterEach(() => s.close());

const get = async <T>(p: string): Promise<T> => (await request(s.app).get(`/api${p}`)).body as T;
/** A write of one document, made from a state of it. */
const write = async <T extends { id: string }>(device: string, table: WritableTable, data: T, was: unknown, more: object = {}) => {
  n += 1;
  const change = { table, id: data.id, data, version: versions[table], from: was === null ? null : stateOf(was) };
  return request(s.app)
    .post('/api/writes')
    .send({ writeId: `c${n}`, device, instant: now, label: `change ${n}`, changes: [change], ...more });
};
const household = async (): Promise<Household> => (await get<KitchenAnswer>('/kitchen')).household;

describe('one document changed on two devices', () => {
  it('has both changes when they are of different fields', async () => {
    const was = await household();
    await write('phone', 'household', { ...was, dinnerAt: '19:15' }, was);
    const res = await write('laptop', 'household', { ...was, parDays: 11 }, was);
    expect(res.body).not.toHaveProperty('asked');
    expect(await household()).toEqual({ ...was, dinnerAt: '19:15', parDays: 11 });
    expect((await get<FrameAnswer>('/frame')).clashes).toEqual([]);
  });

  it('keeps both where they cannot stand together, asks, and does what the cook says', async () => {
    const was = await household();
    await write('phone', 'household', { ...was, dinnerAt: '19:15' }, was);
    expect((await get<FrameAnswer>('/frame')).clashes).toEqual([]);
    const res = await write('laptop', 'household', { ...was, dinnerAt: '17:30', parDays: 11 }, was);
    expect(res.status).toBe(200);
    expect(res.body).toMatchObject({ changed: 0, asked: [{ table: 'household', id: 'household' }] });
    expect(await household()).toEqual({ ...was, dinnerAt: '19:15' });
    const [clash] = (await get<FrameAnswer>('/frame')).clashes;
    expect(clash).toMatchObject({ table: 'household', here: { dinnerAt: '19:15' }, mine: { dinnerAt: '17:30' }, device: 'laptop' });
    expect(clash!.differences.map((d) => d.path).toSorted()).toEqual(['dinnerAt', 'parDays']);
    // sent again, it asks nothing more
    n -= 1;
    expect((await write('laptop', 'household', { ...was, dinnerAt: '17:30', parDays: 11 }, was)).body).toEqual(res.body);
    expect((await get<FrameAnswer>('/frame')).clashes).toHaveLength(1);
    const settled = await write('phone', 'household', clash!.mine as Household, await household(), { settles: clash!.id });
    expect(settled.status).toBe(200);
    expect(await household()).toEqual({ ...was, dinnerAt: '17:30', parDays: 11 });
    expect((await get<FrameAnswer>('/frame')).clashes).toEqual([]);
    // and what was settled can be taken back: then it is asked again
    await request(s.app).post('/api/undo').send({ writeId: 'back', device: 'phone', instant: now, undoes: settled.body.writeId });
    expect((await household()).dinnerAt).toBe('19:15');
    expect((await get<FrameAnswer>('/frame')).clashes).toHaveLength(1);
  });

  it('an answer to a question meets what was written after it was asked: a third change is never lost', async () => {
    const was = await household();
    await write('phone', 'household', { ...was, dinnerAt: '19:15' }, was);
    await write('laptop', 'household', { ...was, dinnerAt: '17:30' }, was);
    const asked = await household();
    const [clash] = (await get<FrameAnswer>('/frame')).clashes;
    await write('tablet', 'household', { ...asked, parDays: 12 }, asked);
    // the page that answers has not heard of the third
    await write('phone', 'household', clash!.mine as Household, asked, { settles: clash!.id });
    expect(await household()).toEqual({ ...was, dinnerAt: '17:30', parDays: 12 });
    expect((await get<FrameAnswer>('/frame')).clashes).toEqual([]);
  });

  it('a field that only the storage knows is no difference', async () => {
    const was = await household();
    s.open.sqlite.prepare('update household set data = ?').run([JSON.stringify({ ...was, ofAnOlderTambo: 7 })]);
    const res = await write('laptop', 'household', { ...was, dinnerAt: '17:30' }, was);
    expect(res.body).not.toHaveProperty('asked');
    expect((await household()).dinnerAt).toBe('17:30');
  });

  it('a write that is taken back asks nothing any more', async () => {
    const was = await household();
    await write('phone', 'household', { ...was, dinnerAt: '19:15' }, was);
    const { body } = await write('laptop', 'household', { ...was, dinnerAt: '17:30' }, was);
    const undo = await request(s.app).post('/api/undo').send({ writeId: 'back', device: 'laptop', instant: now, undoes: body.writeId });
    expect(undo.status).toBe(200);
    expect((await get<FrameAnswer>('/frame')).clashes).toEqual([]);
    expect((await household()).dinnerAt).toBe('19:15');
  });

  it('a device has the last word over its own earlier writes, which it need not have heard of yet', async () => {
    const was = await household();
    await write('phone', 'household', { ...was, dinnerAt: '19:15' }, was);
    await write('phone', 'household', { ...was, leadDays: 4 }, was);
    await write('phone', 'household', { ...was, dinnerAt: '19:45' }, was);
    expect(await household()).toEqual({ ...was, dinnerAt: '19:45', leadDays: 4 });
  });

  it('two edits of a recipe are two revisions, and the cook says which goes on', async () => {
    const { recipe } = (await get<RecipeBrief[]>('/recipes')).find((r) => r.recipe.id === 'recipe_stew')!;
    const { revision } = await get<{ revision: { id: string } }>('/recipes/recipe_stew');
    const revise = async (device: string, servings: number) => {
      n += 1;
      const id = `rev_${device}`;
      const stored = { ...revision, id, servings, madeAt: now };
      return request(s.app)
        .post('/api/writes')
        .send({
          writeId: `r${n}`,
          device,
          instant: now,
          label: `Stew for ${servings}`,
          changes: [
            { table: 'recipe_revision', id, data: stored, version: 1, from: null },
            { table: 'recipe', id: recipe.id, data: { ...recipe, revisionId: id } satisfies Recipe, version: 1, from: stateOf(recipe) },
          ],
        });
    };
    expect((await revise('phone', 20)).body).not.toHaveProperty('asked');
    expect((await revise('laptop', 24)).body).toMatchObject({ asked: [{ table: 'recipe', id: recipe.id }] });
    const [clash] = (await get<FrameAnswer>('/frame')).clashes;
    expect(clash!.differences).toEqual([{ path: 'servings', names: ['servings'], here: 20, mine: 24 }]);
    await write('phone', 'recipe', clash!.mine as Recipe, clash!.here, { settles: clash!.id });
    expect((await get<{ revision: { servings: number } }>('/recipes/recipe_stew')).revision.servings).toBe(24);
  });

  it('what one changed and the other took off is asked about', async () => {
    const { open } = await get<FrameAnswer>('/frame');
    const { session } = await get<SessionView>(`/sessions/${open[0]!.id}`);
    await write('phone', 'session', { ...session, name: 'Long Saturday' } satisfies Session, session);
    n += 1;
    const gone = { table: 'session', id: session.id, data: null, version: 1, from: stateOf(session) };
    const res = await request(s.app)
      .post('/api/writes')
      .send({ writeId: `d${n}`, device: 'laptop', instant: now, label: 'off', changes: [gone] });
    expect(res.body).toMatchObject({ asked: [{ table: 'session' }] });
    expect((await get<SessionView>(`/sessions/${session.id}`)).session.name).toBe('Long Saturday');
    expect((await get<FrameAnswer>('/frame')).clashes[0]).toMatchObject({ mine: null, name: 'Long Saturday' });
  });

  it('who does not say what a document was changed from is not compared, as pages did before', async () => {
    const was = await household();
    await write('phone', 'household', { ...was, dinnerAt: '19:15' }, was);
    n += 1;
    const change = { table: 'household', id: 'household', data: { ...was, dinnerAt: '17:30' } };
    await request(s.app)
      .post('/api/writes')
      .send({ writeId: `o${n}`, device: 'laptop', instant: now, label: 'old page', changes: [change] });
    expect((await household()).dinnerAt).toBe('17:30');
  });

  it('an older page’s container is brought up to today’s shape, a newer page’s is refused', async () => {
    const tub = (await get<KitchenAnswer>('/kitchen')).containers[0]!.container;
    const { microwave: _, ...older } = tub;
    const send = (version: number, data: object) => {
      n += 1;
      return request(s.app)
        .post('/api/writes')
        .send({
          writeId: `v${n}`,
          device: 'laptop',
          instant: now,
          label: 'tub',
          changes: [{ table: 'container', id: tub.id, data, version }],
        });
    };
    expect((await send(1, { ...older, owned: 7 })).status).toBe(200);
    expect((await get<KitchenAnswer>('/kitchen')).containers.find((c) => c.container.id === tub.id)!.container).toEqual({
      ...tub,
      owned: 7,
    });
    expect((await send(versions.container, older)).status).toBe(422);
    const refused = await send(versions.container + 1, tub);
    expect(refused.status).toBe(422);
    expect(JSON.stringify(refused.body)).toContain('load this page again');
  });
});
