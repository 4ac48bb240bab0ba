import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Batch, Revision, Session, TamboEvent } from '#core/contract';
import { testLine, testRevision } from '../recipe/fixtures.ts';
import { foldPack, type PackState } from '#core/store';
import { testFilled, testInstant } from '../store/fixtures.ts';
import { testSession, testWorld } from './fixtures.ts';
import { baseNeeds, lastTimes, learnedFrom, runsOf, sessionView, trimsOf } from './index.ts';

const now = '2026-11-24T16:00:00.000Z';
/** Ten portions of 100 ml. */
const base = testRevision({
  id: 'base-rev',
  recipeId: 'base',
  name: 'Base',
  kind: 'base',
  serving: { amount: 100, unit: 'ml' },
  servings: 10,
  lines: [testLine('onion')],
});
/** Six portions that draw 300 ml of it. */
const pie = testRevision({
  id: 'pie-rev',
  recipeId: 'pie',
  name: 'Pie',
  lines: [testLine('onion'), testLine('b', { name: 'base', amount: '300', unit: 'ml', item: { type: 'recipe', id: 'base' } })],
});
const batch = (id: string, revision: Revision, portions: number, over: Partial<Batch> = {}): Batch => ({
  id,
  recipeId: revision.recipeId,
  revisionId: revision.id,
  portions,
  ...over,
});
const inStore = (portions: number): PackState => ({
  ...foldPack(
    [
      {
        id: 'f',
        subjects: ['p'],
        instant: testInstant(0),
        device: 'd',
        counter: 0,
        version: 1,
        type: 'filled',
        data: testFilled({ recipeId: 'base', portions }),
      },
    ],
    'p',
  )!,
});
const view = (batches: Batch[], packs: PackState[] = [], events: TamboEvent[] = []) => {
  const world = testWorld({}, [base, pie], packs);
  return sessionView(testSession(batches), events, [], world, now);
};
const event = (type: TamboEvent['type'], data: unknown, n: number, subject = 's1'): TamboEvent =>
  ({ id: `${type}${n}`, subjects: [subject], instant: testInstant(n), device: 'd', counter: n, version: 1, type, data }) as TamboEvent;

describe('what dishes of a session draw from bases', () => {
  it('is asked for, and the rest of the base is packed', () => {
    const v = view([batch('p', pie, 12), batch('b', base, 10)]);
    expect(v.bases).toMatchObject([{ name: 'Base', asked: 6, made: 10, short: 0 }]);
    const own = v.batches.find((b) => b.batch.id === 'b')!;
    expect(own.drawnMl).toBeCloseTo(600);
    expect(own.toPackMl).toBeCloseTo(400);
    expect(v.fit.rows.find((r) => r.id === 'base:base')).toMatchObject({ need: 6, have: 10, fits: true });
  });
  it('is short by name when nothing is made here, with ways out; packs in store count', () => {
    const row = view([batch('p', pie, 12)]).fit.rows.find((r) => r.id === 'base:base')!;
    expect(row).toMatchObject({ need: 6, have: 0, fits: false });
    expect(row.waysOut[0]).toBe('cook 6 of it here');
    expect(view([batch('p', pie, 12)], [inStore(8)]).bases[0]).toMatchObject({ inStore: 8, short: 0 });
  });
  it('is settled from what was weighed: a shortfall is shared', () => {
    const weighed = event('weighed', { batchId: 'b', volumeMl: 300 }, 1);
    const v = view([batch('p', pie, 6), batch('q', pie, 6), batch('b', base, 10)], [], [weighed]);
    expect(v.bases[0]).toMatchObject({ asked: 6, made: 3, short: 3 });
    expect(v.bases[0]!.draws.map((d) => d.gets)).toEqual([1.5, 1.5]);
  });
  it('never gets more than it asks for, and never more than there is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 30 }), (p, made, stored) => {
        const world = testWorld({}, [base, pie], stored > 0 ? [inStore(stored)] : []);
        const dishes = [batch('p', pie, p), ...(made > 0 ? [batch('b', base, made)] : [])].flatMap((b) => {
          const revision = world.revision(b.revisionId)!;
          const r = world.scale(revision, b.portions);
          return r.ok ? [{ batch: b, revision, scaled: r.scaled }] : [];
        });
        const [need] = baseNeeds(dishes, world);
        const gets = need!.draws.reduce((s, d) => s + d.gets, 0);
        expect(gets).toBeLessThanOrEqual(need!.asked + 1e-9);
        expect(gets).toBeLessThanOrEqual(made + stored + 1e-9);
        expect(need!.short).toBeCloseTo(Math.max(0, need!.asked - made - stored), 6);
      }),
    );
  });
});

