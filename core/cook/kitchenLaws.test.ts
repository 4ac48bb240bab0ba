import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ingredientFinder } from '#core/kitchen';
import { ingredientRows } from '#core/kitchen/data';
import type { Revision, Step } from '#core/contract';
import type { Dish } from '#core/plan';
import { nextMinutes, scaleRecipe, weighRecipe } from '#core/recipe';
import { testLine, testRevision } from '../recipe/fixtures.ts';
import { testTask as task } from './fixtures.ts';
import {
  checkSchedule,
  closingTasks,
  interrupted,
  potNames,
  scheduleModel,
  scheduleTasks,
  tasksFor,
  withDraws,
  wouldHelp,
  type Kitchen,
  type Schedule,
  type Task,
} from './index.ts';

const finder = ingredientFinder(ingredientRows);
const alone: Kitchen = { cooks: [{ id: 'j', name: 'Joaquim' }], capacity: { hob: 4, oven: 1 } };
const plan = (tasks: readonly Task[], kitchen: Kitchen = alone, mostSteps = 60): Schedule => {
  const r = scheduleTasks(tasks, kitchen, new Map(), { mostSteps });
  if (!r.ok) throw new Error(JSON.stringify(r));
  expect(checkSchedule(tasks, kitchen, r.schedule.slots)).toEqual([]);
  return r.schedule;
};
const startOf = (s: Schedule, id: string): number => s.slots.find((x) => x.taskId === id)!.startMin;
const endOf = (s: Schedule, id: string): number => s.slots.find((x) => x.taskId === id)!.endMin;

/** A dish of onions, carrots and the like, each diced. */
const dish = (id: string, grams: Readonly<Record<string, number>>, over: Parameters<typeof testRevision>[0] = {}): Dish => {
  const lines = Object.entries(grams).map(([item, g]) =>
    testLine(item, { name: item, amount: String(g), item: { type: 'ingredient', id: item }, form: 'diced' }),
  );
  const revision = testRevision({ recipeId: `rec-${id}`, name: id, lines, steps: [], ...over });
  const r = scaleRecipe(weighRecipe(revision, finder), revision.servings, { scaleStepG: 1 });
  if (!r.ok) throw new Error('scale');
  return { batch: { id, recipeId: revision.recipeId, revisionId: revision.id, portions: revision.servings }, revision, scaled: r.scaled };
};

describe('worked examples of a session', () => {
  it('grinds walnuts after onion, ginger and garlic: no wash in between', () => {
    const board = (id: string, cleanliness: number): Task => task(id, { board: true, cleanliness, handsOnMin: 4 });
    const tasks = [board('onion', 3), board('walnut', 4), board('ginger', 3), board('garlic', 3)];
    const s = plan(tasks, { ...alone, boards: 1 });
    expect(s.slots.at(-1)!.taskId).toBe('walnut');
    expect(s.slots.filter((x) => x.washMin !== undefined)).toEqual([]);
    expect(s.makespanMin).toBe(16);
  });
  it('steams 18, 12, 9, 9, 6 and 6 min on two tiers in 30 min instead of 60', () => {
    const tasks = [18, 12, 9, 9, 6, 6].map((waitMin, i) => task(`s${i}`, { handsOnMin: 0, waitMin, needs: [{ kind: 'steamer' }] }));
    expect(plan(tasks, { ...alone, capacity: { steamer: 2 } }).makespanMin).toBe(30);
    expect(plan(tasks, { ...alone, capacity: { steamer: 1 } }).makespanMin).toBe(60);
  });
  it('runs a job of 25 min inside a simmer of 40: 40, not 65', () => {
    const simmer = task('simmer', { handsOnMin: 0, waitMin: 40, needs: [{ kind: 'hob' }] });
    expect(plan([simmer, task('job', { handsOnMin: 25 })]).makespanMin).toBe(40);
  });
  it('is 190 min back from the freezer at 21:00', () => {
    const minutes = [10, 10, 15, 45, 20, 90];
    const tasks = minutes.map((m, i) =>
      task(`t${i}`, { handsOnMin: i < 5 ? m : 5, waitMin: i < 5 ? 0 : m - 5, after: i > 0 ? [`t${i - 1}`] : [] }),
    );
    const s = plan(tasks);
    expect(s.makespanMin).toBe(190);
    expect(s.boundMin).toBe(190);
  });
  it('takes 95 min of hands as 2 h 32 with children about, and leaves the simmer as it is', () => {
    expect(interrupted(task('prep', { handsOnMin: 95, waitMin: 60 }), 1.6)).toMatchObject({ handsOnMin: 152, waitMin: 60 });
    expect(interrupted(task('prep', { handsOnMin: 95 }), 1)).toMatchObject({ handsOnMin: 95 });
  });
  it('plans 34 min for what took 34 instead of 15', () => expect(nextMinutes(15, { planned: 15, actual: 34 })).toBe(34));
  it('cuts 3 + 2 + 2 onions once, in bowls of 3, 2 and 2', () => {
    const edible = 150 * 0.89;
    const dishes = [3, 2, 2].map((n, i) => dish(`d${i}`, { onion: n * edible }));
    const [onion, ...others] = tasksFor(dishes, finder);
    expect(others).toEqual([]);
    expect(onion!.pieces).toBe(7);
    expect(onion!.shares!.map((s) => Math.round(s.massG / edible))).toEqual([3, 2, 2]);
    expect(onion!.savesMin).toBeGreaterThan(0);
  });
  it('cuts 8 onions of 150 g, 1.2 kg, in two loads of a bowl that holds 700 g', () => {
    const dishes = [1, 1, 2, 2, 1, 1].map((n, i) => dish(`d${i}`, { onion: n * 150 }));
    const density = 0.68;
    const [onion] = tasksFor(dishes, finder, { bowl: { name: 'Food processor', usableMl: 700 / density } });
    expect(onion!.prep!.massG).toBe(1200);
    expect(onion!.bowl).toEqual({ name: 'Food processor', loads: 2, eachG: 600 });
  });
  it('says what may be cut the evening before', () => {
    const tasks = tasksFor([dish('d', { onion: 200, potato: 500, apple: 300 })], finder);
    expect(tasks.map((t) => t.ahead)).toEqual(['fridge', 'water', 'day']);
  });
});

