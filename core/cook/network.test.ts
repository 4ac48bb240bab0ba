import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { CoolingWay } from '#core/heat';
import { randomFrom } from '#core/solve';
import {
  checkSchedule,
  closingTasks,
  keptOf,
  moveTask,
  sayFault,
  scheduleModel,
  scheduleTasks,
  wouldHelp,
  type Kitchen,
  type Progress,
  type Schedule,
  type Task,
} from './index.ts';
import { checkPlan } from './schedule/index.ts';
import { testTask as task } from './fixtures.ts';

const kitchen: Kitchen = {
  cooks: [
    { id: 'j', name: 'Joaquim' },
    { id: 'n', name: 'Neighbour', away: [[0, 20]] },
  ],
  capacity: { hob: 4, oven: 2, processor: 1, pot: 3 },
  potsMl: [9000, 5400, 2800],
  boards: 3,
};

const inIce: CoolingWay = { way: 'ice', minutes: 17, iceKg: 6.2 };

/** A dish made up by chance: cut, cooked in a pot or baked, pureed or not, cooled, packed, washed up. */
function dish(batchId: string, random: () => number): Task[] {
  const int = (a: number, b: number): number => a + Math.floor(random() * (b - a + 1));
  const id = (k: string): string => `${batchId}.${k}`;
  const own = { batchIds: [batchId] };
  const step = (k: string) => ({ ...own, step: { batchId, stepId: k } });
  const raw = random() < 0.4;
  const cut = task(id('cut'), { ...own, handsOnMin: int(3, 20), board: true, cleanliness: raw ? 7 : int(0, 4) });
  const windows = raw ? { windows: [{ after: cut.id, from: 'end' as const, to: 'start' as const, maxMin: 30, why: 'raw' as const }] } : {};
  const baked = random() < 0.3;
  const cook = baked
    ? task(id('bake'), {
        ...step('bake'),
        ...windows,
        handsOnMin: 3,
        waitMin: int(20, 60),
        after: [cut.id],
        needs: [{ kind: 'oven', tempC: random() < 0.5 ? 180 : 220 }],
      })
    : task(id('simmer'), {
        ...step('simmer'),
        ...windows,
        handsOnMin: int(2, 8),
        waitMin: int(15, 90),
        after: [cut.id],
        needs: [{ kind: 'hob' }],
        vessel: { count: 1, brimMl: [2800, 5400, 9000][int(0, 2)]! },
      });
  const puree = task(id('puree'), {
    ...step('puree'),
    handsOnMin: int(4, 9),
    after: [cook.id],
    needs: [{ kind: 'processor' }],
    cleanliness: int(0, 3),
  });
  const cooked = random() < 0.4 ? [cut, cook, puree] : [cut, cook];
  const closing = closingTasks(
    [
      {
        batch: { id: batchId } as never,
        revision: { name: batchId, recipeId: batchId, steps: [] } as never,
        pots: baked ? 0 : 1,
        packs: int(1, 12),
        cooling: { way: 'ice', minutes: int(5, 30), iceKg: 2 },
      },
    ],
    cooked,
  );
  return [...cooked, ...closing];
}

const sessions = fc.record({ seed: fc.nat(50_000), dishes: fc.integer({ min: 1, max: 6 }) }).map(({ seed, dishes }) => {
  const random = randomFrom(seed);
  return Array.from({ length: dishes }, (_, i) => dish(`d${i}`, random)).flat();
});

function planned(tasks: readonly Task[], k: Kitchen = kitchen, progress: ReadonlyMap<string, Progress> = new Map(), more = {}): Schedule {
  const r = scheduleTasks(tasks, k, progress, more);
  if (!r.ok) throw new Error(JSON.stringify(r));
  return r.schedule;
}

