import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Container, Equipment, Line, Revision, Step } from '#core/contract';
import { fromNumber, ingredientFinder, times, toNumber } from '#core/kitchen';
import { ingredientRows } from '#core/kitchen/data';
import { testLine, testRevision } from '../fixtures.ts';
import {
  bowlUsable,
  equalLoads,
  factorFor,
  lidOf,
  potUsable,
  roundsMin,
  scaleBy,
  scaleTo,
  type Gear,
  type ScaledRecipe,
  type ScaleTarget,
  weighRecipe,
} from './index.ts';
import { testFigures } from '../../kitchen/fixtures.ts';

const finder = ingredientFinder(ingredientRows);
const weighed = (revision: Revision) => weighRecipe(revision, finder);
const step = (id: string, over: Partial<Step> = {}): Step => ({
  id,
  text: 'Do it.',
  uses: [],
  needs: [],
  handsOnMin: 4,
  handsOnPerKgMin: 0,
  waitMin: 0,
  hazards: [],
  after: [],
  guess: false,
  ...over,
});
const pot = (id: string, litres: number, diameterMm: number, over: Partial<Equipment> = {}): Equipment => ({
  id,
  name: `${litres} L pot`,
  kind: 'pot',
  count: 1,
  litres,
  diameterMm,
  ...over,
});
const hob: Equipment = { id: 'hob', name: 'Hob', kind: 'hob', count: 4, watts: 2200, heat: 'ceramic' };
const gear = (...equipment: Equipment[]): Gear => ({ equipment: [hob, ...equipment], containers: [], hotShare: testFigures.hotShare });
const kitchen = gear(pot('p9', 9, 260), pot('p5', 5.4, 280), pot('p3', 2.8, 180));

/** A stew of six servings: 2.4 L out of a pot in which 350 ml of water went. */
const stew = testRevision({
  density: { gPerMl: 1, reason: 'entered' },
  lines: [
    testLine('veg', { name: 'squash', amount: '2300', item: { type: 'ingredient', id: 'butternut' }, form: 'cubed' }),
    testLine('water', { name: 'water', amount: '350', unit: 'ml', item: { type: 'ingredient', id: 'water' } }),
    testLine('salt', { name: 'fine salt', amount: '12', item: { type: 'ingredient', id: 'salt_table' } }),
  ],
  steps: [
    step('up', {
      text: 'Bring everything to the boil.',
      uses: [
        { lineId: 'veg', share: 1 },
        { lineId: 'water', share: 1 },
      ],
      needs: [{ kind: 'hob' }],
      waitMin: 12,
    }),
    step('simmer', { text: 'Simmer it.', needs: [{ kind: 'hob' }], waitMin: 45, after: ['up'] }),
    step('salt', { text: 'Salt it.', uses: [{ lineId: 'salt', share: 1 }], after: ['simmer'] }),
  ],
});
const options = { finder, scaleStepG: 1, gear: kitchen };
const to = (target: ScaleTarget, revision = stew, o = options): ScaledRecipe => {
  const r = scaleTo(weighed(revision), target, o);
  if (!r.ok) throw new Error(`${r.why} ${r.name ?? ''}`);
  return r.scaled;
};
const line = (s: ScaledRecipe, id: string) => s.lines.find((l) => l.lineId === id)!;
const amount = (s: ScaledRecipe, id: string): number => toNumber(line(s, id).exact!.amount);

