import { describe, expect, it } from 'vitest';
import type { Equipment } from '#core/contract';
import { testSession } from './fixtures.ts';
import { kitchenOf, minutesIn, paceOf, promiseOf, restsOf } from './hours.ts';

const gear = (kind: Equipment['kind'], over: Partial<Equipment> = {}): Equipment => ({ id: kind, name: kind, kind, count: 1, ...over });
const session = (over: object = {}) => ({
  ...testSession([]),
  cooks: [
    { id: 'j', name: 'Joaquim' },
    { id: 'n', name: 'Neighbour', from: '10:30', until: '13:00' },
  ],
  ...over,
});

describe('hands and gear of a session', () => {
  it('are away before they come, after they go, and in their breaks; from the middle on by what is gone', () => {
    const s = session({
      breaks: [
        { name: 'Lunch', from: '12:00', until: '12:30' },
        { name: 'Feed the baby', from: '09:30', until: '09:50', cookId: 'j' },
      ],
    });
    const [j, n] = kitchenOf(s, { equipment: [] }, 0).cooks;
    expect(j!.away).toEqual([
      [180, 210],
      [30, 50],
    ]);
    expect(n!.away).toEqual([
      [180, 210],
      [0, 90],
      [240, 20_000],
    ]);
    const later = kitchenOf(s, { equipment: [] }, 195).cooks;
    expect(later[0]!.away).toEqual([[0, 15]]);
    expect(restsOf(s, 195).map((r) => [r.cookId, r.name, r.startMin, r.endMin])).toEqual([
      ['j', 'Lunch', -15, 15],
      ['n', 'Lunch', -15, 15],
    ]);
  });
  it('have no more boards than there is worktop for, and at least one', () => {
    const boards = (equipment: Equipment[]) => kitchenOf(session(), { equipment }, 0).boards;
    expect(boards([])).toBe(3);
    expect(boards([gear('worktop', { widthMm: 1400 })])).toBe(3);
    expect(boards([gear('worktop', { widthMm: 1000 })])).toBe(2);
    expect(boards([gear('worktop', { widthMm: 300 })])).toBe(1);
  });
  it('say what limits only where somebody entered it', () => {
    const none = kitchenOf(session(), { equipment: [] }, 0);
    expect(none.capacity).toEqual({ hob: 4, oven: 1 });
    expect([none.potsMl, none.ovens, none.sinks, none.quiet, none.cleanFirst]).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
    const some = kitchenOf(
      session({ quiet: ['13:00', '14:30'], cleanFirst: true }),
      {
        equipment: [
          gear('oven', { count: 2 }),
          gear('oven', { id: 'small', count: 1 }),
          gear('pot', { litres: 9 }),
          gear('pot', { id: 'p2', litres: 2.8, count: 2 }),
          gear('sink', { count: 2 }),
          gear('blender'),
        ],
      },
      0,
    );
    expect(some.capacity).toEqual({ hob: 4, oven: 3, blender: 1, pot: 3 });
    expect(some).toMatchObject({ potsMl: [9000, 2800, 2800], ovens: [2, 1], sinks: 2, quiet: [[240, 330]], cleanFirst: true });
  });
});

describe('a session’s own minutes and pace', () => {
  it('have not begun before it has', () => {
    expect(minutesIn(session(), 'Europe/London', false, '2026-11-28T12:00:00.000Z')).toBe(0);
    expect(minutesIn(session(), 'Europe/London', true, '2026-11-28T12:00:30.000Z')).toBe(180);
  });
  it('are a guess until three sessions were timed, then the middle and what four in five do not pass', () => {
    expect(paceOf([1.5, 1.5])).toEqual({ likely: 1, late: 1.2, sessions: 2 });
    expect(paceOf([1.4, 0.95, 1.1])).toEqual({ likely: 1.1, late: 1.4, sessions: 3 });
    // planned 150, took 210: the next plan of 100 is promised for 140
    expect(promiseOf(100, [1.4, 1.4, 1.4])).toEqual({ likelyMin: 140, lateMin: 140, sessions: 3 });
  });
});