describe('the order on the boards', () => {
  const cut = (id: string, cleanliness: number, over: Partial<Task> = {}): Task => task(id, { board: true, cleanliness, ...over });
  const before = (s: Schedule, a: string, b: string): boolean => endOf(s, a) <= startOf(s, b);

  it('has a baby’s food cut before nuts and raw meat, however much longer that takes', () => {
    const tasks = [
      cut('chicken', 7),
      task('braise', { after: ['chicken'], handsOnMin: 1, waitMin: 200, needs: [{ kind: 'hob' }] }),
      cut('pear', 0, { handsOnMin: 30 }),
      cut('walnut', 4),
    ];
    const s = plan(tasks, { ...alone, boards: 3 });
    expect(before(s, 'pear', 'chicken')).toBe(true);
    expect(before(s, 'pear', 'walnut')).toBe(true);
    expect(s.makespanMin).toBe(30 + 5 + 201);
  });
  it('has what somebody must not meet last, and only what holds it', () => {
    const tasks = [
      cut('celery', 3, { holds: ['al_celery'], handsOnMin: 20 }),
      cut('onion', 3),
      cut('celeriac', 3, { holds: ['al_celery'] }),
    ];
    const s = plan(tasks, { ...alone, boards: 2 });
    expect(before(s, 'onion', 'celery')).toBe(true);
    expect(before(s, 'onion', 'celeriac')).toBe(true);
  });
  it('lets a dish that needs it the other way round have it so, with the wash between', () => {
    const tasks = [cut('chicken', 7), task('sear', { after: ['chicken'] }), cut('pear', 0, { after: ['sear'] })];
    const s = plan(tasks, { ...alone, boards: 1 });
    expect(before(s, 'sear', 'pear')).toBe(true);
    expect(s.slots.find((x) => x.taskId === 'pear')!.washMin).toBeGreaterThan(0);
  });
  it('marks what holds an allergen of the table, and nothing else', () => {
    const tasks = tasksFor([dish('d', { celery: 100, onion: 100 })], finder, { avoid: new Set(['al_celery']) });
    expect(tasks.map((t) => t.holds)).toEqual([['al_celery'], undefined]);
  });
  it('is kept in every kitchen where nothing hangs the other way, and all clean before raw on request', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 7 }), { minLength: 2, maxLength: 9 }),
        fc.integer({ min: 1, max: 2 }),
        (classes, hands) => {
          const tasks = classes.map((c, i) => cut(`t${i}`, c, { handsOnMin: 3 + i }));
          const cooks = Array.from({ length: hands }, (_, i) => ({ id: `c${i}`, name: `c${i}` }));
          for (const cleanFirst of [false, true]) {
            const s = plan(tasks, { ...alone, cooks, boards: 3, cleanFirst }, 6);
            for (const a of tasks)
              for (const b of tasks)
                if ((a.cleanliness === 0 && b.cleanliness >= 4) || (cleanFirst && a.cleanliness < 5 && b.cleanliness >= 5))
                  expect(before(s, a.id, b.id), `${a.id} before ${b.id}`).toBe(true);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
  it('has its price said as a wish: what all clean before all raw would cost', () => {
    const tasks = [
      cut('chicken', 7),
      task('braise', { after: ['chicken'], handsOnMin: 1, waitMin: 100, needs: [{ kind: 'hob' }] }),
      cut('carrot', 3, { handsOnMin: 40 }),
    ];
    const kitchen = { ...alone, boards: 2 };
    const help = [...wouldHelp({ tasks, kitchen, progress: new Map() }, plan(tasks, kitchen), 20)].find((h) => h?.what === 'cleanFirst');
    expect(help?.savesMin).toBe(-40);
  });
});

