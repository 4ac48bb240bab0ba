import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomFrom, solve } from '#core/solve';
import { lastBlocked, nextFree, paint, wordsFor } from './bits.ts';
import { simpleBounds } from './bounds.ts';
import { destructiveBound } from './destructive.ts';
import {
  checkPlan,
  compile,
  families,
  generateKitchen,
  generateSmall,
  jobShop,
  leastMakespan,
  scheduleSearch,
  taillard,
  type Activity,
  type Plan,
  type ScheduleModel,
} from './index.ts';

const thorough = process.env.TAMBO_THOROUGH !== undefined;

const kitchens = fc
  .record({ family: fc.constantFrom(...families), seed: fc.nat(100_000), dishes: fc.integer({ min: 1, max: 9 }) })
  .map(({ family, seed, dishes }) => generateKitchen(family, randomFrom(seed), dishes));

const search = (model: ScheduleModel, mostSteps = 12, from?: Plan) =>
  solve(scheduleSearch, { model, ...(from && { from }) }, { seed: 1, mostSteps });

function planned(model: ScheduleModel, mostSteps?: number, from?: Plan): Plan {
  const found = search(model, mostSteps, from);
  if (!found.ok) throw new Error(JSON.stringify(found.why));
  return found.answer;
}

const empty: ScheduleModel = {
  activities: [],
  lags: [],
  spans: [],
  cooks: [{ id: 'joaquim' }],
  pools: [{ id: 'hob', capacity: 2 }],
  groups: [
    {
      id: 'bowl',
      units: 1,
      wash: [
        [0, 0],
        [4, 0],
      ],
    },
  ],
  ovens: [{ id: 'oven', shelves: 2, heatPer10: 1, coolPer10: 2 }],
  fixed: [],
};
const job = (id: string, hands: number, wait = 0, more: Partial<Activity> = {}): Activity => ({ id, hands, wait, ...more });

describe('minutes as bits', () => {
  it('are painted, found and jumped over like a list of minutes', () => {
    const size = 100;
    fc.assert(
      fc.property(
        fc.array(fc.record({ a: fc.nat(size - 1), length: fc.nat(70), on: fc.boolean() }), { maxLength: 12 }),
        fc.nat(size - 1),
        fc.integer({ min: 1, max: 60 }),
        (strokes, t, length) => {
          const bits = new Int32Array(wordsFor(size) + 2);
          const list = Array.from({ length: size }, () => false);
          for (const s of strokes) {
            const b = Math.min(size, s.a + s.length);
            paint(bits, 1, s.a, b, s.on);
            list.fill(s.on, s.a, b);
          }
          const end = Math.min(size, t + length);
          expect(lastBlocked(bits, 1, t, end)).toBe(list.slice(0, end).lastIndexOf(true) >= t ? list.slice(0, end).lastIndexOf(true) : -1);
          let free = t;
          while (free + length <= size && list.slice(free, free + length).includes(true)) free += 1;
          expect(nextFree(bits, 1, t, length, size)).toBe(free + length <= size ? free : size);
          expect(bits[0]).toBe(0);
        },
      ),
    );
  });
});

