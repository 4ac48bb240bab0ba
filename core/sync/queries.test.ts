import { describe, expect, it } from 'vitest';
import type { TamboEvent } from '#core/contract';
import { testEater } from '../kitchen/fixtures.ts';
import { testContainer } from '../pack/fixtures.ts';
import { testInstant } from '../store/fixtures.ts';
import { testHousehold, testPack, testSession } from '../session/fixtures.ts';
import { testSnapshot } from './fixtures.ts';
import { openSnapshot, type Snapshot } from '#core/sync';
import {
  countAnswer,
  eatAnswer,
  frameAnswer,
  kitchenAnswer,
  labelsAnswer,
  packAnswer,
  sessionsAnswer,
  storeAnswer,
  todayAnswer,
  todayOf,
} from '#core/queries';

const now = '2026-11-24T16:00:00.000Z';
const today = '2026-11-24';
const testTub = testContainer('tub1000', { name: 'Tub 1 L', brimMl: 1000, fillMl: 870, heightMm: 100 });
const tomorrow = { day: '2026-11-25', meal: 'dinner' as const };
const passed = { day: '2026-11-21', meal: 'dinner' as const };
const of = (over: Partial<Snapshot>) => openSnapshot(testSnapshot(over));

describe('what stands around every page', () => {
  it('has a mark for each pack that is really there, the soonest due first', () => {
    const packs = [
      testPack('late', { bestBy: '2027-02-01' }),
      testPack('soon', { bestBy: '2026-12-01' }),
      testPack('doubtful', {}, { planned: passed }),
      testPack('thawed', { bestBy: '2027-03-01' }, { fridgeSince: '2026-11-23T18:00:00.000Z' }),
    ];
    const { world, records } = of({ packs });
    const frame = frameAnswer(world, records, now, true);
    expect(frame.strip.map((m) => m.packId)).toEqual(['thawed', 'soon', 'late']);
    expect(frame.strip[0]?.due.reason).toBe('fridge');
    expect(frame.supplies.dinners.runway.points).toEqual([]);
  });
  it('knows the household’s own day, not that of the clock in London', () => {
    const { world } = of({ household: { ...testHousehold, timeZone: 'Pacific/Auckland' } });
    expect(todayOf(world, '2026-11-24T16:00:00.000Z')).toBe('2026-11-25');
  });
  it('names what is not set up yet', () => {
    const { world, records } = of({ eaters: [], sessions: [], places: [] });
    expect(frameAnswer(world, records, now, false).setup).toEqual({ eaters: false, gear: false, packs: false, session: false });
  });
});

describe('sessions', () => {
  const at = (id: string, day: string) => ({
    ...testSession([{ id: `b-${id}`, recipeId: 'rec1', revisionId: 'rev1', portions: 6 }]),
    id,
    name: id,
    day,
  });
  it('of long ago are listed by name only, the newest first', () => {
    const { world, records } = of({
      sessions: [at('old', '2026-09-01'), at('older', '2026-06-01'), at('next', '2026-11-28'), at('last', '2026-11-14')],
    });
    const answer = sessionsAnswer(world, records, today);
    expect(answer.sessions.map((s) => s.id)).toEqual(['next', 'last']);
    expect(answer.older.map((s) => s.id)).toEqual(['old', 'older']);
  });
  it('Today shows the next one, else the one left open', () => {
    const both = of({ sessions: [at('next', '2026-11-28'), at('last', '2026-11-14')] });
    expect(todayAnswer(both.world, both.records, now).next?.id).toBe('next');
    const left = of({ sessions: [at('last', '2026-11-14')] });
    expect(todayAnswer(left.world, left.records, now).next?.id).toBe('last');
    const none = of({ sessions: [] });
    expect(todayAnswer(none.world, none.records, now).next).toBeUndefined();
  });
  it('print a label for each pack, with the address when there is one', () => {
    const packs = [testPack('p', { sessionId: 's1', batchId: 'b1', name: 'Test stew' })];
    const { world, records } = of({ sessionPacks: [['s1', packs]], household: { ...testHousehold, address: 'http://kitchen.home' } });
    const labels = labelsAnswer(testSession(), world, records, now);
    expect(labels).toMatchObject({ address: 'http://kitchen.home', labels: [{ name: 'Test stew', packId: 'p' }] });
  });
});