describe('what runs teach', () => {
  const session = (id: string, day: string, b: Batch): Session => ({ ...testSession([b]), id, day });
  const sessions = [
    session('s1', '2026-10-03', batch('b1', pie, 6)),
    session('s2', '2026-10-31', batch('b2', pie, 12, { yieldFactor: 0.9 })),
  ];
  const world = testWorld({}, [base, pie]);
  it('yields are reckoned against what was written, whatever was expected then', () => {
    const events = [event('weighed', { batchId: 'b1', volumeMl: 2160 }, 1), event('weighed', { batchId: 'b2', volumeMl: 4800 }, 2, 's2')];
    const runs = runsOf(sessions, events, world.revision).get('pie')!;
    // 2.16 of 2.4 L; then 4.8 L as hoped, out of amounts grown by a tenth
    expect(runs.map((r) => Number(r.ratio.toFixed(3)))).toEqual([0.9, 0.9]);
    expect(learnedFrom(runs).factor).toBeCloseTo((3 + 1.8) / 5, 6);
  });
  it('a weighing that was taken back teaches nothing', () => {
    const weighed = event('weighed', { batchId: 'b1', volumeMl: 1000 }, 1);
    expect(runsOf(sessions, [weighed, event('undone', { eventId: weighed.id }, 2)], world.revision).size).toBe(0);
  });
  it('trims of an ingredient blend with what ships', () => {
    const trims = trimsOf([event('trimmed', { ingredientId: 'leek', boughtG: 500, usableG: 440 }, 1, 'leek')], () => 55);
    expect(trims.get('leek')!.factor).toBeCloseTo((3 * 0.55 + 0.88) / 4, 6);
  });
  it('minutes: the newest run stands for the next plan, at any size', () => {
    const done = (id: string, batchId: string, step: string, min: number, n: number): TamboEvent =>
      event('taskDone', { sessionId: id, taskId: `step:${batchId}:${step}`, actualMin: min }, n, id);
    // written: 5 min of hands and 10 by itself
    const log: Record<string, TamboEvent[]> = { s1: [done('s1', 'b1', 's1', 15, 1)], s2: [done('s2', 'b2', 's1', 30, 2)] };
    const times = lastTimes(sessions, (id) => log[id] ?? [], world);
    expect(times.get('step:pie:s1')).toMatchObject({ planned: 15, actual: 30, day: '2026-10-31' });
    const next = sessionView(session('s3', '2026-11-28', batch('b3', pie, 6)), [], [], { ...world, times }, now);
    const task = next.tasks.find((t) => t.id === 'step:b3:s1')!;
    expect(task.handsOnMin + task.waitMin).toBe(30);
    expect(task.guess).toBe(false);
  });
});

describe('a pot split before the salt', () => {
  it('is told to whoever salts', () => {
    const salty = testRevision({
      id: 'salty-rev',
      recipeId: 'salty',
      lines: [testLine('onion'), testLine('salt', { name: 'fine salt', amount: '12', item: { type: 'ingredient', id: 'salt_table' } })],
      steps: [
        {
          id: 'salt',
          text: 'Salt it.',
          uses: [{ lineId: 'salt', share: 1 }],
          needs: [],
          handsOnMin: 2,
          handsOnPerKgMin: 0,
          waitMin: 0,
          hazards: [],
          after: [],
          guess: false,
        },
      ],
    });
    const v = sessionView(testSession([batch('b', salty, 12, { unsalted: 2 })]), [], [], testWorld({}, [salty]), now);
    expect(v.tasks.find((t) => t.id === 'step:b:salt')!.detail.replace('\u00a0', ' ')).toBe(
      'first dip out 2 without salt; then for the rest 20 g fine salt',
    );
  });
});