describe('loads', () => {
  it('are equal, as few as the vessel allows, and hold the whole', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 60_000, noNaN: true }), fc.double({ min: 50, max: 20_000, noNaN: true }), (v, usable) => {
        const l = equalLoads(v, usable);
        expect(l.loads * l.each).toBeCloseTo(v, 6);
        expect(l.each).toBeLessThanOrEqual(usable * (1 + 1e-8));
        if (l.loads > 1) expect(v / (l.loads - 1)).toBeGreaterThan(usable * (1 - 1e-8));
      }),
    );
  });
  // ACCEPTANCE R5
  it('pot capacity: 5.4 L in a 4.5 L pot with a limit of 80 % is two pots', () => {
    const usable = potUsable({ litres: 4.5, fillShare: 0.8 })!;
    expect(usable.ml).toBeCloseTo(3600);
    expect(equalLoads(5400, usable.ml).loads).toBe(2);
  });
  it('machine guard: 1.2 L of liquid, a limit of 0.7 L, two loads', () => {
    expect(equalLoads(1200, bowlUsable({ litres: 2.2, marks: { hotMl: 700 } }, 'hot', testFigures)!.ml).loads).toBe(2);
  });
  it('bowl fit: 1.95 L under a mark of 2.2 L is 89 %; doubled it is two batches', () => {
    const mark = bowlUsable({ marks: { pureeMl: 2200 } }, 'puree', testFigures)!.ml;
    expect(Math.round(equalLoads(950 + 1000, mark).fill * 100)).toBe(89);
    expect(equalLoads(3900, mark).loads).toBe(2);
  });
  it.each([
    ['a pot to three quarters', potUsable({ litres: 8 }), 6000],
    ['a stock pot to 25 mm under the rim', potUsable({ litres: 8, heightMm: 200 }, 'stock'), 7000],
    ['a pot by diameter and height', potUsable({ diameterMm: 200, heightMm: 100 }), 0.75 * Math.PI * 1000],
    ['a bowl pulsed to a half', bowlUsable({ litres: 2 }, 'pulse', testFigures), 1000],
    ['a bowl pureed to two thirds', bowlUsable({ litres: 3 }, 'puree', testFigures), 2000],
    ['a jug of hot soup to a third', bowlUsable({ litres: 1.5 }, 'hot', testFigures), 500],
  ])('%s', (_, usable, ml) => expect(usable?.ml).toBeCloseTo(ml, 3));
  it('knows nothing of a pot without a size', () => expect(potUsable({})).toBeUndefined());
  it('counts set up, run and emptying for each round', () => expect(roundsMin('bowl', 3, 4)).toBe(3 * (1 + 4 + 1)));
  it('refuses a vessel that holds nothing', () => expect(() => equalLoads(10, 0)).toThrow(/holds something/));
});

