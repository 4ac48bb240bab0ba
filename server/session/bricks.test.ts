import request from 'supertest';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { documentSchemas, type DocumentTable } from '#core/contract';
import type { FrameAnswer, RecipeBrief } from '#core/queries';
import { schema } from '../db/index.ts';
import { testServer, type TestServer } from '../testing.ts';

const now = '2026-11-24T16:00:00.000Z';
let s: TestServer;
beforeEach(() => {
  s = testServer(now, { demo: true });
});
afterEach(() => s.close());

const get = (address: string) => request(s.app).get(`/api${address}`);

/** Of recipes and sessions the daily run asks for some. */
const most = process.env.TAMBO_THOROUGH === undefined ? 1 : Infinity;

/** Every address that a page asks. */
async function addresses(): Promise<string[]> {
  const recipes = s.open.sqlite.prepare('select id from recipe where deleted = 0').all() as { id: string }[];
  const sessions = s.open.sqlite.prepare('select id from session where deleted = 0').all() as { id: string }[];
  const packs = s.open.sqlite.prepare("select code from pack_state where status <> 'empty' order by code limit 2").all() as {
    code: string;
  }[];
  return [
    ...[
      '/frame',
      '/today',
      '/eat',
      '/store',
      '/kitchen',
      '/count',
      '/larder',
      '/recipes',
      '/sessions',
      '/find',
      '/snapshot',
      '/history',
      '/backups',
    ],
    ...recipes.slice(0, most).map((r) => `/recipes/${r.id}`),
    ...sessions.slice(0, most).flatMap((x) => [`/sessions/${x.id}`, `/labels/${x.id}`]),
    ...packs.map((p) => `/packs/${p.code}`),
  ];
}

/** A document as a hand from outside would leave it: past every door, and with something logged since, so that nothing is remembered. */
function plant(table: DocumentTable, id: string, data: unknown): void {
  s.open.sqlite.prepare(`update ${table} set data = ? where id = ?`).run([typeof data === 'string' ? data : JSON.stringify(data), id]);
  s.db
    .insert(schema.change)
    .values({ writeId: 'planted', table, rowId: id, before: null, after: null, at: now, device: 'x', label: 'planted' })
    .run();
}

const one = (table: DocumentTable): { id: string; data: Record<string, unknown> } => {
  const row = s.open.sqlite.prepare(`select id, data from ${table} where deleted = 0 limit 1`).get() as { id: string; data: string };
  return { id: row.id, data: JSON.parse(row.data) as Record<string, unknown> };
};

describe('one document that cannot be read', () => {
  it.each([
    [
      'a line of -1',
      'recipe_revision',
      (d: Record<string, unknown>) => ({ ...d, lines: (d.lines as object[]).map((l) => ({ ...l, amount: '-1' })) }),
    ],
    ['a serving of nearly nothing', 'recipe_revision', (d: Record<string, unknown>) => ({ ...d, serving: { amount: 1e-12, unit: 'g' } })],
    ['dinner at 99:99', 'household', (d: Record<string, unknown>) => ({ ...d, dinnerAt: '99:99' })],
    ['a zone that is none', 'household', (d: Record<string, unknown>) => ({ ...d, timeZone: 'Mars/Olympus' })],
    ['a start at 25:00', 'session', (d: Record<string, unknown>) => ({ ...d, startAt: '25:00' })],
    ['an eater without a week', 'eater', ({ presence: _, ...d }: Record<string, unknown>) => d],
    ['a container of no size', 'container', (d: Record<string, unknown>) => ({ ...d, fillMl: 0 })],
    ['a place without zones', 'place', (d: Record<string, unknown>) => ({ ...d, zones: [] })],
    ['a recipe that is a list', 'recipe', () => []],
    ['a text that is no JSON', 'recipe', () => '{"id": "rec'],
  ] as const)('%s bricks nothing: every page answers, says so, and the change is taken back', async (_name, table, change) => {
    const { id, data } = one(table);
    const list = await addresses();
    plant(table, id, change(data));
    for (const address of list) {
      const { status } = await get(address);
      // its own page has nothing to show; all others do
      expect([address, status < 500]).toEqual([address, true]);
      if (!address.includes(id)) expect([address, [200, 404].includes(status)]).toEqual([address, true]);
    }
    const { unreadable } = (await get('/frame')).body as FrameAnswer;
    expect(unreadable).toMatchObject([{ table, id }]);
    expect(unreadable[0]!.why).not.toBe('');
    // a write of the whole document puts it right
    const fixed = await request(s.app)
      .post('/api/writes')
      .send({ writeId: 'fix', device: 'd', instant: now, label: 'put right', changes: [{ table, id, data, from: null }] });
    expect([fixed.status, JSON.stringify(fixed.body)]).toEqual([200, expect.any(String)]);
    // a revision that is written is never changed: its recipe points to another, or is taken off
    if (table !== 'recipe_revision') expect(((await get('/frame')).body as FrameAnswer).unreadable).toEqual([]);
  });

  it('comes back as it was when the change that broke it is undone', async () => {
    const { recipe } = ((await get('/recipes')).body as RecipeBrief[])[0]!;
    const changed = { ...recipe, name: 'Soup of Tuesday' };
    await request(s.app)
      .post('/api/writes')
      .send({ writeId: 'w', device: 'd', instant: now, label: 'renamed', changes: [{ table: 'recipe', id: recipe.id, data: changed }] });
    s.open.sqlite.prepare('update recipe set data = ? where id = ?').run(['{"id": 3}', recipe.id]);
    s.open.sqlite.prepare("update change set after = ? where write_id = 'w'").run(['{"id": 3}']);
    const undo = await request(s.app).post('/api/undo').send({ writeId: 'u', device: 'd', instant: now, undoes: 'w' });
    expect(undo.status).toBe(200);
    expect(((await get('/recipes')).body as RecipeBrief[]).map((r) => r.recipe.name)).toContain(recipe.name);
    expect(((await get('/frame')).body as FrameAnswer).unreadable).toEqual([]);
  });
});