describe('gear', () => {
  it('bakes at two heats in two ovens at once, and at one after another in one', () => {
    const bake = (id: string, tempC: number): Task => task(id, { handsOnMin: 0, waitMin: 60, needs: [{ kind: 'oven', tempC }] });
    const tasks = [bake('a', 180), bake('b', 220), bake('c', 180)];
    expect(plan(tasks, { ...alone, capacity: { oven: 4 }, ovens: [2, 2] }).makespanMin).toBe(60);
    expect(plan(tasks, { ...alone, capacity: { oven: 2 } }).makespanMin).toBeGreaterThan(120);
  });
  it('washes up at one sink in turn, at two side by side', () => {
    const tasks = ['a', 'b'].map((b) => task(`wash:${b}`, { batchIds: [b], follow: 'wash', handsOnMin: 8 }));
    const two = { ...alone, cooks: [...alone.cooks, { id: 'n', name: 'Neighbour' }] };
    expect(plan(tasks, two).makespanMin).toBe(16);
    expect(plan(tasks, { ...two, sinks: 2 }).makespanMin).toBe(8);
  });
  it('gives what needs three shelves the oven that has them', () => {
    const tasks = [
      task('wide', { waitMin: 30, needs: [{ kind: 'oven', tempC: 200, count: 3 }] }),
      task('small', { waitMin: 90, needs: [{ kind: 'oven', tempC: 160 }] }),
    ];
    const model = scheduleModel({ tasks, kitchen: { ...alone, capacity: { oven: 4 }, ovens: [1, 3] }, progress: new Map() });
    expect(model.activities.find((a) => a.id === 'wide')!.oven).toMatchObject({ oven: 'oven 2', shelves: 3 });
  });
  it('names a pot for each dish that is cooked at once, the smallest that holds it, and none twice', () => {
    const simmer = (b: string, brimMl: number): Task =>
      task(`${b}.simmer`, {
        batchIds: [b],
        step: { batchId: b, stepId: 's' },
        waitMin: 30,
        needs: [{ kind: 'hob' }],
        vessel: { count: 1, brimMl },
      });
    const tasks = [simmer('a', 2000), simmer('b', 6000), simmer('c', 2500)];
    const kitchen: Kitchen = { ...alone, potsMl: [8500, 5400, 2800] };
    const pots = [
      { name: 'Big pot', ml: 8500 },
      { name: 'Middle pot', ml: 5400 },
      { name: 'Small pot', ml: 2800 },
    ];
    const names = potNames(tasks, plan(tasks, kitchen).slots, pots, new Map());
    expect(names.get('b.simmer')).toEqual(['Big pot']);
    expect([names.get('a.simmer'), names.get('c.simmer')].flat().sort()).toEqual(['Middle pot', 'Small pot']);
  });
  it('finds a pot for each in every order of work that keeps to the pots, and none for two at once', () => {
    const pots = [9000, 8500, 5400, 2800].map((ml, i) => ({ name: `pot ${i}`, ml }));
    fc.assert(
      fc.property(
        fc.array(fc.record({ brimMl: fc.constantFrom(0, 2500, 5000, 8000, 8800), waitMin: fc.integer({ min: 5, max: 90 }) }), {
          minLength: 1,
          maxLength: 8,
        }),
        (dishes) => {
          const tasks = dishes.map(({ brimMl, waitMin }, i) =>
            task(`s${i}`, { batchIds: [`b${i}`], step: { batchId: `b${i}`, stepId: 's' }, waitMin, vessel: { count: 1, brimMl } }),
          );
          const s = plan(tasks, { ...alone, potsMl: pots.map((p) => p.ml) }, 6);
          const names = potNames(tasks, s.slots, pots, new Map());
          for (const a of tasks)
            for (const b of tasks)
              if (a !== b && names.get(a.id)?.[0] !== undefined && names.get(a.id)?.[0] === names.get(b.id)?.[0])
                expect(endOf(s, a.id) <= startOf(s, b.id) || endOf(s, b.id) <= startOf(s, a.id)).toBe(true);
          for (const [id, [name]] of names)
            expect(pots.find((p) => p.name === name)!.ml).toBeGreaterThanOrEqual(tasks.find((t) => t.id === id)!.vessel!.brimMl);
        },
      ),
      { numRuns: 50 },
    );
  });
  it('says what an hour more of somebody who comes and goes would save, and a second bath', () => {
    const tasks = Array.from({ length: 6 }, (_, i) => task(`t${i}`, { handsOnMin: 20, cookId: i < 3 ? 'j' : 'n' }));
    const kitchen: Kitchen = { ...alone, cooks: [...alone.cooks, { id: 'n', name: 'Neighbour', away: [[0, 60]] }] };
    const help = [...wouldHelp({ tasks, kitchen, progress: new Map() }, plan(tasks, kitchen), 20)].flatMap((h) => h ?? []);
    expect(help).toContainEqual({ what: 'hour', savesMin: 60 });
    const cooling = Array.from({ length: 3 }, (_, i) => task(`cool:${i}`, { follow: 'cool', handsOnMin: 1, waitMin: 30 }));
    const second = [...wouldHelp({ tasks: cooling, kitchen: alone, progress: new Map() }, plan(cooling), 20)].flatMap((h) => h ?? []);
    expect(second).toContainEqual({ what: 'ice', savesMin: expect.any(Number) as number });
  });
});