describe('targets', () => {
  const factor = fc.integer({ min: 1, max: 300 }).map((n) => n / 20);
  const reached = (target: ScaleTarget): number => {
    const r = factorFor(weighed(stew), target, options);
    return r.ok ? toNumber(r.factor) : NaN;
  };
  it('each gives back the factor that made it', () => {
    fc.assert(
      fc.property(factor, (f) => {
        expect(reached({ by: 'portions', portions: 6 * f })).toBeCloseTo(f, 6);
        expect(reached({ by: 'litres', ml: 2400 * f })).toBeCloseTo(f, 6);
        expect(reached({ by: 'grams', g: 2400 * f })).toBeCloseTo(f, 6);
        expect(reached({ by: 'cubes', cubes: 100 * f, cubeMl: 24 })).toBeCloseTo(f, 6);
        const edible = 2300 * f;
        const bought = fromNumber(Number((edible / 0.82).toFixed(6)));
        expect(reached({ by: 'have', have: [{ lineId: 'veg', amount: bought, unit: 'g' }] })).toBeCloseTo(f, 5);
      }),
    );
  });
  it('fills the pot to what it may hold with what boils off', () => {
    for (const id of ['p9', 'p5', 'p3']) {
      const s = to({ by: 'vessel', vesselId: id });
      const load = s.passage!.loads.find((l) => l.use === 'pot')!;
      expect(s.limit).toMatchObject({ type: 'vessel', id });
      expect(load.loads).toBe(1);
      expect(load.fill).toBeCloseTo(1, 3);
      expect(load.vessels[0]!.id).toBe(id);
    }
  });
  it('lets the line that runs out first decide, and names it', () => {
    const have = [
      { lineId: 'veg', amount: '5000', unit: 'g' as const },
      { lineId: 'water', amount: '350', unit: 'ml' as const },
    ];
    const s = to({ by: 'have', have });
    expect(s.limit?.name).toBe('water');
    expect(toNumber(s.factor)).toBe(1);
  });
  it.each<[string, ScaleTarget, string]>([
    ['nothing', { by: 'portions', portions: 0 }, 'zero'],
    ['less than nothing', { by: 'litres', ml: -500 }, 'negative'],
    ['an absurd size', { by: 'grams', g: 9e9 }, 'tooMany'],
    ['a line that is not there', { by: 'have', have: [{ lineId: 'x', amount: '1', unit: 'g' }] }, 'noSuchLine'],
    ['a negative amount on hand', { by: 'have', have: [{ lineId: 'veg', amount: '-2', unit: 'kg' }] }, 'negative'],
    ['a pot that is not here', { by: 'vessel', vesselId: 'x' }, 'noVessel'],
    ['nothing on hand', { by: 'have', have: [] }, 'nothingOnHand'],
  ])('refuses %s by its code', (_, target, why) => expect(scaleTo(weighed(stew), target, options)).toMatchObject({ ok: false, why }));
  it('refuses a pot smaller than one portion', () =>
    expect(scaleTo(weighed(stew), { by: 'vessel', vesselId: 'cup' }, { ...options, gear: gear(pot('cup', 0.4, 80)) })).toMatchObject({
      ok: false,
      why: 'vesselTooSmall',
      name: '0.4 L pot',
    }));
  it('never takes a litre for a kilo: no weight per litre, no litres', () => {
    const { density: _, ...rest } = testRevision({ serving: { amount: 300, unit: 'g' } });
    expect(scaleTo(weighed(rest), { by: 'litres', ml: 3000 }, options)).toMatchObject({ ok: false, why: 'noVolume' });
    const cups = [{ lineId: 'veg', amount: '2', unit: 'cup' as const }];
    const bare = testRevision({ lines: [testLine('veg', { item: { type: 'unmatched' }, name: 'galangal' })] });
    expect(scaleTo(weighed(bare), { by: 'have', have: cups }, options)).toMatchObject({ ok: false, why: 'noPath' });
  });
  it('takes what came out of earlier runs into account', () => {
    const plain = to({ by: 'portions', portions: 12 });
    const learned = to({ by: 'portions', portions: 12 }, stew, { ...options, yieldFactor: 0.96 } as typeof options);
    expect(toNumber(learned.factor) * 0.96).toBeCloseTo(toNumber(plain.factor), 5);
    expect(learned.finishedMl).toBe(plain.finishedMl);
  });
});

