import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Dish } from '#core/plan';
import { ingredientFinder } from '#core/kitchen';
import { ingredientRows } from '#core/kitchen/data';
import { scaleRecipe } from '#core/recipe';
import { testRevision } from '../recipe/fixtures.ts';
import { coolingClock, doneTask, sayTask, scheduleTasks, tasksFor, type Kitchen, type Task } from './index.ts';

const finder = ingredientFinder(ingredientRows);
const task = (id: string, over: Partial<Task> = {}): Task => ({
  timeKey: id,
  id,
  batchIds: ['b'],
  title: id,
  detail: '',
  handsOnMin: 5,
  waitMin: 0,
  after: [],
  needs: [],
  hazards: [],
  cleanliness: 3,
  guess: false,
  ...over,
});
const one: Kitchen = { cooks: [{ id: 'j', name: 'Joaquim' }], capacity: { hob: 4, oven: 1, steamer: 2, blender: 1 } };
const plan = (tasks: Task[], kitchen = one) => {
  const r = scheduleTasks(tasks, kitchen);
  if (!r.ok) throw new Error(r.why);
  return r.schedule;
};

const randomTasks = fc
  .array(
    fc.record({
      hands: fc.integer({ min: 1, max: 30 }),
      wait: fc.integer({ min: 0, max: 90 }),
      after: fc.array(fc.nat({ max: 30 }), { maxLength: 3 }),
      oven: fc.boolean(),
      hob: fc.integer({ min: 0, max: 3 }),
      steamer: fc.integer({ min: 0, max: 2 }),
      blender: fc.boolean(),
    }),
    { minLength: 1, maxLength: 25 },
  )
  .map((rows) =>
    rows.map((r, i) =>
      task(`t${i}`, {
        handsOnMin: r.hands,
        waitMin: r.wait,
        after: i === 0 ? [] : [...new Set(r.after.map((a) => `t${a % i}`))],
        needs: [
          ...(r.oven ? [{ kind: 'oven' as const }] : []),
          ...(r.hob > 0 ? [{ kind: 'hob' as const, count: r.hob }] : []),
          ...(r.steamer > 0 ? [{ kind: 'steamer' as const, count: r.steamer }] : []),
          ...(r.blender ? [{ kind: 'blender' as const }] : []),
        ],
      }),
    ),
  );

const busiest = (intervals: [number, number][]): number =>
  Math.max(0, ...intervals.map(([s]) => intervals.filter(([a, b]) => a <= s && s < b).length));

