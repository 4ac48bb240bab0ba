import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Dish } from '#core/plan';
import { ingredientFinder } from '#core/kitchen';
import { ingredientRows } from '#core/kitchen/data';
import { scaleRecipe, weighRecipe } from '#core/recipe';
import { testRevision } from '../recipe/fixtures.ts';
import { solve } from '#core/solve';
import {
  checkSchedule,
  coolingClock,
  doneTask,
  sayTask,
  scheduler,
  scheduleTasks,
  tasksFor,
  type Kitchen,
  type Progress,
  type Slot,
  type Task,
} from './index.ts';
import { testFigures } from '../kitchen/fixtures.ts';
import { testTask as task } from './fixtures.ts';

const finder = ingredientFinder(ingredientRows);
const one: Kitchen = { cooks: [{ id: 'j', name: 'Joaquim' }], capacity: { hob: 4, oven: 1, steamer: 2, blender: 1 } };
const cooksOf = (n: number): Kitchen => ({ ...one, cooks: Array.from({ length: n }, (_, i) => ({ id: `c${i}`, name: `c${i}` })) });
const plan = (tasks: Task[], kitchen = one, progress: ReadonlyMap<string, Progress> = new Map()) => {
  const r = scheduleTasks(tasks, kitchen, progress);
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

describe('the checker of schedules', () => {
  const tasks = [
    task('cut', { handsOnMin: 10 }),
    task('roast', { handsOnMin: 5, waitMin: 40, after: ['cut'], needs: [{ kind: 'oven' }] }),
    task('bake', { handsOnMin: 5, waitMin: 30, needs: [{ kind: 'oven' }], cookId: 'c1' }),
  ];
  const kitchen = cooksOf(2);
  const legal = plan(tasks, kitchen).slots;
  const at = (id: string, over: (slot: Slot) => Partial<Slot>): Slot[] => legal.map((s) => (s.taskId === id ? { ...s, ...over(s) } : s));
  const moved = (by: number) => (s: Slot) => ({ startMin: s.startMin + by, handsEndMin: s.handsEndMin + by, endMin: s.endMin + by });
  it.each<[string, Slot[], string]>([
    ['a task left out', legal.filter((s) => s.taskId !== 'cut'), 'missing'],
    ['a task done twice', [...legal, ...legal.slice(0, 1)], 'twice'],
    ['a cook nobody knows', at('cut', () => ({ cookId: 'guest' })), 'unknownCook'],
    ['a task handed to another', at('bake', () => ({ cookId: 'c0' })), 'notItsCook'],
    ['hands cut short', at('cut', (s) => ({ handsEndMin: s.handsEndMin - 1 })), 'length'],
    ['a roast before it is cut', at('roast', moved(-40)), 'tooEarly'],
    ['two things in one hand', at('cut', () => ({ cookId: 'c1', startMin: 0, handsEndMin: 10, endMin: 10 })), 'twoAtOnce'],
    ['two in one oven', at('roast', (s) => moved(10 - s.startMin)(s)), 'tooMany'],
  ])('finds %s', (_, slots, code) => expect(checkSchedule(tasks, kitchen, slots).map((f) => f.code)).toContain(code));
  it('finds nothing in a legal one', () => expect(checkSchedule(tasks, kitchen, legal)).toEqual([]));
});

describe('the order of work', () => {
  it('keeps every law at once, for one cook and for two, from the start and from the middle', () => {
    fc.assert(
      fc.property(randomTasks, fc.integer({ min: 1, max: 2 }), fc.array(fc.integer({ min: 0, max: 12 })), (tasks, cooks, done) => {
        const kitchen = cooksOf(cooks);
        const progress = new Map(
          tasks.flatMap((t, i): [string, Progress][] => {
            // one thing in hand for the first cook, the rest done or still to come
            if (i === (done[0] ?? -1)) return [[t.id, { state: 'running', handsLeftMin: 0, waitLeftMin: t.waitMin / 2 }]];
            return done.slice(1).includes(i) ? [[t.id, { state: 'done' }]] : [];
          }),
        );
        const s = plan(tasks, kitchen, progress);
        expect(checkSchedule(tasks, kitchen, s.slots, progress)).toEqual([]);
        expect(s.boundMin).toBeLessThanOrEqual(s.makespanMin + 1e-9);
      }),
      { numRuns: 150 },
    );
  });
  it('is not better than its bound, and says so as a solver', () => {
    const tasks = [task('a', { handsOnMin: 10 }), task('b', { handsOnMin: 10, waitMin: 30, after: ['a'] })];
    expect(solve(scheduler, { tasks, kitchen: one, progress: new Map() }, { seed: 1 })).toMatchObject({
      ok: true,
      cost: 50,
      bound: 50,
      ended: 'proven',
    });
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
      why: 'circle',
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
    const r = scaleRecipe(weighRecipe(revision, finder), portions, { scaleStepG: 1 });
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
    // 150 g as bought, 89 % of it edible; set up once instead of twice
    expect(onion[0]!.pieces).toBe(10);
    expect(onion[0]!.savesMin).toBe(2);
    expect(onion[0]!.shares!.map((s) => [s.batchId, s.massG])).toEqual([
      ['b1', 450],
      ['b2', 900],
    ]);
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
    const c = coolingClock('2026-11-28T14:20:00.000Z', '2026-11-28T15:00:00.000Z', testFigures);
    expect([c.under21By, c.under5By, c.stage, c.leftMin]).toEqual(['2026-11-28T16:20:00.000Z', '2026-11-28T20:20:00.000Z', 'to21', 80]);
    expect(coolingClock('2026-11-28T14:20:00.000Z', '2026-11-28T21:00:00.000Z', testFigures)).toMatchObject({
      stage: 'over',
      leftMin: -40,
    });
  });
});
