import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Equipment, EventData, TamboEvent } from '#core/contract';
import { addDays, clockOf, instantAt, minutesBetween } from '#core/kitchen';
import { scaleRecipe, weighRecipe } from '#core/recipe';
import { foldPack, momentOf, type PackState } from '#core/store';
import { testLine, testRevision } from '../recipe/fixtures.ts';
import { testFilled, testInstant } from '../store/fixtures.ts';
import { testEater } from '../kitchen/fixtures.ts';
import { testHousehold, testSession, testWorld } from './fixtures.ts';
import {
  asksAboutDinner,
  packTexts,
  dinnerQuarters,
  dinnersLeft,
  filledData,
  gearOf,
  labelContent,
  lotFacts,
  sessionState,
  sessionView,
  stageFlags,
  stageOf,
  stages,
  supplies,
  todayView,
  type BatchFacts,
  type World,
  withDensity,
} from './index.ts';
import { testFigures } from '../kitchen/fixtures.ts';

const today = '2026-11-24';
const now = '2026-11-24T16:00:00.000Z';
const ev = (type: TamboEvent['type'], data: unknown, minute: number): TamboEvent =>
  ({
    id: `${type}-${minute}`,
    subjects: ['s1'],
    instant: testInstant(minute),
    device: 'd',
    counter: minute,
    version: 1,
    type,
    data,
  }) as TamboEvent;
const pack = (id: string, over: Partial<EventData<'filled'>> = {}): PackState => ({
  ...foldPack(
    [{ id, subjects: [id], instant: testInstant(0), device: 'd', counter: 0, version: 1, type: 'filled', data: testFilled(over) }],
    id,
  )!,
  placeId: 'shed',
  zoneId: 'left',
  labelled: 'hand',
});

const at = momentOf(testHousehold, testFigures, now);

describe('dinners left', () => {
  const couple = [testEater('a'), testEater('b', { appetite: 1.3 })];
  it('never falls when a portion is added, and takes tonight unless it is logged', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 40 }), (q, more) => {
        const left = (quarters: number) => dinnersLeft([{ quarters, from: today }], couple, today, false);
        expect(left(q + more)).toBeGreaterThanOrEqual(left(q));
        expect(left(q)).toBe(Math.floor(q / 9));
      }),
    );
  });
  it('skips days on which nobody is at the table', () => {
    const away = [testEater('a', { presence: { ...couple[0]!.presence, away: [{ from: today, to: addDays(today, 9) }] } })];
    expect(dinnersLeft([{ quarters: 8, from: today }], away, today, false)).toBe(2);
  });
  it('counts meals and kits together, bases not', () =>
    expect(dinnerQuarters([pack('m'), pack('k', { kind: 'kit', portions: 2 }), pack('b', { kind: 'base' })])).toBe(24));
});

describe('where a batch stands', () => {
  const facts: BatchFacts = {
    lines: { total: 3, ticked: 0 },
    tasks: { total: 4, closed: 0 },
    yieldLogged: false,
    yieldMl: 3600,
    portionMl: 400,
    packedMl: 0,
    tonightMl: 0,
    discardedMl: 0,
    closedByHand: false,
    packs: { total: 0, labelled: 0, placed: 0 },
  };
  it.each([
    ['planned', {}],
    ['shopped', { lines: { total: 3, ticked: 3 } }],
    ['cooked', { tasks: { total: 4, closed: 4 } }],
    ['cooked', { yieldLogged: true }],
    ['packed', { packedMl: 3200, tonightMl: 300, packs: { total: 4, labelled: 2, placed: 0 } }],
    ['labelled', { packedMl: 3600, packs: { total: 4, labelled: 4, placed: 1 } }],
    ['stored', { packedMl: 3600, packs: { total: 4, labelled: 4, placed: 4 } }],
  ] as const)('%s', (stage, over) => expect(stageOf(stageFlags({ ...facts, ...over } as BatchFacts))).toBe(stage));
  it('puts a session where its least advanced batch is, and counts the others', () => {
    const s = sessionState([stageFlags(facts), stageFlags({ ...facts, yieldLogged: true })]);
    expect(s).toMatchObject({ stage: 'planned', next: 'shopped', batches: 2, counts: { cooked: 1, packed: 0 } });
  });
  it('never has a later stage fewer batches done than it says', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            t: fc.integer({ min: 0, max: 3 }),
            w: fc.boolean(),
            p: fc.integer({ min: 0, max: 4000 }),
            l: fc.integer({ min: 0, max: 4 }),
          }),
          { maxLength: 6 },
        ),
        (rows) => {
          const flags = rows.map((r) =>
            stageFlags({
              ...facts,
              lines: { total: 3, ticked: r.t },
              yieldLogged: r.w,
              packedMl: r.p,
              packs: { total: r.p > 0 ? 4 : 0, labelled: r.l, placed: r.l },
            }),
          );
          const s = sessionState(flags);
          expect(flags.every((f) => stages.slice(0, stages.indexOf(s.stage) + 1).every((x) => f[x]))).toBe(true);
        },
      ),
    );
  });
});