describe('a session laid over hands and gear', () => {
  it('breaks no law in any generated kitchen, is never under a bound, and is the same for the same seed and steps', () => {
    fc.assert(
      fc.property(kitchens, (model) => {
        const [one, two] = [search(model), search(model)];
        if (!one.ok || !two.ok) throw new Error(JSON.stringify(one));
        expect(checkPlan(model, one.answer)).toEqual([]);
        expect(two.answer).toEqual(one.answer);
        const made = compile(model);
        if (!made.ok) throw new Error('it was planned');
        for (const bound of simpleBounds(made.compiled)) expect(bound.minutes).toBeLessThanOrEqual(one.cost);
        expect(planned(model, 30).makespan).toBeLessThanOrEqual(one.cost);
      }),
      { numRuns: thorough ? 50 : 20 },
    );
  });

  it('ends no later with one cook, one burner or one shelf more, when it goes on from the plan there was', () => {
    fc.assert(
      fc.property(kitchens, (model) => {
        const plan = planned(model);
        const more: ScheduleModel[] = [
          { ...model, cooks: [...model.cooks, { id: 'helper' }] },
          { ...model, pools: model.pools.map((p) => ({ ...p, capacity: p.capacity + 1 })) },
          { ...model, ovens: model.ovens.map((o) => ({ ...o, shelves: o.shelves + 1 })) },
        ];
        for (const m of more) {
          const next = planned(m, 12, plan);
          expect(checkPlan(m, next)).toEqual([]);
          expect(next.makespan).toBeLessThanOrEqual(plan.makespan);
        }
      }),
      { numRuns: thorough ? 25 : 10 },
    );
  });

  it('stands as a whole a quarter of an hour later when everything is put off by that', () => {
    const model = generateKitchen('plain', randomFrom(5), 5);
    const plan = planned(model);
    const late = { ...model, activities: model.activities.map((a) => ({ ...a, release: (a.release ?? 0) + 15 })) };
    const moved = { makespan: plan.makespan + 15, placed: plan.placed.map((p) => ({ ...p, start: p.start + 15 })) };
    expect(checkPlan(late, moved)).toEqual([]);
    expect(planned(late, 12, moved).makespan).toBeLessThanOrEqual(moved.makespan);
  });

  it('equals exhaustive search on small sessions with lags, spans, washes and an oven', () => {
    let same = 0;
    for (let seed = 0; seed < (thorough ? 300 : 40); seed += 1) {
      const model = generateSmall(thorough ? 4 + (seed % 6) : 4 + (seed % 4), randomFrom(seed));
      const least = leastMakespan(model, 40, 8_000);
      if (least.gaveUp) continue;
      const found = search(model, 5000);
      expect(found.ok ? found.cost : undefined, `seed ${seed}`).toBe(least.minutes);
      if (!found.ok) continue;
      expect(found.ended, `seed ${seed}`).toBe('proven');
      expect(checkPlan(model, found.answer), `seed ${seed}`).toEqual([]);
      same += 1;
    }
    expect(same).toBeGreaterThan(thorough ? 220 : 30);
  });

  it('has bounds by supposed ends that never pass the best there is', () => {
    for (let seed = 1000; seed < 1000 + (thorough ? 60 : 25); seed += 1) {
      const model = generateSmall(4 + (seed % 3), randomFrom(seed));
      const least = leastMakespan(model, 40, 8_000);
      const made = compile(model);
      if (least.minutes === undefined || !made.ok) continue;
      let proven = 0;
      for (const b of destructiveBound(made.compiled, 0, least.minutes)) proven = Math.max(proven, b);
      expect(proven, `seed ${seed}`).toBeLessThanOrEqual(least.minutes);
      expect(proven, `seed ${seed}`).toBeGreaterThanOrEqual(simpleBounds(made.compiled)[0]!.minutes > least.minutes ? Infinity : 0);
    }
  });

  it('leaves what has begun where it stands and lays the rest around it, soon', () => {
    fc.assert(
      fc.property(kitchens, fc.double({ min: 0.1, max: 0.7, noNaN: true }), (model, share) => {
        const plan = planned(model);
        const now = Math.floor(plan.makespan * share);
        const begun = plan.placed.filter((p) => p.start < now);
        const open = {
          ...model,
          activities: model.activities.map((a) =>
            begun.some((p) => p.task === a.id) ? a : { ...a, release: Math.max(now, a.release ?? 0) },
          ),
          fixed: begun.map((p) => ({
            task: p.task,
            start: p.start,
            ...(p.cook !== undefined && { cook: p.cook }),
            ...(p.unit !== undefined && { unit: p.unit }),
          })),
        };
        const next = planned(open, 8, plan);
        // the wash before what has begun is over
        expect(checkPlan(open, next).filter((f) => !begun.some((p) => f.tasks.includes(p.task)))).toEqual([]);
        for (const p of begun) expect(next.placed.find((x) => x.task === p.task)?.start).toBe(p.start);
        const made = compile(open);
        if (!made.ok) throw new Error(made.none.why);
        // a supposed end that is refuted is not one that is there
        let proven = 0;
        for (const bound of destructiveBound(made.compiled, simpleBounds(made.compiled)[0]!.minutes, plan.makespan + 3))
          proven = Math.max(proven, bound);
        expect(proven).toBeLessThanOrEqual(Math.min(plan.makespan, next.makespan));
      }),
      { numRuns: thorough ? 60 : 10 },
    );
  });

  it('hands over the best so far when it is cancelled', () => {
    const model = generateKitchen('oven', randomFrom(2));
    let looks = 0;
    const signal = {
      get aborted() {
        looks += 1;
        return looks > 12;
      },
    };
    const found = solve(scheduleSearch, { model }, { seed: 1, signal });
    expect(found).toMatchObject({ ok: true, ended: 'cancelled' });
    expect(found.ok && checkPlan(model, found.answer)).toEqual([]);
  });
});