/** Every number in a value, with its path. */
function* numbersIn(value: unknown, path: (string | number)[] = []): Generator<(string | number)[]> {
  if (typeof value === 'number') yield path;
  else if (Array.isArray(value)) for (const [i, v] of value.entries()) yield* numbersIn(v, [...path, i]);
  else if (typeof value === 'object' && value !== null) for (const [k, v] of Object.entries(value)) yield* numbersIn(v, [...path, k]);
}
const withAt = (value: unknown, [head, ...rest]: (string | number)[], leaf: unknown): unknown => {
  if (head === undefined) return leaf;
  if (Array.isArray(value)) return value.map((v, i) => (i === head ? withAt(v, rest, leaf) : (v as unknown)));
  return { ...(value as object), [head]: withAt((value as Record<string, unknown>)[head], rest, leaf) };
};
/** Of each table's numbers the daily run takes so many, in turn from the first. */
const daily = process.env.TAMBO_THOROUGH === undefined ? 1 : Infinity;
/** What hands and programs put into a number. */
const extremes = [0, 0.05, 0.1, 0.25, 1, 5, 60, 120, 1000, 10_000, 20_000, 1_000_000, -1, 1e-12];

describe('every number that the contract lets in', () => {
  it.each(['household', 'eater', 'equipment', 'container', 'place', 'session', 'recipe_revision'] as const)(
    'of %s leaves every page answering, with no part that could not be made',
    async (table) => {
      const { id, data } = one(table);
      const all = await addresses();
      const list = daily === Infinity ? all : [...all.slice(0, 10), ...all.slice(-4)];
      const schemaOf = documentSchemas[table];
      // a path of each kind once, at both ends of what is let in
      const paths = new Map([...numbersIn(data)].map((p) => [p.map((k) => (typeof k === 'number' ? '*' : k)).join('.'), p]));
      for (const path of [...paths.values()].slice(0, daily)) {
        const taken = extremes.filter((x) => schemaOf.safeParse(withAt(data, path, x)).success);
        for (const x of [Math.min(...taken), Math.max(...taken)]) {
          plant(table, id, withAt(data, path, x));
          for (const address of list) {
            const { status } = await get(address);
            expect([path.join('.'), x, address, status]).toEqual([path.join('.'), x, address, 200]);
          }
          expect([path.join('.'), x, ((await get('/frame')).body as FrameAnswer).unreadable]).toEqual([path.join('.'), x, []]);
          expect(((await get('/recipes')).body as RecipeBrief[]).filter((r) => r.broken !== undefined)).toEqual([]);
        }
      }
    },
    120_000,
  );
});