describe('a session, whole', () => {
  const world = testWorld();
  const view = sessionView(testSession(), [], [], world, now);
  it('plans nine portions in twos and one single, with a list, tasks and a fit', () => {
    const b = view.batches[0]!;
    expect(b.packing.ok && b.packing.choice.groups.map((g) => [g.container.id, g.packs, g.portionsEach])).toEqual([
      ['tub1000', 4, 2],
      ['tub1000', 1, 1],
    ]);
    expect(view.list.flatMap((s) => s.lines).map((l) => l.name)).toContain('onion');
    expect(view.fit.fits).toBe(true);
    expect(view.schedule!.makespanMin).toBeGreaterThanOrEqual(view.schedule!.boundMin);
  });
  it('moves on as things are ticked, cooked, weighed, packed', () => {
    const ticks = view.list
      .flatMap((s) => s.lines)
      .filter((l) => !l.onTheDay)
      .map((l, i) => ev('ticked', { sessionId: 's1', key: l.key, amount: l.amount, unit: l.unit, how: 'bought' }, 1 + i));
    expect(sessionView(testSession(), ticks, [], world, now).state.stage).toBe('shopped');
    const weighed = ev('weighed', { batchId: 'b1', grossG: 7000, tareG: 3000, netG: 4000, volumeMl: 3800 }, 50);
    const cooked = sessionView(testSession(), [...ticks, weighed], [], world, now);
    expect(cooked.state.stage).toBe('cooked');
    expect(cooked.batches[0]!.toPackMl).toBe(3800);
    const packs = Array.from({ length: 4 }, (_, i) => ({ ...pack(`p${i}`, { batchId: 'b1', volumeMl: 800 }), placeId: 'shed' }));
    const done = sessionView(
      testSession(),
      [...ticks, weighed, ev('eatenTonight', { batchId: 'b1', day: today, shares: [], volumeMl: 400 }, 60)],
      packs,
      world,
      now,
    );
    expect(done.state.stage).toBe('stored');
  });
  it('says what does not fit and the ways out', () => {
    const tight = sessionView(testSession([{ id: 'b1', recipeId: 'rec1', revisionId: 'rev1', portions: 60 }]), [], [], world, now);
    expect(tight.fit.fits).toBe(false);
    expect(tight.fit.rows[0]!.waysOut.length).toBeGreaterThan(0);
  });
  it('judges the pots in Plan: one, two side by side, or rounds with their minutes', () => {
    const rowsWith = (portions: number, ...pots: number[]) => {
      const equipment: Equipment[] = [
        { id: 'hob', name: 'Hob', kind: 'hob', count: 4 },
        ...pots.map((litres, i): Equipment => ({ id: `pot${i}`, name: `${litres} L pot`, kind: 'pot', count: 1, litres, diameterMm: 260 })),
      ];
      const kitchen: World = {
        ...world,
        equipment,
        scale: (revision, n) =>
          scaleRecipe(weighRecipe(revision, world.finder), n, { scaleStepG: 1, gear: { ...gearOf(world), equipment } }),
      };
      return sessionView(testSession([{ id: 'b1', recipeId: 'rec1', revisionId: 'rev1', portions }]), [], [], kitchen, now).fit.rows.filter(
        (r) => r.id === 'pot:b1',
      );
    };
    // 24 portions of 400 ml are 9.6 L and what boils off
    expect(rowsWith(24, 16)[0]).toMatchObject({ fits: true });
    expect(rowsWith(24, 8, 8)[0]).toMatchObject({ fits: true, says: expect.stringContaining('pots side by side') as string });
    const round = rowsWith(24, 8)[0]!;
    expect(round).toMatchObject({ fits: false, says: expect.stringMatching(/2\srounds, \+\d/) as string });
    expect(round.need).toBeGreaterThan(9600);
    expect(rowsWith(24)).toEqual([]);
  });
  it('shares containers between batches, never twice', () => {
    const two = sessionView(
      testSession([
        { id: 'b1', recipeId: 'rec1', revisionId: 'rev1', portions: 10 },
        { id: 'b2', recipeId: 'rec1', revisionId: 'rev1', portions: 10 },
      ]),
      [],
      [],
      world,
      now,
    );
    const used = two.batches
      .flatMap((b) => (b.packing.ok ? b.packing.choice.groups : []))
      .reduce<Record<string, number>>((s, g) => ({ ...s, [g.container.id]: (s[g.container.id] ?? 0) + g.packs }), {});
    for (const c of world.containers) expect(used[c.id] ?? 0).toBeLessThanOrEqual(c.owned);
  });
});

