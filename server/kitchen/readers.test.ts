import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { referenceTables, type ReferenceTable } from '#core/contract';
import { appetitesOf, ingredientFinder, referenceOnly, tableReaders } from '#core/kitchen';
import type { FrameAnswer, KitchenAnswer, RecipeAnswer, RecipeBrief, SessionParts } from '#core/queries';
import { fillLimitMl } from '#core/pack';
import { bowlUsable, finishedDensity } from '#core/recipe';
import { cautionsFor } from '#core/safety';
import { testFigures } from '../../core/kitchen/fixtures.ts';
import { testRevision } from '../../core/recipe/fixtures.ts';
import { referenceRows, shippedFigures } from '../db/index.ts';
import { testServer, type TestServer } from '../testing.ts';

const now = '2026-11-24T16:00:00.000Z';
let s: TestServer;
let n = 0;
let recipes: string[];
beforeAll(async () => {
  s = testServer(now, { demo: true });
  recipes = ((await request(s.app).get('/api/recipes')).body as RecipeBrief[]).map((b) => b.recipe.id);
}, 60_000);
afterAll(() => s.close());

type Row = Record<string, unknown> & { id: string };
const get = async <T>(path: string): Promise<T> => (await request(s.app).get(`/api${path}`)).body as T;
const write = async (id: string, data: unknown): Promise<boolean> =>
  (
    await request(s.app)
      .post('/api/writes')
      .send({ writeId: `rd${(n += 1)}`, device: 'test', instant: now, label: 'test', changes: [{ table: 'reference', id, data }] })
  ).status === 200;
const rowsOf = (table: ReferenceTable): Row[] => referenceRows(s.db, table) as unknown as Row[];

/** What tells rows apart, and what a figure is not. */
const fixed = new Set([
  'id',
  'source',
  'conf',
  'refRows',
  'classId',
  'row',
  'device',
  'from',
  'state',
  'aisle',
  'baseState',
  'freeze',
  'fitness',
  'shape',
  'seal',
]);
/** Figures moved far, or, where that cannot be meant, a little; every sentence said otherwise. */
const far = (n: number): number => Math.round(n * 1.5) + 1;
const little = (n: number): number => Number((n * 1.15).toFixed(3));
const moved = (value: unknown, by: (n: number) => number, key = ''): unknown => {
  if (fixed.has(key)) return value;
  if (typeof value === 'number') return by(value);
  if (typeof value === 'string' && /\d/.test(value)) return value.replace(/\d+(?:\.\d+)?/g, (n) => String(by(Number(n))));
  if (typeof value === 'string') return / /.test(value) || key === 'allergen' || key === 'short' ? `${value}, our way` : value;
  if (Array.isArray(value) || value === null || typeof value !== 'object') return value;
  return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, moved(v, by, k)]));
};

const of = async (pick: (r: RecipeAnswer) => unknown): Promise<unknown> =>
  Promise.all(recipes.map(async (id) => pick(await get<RecipeAnswer>(`/recipes/${id}`))));
const heat = (): Promise<unknown> => of((r) => r.heat.sample);
const freezing = (): Promise<unknown> => of((r) => r.freezing);
const larder = (table: string) => async (): Promise<unknown> => (await get<{ tables: Record<string, unknown> }>('/larder')).tables[table];
const offered = async (): Promise<unknown> => (await get<{ presets: unknown }>('/kitchen')).presets;

const cautions = (): Promise<unknown> => of((r) => r.cautions);
const draft = async (pick: (a: SessionParts['draft']) => unknown): Promise<unknown> =>
  Promise.all((await get<FrameAnswer>('/frame')).open.map(async (b) => pick(await get<SessionParts['draft']>(`/sessions/${b.id}/draft`))));
/** A dish of which nothing is known but that it is one. */
const { density: _weighed, ...unknownDish } = testRevision({ lines: [] });