describe('what a kitchen cannot do', () => {
  it('names the circle, the window, the work nobody may do and the need that is larger than what there is', () => {
    const chain = (max?: number) => ({
      ...empty,
      activities: [job('sear', 5), job('simmer', 2, 30), job('chill', 3)],
      lags: [
        { a: 'sear', b: 'simmer', from: 'end' as const, to: 'start' as const, min: 0 },
        { a: 'simmer', b: 'chill', from: 'end' as const, to: 'start' as const, min: 0 },
        ...(max === undefined
          ? [{ a: 'chill', b: 'sear', from: 'end' as const, to: 'start' as const, min: 0 }]
          : [{ a: 'sear', b: 'chill', from: 'end' as const, to: 'start' as const, min: 0, max }]),
      ],
    });
    const why = (model: ScheduleModel) => {
      const found = search(model);
      return found.ok ? undefined : found.why;
    };
    expect(why(chain())).toMatchObject({ impossible: { why: 'circle', tasks: expect.arrayContaining(['sear', 'simmer', 'chill']) } });
    expect(why(chain(10))).toMatchObject({ impossible: { why: 'window' } });
    expect(why(chain(40))).toBeUndefined();
    expect(why({ ...empty, cooks: [], activities: [job('peel', 4)] })).toMatchObject({ impossible: { why: 'nobody', tasks: ['peel'] } });
    expect(why({ ...empty, activities: [job('stir', 4, 0, { cooks: ['pip'] })] })).toMatchObject({ impossible: { why: 'nobody' } });
    const pots = [{ pool: 'hob', units: 3, from: 0, to: 4 }];
    expect(why({ ...empty, activities: [job('boil', 4, 0, { pools: pots })] })).toMatchObject({
      impossible: { why: 'tooLarge', needs: 'hob' },
    });
  });

  it('says which longest wait is too short for what there is, and what it would take', () => {
    const bake = (id: string): Activity => job(id, 1, 30, { oven: { oven: 'oven', shelves: 2, tempC: 200, from: 1, to: 31 } });
    const found = search({
      ...empty,
      activities: [bake('one'), bake('two'), job('chill', 5)],
      lags: ['one', 'two'].map((a) => ({ a, b: 'chill', from: 'end' as const, to: 'start' as const, min: 0, max: 20 })),
    });
    expect(found.ok ? undefined : found.why).toMatchObject({ impossible: { why: 'window', wider: { b: 'chill', max: 20, needs: 30 } } });
  });

  it('is an empty plan when there is nothing to do', () => {
    expect(planned(empty)).toEqual({ placed: [], makespan: 0 });
  });
});