describe('raw and only browned meat', () => {
  const braise = (browned: Partial<Step>): Dish => {
    const step = (id: string, over: Partial<Step>): Step => ({ ...testRevision().steps[0]!, id, uses: [], after: [], waitMin: 0, ...over });
    const steps = [
      step('brown', { kind: 'brown', uses: [{ lineId: 'chicken_thigh', share: 1 }], ...browned }),
      step('sweat', { kind: 'soften', uses: [{ lineId: 'onion', share: 1 }], handsOnMin: 40 }),
      step('pour', { kind: 'mix', needs: [], after: ['brown'] }),
      step('simmer', { kind: 'simmer', waitMin: 60, after: ['pour', 'sweat'] }),
      step('pick', { kind: 'finish', needs: [], after: ['simmer'] }),
    ];
    return dish('b', { chicken_thigh: 800, onion: 300 }, { steps });
  };
  it('waits half an hour at most for its next step, until it is cooked through', () => {
    const tasks = tasksFor([braise({})], finder);
    const limits = tasks.flatMap((t) => (t.windows ?? []).map((w) => [w.after, t.id, w.maxMin]));
    expect(limits).toEqual([
      ['prep:chicken_thigh:diced:0', 'step:b:brown', 30],
      ['step:b:brown', 'step:b:pour', 30],
      ['step:b:pour', 'step:b:simmer', 30],
    ]);
    // one pair of hands: the long sweating comes first, and the meat is not browned before it can go on
    const s = plan(tasks);
    expect(startOf(s, 'step:b:simmer') - endOf(s, 'step:b:pour')).toBeLessThanOrEqual(30);
    expect(startOf(s, 'step:b:pour') - endOf(s, 'step:b:brown')).toBeLessThanOrEqual(30);
  });
  it('may wait as long as the recipe itself keeps it waiting', () => {
    const d = braise({});
    // the onions sweat in the pan that the meat was browned in
    const steps = d.revision.steps.map((s) => (s.id === 'sweat' ? { ...s, after: ['brown'], takes: [] } : s));
    const tasks = tasksFor([{ ...d, revision: { ...d.revision, steps } }], finder);
    const limits = new Map(tasks.flatMap((t) => (t.windows ?? []).map((w) => [`${w.after} ${t.id}`, w.maxMin])));
    expect(limits.get('step:b:brown step:b:pour')).toBe(30);
    expect(limits.get('step:b:pour step:b:simmer')).toBe(40);
    expect(plan(tasks).makespanMin).toBeGreaterThan(100);
  });
  it('is free once it stood on the fire long enough to be cooked', () => {
    const tasks = tasksFor([braise({ kind: 'simmer', waitMin: 40 })], finder);
    expect(tasks.flatMap((t) => (t.windows ?? []).map((w) => w.after))).toEqual(['prep:chicken_thigh:diced:0']);
  });
});