describe('boil-off and the time to boil', () => {
  it('changes nothing at the written size', () => {
    const s = scaleBy(weighed(stew), '1', options);
    for (const l of s.lines) expect(l.exact!.amount).toBe(l.line.amount);
    expect(s.passage!.waits).toEqual({});
    expect(s.passage!.hands).toEqual({});
  });
  it('holds at the written size even where that takes several loads, and grows by the loads added', () => {
    const soup = testRevision({
      ...stew,
      id: 'blended',
      steps: [
        ...stew.steps,
        step('blend', { text: 'Blend it smooth.', needs: [{ kind: 'blender' }], hazards: ['hotBlending'], after: ['salt'] }),
      ],
    });
    const jug: Equipment = { id: 'jug', name: 'Jug', kind: 'blender', count: 1, litres: 1.5 };
    const o = { ...options, gear: gear(pot('p9', 9, 260), jug) };
    const one = scaleBy(weighed(soup), '1', o).passage!;
    // 2.4 L in thirds of a jug of 1.5 L: five loads, as written
    expect(one.loads.find((l) => l.use === 'bowl')).toMatchObject({ loads: 5 });
    expect(one.hands).toEqual({});
    const two = scaleBy(weighed(soup), '2', o).passage!;
    expect(two.loads.find((l) => l.use === 'bowl')).toMatchObject({ loads: 10 });
    expect(two.hands.blend).toBe(roundsMin('bowl', 5, 0));
  });
  it('four times the soup in one pot does not lose four times the water', () => {
    const one = gear(pot('p20', 20, 300));
    const thin = testRevision({ ...stew, id: 'thin', lines: stew.lines.map((l) => (l.id === 'water' ? { ...l, amount: '1500' } : l)) });
    const small = scaleBy(weighed(thin), '1', { ...options, gear: one });
    const large = scaleBy(weighed(thin), '4', { ...options, gear: one });
    expect(large.passage!.boilOff!.value).toBeCloseTo(small.passage!.boilOff!.value, 6);
    expect(amount(large, 'water')).toBeLessThan(4 * 1500);
    expect(amount(large, 'water')).toBeGreaterThan(0);
    // what stays in the pot is four times as much
    const lost = small.passage!.boilOff!.value;
    expect(amount(large, 'water') - lost).toBeCloseTo(4 * (1500 - lost), 1);
  });
  it('keeps the final volume in proportion at any factor and says how much boils off', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 120 }), (n) => {
        const f = n / 8;
        const s = scaleBy(weighed(stew), fromNumber(f), options);
        expect(s.finishedMl).toBeCloseTo(2400 * f, 6);
        const off = s.passage!.boilOff!;
        const water = amount(s, 'water');
        if (water > 0) expect(water - off.value).toBeCloseTo(f * (350 - off.writtenMl), 0);
        expect(off.low).toBeLessThan(off.value);
        expect(off.value).toBeLessThan(off.high);
      }),
    );
  });
  it('a bigger batch takes longer to boil', () => {
    const one = gear(pot('p20', 20, 300));
    const waits = [1, 2, 4].map((f) => scaleBy(weighed(stew), fromNumber(f), { ...options, gear: one }).passage!.boilUp!.value);
    expect(waits[1]! / waits[0]!).toBeCloseTo(2, 1);
    expect(waits[2]!).toBeGreaterThan(waits[1]!);
  });
  it.each([
    ['Simmer with the lid ajar.', 'ajar'],
    ['Stew it, lid on.', 'on'],
    ['Simmer until thick.', 'off'],
  ])('reads the lid from “%s”', (text, lid) => expect(lidOf({ text })).toBe(lid));
  it('splits over two pots that stand at the same time rather than cooking twice', () => {
    const s = to({ by: 'litres', ml: 6200 });
    const load = s.passage!.loads.find((l) => l.use === 'pot')!;
    expect(load).toMatchObject({ loads: 2, rounds: 1 });
    expect(load.vessels.map((v) => v.id).toSorted()).toEqual(['p5', 'p9']);
  });
  it('cooks in turn when nothing else is left, and says how long', () => {
    const s = to({ by: 'litres', ml: 9000 }, stew, { ...options, gear: gear(pot('p5', 5.4, 240)) });
    const load = s.passage!.loads.find((l) => l.use === 'pot')!;
    expect(load.rounds).toBe(load.loads);
    expect(load.loads).toBeGreaterThanOrEqual(3);
    expect(s.passage!.waits.simmer).toBeGreaterThan(45);
  });
});

