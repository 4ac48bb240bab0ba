import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { TamboEvent } from '#core/contract';
import { sessionView, type SessionView } from '#core/session';
import { testInstant } from '../store/fixtures.ts';
import { testSession, testWorld } from '../session/fixtures.ts';
import { sessionWithPending } from './index.ts';

const now = '2026-11-24T16:00:00.000Z';
const session = {
  ...testSession(),
  cooks: [
    { id: 'j', name: 'Joaquim' },
    { id: 'o', name: 'Osk' },
  ],
};
const world = testWorld();
const viewAfter = (events: readonly TamboEvent[]): SessionView => sessionView(session, events, [], world, now);
const plain = viewAfter([]);
const tasks = plain.tasks.map((t) => t.id);
const lines = plain.list.flatMap((s) => s.lines);

const act = fc.oneof(
  fc.record({
    type: fc.constantFrom('taskStarted', 'taskDone', 'taskSkipped', 'taskHanded', 'taskExtended'),
    n: fc.nat(),
    cook: fc.constantFrom('j', 'o'),
  }),
  fc.record({ type: fc.constantFrom('ticked', 'unticked'), n: fc.nat(), cook: fc.constant('j') }),
  fc.record({ type: fc.constant('undone'), n: fc.nat(), cook: fc.constant('j') }),
);

/** One tap after another; nothing of the first `from` is taken back. */
const eventsOf = (acts: { type: string; n: number; cook: string }[], from: number): TamboEvent[] => {
  const made: TamboEvent[] = [];
  for (const [i, a] of acts.entries()) {
    const line = lines[a.n % lines.length]!;
    const target = made
      .slice(from)
      .filter((e) => e.type !== 'undone')
      .at(a.n % 3);
    const data =
      a.type === 'undone'
        ? { eventId: target?.id ?? '' }
        : a.type === 'ticked' || a.type === 'unticked'
          ? { sessionId: 's1', key: line.key, amount: line.amount, unit: line.unit, how: a.n % 2 ? 'bought' : 'haveIt' }
          : { sessionId: 's1', taskId: tasks[a.n % tasks.length], cookId: a.cook, minutes: 5, actualMin: 7 };
    if (a.type === 'undone' && !target) continue;
    made.push({
      id: `e${i}`,
      type: a.type,
      subjects: ['s1'],
      instant: testInstant(i),
      device: 'd',
      counter: i,
      version: 1,
      data,
    } as TamboEvent);
  }
  return made;
};

const logged = (view: SessionView) => ({
  tasks: Object.fromEntries(view.tasks.map((t) => [t.id, { log: t.log, seen: t.seen }])),
  ticks: Object.fromEntries(view.list.flatMap((s) => s.lines).map((l) => [l.key, { ticked: l.ticked, seen: l.seen }])),
});

describe('a session with what is pending on this device', () => {
  it('is what the server will say once it has it all, however much of it the view knows already', () => {
    fc.assert(
      fc.property(fc.array(act, { maxLength: 14 }), fc.nat({ max: 14 }), fc.nat({ max: 14 }), (acts, k, more) => {
        const from = Math.min(k, acts.length);
        // what the view knows already is taken back on the server alone
        const events = eventsOf(acts, from + more);
        const sent = events.slice(0, from + more);
        const view = sessionWithPending(viewAfter(sent), events.slice(from));
        expect(logged(view)).toEqual(logged(viewAfter(events)));
      }),
    );
  });
  it('is the same object when nothing waits for it', () => {
    expect(sessionWithPending(plain, [])).toBe(plain);
    const elsewhere = eventsOf([{ type: 'taskDone', n: 0, cook: 'j' }], 0).map((e) => ({ ...e, subjects: ['s2'] }));
    expect(sessionWithPending(plain, elsewhere)).toBe(plain);
  });
  it('names the cook a task was handed to', () => {
    const view = sessionWithPending(plain, eventsOf([{ type: 'taskHanded', n: 0, cook: 'o' }], 0));
    expect(view.tasks.find((t) => t.id === tasks[0])).toMatchObject({ cookId: 'o', cook: 'Osk' });
  });
});
