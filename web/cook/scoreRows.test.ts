import { describe, expect, it } from 'vitest';
import type { TaskView } from '#core/session';
import type { SessionParts } from '#core/queries';
import { scoreRows } from './scoreRows.ts';

const now = '2026-11-28T10:00:00.000Z';

const task = (id: string, over: Partial<TaskView>): TaskView => ({
  id,
  batchIds: ['b1'],
  title: id,
  detail: '',
  handsOnMin: 5,
  waitMin: 0,
  after: [],
  needs: [],
  hazards: [],
  cleanliness: 3,
  guess: false,
  timeKey: id,
  seen: id,
  cookId: 'j',
  ...over,
});

const view = (tasks: TaskView[]): SessionParts['cook'] => ({
  session: {
    id: 's',
    name: 'Saturday',
    day: '2026-11-28',
    startAt: '09:00',
    cooks: [
      { id: 'j', name: 'Joaquim' },
      { id: 'n', name: 'Neighbour' },
    ],
    batches: [],
  },
  dishes: [
    { batchId: 'b1', name: 'Leek gratin', kind: 'meal' },
    { batchId: 'b2', name: 'Barley broth', kind: 'broth' },
  ],
  tasks,
  cooling: [],
  notes: [],
  rests: [],
});

describe('a session as a score', () => {
  const tasks = [
    task('done', {
      log: { state: 'done', startedAt: '2026-11-28T09:20:00.000Z', endedAt: '2026-11-28T09:40:00.000Z', extraMin: 0, actualMin: 20 },
    }),
    task('skipped', { log: { state: 'skipped', endedAt: '2026-11-28T09:45:00.000Z', extraMin: 0 } }),
    task('running', {
      log: { state: 'running', startedAt: '2026-11-28T09:55:00.000Z', extraMin: 0 },
      waitMin: 30,
      startMin: 0,
      endMin: 30,
      needs: [{ kind: 'oven', tempC: 200 }],
    }),
    task('bake', { startMin: 12, endMin: 40, waitMin: 23, needs: [{ kind: 'oven', tempC: 200 }] }),
    task('simmer', {
      startMin: 5,
      endMin: 65,
      waitMin: 55,
      batchIds: ['b2'],
      cookId: 'n',
      needs: [{ kind: 'hob' }],
      vessel: { count: 1, brimMl: 9000 },
    }),
    task('cool', { startMin: 65, endMin: 85, waitMin: 15, batchIds: ['b2'], cookId: 'n', follow: 'cool' }),
    task('cut', { startMin: 40, endMin: 45, batchIds: ['b1', 'b2'] }),
    task('tomorrow', { anotherDay: true }),
  ];
  const rows = scoreRows(view(tasks), now, 'gear');

  it('numbers each cook’s work from the first thing done, leaves out what was skipped or comes another day', () => {
    expect(rows.staves.map((s) => s.notes.map((n) => `${n.n} ${n.task.id}`))).toEqual([
      ['1 done', '2 running', '3 bake', '4 cut'],
      ['1 simmer', '2 cool'],
    ]);
  });

  it('draws what is past before now, as long as it took', () => {
    const [done, running] = rows.staves[0]!.notes;
    expect(done).toMatchObject({ startMin: -40, endMin: -20, past: true });
    expect(running).toMatchObject({ startMin: -5, handsEndMin: 0, endMin: 30, past: false });
    expect([rows.fromMin, rows.toMin]).toEqual([-40, 85]);
  });

  it('has a line for each thing, the pots by size, and no tail over another', () => {
    expect(rows.lines.map((l) => l.name)).toEqual(['Oven', '9 l pot', 'Ice bath']);
    const [oven] = rows.lines;
    expect(oven!.lanes).toBe(2);
    for (const line of rows.lines)
      for (const a of line.notes)
        for (const b of line.notes) if (a !== b && a.lane === b.lane) expect(a.endMin <= b.startMin || b.endMin <= a.startMin).toBe(true);
  });

  it('folds by dishes, with what is for several on a line of its own', () => {
    const names = scoreRows(view(tasks), now, 'dish').lines.map((l) => l.name);
    expect(names.toSorted()).toEqual(['Barley broth', 'For several dishes', 'Leek gratin']);
  });
});
