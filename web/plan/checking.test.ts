import { describe, expect, it } from 'vitest';
import type { Session } from '#core/contract';
import type { SessionParts } from '#core/queries';
import { checking, notChecked, type PlanCheck } from './checking.ts';

type Draft = SessionParts['draft'];
const plan = (name: string): Session => ({
  id: 's',
  name,
  day: '2026-11-28',
  startAt: '09:00',
  cooks: [{ id: 'c', name: 'Jo' }],
  batches: [],
});
const comesTo = (name: string): Draft => ({ notes: [{ recipeId: 'r', name, text: '' }] }) as unknown as Draft;

/** A worker that answers when it is told to. */
function slowly() {
  const asked: string[] = [];
  const waiting: ((answer: Draft | undefined | Error) => void)[] = [];
  const told: PlanCheck[] = [];
  const work = checking(
    (session) => {
      asked.push(session.name);
      return new Promise((resolve, reject) => waiting.push((a) => (a instanceof Error ? reject(a) : resolve(a))));
    },
    (check) => told.push(check),
  );
  const answer = async (a: Draft | undefined | Error): Promise<void> => {
    waiting.shift()?.(a);
    await new Promise((done) => setTimeout(done));
  };
  return { asked, told, work, answer };
}

describe('checking a plan at every key', () => {
  it('asks for what was typed last alone, once the answer before has come', async () => {
    const { asked, told, work, answer } = slowly();
    for (const name of ['1', '12', '120', '12']) work.check(plan(name));
    expect(asked).toEqual(['1']);
    await answer(comesTo('1'));
    expect(asked).toEqual(['1', '12']);
    expect(told.at(-1)).toMatchObject({ busy: true, problem: undefined });
    await answer(comesTo('12'));
    expect(told.at(-1)).toEqual({ draft: comesTo('12'), busy: false, problem: undefined });
    work.check(plan('13'));
    expect(asked.at(-1)).toBe('13');
  });
  it('keeps the answer before and says so when there is none, and goes on when there is one again', async () => {
    const { told, work, answer } = slowly();
    work.check(plan('1'));
    await answer(comesTo('1'));
    for (const nothing of [undefined, new Error('the worker fell over')]) {
      work.check(plan('2'));
      await answer(nothing);
      expect(told.at(-1)).toEqual({ draft: comesTo('1'), busy: false, problem: notChecked });
    }
    work.check(plan('3'));
    await answer(comesTo('3'));
    expect(told.at(-1)).toMatchObject({ draft: comesTo('3'), problem: undefined });
  });
  it('says nothing any more once the page is left', async () => {
    const { told, work, answer } = slowly();
    work.check(plan('1'));
    work.end();
    await answer(comesTo('1'));
    expect(told).toEqual([]);
  });
});
