import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { TamboEvent } from '#core/contract';
import { addMinutes } from '#core/kitchen';
import { testRevision } from '../recipe/fixtures.ts';
import { testSession, testWorld } from './fixtures.ts';
import { alarmsOf, cooksNow, doneEarly, sayAlarm, sessionView, timersNow, type RunningTimer, type SessionView } from './index.ts';

const start = '2026-11-28T09:00:00.000Z';
const step = (id: string, hands: number, wait: number, after: string[], title = `Do ${id}`) => ({
  id,
  text: title,
  uses: [],
  needs: wait > 0 ? [{ kind: 'oven' as const, tempC: 200 }] : [],
  handsOnMin: hands,
  handsOnPerKgMin: 0,
  waitMin: wait,
  ...(wait > 0 && { cue: 'brown at the edges' }),
  hazards: [],
  after,
  guess: false,
});
const revision = testRevision({
  lines: [],
  steps: [
    step('a', 10, 0, []),
    step('b', 5, 30, ['a'], 'Roast it until dark, then turn'),
    step('c', 8, 0, []),
    step('d', 4, 0, ['b', 'c']),
  ],
});
const session = {
  ...testSession(),
  cooks: [
    { id: 'j', name: 'Joaquim' },
    { id: 'n', name: 'Neighbour' },
  ],
};
const world = testWorld({}, [revision]);

function kitchen() {
  const events: TamboEvent[] = [];
  return {
    log(type: 'taskStarted' | 'taskDone' | 'taskSkipped' | 'taskReopened' | 'taskHanded' | 'taskExtended', at: string, data: object): void {
      events.push({
        id: `e${events.length}`,
        type,
        subjects: ['s1'],
        instant: at,
        device: 'd',
        counter: events.length,
        version: 1,
        data: { sessionId: 's1', ...data },
      } as TamboEvent);
    },
    view: (now: string): SessionView => sessionView(session, events, [], world, now),
  };
}
const idOf = (view: SessionView, step: string): string => view.tasks.find((t) => t.id.endsWith(`:${step}`))!.id;

describe('two cooks side by side', () => {
  it('each have their own task, and what must wait says for how long', () => {
    const k = kitchen();
    const [j, n] = cooksNow(k.view(start), start);
    expect(new Set([j!.task!.id, n!.task!.id]).size).toBe(2);
    expect([j!.task!.title, n!.task!.title].toSorted()).toEqual(['Do a', 'Do c']);
  });
  it('hold on to what is in their hands, are free while it minds itself, and look when it is up', () => {
    const k = kitchen();
    const a = idOf(k.view(start), 'a');
    k.log('taskDone', start, { taskId: a });
    const b = idOf(k.view(start), 'b');
    k.log('taskStarted', start, { taskId: b, cookId: 'j' });
    const at = (min: number) => cooksNow(k.view(addMinutes(start, min)), addMinutes(start, min))[0]!;
    expect(at(2)).toMatchObject({ task: { id: b }, state: 'running' });
    expect(at(12).task?.id).not.toBe(b);
    expect(at(36)).toMatchObject({ task: { id: b }, state: 'up' });
    expect(timersNow(k.view(addMinutes(start, 12)), addMinutes(start, 12))).toMatchObject([
      { id: b, leftMin: 23, cook: 'Joaquim', name: expect.stringContaining('roast it until dark') },
    ]);
    k.log('taskExtended', addMinutes(start, 36), { taskId: b, minutes: 5 });
    expect(alarmsOf(timersNow(k.view(addMinutes(start, 36)), addMinutes(start, 36)))).toEqual([]);
    expect(alarmsOf(timersNow(k.view(addMinutes(start, 41)), addMinutes(start, 41)))).toHaveLength(1);
  });
  it('hand a task over', () => {
    const k = kitchen();
    const c = idOf(k.view(start), 'c');
    const other = cooksNow(k.view(start), start).find((x) => x.task!.id !== c)!;
    k.log('taskHanded', start, { taskId: c, cookId: other.cookId });
    const mine = cooksNow(k.view(start), start).find((x) => x.cookId === other.cookId)!;
    expect([mine.task!.id, ...mine.after.map((t) => t.id)]).toContain(c);
  });
  it('finish everything, in a valid order, however long each takes', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 40 }), { minLength: 60, maxLength: 60 }), (minutes) => {
        const k = kitchen();
        let now = start;
        let i = 0;
        const done: string[] = [];
        while (k.view(now).tasks.some((t) => t.log?.state !== 'done')) {
          expect(i).toBeLessThan(60);
          for (const cook of cooksNow(k.view(now), now)) {
            const { task, state } = cook;
            if (!task || done.includes(task.id)) continue;
            if (state === 'next') {
              expect(task.after.every((x) => done.includes(x))).toBe(true);
              k.log('taskStarted', now, { taskId: task.id, cookId: cook.cookId });
            }
            if (task.waitMin === 0 || state === 'up') {
              k.log('taskDone', now, { taskId: task.id });
              done.push(task.id);
            }
          }
          now = addMinutes(now, minutes[i % 60]! + 1);
          i += 1;
        }
        expect(new Set(done).size).toBe(k.view(start).tasks.length);
      }),
    );
  });
});