describe('how a recipe itself says that it ends', () => {
  const step = (id: string, kind: NonNullable<Step['kind']>, after: string[], over: Partial<Step> = {}): Step => ({
    ...testRevision().steps[0]!,
    id,
    text: `${kind}.`,
    kind,
    uses: [],
    needs: kind === 'simmer' ? [{ kind: 'hob' }] : [],
    after,
    waitMin: 0,
    ...over,
  });
  const titles = (steps: Step[], kind: Revision['kind'] = 'meal') => tasksFor([dish('d', {}, { kind, steps })], finder).map((t) => t.title);
  it('cools and freezes once: those words stand with the tasks of cooling and packing', () => {
    const steps = [
      step('a', 'simmer', []),
      step('b', 'cool', ['a'], { text: 'Cool quickly.', waitMin: 45 }),
      step('c', 'freeze', ['b'], { text: 'Freeze in pairs.', waitMin: 180 }),
    ];
    const stew = dish('d', {}, { steps });
    const tasks = tasksFor([stew], finder);
    expect(tasks.map((t) => t.title)).toEqual(['simmer.']);
    const cooling = { way: 'water' as const, minutes: 20, iceKg: 0 };
    const [cool, pack] = closingTasks([{ batch: stew.batch, revision: stew.revision, pots: 1, packs: 4, cooling }], tasks);
    expect(cool!.detail).toMatch(/^Cool quickly\. In cold water/);
    expect(pack!.detail).toMatch(/Freeze in pairs\.$/);
  });
  it('keeps what something is still made with, what takes a line, and what cools over night', () => {
    expect(titles([step('a', 'simmer', []), step('b', 'cool', ['a']), step('c', 'mix', ['b'])])).toEqual(['simmer.', 'cool.', 'mix.']);
    expect(titles([step('a', 'simmer', []), step('b', 'cool', ['a'], { waitMin: 600 })])).toEqual(['simmer.', 'cool.']);
    // bread cools by itself, and a kit is nothing but filled
    expect(titles([step('a', 'bake', []), step('b', 'cool', ['a'])], 'bread')).toEqual(['bake.', 'cool.']);
    expect(titles([step('a', 'fill', [])], 'kit')).toEqual(['fill.']);
  });
});

describe('what is drawn from bases', () => {
  const uses = testRevision({
    recipeId: 'pie',
    name: 'Pie',
    lines: [testLine('stock', { name: 'stock', amount: '300', unit: 'ml', item: { type: 'recipe', id: 'stock' } })],
    steps: [{ ...testRevision().steps[0]!, id: 'pour', uses: [{ lineId: 'stock', share: 1 }], after: [] }],
  });
  const pie: Dish = {
    batch: { id: 'p', recipeId: 'pie', revisionId: 'rev1', portions: 6 },
    revision: uses,
    scaled: { lines: [] } as never,
  };
  const step = (b: string, s: string): Task => task(`step:${b}:${s}`, { batchIds: [b], step: { batchId: b, stepId: s } });
  it('comes out of the freezer before the step that takes it', () => {
    const tasks = withDraws(
      [step('p', 'pour')],
      [pie],
      [{ recipeId: 'stock', name: 'Stock', fromStore: 2.6, madeIn: [], forBatches: ['p'] }],
    );
    expect(tasks.map((t) => t.id)).toEqual(['out:stock', 'step:p:pour']);
    expect(tasks[0]!.title).toBe('Take 2¾ portions of Stock out of the freezer');
    expect(tasks[1]!.after).toEqual(['out:stock']);
    expect(tasks[0]!.detail).toContain('For Pie.');
  });
  it('waits for the base that is made here, and takes nothing out when that is enough', () => {
    const tasks = withDraws(
      [step('s', 'boil'), step('p', 'pour')],
      [pie],
      [{ recipeId: 'stock', name: 'Stock', fromStore: 0, madeIn: ['s'], forBatches: ['p'] }],
    );
    expect(tasks.map((t) => [t.id, t.after])).toEqual([
      ['step:s:boil', []],
      ['step:p:pour', ['step:s:boil']],
    ]);
  });
});
