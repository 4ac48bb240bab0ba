import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gapOf, randomFrom, solve, type Best, type Solver } from './index.ts';

/** Bags of these volumes into as few boxes of 10 l as possible: first fit in a shuffled order, over and over. */
const boxes: Solver<number[], number[][], 'too large'> = function* (bags, random) {
  if (bags.some((b) => b > 10)) {
    yield { impossible: 'too large' };
    return;
  }
  yield { bound: Math.ceil(bags.reduce((s, b) => s + b, 0) / 10) };
  for (let n = 0; n < 200; n += 1) {
    const packed: number[][] = [];
    const order =
      n === 0
        ? bags
        : bags
            .map((b) => ({ b, at: random() }))
            .sort((x, y) => x.at - y.at)
            .map((x) => x.b);
    for (const bag of order) {
      const box = packed.find((p) => p.reduce((s, b) => s + b, 0) + bag <= 10);
      if (box) box.push(bag);
      else packed.push([bag]);
    }
    yield { answer: packed, cost: packed.length };
  }
};

const bags = fc.array(fc.integer({ min: 1, max: 10 }), { maxLength: 12 });

describe('running a solver', () => {
  it('gives a whole answer, never under the bound, the same for the same seed, never worse with more steps', () => {
    fc.assert(
      fc.property(bags, fc.integer({ min: 2, max: 60 }), fc.integer(), (list, steps, seed) => {
        const some = solve(boxes, list, { seed, mostSteps: steps });
        const more = solve(boxes, list, { seed, mostSteps: steps * 2 });
        if (!some.ok || !more.ok) throw new Error('these bags all fit in a box');
        expect(some.answer.flat().sort()).toEqual([...list].sort());
        expect(some.cost).toBeGreaterThanOrEqual(some.bound);
        expect(more.cost).toBeLessThanOrEqual(some.cost);
        expect(solve(boxes, list, { seed, mostSteps: steps })).toEqual(some);
        expect(some.ended).toBe(some.cost === some.bound ? 'proven' : 'steps');
      }),
    );
  });
  it('stops as soon as the answer is proven', () =>
    expect(solve(boxes, [5, 5, 5, 5], { seed: 1 })).toMatchObject({ ok: true, cost: 2, bound: 2, ended: 'proven', steps: 2 }));
  it('says that there is none only when the solver knows it', () => {
    expect(solve(boxes, [11], { seed: 1 })).toMatchObject({ ok: false, why: { impossible: 'too large' } });
    expect(solve(boxes, [6, 6], { seed: 1, mostSteps: 1 })).toEqual({ ok: false, why: { noneFound: 'steps' }, bound: 2, steps: 1 });
    expect(solve(function* () {}, [], { seed: 1 })).toMatchObject({ ok: false, why: { noneFound: 'exhausted' } });
  });
  it('keeps the best there is when it is cancelled or the time is up', () => {
    const signal = { aborted: false };
    const seen: Best<number[][]>[] = [];
    const list = [4, 4, 6, 6];
    const cancelled = solve(boxes, list, { seed: 1, signal, onBetter: (best) => void (seen.push(best), (signal.aborted = true)) });
    expect(cancelled).toMatchObject({ ok: true, ended: 'cancelled', ...seen[0] });
    let now = 0;
    const late = solve(boxes, [6, 6, 6, 6, 1], { seed: 1, clock: () => (now += 10), deadlineMs: 55 });
    expect(late).toMatchObject({ ok: true, ended: 'deadline', steps: 5, cost: 4, bound: 3 });
    expect(late.ok && gapOf(late)).toBe(0.25);
  });
  it('does not hide that a bound or an answer is wrong', () => {
    const wrong: Solver<null, string> = function* () {
      yield { bound: 5 };
      yield { answer: 'too good', cost: 4 };
    };
    expect(() => solve(wrong, null, { seed: 1 })).toThrow(RangeError);
  });
});

it('chance is the same for the same seed, and spread evenly', () => {
  const row = (seed: number) => Array.from({ length: 4000 }, randomFrom(seed));
  expect(row(7)).toEqual(row(7));
  expect(row(7)).not.toEqual(row(8));
  const tenths = Array.from({ length: 10 }, (_, i) => row(3).filter((x) => Math.floor(x * 10) === i).length);
  expect(Math.min(...tenths)).toBeGreaterThan(330);
  expect(Math.max(...tenths)).toBeLessThan(470);
});
