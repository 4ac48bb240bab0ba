import { describe, expect, it } from 'vitest';
import { sessionView } from '#core/session';
import { testSession, testWorld } from '../session/fixtures.ts';
import { isSessionPart, sessionPart } from './index.ts';

const now = '2026-11-24T16:00:00.000Z';
const two = testSession([
  { id: 'b1', recipeId: 'rec1', revisionId: 'rev1', portions: 6 },
  { id: 'b2', recipeId: 'rec1', revisionId: 'rev1', portions: 12 },
]);
const view = sessionView(two, [], [], testWorld(), now);

describe('a session in the parts its pages need', () => {
  it('says of a draft what is cut once, bought and bound by', () => {
    const draft = sessionPart(view, 'draft');
    expect(draft.cutOnce.map((t) => t.title)).toEqual(['Dice onion']);
    const lines = view.list.flatMap((s) => s.lines).filter((l) => !l.onTheDay);
    expect(draft.buy.things).toBe(lines.length);
    expect(draft.buy.massG).toBeCloseTo(lines.filter((l) => l.unit === 'g').reduce((s, l) => s + l.amount, 0));
    expect(draft.boundMin).toBeLessThanOrEqual(draft.makespanMin);
    expect(draft.batches.map((b) => b.batch.id)).toEqual(['b1', 'b2']);
  });
  it('leaves the amounts to be cooked out of what is packed, and everything but the plan out of the plan', () => {
    const pack = sessionPart(view, 'pack');
    expect(pack.batches.map((b) => 'scaled' in b)).toEqual([false, false]);
    expect(pack.batches.map((b) => b.yield.ml)).toEqual(view.batches.map((b) => b.yield.ml));
    expect(Object.keys(sessionPart(view, 'plan'))).toEqual(['session', 'begun']);
  });
  it('says of a plan which dishes were begun, so that none goes without a question', () => {
    expect(sessionPart(view, 'plan').begun).toEqual([]);
    const [first, second] = view.batches;
    const cooked = {
      ...view,
      batches: [{ ...first!, yield: { ...first!.yield, how: 'weighed' as const } }, second!],
      tasks: view.tasks.map((t) => ({
        ...t,
        ...(t.batchIds.length === 1 && t.batchIds[0] === 'b1' && { log: { state: 'done' as const, extraMin: 0 } }),
      })),
    };
    expect(sessionPart(cooked, 'plan').begun).toMatchObject([
      {
        batchId: 'b1',
        weighed: true,
        packs: 0,
        work: view.tasks.filter((t) => t.batchIds.join() === 'b1').length,
        toPackMl: first!.toPackMl,
      },
    ]);
  });
  it('has the same figures in every part', () => {
    expect(sessionPart(view, 'cook').tasks).toBe(view.tasks);
    expect(sessionPart(view, 'shop').list).toBe(view.list);
    expect(sessionPart(view, 'shop').containers).toEqual(sessionPart(view, 'draft').fit.rows.find((r) => r.id === 'containers'));
  });
  it('says why there is no order of work, in the part that shows it', () => {
    const circle = { ...view, scheduleError: 'These steps wait for each other in a circle: a, b' };
    expect(sessionPart(circle, 'cook').scheduleError).toContain('circle');
    expect('scheduleError' in sessionPart(view, 'cook')).toBe(false);
  });
  it('has no part by a name of the language', () => {
    for (const name of ['constructor', 'toString', '__proto__', 'label', '']) expect(isSessionPart(name)).toBe(false);
  });
});