describe('the pot at its fullest', () => {
  const loadOf = (revision: ReturnType<typeof testRevision>, factor: string, use: 'pot' | 'bowl', o: typeof options = options) =>
    scaleBy(weighed(revision), factor, o).passage!.loads.find((l) => l.use === use);

  it('counts lines that no step names, whatever the serving', () => {
    for (const serving of [
      { amount: 400, unit: 'ml' as const },
      { amount: 400, unit: 'g' as const },
    ]) {
      const bare = testRevision({ ...stew, id: `bare-${serving.unit}`, serving, steps: stew.steps.map((s) => ({ ...s, uses: [] })) });
      const bound = testRevision({ ...stew, id: `bound-${serving.unit}`, serving });
      expect(loadOf(bare, '1', 'pot')!.eachMl).toBeGreaterThanOrEqual(loadOf(bound, '1', 'pot')!.eachMl - 1);
      expect(loadOf(bare, '1', 'pot')!.eachMl).toBeGreaterThan(2300);
    }
  });
  it('is at least what went in, where less is said to come out', () => {
    // 2.66 kg of squash, water and salt of which only 1.2 L is said to come out
    const thick = testRevision({ ...stew, id: 'thick', servings: 3 });
    expect(loadOf(thick, '1', 'pot')!.eachMl).toBeGreaterThan(2400);
  });
  it('reads a simmer from its words where nothing says what it needs', () => {
    const own = testRevision({ ...stew, id: 'own', steps: [step('all', { text: 'Simmer everything for 45 minutes.', waitMin: 45 })] });
    expect(loadOf(own, '1', 'pot')!.eachMl).toBeGreaterThan(2300);
  });
  it('takes no more pots at once than there are burners', () => {
    const one: Gear = {
      equipment: [{ ...hob, count: 1 }, pot('p9', 9, 260), pot('p5', 5.4, 280)],
      containers: [],
      hotShare: testFigures.hotShare,
    };
    const s = to({ by: 'litres', ml: 6200 }, stew, { ...options, gear: one });
    const load = s.passage!.loads.find((l) => l.use === 'pot')!;
    expect(load.vessels).toHaveLength(1);
    expect(load.rounds).toBe(load.loads);
  });
  it.each(['1/2', '1', '2', '5', '12'])('never fills a pot above its limit, at %s times', (f) => {
    const load = loadOf(stew, f, 'pot');
    if (load) expect(load.eachMl).toBeLessThanOrEqual(load.usableMl * 1.0001);
  });
});

describe('the bowl', () => {
  const jug: Equipment = { id: 'jug', name: 'Jug', kind: 'blender', count: 1, litres: 1.5 };
  const bowl: Equipment = { id: 'bowl', name: 'Bowl', kind: 'processor', count: 1, litres: 2 };
  const o = { ...options, gear: gear(pot('p9', 9, 260), jug, bowl) };
  const chop = (id: string, text: string, amountG: string) =>
    testRevision({
      ...stew,
      id,
      lines: [testLine('parsley', { name: 'parsley', amount: amountG, item: { type: 'ingredient', id: 'parsley' }, form: 'chopped' })],
      steps: [step('chop', { text, uses: [{ lineId: 'parsley', share: 1 }], needs: [{ kind: 'processor' }] })],
    });
  it('is loaded by the loose volume of what is chopped', () => {
    const row = finder.byId('parsley')!;
    const loose = 600 / (row.density.chopped ?? row.density.whole)!;
    const load = scaleBy(weighed(chop('herbs', 'Pulse the parsley.', '600')), '1', o).passage!.loads.find((l) => l.use === 'bowl')!;
    // half of 2 L at a time
    expect(load.loads).toBe(Math.ceil(loose / 1000));
    expect(load.eachMl * load.loads).toBeCloseTo(loose, 6);
  });
  const blend = (id: string, text: string, between: string) =>
    testRevision({
      ...stew,
      id,
      steps: [
        ...stew.steps,
        step('rest', { text: between, after: ['salt'], waitMin: 20 }),
        step('blend', { text, needs: [{ kind: 'blender' }], after: ['rest'] }),
      ],
    });
  it.each([
    ['Blend it smooth.', 'Let it stand.', 'hot'],
    ['Blitz it.', 'Let it stand.', 'hot'],
    ['Blend it smooth.', 'Let it cool to lukewarm.', 'puree'],
    ['Blend it smooth once cold.', 'Let it stand.', 'puree'],
  ])('“%s” after “%s” is %s', (text, between, bowlUse) => {
    const load = scaleBy(weighed(blend(text + between, text, between)), '1', o).passage!.loads.find((l) => l.use === 'bowl')!;
    expect(load.because).toContainEqual(expect.objectContaining({ params: { action: bowlUse } }));
  });
  it('is not needed by a blender that goes into the pot', () =>
    expect(
      scaleBy(weighed(blend('stick', 'Puree it with a stick blender.', 'Let it stand.')), '1', o).passage!.loads.some(
        (l) => l.use === 'bowl',
      ),
    ).toBe(false));
});