describe('the order of work', () => {
  it('keeps every law at once, for one cook and for two', () => {
    fc.assert(
      fc.property(randomTasks, fc.integer({ min: 1, max: 2 }), (tasks, cooks) => {
        const kitchen = { ...one, cooks: Array.from({ length: cooks }, (_, i) => ({ id: `c${i}`, name: `c${i}` })) };
        const s = plan(tasks, kitchen);
        const at = new Map(s.slots.map((x) => [x.taskId, x]));
        expect(s.slots).toHaveLength(tasks.length);
        for (const t of tasks) for (const a of t.after) expect(at.get(t.id)!.startMin).toBeGreaterThanOrEqual(at.get(a)!.endMin);
        for (const c of kitchen.cooks)
          expect(busiest(s.slots.filter((x) => x.cookId === c.id).map((x) => [x.startMin, x.handsEndMin]))).toBeLessThanOrEqual(1);
        for (const [kind, n] of [
          ['oven', 1],
          ['hob', 4],
          ['steamer', 2],
          ['blender', 1],
        ] as const)
          expect(
            busiest(
              tasks.flatMap((t) => {
                const slot = at.get(t.id)!;
                const taken = t.needs.find((x) => x.kind === kind);
                return taken ? Array.from({ length: taken.count ?? 1 }, (): [number, number] => [slot.startMin, slot.endMin]) : [];
              }),
            ),
          ).toBeLessThanOrEqual(n);
        expect(s.boundMin).toBeLessThanOrEqual(s.makespanMin + 1e-9);
      }),
      { numRuns: 150 },
    );
  });
  it('runs 25 and 20 minutes of hands inside a simmer of 60', () => {
    const s = plan([task('simmer', { handsOnMin: 1, waitMin: 60 }), task('sauce', { handsOnMin: 25 }), task('chop', { handsOnMin: 20 })]);
    expect(s.makespanMin).toBe(61);
  });
  it('waits for as many burners as pots stand side by side, and never for more than there are', () => {
    const two: Kitchen = { ...one, capacity: { hob: 2 } };
    const pots = task('pots', { waitMin: 30, needs: [{ kind: 'hob', count: 2 }] });
    const pan = task('pan', { waitMin: 10, needs: [{ kind: 'hob' }] });
    expect(plan([pots, pan], two).makespanMin).toBe(50);
    expect(plan([task('five', { waitMin: 30, needs: [{ kind: 'hob', count: 5 }] })], two).makespanMin).toBe(35);
  });
  it('names tasks that wait for each other in a circle', () =>
    expect(scheduleTasks([task('a', { after: ['b'] }), task('b', { after: ['a'] })], one)).toMatchObject({
      ok: false,
      why: 'cycle',
      taskIds: ['a', 'b'],
    }));
  it('plans again from now with what is done and running', () => {
    const tasks = [task('a'), task('b', { after: ['a'], waitMin: 30 }), task('c', { after: ['b'] })];
    const r = scheduleTasks(
      tasks,
      one,
      new Map([
        ['a', { state: 'done' }],
        ['b', { state: 'running', handsLeftMin: 0, waitLeftMin: 12 }],
      ]),
    );
    expect(r.ok && r.schedule.slots.find((s) => s.taskId === 'c')).toMatchObject({ startMin: 12, endMin: 17 });
  });
});

describe('tasks of a session', () => {
  const dish = (id: string, portions: number): Dish => {
    const revision = testRevision();
    const r = scaleRecipe(revision, portions, { finder, scaleStepG: 1 });
    if (!r.ok) throw new Error('scale');
    return { batch: { id, recipeId: 'rec1', revisionId: 'rev1', portions }, revision, scaled: r.scaled };
  };
  const tasks = tasksFor([dish('b1', 6), dish('b2', 12)], finder);
  it('dices the onion of both batches once, then deals it out', () => {
    const onion = tasks.filter((t) => t.id.startsWith('prep:onion'));
    expect(onion).toHaveLength(1);
    expect(onion[0]!.detail).toContain('deal out');
    expect(onion[0]!.handsOnMin).toBe(Math.round(2 + 14 * 1.35));
    expect(onion[0]!.prep).toMatchObject({ form: 'diced', ingredientId: 'onion', massG: 1350 });
    expect(sayTask(onion[0]!)).toBe('Dice 1.35\u00A0kg onion');
    expect(doneTask(sayTask(onion[0]!), onion[0]!.prep, 'us')).toMatch(/^Diced 3\slb onion$/);
    expect(doneTask('Simmer gently.')).toBe('Done: simmer gently.');
  });
  it('lets each batch wait for it, and covers every step once', () => {
    expect(tasks.filter((t) => t.id.startsWith('step:'))).toHaveLength(4);
    expect(tasks.find((t) => t.id === 'step:b1:s1')!.after).toContain('prep:onion:diced:0');
  });
});

describe('cooling', () => {
  it('off the heat 14:20 is under 21 °C by 16:20 and under 5 °C by 20:20', () => {
    const c = coolingClock('2026-11-28T14:20:00.000Z', '2026-11-28T15:00:00.000Z');
    expect([c.under21By, c.under5By, c.stage, c.leftMin]).toEqual(['2026-11-28T16:20:00.000Z', '2026-11-28T20:20:00.000Z', 'to21', 80]);
    expect(coolingClock('2026-11-28T14:20:00.000Z', '2026-11-28T21:00:00.000Z')).toMatchObject({ stage: 'over', leftMin: -40 });
  });
});