describe('the store and the table', () => {
  const packs = [
    testPack('stew', { name: 'Stew', bestBy: '2026-12-20', portions: 2 }, { planned: tomorrow }),
    testPack('pie', { name: 'Pie', bestBy: '2026-12-05', portions: 4 }),
    testPack('doubt', { name: 'Dal', portions: 2 }, { planned: passed }),
    testPack('rest', { name: 'Soup', portions: 2 }, { fridgeSince: '2026-11-24T08:00:00.000Z' }),
  ];
  it('keep what was probably eaten apart', () => {
    const { world, records } = of({ packs });
    const store = storeAnswer(world, records, now);
    expect(store.packs.map((p) => p.packId)).not.toContain('doubt');
    expect(store.probable.map((p) => p.packId)).toEqual(['doubt']);
    expect(store.places[0]?.room.packs).toBe(2);
  });
  it('put the fridge apart, the frozen by their day, and packs on their evening', () => {
    const { world, records } = of({ packs });
    const eat = eatAnswer(world, records, now);
    expect(eat.fridge.map((p) => p.packId)).toEqual(['rest']);
    expect(eat.eatFirst.map((p) => p.packId)).toEqual(['pie', 'stew']);
    expect(eat.evenings).toHaveLength(9);
    expect(eat.evenings[1]?.packs.map((p) => p.packId)).toEqual(['stew']);
    expect(eat.probable).toHaveLength(1);
  });
  it('ask for evenings that nobody wrote down, but not for those on which nobody was home', () => {
    const away = testEater('osk', { presence: { ...testEater('osk').presence, away: [{ from: '2026-11-20', to: '2026-11-21' }] } });
    const entry = {
      eventId: 'e',
      packId: 'p',
      day: '2026-11-22',
      meal: 'dinner' as const,
      kind: 'meal',
      name: 'Pie',
      portions: 2,
      shares: [],
      guests: 0,
    };
    const { world, records } = of({ eaters: [away], lately: [entry] });
    expect(eatAnswer(world, records, now).quiet).toEqual(['2026-11-18', '2026-11-19', '2026-11-23']);
  });
  it('say who ate what', () => {
    const lately = [
      {
        eventId: 'e1',
        packId: 'p',
        day: today,
        meal: 'dinner' as const,
        kind: 'meal',
        name: 'Pie',
        portions: 2.5,
        shares: [
          { eaterId: 'osk', portions: 0.5 },
          { eaterId: 'gone', portions: 0 },
        ],
        guests: 2,
      },
    ];
    const { world, records } = of({ lately });
    expect(eatAnswer(world, records, now)).toMatchObject({ tonightLogged: true, recent: [{ who: 'osk ½, guests 2' }] });
  });
});

describe('one pack', () => {
  const ev = (id: string, type: TamboEvent['type'], data: unknown, minute: number): TamboEvent =>
    ({ id, type, subjects: ['p'], instant: testInstant(minute), device: 'd', counter: minute, version: 1, data }) as TamboEvent;
  it('tells its story backwards, with what was taken back struck out', () => {
    const { world } = of({});
    const moved = ev('m', 'moved', { placeId: 'shed', zoneId: 'left' }, 10);
    const lost = ev('l', 'lost', {}, 20);
    const undo = ev('u', 'undone', { eventId: 'l' }, 30);
    const answer = packAnswer(testPack('p'), [undo, moved, lost], world, now);
    expect(answer.history.map((h) => [h.id, h.undone])).toEqual([
      ['l', true],
      ['m', false],
    ]);
  });
  it('of a puree carries the baby’s caution, of raw meat that of raw meat', () => {
    const { world } = of({});
    const ids = (over: Parameters<typeof testPack>[1]) => packAnswer(testPack('p', over), [], world, now).cautions.map((c) => c.id);
    expect(ids({ kind: 'puree' }).length).toBeGreaterThan(ids({}).length);
    expect(ids({ raw: true })).not.toEqual(ids({}));
  });
});

describe('the kitchen and the first count', () => {
  it('draw four weeks and count what the next session wants', () => {
    const { world, records } = of({ containers: [{ ...testTub, owned: 3 }] });
    const kitchen = kitchenAnswer(world, records, now);
    expect(kitchen.weeks.days).toHaveLength(28);
    expect(kitchen.weeks.quarters.every((q) => q === 4)).toBe(true);
    expect(kitchen.containers[0]).toMatchObject({ free: 3 });
    expect(kitchen.containers[0]?.wanted).toBeGreaterThan(0);
  });
  it('offer freezers only, and dishes with the storage row that decides', () => {
    const { world, records } = of({});
    const count = countAnswer(world, records, now);
    expect(count.places.map((p) => p.id)).toEqual(['shed']);
    expect(count.dishes).toEqual([{ recipeId: 'rec1', name: 'Test stew', kind: 'meal', lifeRow: 'stew_meat', portionMl: 400 }]);
  });
});