describe('an alarm', () => {
  const timer: RunningTimer = {
    id: 't',
    dish: 'Leek gratin',
    name: 'Leek gratin: bake it',
    kind: 'meal',
    leftMin: 0,
    limit: false,
    cook: 'Joaquim',
    cue: 'gold on top',
  };
  it('is spoken by name, with what to look for', () =>
    expect(sayAlarm(timer)).toBe('Joaquim. Leek gratin: bake it. Look now. Done when gold on top.'));
  it('of a limit comes while there is time', () => {
    const limit = { ...timer, limit: true, name: 'Stew: under 21 °C' };
    expect(alarmsOf([{ ...limit, leftMin: 40 }])).toEqual([]);
    expect(alarmsOf([{ ...limit, leftMin: 19 }])).toHaveLength(1);
    expect(sayAlarm({ ...limit, leftMin: 19.4 })).toBe('Stew: under 21 °C in 19 minutes. Ice, or split it shallow.');
  });
});

describe('second thoughts at the worktop', () => {
  it('takes up again what was skipped by mistake, and what leans on it waits again', () => {
    const k = kitchen();
    const a = idOf(k.view(start), 'a');
    k.log('taskSkipped', start, { taskId: a });
    expect(cooksNow(k.view(start), start).map((c) => c.task?.title)).toContain('Roast it until dark, then turn');
    k.log('taskReopened', addMinutes(start, 1), { taskId: a });
    const view = k.view(addMinutes(start, 1));
    expect(view.tasks.find((t) => t.id === a)!.log).toBeUndefined();
    expect(cooksNow(view, addMinutes(start, 1)).map((c) => c.task?.title)).not.toContain('Roast it until dark, then turn');
  });
  it('begins anew what was called done by mistake: its minutes are forgotten', () => {
    const k = kitchen();
    const a = idOf(k.view(start), 'a');
    k.log('taskStarted', start, { taskId: a });
    k.log('taskDone', addMinutes(start, 1), { taskId: a, actualMin: 1 });
    k.log('taskReopened', addMinutes(start, 2), { taskId: a });
    k.log('taskStarted', addMinutes(start, 3), { taskId: a });
    expect(k.view(addMinutes(start, 4)).tasks.find((t) => t.id === a)!.log).toEqual({
      state: 'running',
      extraMin: 0,
      startedAt: addMinutes(start, 3),
    });
  });
  it.each([
    [1, true],
    [8, true],
    [9, false],
    [34, false],
  ])('asks whether a roast of 35 minutes is done after %i: %s', (minute, asks) => {
    const k = kitchen();
    const b = idOf(k.view(start), 'b');
    k.log('taskStarted', start, { taskId: b });
    const now = addMinutes(start, minute);
    expect(
      doneEarly(
        k.view(now).tasks.find((t) => t.id === b)!,
        now,
      ),
    ).toBe(asks);
  });
  it('asks nothing of what has no clock', () => {
    const view = kitchen().view(start);
    for (const t of view.tasks) expect(doneEarly(t, start)).toBe(false);
  });
});