const withRule = (scaling: Line['scaling'], over: Partial<Line> = {}) =>
  testRevision({
    ...stew,
    id: Math.random().toString(36),
    lines: [...stew.lines, testLine('x', { name: 'x', amount: '2', unit: 'piece', scaling, item: { type: 'unmatched' }, ...over })],
  });

describe('rules', () => {
  it('per pot: once for each pot that is filled', () => {
    const r = withRule({ rule: 'fixed' });
    expect(line(to({ by: 'litres', ml: 2400 }, r), 'x').out).toBe('2');
    expect(line(to({ by: 'litres', ml: 6200 }, r), 'x').out).toBe('4');
  });
  it('per vessel: once for each pan or jar that is filled', () => {
    const jar: Container = {
      id: 'jar',
      name: 'Jar',
      shape: 'jar',
      brimMl: 500,
      fillMl: 400,
      heightMm: 1,
      widthMm: 1,
      footMm: 1,
      depthMm: 1,
      owned: 9,
      oneUse: false,
      materialId: 'm_jar',
      microwave: 'unknown',
    };
    const o = { ...options, gear: { ...kitchen, containers: [jar] } };
    const s = to({ by: 'litres', ml: 2500 }, withRule({ rule: 'perVessel' }, { amount: '1' }), o);
    expect(line(s, 'x').exact!.amount).toBe('7');
    expect(line(s, 'x').because[0]).toMatchObject({ code: 'perVessel', params: { n: 7, name: 'Jar' } });
  });
  it('cover: room between the pieces and a layer on top, from the pot', () => {
    const covered = testRevision({
      ...stew,
      id: 'covered',
      lines: stew.lines.map((l) => (l.id === 'water' ? { ...l, scaling: { rule: 'cover' as const, lines: ['veg'] } } : l)),
    });
    const s = to({ by: 'portions', portions: 6 }, covered);
    const load = s.passage!.loads.find((l) => l.use === 'pot')!;
    const d = kitchen.equipment.find((e) => e.id === load.vessels[0]!.id)!.diameterMm!;
    const bulk = finder.byId('butternut')!.density.chopped!;
    const expected = 2300 / bulk - 2300 / 1.04 + (((Math.PI * d ** 2) / 4) * 25) / 1000;
    expect(amount(s, 'water')).toBeCloseTo(expected, 0);
    // one pot: the layer on top does not double with the batch
    const twice = to({ by: 'portions', portions: 12 }, covered, { ...options, gear: gear(pot('p20', 20, d)) });
    expect(amount(twice, 'water')).toBeLessThan(2 * amount(s, 'water'));
  });
  it('ratios that lean on each other are worked out in order; a circle is named', () => {
    const chain = testRevision({
      id: 'chain',
      lines: [
        testLine('b', { name: 'cure', scaling: { rule: 'ratio', percent: 10, of: 'rest', lines: ['a', 'veg'] } }),
        testLine('a', { name: 'salt', scaling: { rule: 'ratio', percent: 20, of: 'rest', lines: ['veg'] } }),
        testLine('veg', { amount: '1000' }),
      ],
    });
    const s = scaleBy(weighed(chain), '1', options);
    expect(line(s, 'a').massG).toBeCloseTo(200);
    expect(line(s, 'b').massG).toBeCloseTo(120);
    const circle = testRevision({
      id: 'circle',
      lines: [
        testLine('b', { name: 'cure', scaling: { rule: 'ratio', percent: 10, of: 'rest', lines: ['a'] } }),
        testLine('a', { name: 'brine', scaling: { rule: 'ratio', percent: 20, of: 'rest', lines: ['b'] } }),
      ],
    });
    const c = line(scaleBy(weighed(circle), '1', options), 'a');
    expect(c.out).toBe('cannot be solved');
    expect(c.because[0]).toEqual({ code: 'ratioCircle', params: { names: 'cure, brine' } });
  });
  it('a ratio holds after a swap, and keeps its 2 %', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 5000 }), fc.constantFrom('onion', 'carrot', 'celeriac'), (g, id) => {
        const r = testRevision({
          id: `swap${g}${id}`,
          lines: [
            testLine('veg', { amount: `${g}`, item: { type: 'ingredient', id } }),
            testLine('salt', { name: 'fine salt', scaling: { rule: 'ratio', percent: 10, of: 'total', lines: ['veg'] } }),
          ],
        });
        const s = scaleBy(weighed(r), '1', options);
        expect(line(s, 'salt').massG! / (g + line(s, 'salt').massG!)).toBeCloseTo(0.1, 3);
        expect(Math.abs(line(s, 'salt').error)).toBeLessThanOrEqual(0.05);
      }),
    );
  });
  it('scales by a then b as by ab for what grows in proportion', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 40 }), (a, b) => {
        const f = times(`${a}`, `${b}/7`);
        expect(line(scaleBy(weighed(stew), f, options), 'veg').exact!.amount).toBe(times('2300', f));
      }),
    );
  });
  it('every figure says why', () => {
    for (const l of to({ by: 'vessel', vesselId: 'p9' }).lines) expect(l.because.length, l.line.name).toBeGreaterThan(0);
  });
  it('shows the same amounts in cups or pounds at once', () => {
    const us = scaleTo(weighed(stew), { by: 'portions', portions: 12 }, { ...options, units: 'us' });
    const metric = scaleTo(weighed(stew), { by: 'portions', portions: 12 }, { ...options, units: 'metric' });
    if (!us.ok || !metric.ok) throw new Error('not scaled');
    expect(us.scaled.lines.map((l) => l.exact)).toEqual(metric.scaled.lines.map((l) => l.exact));
    expect(us.scaled.lines[0]!.out).toMatch(/cup|quart/);
  });
});