describe('labels from the household', () => {
  it('names the low-salt eater when a plate holds more than 1.5 g of added salt', () => {
    const revision = testRevision({
      lines: [...testRevision().lines, testLine('salt', { name: 'salt', amount: '12', item: { type: 'ingredient', id: 'salt_table' } })],
    });
    const view = sessionView(testSession(), [], [], testWorld({}, [revision]), now);
    expect(view.batches[0]!.lot.cautions).toContain('Not for osk (2 g salt)');
  });
  it('keeps the printed date when the table changes later', () => {
    const world = testWorld();
    const b = sessionView(testSession(), [], [], world, now).batches[0]!;
    const container = world.containers[0]!;
    const data = filledData(
      {
        revision: b.revision,
        batchId: 'b1',
        sessionId: 's1',
        lot: lotFacts(b.revision, b.scaled, world),
        day: '2026-11-28',
        densityGPerMl: 1.05,
        figures: testFigures,
        scaleStepG: 1,
      },
      { code: '22222', container, portions: 2, ml: 800, n: 1, of: 5 },
      packTexts(b.heat, { massG: 840, volumeMl: 800, portions: 2 }, container, world),
    );
    expect(data.ok && data.data).toMatchObject({
      bestBy: '2027-01-28',
      limit: '2027-02-28',
      massG: 840,
      life: { rowId: 'stew_meat', source: 'FSIS, USCS' },
    });
    if (!data.ok) return;
    const texts = packTexts(b.heat, { massG: 840, volumeMl: 800, portions: 2 }, container, world);
    const content = labelContent({ packId: 'p', ...data.data }, world.allergenNames, texts);
    expect(content).toMatchObject({ portions: '2\u00A0portions', nOf: '1 of 5' });
    expect(content.bestBy).toBe('28\u00A0Jan\u00A02027');
  });
});

