import fc from 'fast-check';
import request from 'supertest';
import { afterAll, describe, expect, it } from 'vitest';
import type { Session, TamboEvent } from '#core/contract';
import { addMinutes } from '#core/kitchen';
import { codeFrom } from '#core/pack';
import { eatAnswer, frameAnswer, kitchenAnswer, sessionsAnswer, storeAnswer, todayAnswer, todayOf, viewOf } from '#core/queries';
import { withPending, openSnapshot, type Snapshot } from '#core/sync';
import { acceptEvents } from '../events/index.ts';
import { stamped, testServer } from '../testing.ts';
import { testFilled } from '../../core/store/fixtures.ts';
import { packsInStore } from './world.ts';

const now = '2026-11-24T16:00:00.000Z';

function demo() {
  const s = testServer(now, { demo: true });
  const get = async <T>(path: string): Promise<T> => (await request(s.app).get(`/api${path}`)).body as T;
  return { ...s, get };
}

/** What pages show, from a kept household; undefined fields are dropped as they are on the wire. */
function pages(snapshot: Snapshot, sessionId: string): Record<string, unknown> {
  const { world, records } = openSnapshot(snapshot);
  const session = records.sessions().find((x) => x.id === sessionId) as Session;
  return JSON.parse(
    JSON.stringify({
      frame: frameAnswer(world, records, now, true),
      today: todayAnswer(world, records, now),
      eat: eatAnswer(world, records, now),
      store: storeAnswer(world, records, now),
      kitchen: kitchenAnswer(world, records, now),
      sessions: sessionsAnswer(world, records, todayOf(world, now)),
      session: viewOf(session, world, records, now),
    }),
  ) as Record<string, unknown>;
}

const shared = demo();
afterAll(() => shared.close());