describe('single laws, by numbers', () => {
  const minutes = (model: Partial<ScheduleModel>): number => planned({ ...empty, ...model }, 400).makespan;
  it('runs a hands-on job inside a simmer: 40 and 25 are 40', () => {
    expect(minutes({ activities: [job('simmer', 0, 40), job('sauce', 25)] })).toBe(40);
  });
  it('takes six trays of 18, 12, 9, 9, 6, 6 min on two tiers in 30 min', () => {
    const tier = (min: number, i: number): Activity => job(`t${i}`, 0, min, { pools: [{ pool: 'hob', units: 1, from: 0, to: min }] });
    expect(minutes({ activities: [18, 12, 9, 9, 6, 6].map(tier) })).toBe(30);
  });
  it('puts the nuts last in the bowl, and then washes nothing', () => {
    const paste = (id: string, cls: number): Activity => job(id, 5, 0, { unit: { group: 'bowl', cls, to: 5 } });
    const plan = planned({ ...empty, activities: [paste('walnut', 1), paste('onion', 0), paste('ginger', 0), paste('garlic', 0)] }, 400);
    expect(plan.makespan).toBe(20);
    expect(Math.max(...plan.placed.map((p) => p.start))).toBe(plan.placed.find((p) => p.task === 'walnut')!.start);
  });
  it('waits for the oven to cool down between two temperatures, whichever way is shorter', () => {
    const bake = (id: string, tempC: number): Activity => job(id, 0, 30, { oven: { oven: 'oven', shelves: 1, tempC, from: 0, to: 30 } });
    expect(minutes({ activities: [bake('bread', 220), bake('gratin', 180)] })).toBe(64);
    expect(minutes({ activities: [bake('bread', 220), bake('rolls', 220)] })).toBe(30);
  });
  it('keeps the pot from the sear to the wash-up, so that two stews in one pot follow each other', () => {
    const stew = (k: string): Activity[] => [job(`${k}.sear`, 5), job(`${k}.simmer`, 1, 30), job(`${k}.wash`, 4)];
    const tied = (k: string) => [
      { a: `${k}.sear`, b: `${k}.simmer`, from: 'end' as const, to: 'start' as const, min: 0 },
      { a: `${k}.simmer`, b: `${k}.wash`, from: 'end' as const, to: 'start' as const, min: 0 },
    ];
    const two = { activities: [...stew('a'), ...stew('b')], lags: [...tied('a'), ...tied('b')] };
    const spans = ['a', 'b'].map((k) => ({ pool: 'pot', units: 1, a: `${k}.sear`, b: `${k}.wash` }));
    expect(minutes({ ...two, spans, pools: [{ id: 'pot', capacity: 1 }] })).toBe(80);
    expect(minutes({ ...two, spans, pools: [{ id: 'pot', capacity: 2 }] })).toBe(46);
  });
});

describe('the checker', () => {
  it('sees whatever is moved so that a law breaks, and is content with what no law minds', () => {
    const model = generateKitchen('manyLags', randomFrom(9), 6);
    const plan = planned(model);
    const random = randomFrom(1);
    let seen = 0;
    const moves = 120;
    for (let k = 0; k < moves; k += 1) {
      const i = Math.floor(random() * plan.placed.length);
      const placed = plan.placed.map((p, j) => (j === i ? { ...p, start: Math.max(0, p.start - 1 - Math.floor(random() * 30)) } : p));
      const makespan = Math.max(...placed.map((p) => p.start + lengthOf(model, p.task)));
      if (checkPlan(model, { placed, makespan }).length > 0) seen += 1;
    }
    // a plan that was pressed to the left has little that may go further left
    expect(seen).toBeGreaterThan(moves * 0.8);
    expect(checkPlan(model, { ...plan, placed: plan.placed.slice(1) })).toMatchObject([{ code: 'missing' }]);
    expect(checkPlan(model, { ...plan, placed: plan.placed.map((p) => ({ ...p, cook: 'c0' })) }).map((f) => f.code)).toContain('twoAtOnce');
    expect(checkPlan(model, { ...plan, placed: plan.placed.map((p) => ({ ...p, wash: 0, unit: 0 })) }).map((f) => f.code)).toContain(
      'unitTwice',
    );
  });
});

const lengthOf = (model: ScheduleModel, id: string): number => {
  const a = model.activities.find((x) => x.id === id)!;
  return a.hands + a.wait;
};

describe('a job shop', () => {
  it('comes within a few per cent of the best that is known of published instances, never under it, and its bound never over it', () => {
    const known = [
      [15, 15, 840_612_802, 398_197_754, 1231],
      [15, 15, 1_314_640_371, 386_720_536, 1244],
    ] as const;
    for (const [jobs, machines, times, rows, best] of known) {
      const model = jobShop(taillard(jobs, machines, times, rows));
      const found = search(model, 120);
      if (!found.ok) throw new Error('a job shop has a schedule');
      expect(checkPlan(model, found.answer)).toEqual([]);
      expect(found.bound).toBeLessThanOrEqual(best);
      expect(found.cost).toBeGreaterThanOrEqual(best);
      expect(found.cost / best).toBeLessThan(1.06);
    }
  });

  it('is refused in words when it is none', () => {
    expect(() => jobShop({ jobs: [[[0, 1.5]]] })).toThrow('Job 1, operation 1');
    expect(() => jobShop({} as never)).toThrow('a list "jobs"');
  });
});