describe('today', () => {
  it('takes what was put on a passed evening out of the stock, and the runway counts it', () => {
    const planned = { ...pack('p'), planned: { day: addDays(today, -1), meal: 'dinner' as const } };
    const world = testWorld({}, [], [planned, pack('q')]);
    const view = todayView(world, at, false);
    expect(view.probable.packs.map((p) => p.packId)).toEqual(['p']);
    const s = supplies(world, at, [], false);
    expect(s.dinners.count).toBe(2);
    expect(s.dinners.runway.left).toBe(4);
    expect(s.dinners.runway.rate.shape).toBeGreaterThan(14);
  });
  const planned = (thawH: { low: number; high: number }) => ({
    ...pack('p', { thawH }),
    planned: { day: addDays(today, 3), meal: 'dinner' as const },
  });
  const dinner = instantAt(addDays(today, 3), testHousehold.dinnerAt, testHousehold.timeZone);
  const out = (thawH: { low: number; high: number }, takeOutAt?: string) =>
    todayView(
      testWorld({ household: { ...testHousehold, ...(takeOutAt && { reminders: { takeOutAt, askDinner: true } }) } }, [], [planned(thawH)]),
      at,
      false,
    ).takeOut[0]!.by;
  // dinner at 18:30, cooking 30 min: by when each shape leaves the freezer, as the thawing table works it out
  it.each([
    ['cubes', 7, 18, '2026-11-25T22:00:00.000Z'],
    ['a flat bag of 15 mm', 8, 20, '2026-11-25T22:00:00.000Z'],
    ['a flat bag of 20 mm', 10, 27, '2026-11-25T15:00:00.000Z'],
    ['a flat bag of 25 mm', 13, 37, '2026-11-25T07:00:00.000Z'],
    ['a half-litre tub', 18, 44, '2026-11-25T07:00:00.000Z'],
    ['a tub of a litre', 24, 72, '2026-11-24T18:30:00.000Z'],
  ])('%s comes out in time, and not so early that it goes off', (_, low, high, by) => {
    const back = new Date(Date.parse(by) + 24 * 3600_000).toISOString();
    expect(out({ low, high })).toBe(back);
  });
  it('is taken out awake, between what thawing needs and what the time it keeps allows', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 0, max: 40 }), (low, more) => {
        const by = out({ low, high: low + more });
        const clock = clockOf(by, testHousehold.timeZone);
        expect(clock >= '07:00' && clock <= '22:00').toBe(true);
        const before = minutesBetween(by, dinner) / 60;
        if (more <= 23) expect(before).toBeGreaterThanOrEqual(low + more);
        // what keeps a day once thawed is never out for longer than that before dinner, but for a night's sleep
        expect(before).toBeLessThanOrEqual(low + 24 + 9);
      }),
    );
  });
  it('keeps the household’s own hour', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1439 }), (minute) => {
        const own = `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
        expect(clockOf(out({ low: 8, high: 20 }, own), testHousehold.timeZone)).toBe(own);
      }),
    );
  });
  it('asks about dinner from its hour on, or never', () => {
    expect(asksAboutDinner({ dinnerAt: '18:30' }, '18:29')).toBe(false);
    expect(asksAboutDinner({ dinnerAt: '18:30' }, '18:30')).toBe(true);
    expect(asksAboutDinner({ dinnerAt: '18:30', reminders: { askDinner: true, askDinnerAt: '20:00' } }, '19:00')).toBe(false);
    expect(asksAboutDinner({ dinnerAt: '18:30', reminders: { askDinner: true, askDinnerAt: '20:00' } }, '20:00')).toBe(true);
    expect(asksAboutDinner({ dinnerAt: '18:30', reminders: { askDinner: false } }, '23:00')).toBe(false);
  });
});

describe('a revision with its density', () => {
  it('is the same object until a tub of it was weighed', () => {
    const { finder, memo } = testWorld();
    const stored = testRevision({ density: undefined });
    const run = {
      sessionId: 's',
      batchId: 'b',
      day: today,
      portions: 6,
      planned: 1,
      weighed: 1,
      unit: 'ml' as const,
      ratio: 1,
      density: 1.1,
    };
    const guessed = withDensity(stored, undefined, { finder, figures: testFigures }, memo);
    expect(guessed.density?.reason).toBe('computed');
    expect(withDensity(stored, [], { finder, figures: testFigures }, memo)).toBe(guessed);
    const learned = withDensity(stored, [run], { finder, figures: testFigures }, memo);
    expect(learned.density).toEqual({ gPerMl: 1.1, reason: 'learned' });
    expect(withDensity(stored, [run, run], { finder, figures: testFigures }, memo)).toBe(learned);
  });
});