describe('own serving size (ACCEPTANCE R4)', () => {
  it('9 cups for three adults and two children at half are 2.25 cups and 1.125 cups', () => {
    const weights = [1, 1, 1, 0.5, 0.5];
    const total = weights.reduce((s, w) => s + w, 0);
    expect(toNumber(times('9', times('1', `10/${total * 10}`)))).toBe(2.25);
    expect(toNumber(times('9', `5/${total * 10}`))).toBe(1.125);
  });
});

describe('the oven and the steamer', () => {
  const oven: Equipment = { id: 'oven', name: 'Oven', kind: 'oven', count: 2, widthMm: 460, depthMm: 380 };
  const sheet: Equipment = { id: 'sheet', name: 'Sheet pan', kind: 'sheetPan', count: 3, widthMm: 440, depthMm: 340 };
  const steamer: Equipment = { id: 'steamer', name: 'Steamer', kind: 'steamer', count: 2, litres: 2.5 };
  const pan: Container = {
    id: 'foil',
    name: 'Foil pan',
    shape: 'pan',
    brimMl: 1100,
    fillMl: 1000,
    heightMm: 45,
    widthMm: 210,
    footMm: 180,
    depthMm: 150,
    owned: 20,
    oneUse: true,
    materialId: 'foil',
    microwave: 'no',
  };
  const roast = (grams: string, tags: string[] = []) =>
    testRevision({
      ...stew,
      id: `roast${grams}${tags.join()}`,
      tags,
      lines: [testLine('veg', { name: 'carrot', amount: grams, item: { type: 'ingredient', id: 'carrot' }, form: 'cubed', sizeMm: 20 })],
      steps: [step('roast', { text: 'Roast it.', uses: [{ lineId: 'veg', share: 1 }], needs: [{ kind: 'oven' }], waitMin: 35 })],
    });
  const loadFor = (revision: ReturnType<typeof testRevision>, factor: string, g: Gear) =>
    scaleBy(weighed(revision), factor, { ...options, gear: g }).passage!;

  it('one layer as high as the pieces, on as many sheets as there are shelves', () => {
    const g = gear(oven, sheet);
    const passage = loadFor(roast('6000'), '1', g);
    const load = passage.loads.find((l) => l.use === 'oven')!;
    const row = finder.byId('carrot')!;
    const loose = 6000 / (row.density.chopped ?? row.density.whole)!;
    const atOnce = (2 * 440 * 340 * 20) / 1000;
    expect(load.loads).toBe(Math.ceil(loose / atOnce));
    expect(load.eachMl * load.loads).toBeCloseTo(loose, 6);
    expect(passage.waits).toEqual({});
    // what does not fit goes in turn, and takes the oven again
    const twice = loadFor(roast('6000'), '2', g);
    const more = twice.loads.find((l) => l.use === 'oven')!.loads - load.loads;
    expect(twice.waits.roast).toBe(more * roundsMin('oven', 1, 35));
  });
  it('says what is missing: no sheet pan, no steamer, no bowl, no pot', () => {
    expect(loadFor(roast('600'), '1', gear(oven)).open).toContain('noTray');
    const steam = testRevision({
      ...stew,
      id: 'steam',
      steps: [step('steam', { text: 'Steam it.', uses: [{ lineId: 'veg', share: 1 }], needs: [{ kind: 'steamer' }], waitMin: 12 })],
    });
    expect(loadFor(steam, '1', gear()).open).toContain('noSteamer');
    const chop = testRevision({
      ...stew,
      id: 'chop',
      steps: [step('chop', { text: 'Pulse it.', needs: [{ kind: 'processor' }], uses: [{ lineId: 'veg', share: 1 }] })],
    });
    expect(loadFor(chop, '1', gear()).open).toContain('noBowl');
    expect(loadFor(stew, '1', gear()).open).toContain('noPots');
  });
  it('steams in tiers, and takes as many of them as it fills', () => {
    const steam = (grams: string) =>
      testRevision({
        ...stew,
        id: `steam${grams}`,
        lines: [testLine('veg', { name: 'carrot', amount: grams, item: { type: 'ingredient', id: 'carrot' }, form: 'sliced' })],
        steps: [step('steam', { text: 'Steam it.', uses: [{ lineId: 'veg', share: 1 }], needs: [{ kind: 'steamer' }], waitMin: 12 })],
      });
    const few = loadFor(steam('400'), '1', gear(steamer));
    const many = loadFor(steam('4000'), '1', gear(steamer));
    expect(few.atOnce.steam).toBe(1);
    expect(many.atOnce.steam).toBe(2);
    expect(many.loads.find((l) => l.use === 'steamer')!.loads).toBeGreaterThan(1);
  });
  it('bakes in pans: whole ones, as many as stand on the shelves at once', () => {
    const bake = roast('2300', ['pan']);
    const g: Gear = { equipment: [hob, oven], containers: [pan], hotShare: testFigures.hotShare };
    const load = scaleBy(weighed(bake), '4', { ...options, gear: g }).passage!.loads.find((l) => l.use === 'oven')!;
    // 9.6 L in pans of a litre; two stand side by side whichever way they are turned, four on two shelves... as the core counts them
    expect(load.because[0]).toMatchObject({ code: 'pansInOven', params: { pans: 10 } });
    const perRound = (load.because[0]!.params as { perRound: number }).perRound;
    expect(load.loads).toBe(Math.ceil(10 / perRound));
    expect(loadFor(bake, '1', gear(oven)).loads.some((l) => l.use === 'oven')).toBe(false);
  });
});