/** What is worked out from each table, or shown of it. */
const answers: Readonly<Partial<Record<ReferenceTable, () => Promise<unknown>>>> = {
  ingredient: () => of((r) => r.allergens.concat(r.rows.map((x) => `${x.name} ${String(x.ediblePct)}`))),
  life: () => of((r) => r.keeps),
  reheat: heat,
  thaw: heat,
  texture: freezing,
  seasoning: freezing,
  allergen: async () => (await get<{ allergenNames: unknown }>('/frame')).allergenNames,
  clock: cautions,
  setpoint: heat,
  headspace: async () => fillLimitMl({ brimMl: 60, fillMl: 60 }, (await get<KitchenAnswer>('/kitchen')).figures),
  space: () => draft((a) => a.fit.rows),
  thickness: () => of((r) => r.heat.sample),
  portion: async () => appetitesOf((await get<KitchenAnswer>('/kitchen')).figures),
  density: async () => finishedDensity(unknownDish, ingredientFinder([]), (await get<FrameAnswer>('/frame')).figures).gPerMl,
  hazard: async () => cautionsFor(['garlicOil'], 'GB', (await get<FrameAnswer>('/frame')).figures),
  hot_blending: () => of((r) => bowlUsable({ litres: 3 }, 'hot', r.gear)?.ml),
  material: async () => (await get<{ materials: unknown }>('/kitchen')).materials,
  bag: offered,
  tub: offered,
  pan: offered,
  keep: larder('keep'),
  blanch: larder('blanch'),
  puree: larder('puree'),
  trim: larder('trim'),
  cooked: larder('cooked'),
  scrap: larder('scrap'),
};

describe('the figures that computations read', () => {
  it('are read from the rows as they ship', () => expect(shippedFigures()).toEqual(testFigures));
  it('have to stay readable: a cell without its figure is refused in words, and nothing is changed', async () => {
    const clock = rowsOf('clock').find((r) => r.id === 'cool_stage1_fc')!;
    const before = JSON.stringify(await get('/frame'));
    for (const [n, limit] of ['soon', '900 h', ''].entries()) {
      const edit = { id: 'clock:cool_stage1_fc', table: 'clock', row: { ...clock, limit } };
      const res = await request(s.app)
        .post('/api/writes')
        .send({
          writeId: `bad${n}`,
          device: 'test',
          instant: now,
          label: 'test',
          changes: [{ table: 'reference', id: edit.id, data: edit }],
        });
      expect(res.status, limit).toBe(422);
      expect(JSON.stringify(res.body), limit).toMatch(/2 h or 90 min/);
    }
    expect(JSON.stringify(await get('/frame'))).toBe(before);
  });
});

describe('every table of figures', () => {
  it('has one reader, or is shown as reference only', () => {
    expect([...Object.keys(tableReaders), ...referenceOnly].toSorted()).toEqual([...referenceTables].toSorted());
    expect(Object.keys(answers).toSorted()).toEqual(Object.keys(tableReaders).toSorted());
  });
  it.each(Object.keys(tableReaders) as ReferenceTable[])(
    '%s: a changed row moves what is worked out from it, and set back it is as it was',
    async (table) => {
      const answer = answers[table]!;
      const before = JSON.stringify(await answer());
      let moves = 0;
      // rows that no dish of this household touches move nothing: the first that does is enough
      for (const row of rowsOf(table).filter((r) => !('prices' in r))) {
        const edits = [far, little].map((by) => ({ id: `${table}:${row.id}`, table, row: moved(row, by) }));
        const id = `${table}:${row.id}`;
        if (!(await write(id, edits[0])) && !(await write(id, edits[1]))) continue;
        moves += JSON.stringify(await answer()) === before ? 0 : 1;
        expect(await write(id, null)).toBe(true);
        if (moves > 0) break;
      }
      expect(moves).toBe(1);
      expect(JSON.stringify(await answer())).toBe(before);
    },
    60_000,
  );
});