describe('a session with boards, pots, windows and closing work', () => {
  it('breaks no law, by two checkers, and is the same each time', () => {
    fc.assert(
      fc.property(sessions, (tasks) => {
        const s = planned(tasks);
        expect(checkSchedule(tasks, { ...kitchen, capacity: { hob: 4, oven: 2, processor: 1 } }, s.slots)).toEqual([]);
        const model = scheduleModel({ tasks, kitchen, progress: new Map() });
        const placed = s.slots.map((x) => ({
          task: x.taskId,
          start: x.startMin,
          cook: x.cookId,
          ...(x.unit !== undefined && { unit: x.unit }),
          wash: x.washMin ?? 0,
        }));
        expect(checkPlan(model, { placed, makespan: s.makespanMin })).toEqual([]);
        expect(planned(tasks)).toEqual(s);
        expect(s.boundMin).toBeLessThanOrEqual(s.makespanMin);
        // nobody works before they come
        for (const slot of s.slots.filter((x) => x.cookId === 'n')) expect(slot.startMin - (slot.washMin ?? 0)).toBeGreaterThanOrEqual(20);
      }),
      { numRuns: process.env.TAMBO_THOROUGH ? 60 : 40 },
    );
  });

  it('keeps an order that was taken to the minute, and its cooks from the middle on', () => {
    fc.assert(
      fc.property(sessions, fc.integer({ min: 5, max: 90 }), (tasks, now) => {
        const s = planned(tasks);
        const again = planned(tasks, kitchen, new Map(), { kept: keptOf(s.slots) });
        expect(again.slots).toEqual(s.slots);
        const progress = new Map<string, Progress>(
          s.slots
            .filter((x) => x.startMin < now)
            .map((x) => [
              x.taskId,
              x.endMin <= now
                ? { state: 'done' as const, agoMin: now - x.endMin }
                : {
                    state: 'running' as const,
                    handsLeftMin: Math.max(0, x.handsEndMin - now),
                    waitLeftMin: x.endMin - Math.max(now, x.handsEndMin),
                  },
            ]),
        );
        const mine = tasks.map((t) => (progress.has(t.id) ? { ...t, cookId: s.slots.find((x) => x.taskId === t.id)!.cookId } : t));
        const later = {
          ...kitchen,
          cooks: [
            { id: 'j', name: 'Joaquim' },
            { id: 'n', name: 'Neighbour', ...(now < 20 && { away: [[0, 20 - now] as const] }) },
          ],
        };
        const left = planned(mine, later, progress, { kept: keptOf(s.slots).map((k) => ({ ...k, startMin: k.startMin - now })) });
        for (const slot of left.slots) expect(progress.get(slot.taskId)?.state).not.toBe('done');
        expect(left.slots).toHaveLength(tasks.length - [...progress.values()].filter((p) => p.state === 'done').length);
      }),
      { numRuns: process.env.TAMBO_THOROUGH ? 40 : 25 },
    );
  });

  it('moves a task where it may stand, and says what stands against it where it may not', () => {
    const tasks = dish('d0', randomFrom(3));
    const s = planned(tasks);
    const sitting = { tasks, kitchen, progress: new Map<string, Progress>() };
    const cut = tasks[0]!;
    const moved = moveTask(sitting, s.slots, { taskId: cut.id, startMin: 40 });
    expect(moved.ok && moved.schedule.slots.find((x) => x.taskId === cut.id)?.startMin).toBe(40);
    expect(moved.ok && moved.schedule.makespanMin).toBe(s.makespanMin + 40 - s.slots.find((x) => x.taskId === cut.id)!.startMin);
    const tooSoon = moveTask(sitting, s.slots, { taskId: tasks[1]!.id, startMin: 0 });
    expect(tooSoon).toMatchObject({ ok: false, fault: { code: 'lagShort' } });
    expect(!tooSoon.ok && tooSoon.nearestMin).toBe(s.slots.find((x) => x.taskId === tasks[1]!.id)!.startMin);
    const away = moveTask(sitting, s.slots, { taskId: cut.id, startMin: 5, cookId: 'n' });
    expect(away).toMatchObject({ ok: false, fault: { code: 'away' } });
  });

  it('holds one pot for one stew until it is washed up, and a larger one does as well', () => {
    const stew = (b: string, brimMl: number): Task[] => {
      const simmer = task(`${b}.simmer`, {
        batchIds: [b],
        step: { batchId: b, stepId: 's' },
        handsOnMin: 2,
        waitMin: 30,
        needs: [{ kind: 'hob' }],
        vessel: { count: 1, brimMl },
      });
      return [
        simmer,
        ...closingTasks(
          [{ batch: { id: b } as never, revision: { name: b, recipeId: b, steps: [] } as never, pots: 1, packs: 4, cooling: inIce }],
          [simmer],
        ),
      ];
    };
    const big = planned([...stew('a', 9000), ...stew('b', 9000)]);
    const a = big.slots.filter((x) => x.taskId.endsWith('a') || x.taskId.startsWith('a'));
    const wash = big.slots.filter((x) => x.taskId.startsWith('wash:')).toSorted((x, y) => x.startMin - y.startMin);
    const simmers = big.slots.filter((x) => x.taskId.endsWith('.simmer')).toSorted((x, y) => x.startMin - y.startMin);
    expect(a.length).toBeGreaterThan(0);
    expect(simmers[1]!.startMin).toBeGreaterThanOrEqual(wash[0]!.endMin);
    const small = planned([...stew('a', 9000), ...stew('b', 2800)]);
    expect(small.makespanMin).toBeLessThan(big.makespanMin);
    // without the small one the wide one takes it
    const fewer = planned([...stew('a', 9000), ...stew('b', 2800)], { ...kitchen, potsMl: [9000, 5400] });
    expect(fewer.makespanMin).toBe(small.makespanMin);
  });

  it('leaves what comes after a night’s wait for another day', () => {
    const steep = task('steep', { waitMin: 14 * 24 * 60 });
    const strain = task('strain', { after: ['steep'] });
    const s = planned([steep, strain, task('cut')]);
    expect(s.slots.map((x) => x.taskId).sort()).toEqual(['cut', 'steep']);
    expect(s.makespanMin).toBe(10);
  });

  it('puts what is due since the pot came off the heat first, and says the minutes that are late', () => {
    const cool = (agoMin: number): Schedule => {
      const simmer = task('simmer', { batchIds: ['b'], step: { batchId: 'b', stepId: 's' }, needs: [{ kind: 'hob' }] });
      const closing = closingTasks(
        [{ batch: { id: 'b' } as never, revision: { name: 'b', recipeId: 'b', steps: [] } as never, pots: 1, packs: 2, cooling: inIce }],
        [simmer],
      );
      return planned(
        [simmer, ...closing, task('other', { handsOnMin: 40 })],
        { ...kitchen, cooks: [kitchen.cooks[0]!] },
        new Map([['simmer', { state: 'done', agoMin }]]),
      );
    };
    expect(cool(10).lateMin).toBe(0);
    expect(cool(10).slots[0]!.taskId).toBe('cool:b');
    expect(cool(110).lateMin).toBeGreaterThan(0);
  });

  it('says what one thing more would save, and nothing that is no saving', () => {
    const tasks = Array.from({ length: 6 }, (_, i) => task(`t${i}`, { handsOnMin: 20 }));
    const lone = { ...kitchen, cooks: [kitchen.cooks[0]!] };
    const s = planned(tasks, lone);
    const help = [...wouldHelp({ tasks, kitchen: lone, progress: new Map() }, s, 20)].filter((h) => h !== undefined);
    expect(help).toEqual([{ what: 'cook', savesMin: 60 }]);
  });
});

describe('why a task cannot stand somewhere', () => {
  const names = { task: (id: string) => id, cook: (id: string) => (id === 'j' ? 'Joaquim' : 'Nobody'), at: () => '13:00' };
  it.each([
    [{ code: 'lagShort', tasks: ['cut', 'sear'] }, 'It comes after “cut”.'],
    [{ code: 'lagShort', tasks: ['sear', 'simmer'] }, '“simmer” comes after it.'],
    [{ code: 'twoAtOnce', tasks: ['sear', 'cut'], what: 'j' }, 'Joaquim is at “cut” then.'],
    [{ code: 'tooMany', tasks: ['sear', 'stew'], what: 'pot 9000' }, 'The 9 l pot is taken then, by “stew”.'],
    [{ code: 'tooMany', tasks: ['sear', 'stew'], what: 'hob' }, 'The burners are taken then, by “stew”.'],
    [{ code: 'temperature', tasks: ['sear', 'bread'] }, 'The oven is at another temperature then, for “bread”.'],
    [{ code: 'closed', tasks: ['sear'], at: 4 }, 'It is loud, and 13:00 is in the quiet hours.'],
  ] as const)('is said: %o', (fault, says) => expect(sayFault(fault, 'sear', names)).toBe(says));
});
