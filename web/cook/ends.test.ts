import { describe, expect, it } from 'vitest';
import { clockPlus } from '#core/kitchen';
import type { TaskView } from '#core/session';
import type { SessionParts } from '#core/queries';
import { sayBound, sayEnds } from './ends.ts';

type Cook = SessionParts['cook'];

const at = (min: number): string => clockPlus('09:00', min);
const schedule = (over: Partial<NonNullable<Cook['schedule']>>): NonNullable<Cook['schedule']> => ({
  slots: [],
  makespanMin: 240,
  handsMin: 200,
  boundMin: 210,
  binding: { by: 'chain' },
  bindingTaskIds: ['keep'],
  lateMin: 0,
  ...over,
});
const view = (over: Partial<Cook>): Cook => ({
  session: { id: 's', name: 'Saturday', day: '2026-11-28', startAt: '09:00', cooks: [{ id: 'j', name: 'Joaquim' }], batches: [] },
  dishes: [{ batchId: 'b', name: 'Barley broth', kind: 'broth' }],
  tasks: [{ id: 'keep', batchIds: ['b'], title: 'Keep it barely moving' } as TaskView],
  cooling: [],
  notes: [],
  rests: [],
  schedule: schedule({}),
  ...over,
});

describe('when a session ends', () => {
  it('says a guess as one, and the household’s own pace beside the plan', () => {
    const first = sayEnds(view({ promise: { likelyMin: 240, lateMin: 288, sessions: 1 } }), at, false);
    expect(first.replaceAll('\u00A0', ' ')).toBe(
      'Sat 28 Nov from 09:00, ends about 13:00, four times in five before 13:48 (a guess, until three sessions were timed).',
    );
    expect(sayEnds(view({ promise: { likelyMin: 264, lateMin: 270, sessions: 6 } }), at, true)).toBe(
      'It ends 13:00 as written; at your own pace about 13:24, four times in five before 13:30.',
    );
  });

  it('counts back from when it is to be over, by what four days in five take, until it has begun', () => {
    const due = view({ promise: { likelyMin: 264, lateMin: 270, sessions: 6 } });
    due.session.finishBy = '16:00';
    expect(sayEnds(due, at, false)).toContain('To be done by 16:00 four times in five, start by 11:30.');
    expect(sayEnds(due, at, true)).not.toContain('start by');
  });

  it.each([
    [{ by: 'chain' }, 'It cannot end before 12:30: Barley broth takes that long.'],
    [{ by: 'hands', what: 'j' }, 'your hands are busy till then.'],
    [{ by: 'pool', what: 'pot 9000' }, 'Barley broth needs the 9 l pot till then.'],
    [{ by: 'oven', what: 'oven' }, 'Barley broth needs the oven till then.'],
    [{ by: 'pool', what: 'hob' }, 'the burners are taken till then.'],
  ] as const)('names what binds: %o', (binding, says) => expect(sayBound(view({ schedule: schedule({ binding }) }), at)).toContain(says));

  it('says nothing of a session without an order', () => {
    const none: Cook = view({});
    delete none.schedule;
    expect([sayEnds(none, at, false), sayBound(none, at)]).toEqual(['', '']);
  });
});