describe('the kept household', () => {
  it('answers every page as the server does', async () => {
    const { sessions } = await shared.get<{ sessions: { id: string; day: string }[] }>('/sessions');
    const next = sessions.find((x) => x.day > '2026-11-24')!;
    const snapshot = await shared.get<Snapshot>('/snapshot');
    const here = pages(snapshot, next.id);
    for (const [name, path] of [
      ['frame', '/frame'],
      ['today', '/today'],
      ['eat', '/eat'],
      ['store', '/store'],
      ['kitchen', '/kitchen'],
      ['sessions', '/sessions'],
      ['session', `/sessions/${next.id}`],
    ] as const)
      expect(here[name], name).toEqual(await shared.get(path));
  });

  it('counts eaten broth by the half litre, here as on the server', async () => {
    const s = demo();
    try {
      const filled = stamped('filled', ['broth1'], testFilled({ code: codeFrom(7), kind: 'broth', portions: 5, volumeMl: 1000 }));
      expect(acceptEvents(s.db, [filled], now)[0]?.status).toBe('kept');
      const event = stamped('eaten', ['broth1'], {
        day: '2026-11-24',
        meal: 'dinner',
        shares: [{ eaterId: 'eater_osk', portions: 4 }],
        guests: 0,
        rest: 'fridge',
      });
      const units = async (): Promise<number> =>
        (await s.get<Snapshot>('/snapshot')).eatenDays.filter((d) => d.group === 'broth').reduce((sum, d) => sum + d.portions, 0);
      const before = await units();
      const waiting = withPending(await s.get<Snapshot>('/snapshot'), { events: [event], writes: [] });
      expect(acceptEvents(s.db, [event], now)[0]?.status).toBe('kept');
      const drunk = 1.6;
      expect(await units()).toBeCloseTo(before + drunk, 9);
      expect(waiting.eatenDays.filter((d) => d.group === 'broth').reduce((sum, d) => sum + d.portions, 0)).toBeCloseTo(before + drunk, 9);
    } finally {
      s.close();
    }
  });

  it('shows what waits as the server will once it is sent', async () => {
    const happening = fc.record({
      pick: fc.nat(),
      minutes: fc.integer({ min: 0, max: 300 }),
      what: fc.constantFrom('eaten', 'half', 'pulled', 'planned', 'moved', 'discarded', 'ticked', 'taskStarted', 'taskDone', 'undone'),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(happening, { minLength: 1, maxLength: 12 }), async (list) => {
        const s = demo();
        try {
          const snapshot = await s.get<Snapshot>('/snapshot');
          const { sessions } = await s.get<{ sessions: { id: string; day: string }[] }>('/sessions');
          const next = sessions.find((x) => x.day > '2026-11-24')!;
          const view = await s.get<{ tasks: { id: string }[]; list: { lines: { key: string; amount: number; unit: string }[] }[] }>(
            `/sessions/${next.id}`,
          );
          const lines = view.list.flatMap((x) => x.lines);
          const packs = packsInStore(s.db);
          const events: TamboEvent[] = [];
          list.forEach(({ pick, minutes, what }, i) => {
            const pack = packs[pick % packs.length]!;
            const task = view.tasks[pick % view.tasks.length]!;
            const line = lines[pick % lines.length]!;
            const add = (type: string, subjects: string[], data: unknown): void =>
              void events.push({
                id: `wait${i}`,
                type,
                subjects,
                instant: addMinutes(now, minutes * 0.1 + i),
                device: 'phone',
                counter: i,
                version: 1,
                data,
              } as TamboEvent);
            const meal = { day: '2026-11-24', meal: 'dinner' };
            if (what === 'eaten' || what === 'half')
              add('eaten', [pack.packId], {
                ...meal,
                shares: [{ eaterId: 'eater_osk', portions: what === 'half' ? pack.left / 2 : pack.left }],
                guests: 0,
                rest: what === 'half' ? 'fridge' : 'none',
              });
            else if (what === 'pulled') add('pulled', [pack.packId], { day: '2026-11-25', meal: 'dinner' });
            else if (what === 'planned') add('planned', [pack.packId], { for: { day: '2026-11-26', meal: 'dinner' } });
            else if (what === 'moved') add('moved', [pack.packId], { placeId: 'place_shed', zoneId: 'shed_left' });
            else if (what === 'discarded') add('discarded', [pack.packId], { portions: pack.left, reason: 'dropped' });
            else if (what === 'ticked')
              add('ticked', [next.id], { sessionId: next.id, key: line.key, amount: line.amount, unit: line.unit, how: 'bought' });
            else if (what === 'taskStarted') add('taskStarted', [next.id], { sessionId: next.id, taskId: task.id });
            else if (what === 'taskDone') add('taskDone', [next.id], { sessionId: next.id, taskId: task.id });
            else {
              const target = events.at(-1);
              if (target) add('undone', target.subjects, { eventId: target.id });
            }
          });
          const here = pages(withPending(snapshot, { events, writes: [] }), next.id);
          for (const a of acceptEvents(s.db, events, now)) expect(a.status).toBe('kept');
          expect(here.store).toEqual(await s.get('/store'));
          expect(here.today).toEqual(await s.get('/today'));
          expect(here.frame).toEqual(await s.get('/frame'));
          expect(here.session).toEqual(await s.get(`/sessions/${next.id}`));
          expect(here.kitchen).toEqual(await s.get('/kitchen'));
          const { recent: localLately, ...eat } = here.eat as { recent: unknown[] };
          const { recent, ...remote } = await s.get<{ recent: unknown[] }>('/eat');
          expect(eat).toEqual(remote);
          expect(localLately.slice(0, recent.length)).toEqual(recent);
          // an answer that was lost on its way leaves the entry waiting here: it is not counted a second time
          const since = await s.get<Snapshot>('/snapshot');
          expect(pages(withPending(since, { events, writes: [] }), next.id)).toEqual(pages(since, next.id));
        } finally {
          s.close();
        }
      }),
      { numRuns: process.env.TAMBO_THOROUGH ? 25 : 4 },
    );
  }, 120_000);

  it('takes documents written here', async () => {
    const snapshot = await shared.get<Snapshot>('/snapshot');
    const osk = snapshot.eaters.find((e) => e.id === 'eater_osk')!;
    const changed = {
      ...osk,
      presence: { ...osk.presence, exceptions: [{ day: '2026-11-24', meal: 'dinner' as const, present: false }] },
    };
    const { world, records } = openSnapshot(
      withPending(snapshot, { events: [], writes: [{ writeId: 'w1', changes: [{ table: 'eater', id: osk.id, data: changed }] }] }),
    );
    const before = openSnapshot(snapshot);
    expect(todayAnswer(world, records, now).view.tonight.quarters).toBeLessThan(
      todayAnswer(before.world, before.records, now).view.tonight.quarters,
    );
  });
});
