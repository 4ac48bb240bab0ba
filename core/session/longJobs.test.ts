import { describe, expect, it } from 'vitest';
import { testTask as task } from '../cook/fixtures.ts';
import { dayOfJob, longJobs } from './index.ts';
import type { TaskLog } from './log.ts';

const zone = 'Europe/London';
const begun = '2026-10-01T09:30:00.000Z';
const fortnight = 14 * 24 * 60;
const steep = task('steep', { title: 'Steep in a dark place; shake it every day.', handsOnMin: 0, waitMin: fortnight });
const strain = task('strain', { title: 'Strain, and bottle it.', after: ['steep'] });
const jobs = (log: [string, Partial<TaskLog>][], tasks = [steep, strain]) =>
  longJobs(
    { id: 's' },
    tasks,
    { tasks: new Map(log.map(([id, l]) => [id, { state: 'running', extraMin: 0, ...l }])) },
    () => 'Lemon vinegar',
  );

describe('work over days', () => {
  it('begun on 1 October is ready on the 15th, with a hand a day and what comes then', () => {
    const [job, ...more] = jobs([['steep', { startedAt: begun }]]);
    expect(more).toEqual([]);
    expect(job).toMatchObject({ readyAt: '2026-10-15T09:30:00.000Z', daily: true, next: 'Strain', dish: 'Lemon vinegar' });
    expect(dayOfJob(job!, '2026-10-04', zone)).toEqual({ day: 3, of: 14 });
    expect(dayOfJob(job!, '2026-10-15', zone)).toEqual({ day: 14, of: 14 });
  });
  it('is counted by the household’s days over the change of the clocks', () => {
    const [job] = jobs([['steep', { startedAt: '2026-10-20T22:30:00.000Z' }]]);
    // 23:30 summer time on the 20th; a fortnight of hours later it is 22:30 on 3 November
    expect(dayOfJob(job!, '2026-10-27', zone)).toEqual({ day: 7, of: 14 });
  });
  it('is nothing before it was begun, once it is done, or when it is over the same day', () => {
    expect(jobs([])).toEqual([]);
    expect(jobs([['steep', { state: 'done', startedAt: begun }]])).toEqual([]);
    expect(jobs([['simmer', { startedAt: begun }]], [task('simmer', { waitMin: 240 })])).toEqual([]);
  });
  it('waits longer when it was given longer', () =>
    expect(jobs([['steep', { startedAt: begun, extraMin: 24 * 60 }]])[0]!.readyAt).toBe('2026-10-16T09:30:00.000Z'));
});
