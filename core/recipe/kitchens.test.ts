import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ingredientFinder, fromNumber, toNumber } from '#core/kitchen';
import { ingredientRows } from '#core/kitchen/data';
import { seasoningRows, textureRows } from '#core/recipe/data';
import { testLine, testRevision } from './fixtures.ts';
import {
  compareRuns,
  costOf,
  cutSize,
  doseFor,
  freezeFlags,
  learnedYield,
  linesOf,
  nextMinutes,
  piecesFor,
  potBalance,
  pouredOf,
  readNote,
  recipeGaps,
  sayDose,
  scaleRecipe,
  splitPot,
  standIn,
  swapByWeight,
  tally,
  weighRecipe,
  type Pour,
  type ScaledRecipe,
} from './index.ts';

const finder = ingredientFinder(ingredientRows);
const options = { finder, scaleStepG: 1 };
const scaled = (portions: number, revision = testRevision(), finds = finder): ScaledRecipe => {
  const r = scaleRecipe(weighRecipe(revision, finds), portions, options);
  if (!r.ok) throw new Error(r.why);
  return r.scaled;
};
const item = (id: string, over: Parameters<typeof testLine>[1] = {}) =>
  testLine(id, { name: id, item: { type: 'ingredient', id }, ...over });

describe('learned yields (R7)', () => {
  it('stand between what is written and what was seen, nearer to what was seen the more often', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 1.6, noNaN: true }), fc.integer({ min: 1, max: 30 }), (x, n) => {
        const one = learnedYield(Array<number>(n).fill(x));
        expect(one.factor).toBeCloseTo((3 + n * x) / (3 + n), 9);
        expect(one.low).toBeLessThan(one.factor);
        expect(one.high).toBeGreaterThan(one.factor);
        expect(one.high - one.low).toBeGreaterThanOrEqual(2 * 1.28 * 0.02);
      }),
    );
  });
  it('say the written yield when nothing was weighed', () => expect(learnedYield([])).toMatchObject({ factor: 1, runs: 0 }));
  it('grow narrower with runs that agree', () => {
    const width = (n: number): number => {
      const l = learnedYield(Array<number>(n).fill(0.97));
      return l.high - l.low;
    };
    expect(width(10)).toBeLessThan(width(1));
  });
  it('refuse a run of nothing', () => expect(() => learnedYield([0])).toThrow(/above 0/));
  // ACCEPTANCE C1
  it.each([
    [15, { planned: 15, actual: 34 }, 34],
    [100, { planned: 150, actual: 210 }, 140],
    [95, { planned: 100, actual: 160 }, 152],
    [60, undefined, 60],
  ])('minutes: %d planned after %o is %d', (plan, last, minutes) => expect(nextMinutes(plan, last)).toBe(minutes));
});

describe('freezing (R8)', () => {
  const tables = { textures: new Map(textureRows.map((r) => [r.id, r])), seasonings: new Map(seasoningRows.map((r) => [r.id, r])) };
  const flags = (...ids: string[]) =>
    freezeFlags(
      ids.map((id) => item(id)),
      finder,
      tables,
    );
  // ACCEPTANCE R8
  it('freeze filter: chicken inside, lettuce beside, mayonnaise on the day, halved or swapped', () => {
    const [mayo, lettuce, ...rest] = flags('mayonnaise', 'lettuce', 'chicken_thigh');
    expect(mayo).toMatchObject({ place: 'onTheDay', advice: 'add on the day, or halve or swap it' });
    expect(lettuce).toMatchObject({ place: 'beside' });
    expect(rest).toEqual([]);
  });
  it.each([
    ['potato', 'badly', /mash/],
    ['pasta_short', 'changes', /undercook/],
    ['cream_single', 'badly', /on the day/],
    ['yogurt', 'badly', /on the day/],
    ['pepper_black', 'changes', /./],
  ])('%s %s, with a way round', (id, fitness, advice) => {
    const [flag] = flags(id);
    expect(flag).toMatchObject({ fitness });
    expect(flag?.advice).toMatch(advice);
    expect(flag?.source.length).toBeGreaterThan(0);
  });
  it('leaves out what goes in on the day, and what is smooth already', () => {
    expect(freezeFlags([item('mayonnaise', { moment: 'cookDay' })], finder, tables)).toEqual([]);
    expect(freezeFlags([item('courgette', { form: 'pureed' })], finder, tables)).toEqual([]);
  });
});

describe('cost (R9)', () => {
  const priced = ingredientFinder(
    ingredientRows.map((r) =>
      r.id === 'onion'
        ? {
            ...r,
            prices: [
              { amount: 1000, unit: 'g' as const, cents: 120, day: '2026-11-01' },
              { amount: 1000, unit: 'g' as const, cents: 90, day: '2026-01-01' },
            ],
          }
        : r,
    ),
  );
  it('is the used share of a pack as bought, at the newest price, and names what has none', () => {
    const c = costOf(scaled(6, testRevision(), priced).lines, 6, priced);
    // 450 g edible of 89 % is 505.6 g bought
    expect(c.lines[0]?.cents).toBeCloseTo((450 / 0.89 / 1000) * 120, 6);
    expect(c.leftOut).toEqual(['smoked paprika', 'bay leaf']);
    expect(c.madeUp).toBe(false);
  });
  it('doubles with the recipe, a portion costs the same', () => {
    const one = costOf(scaled(6, testRevision(), priced).lines, 6, priced);
    const two = costOf(scaled(12, testRevision(), priced).lines, 12, priced);
    expect(two.cents).toBeCloseTo(2 * one.cents, 6);
    expect(two.perPortionCents).toBeCloseTo(one.perPortionCents, 6);
  });
});

describe('a pot split before the salt (R9)', () => {
  const salty = testRevision({
    lines: [item('onion'), testLine('salt', { name: 'fine salt', amount: '12', item: { type: 'ingredient', id: 'salt_table' } })],
  });
  it('salts the rest in proportion', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 48 }), (quarters) => {
        const s = scaled(12, salty);
        const r = splitPot(s, quarters / 4, options);
        expect(r.ok && r.split.salt[0]!.massG! / s.lines[1]!.massG!).toBeCloseTo((12 - quarters / 4) / 12, 5);
        expect(r.ok && r.split.dipMl).toBeCloseTo(quarters * 100, 6);
      }),
    );
  });
  it('two of twelve dipped out leave 20 g for the rest', () => {
    const r = splitPot(scaled(12, salty), 2, options);
    expect(r.ok && r.split.salt[0]!.out).toBe('20\u00a0g');
    expect(r.ok && r.split.perPortionG).toBeCloseTo(2, 6);
  });
  it.each([
    [-1, 'negative'],
    [13, 'moreThanAll'],
    [NaN, 'negative'],
  ])('refuses %d of twelve', (n, why) => expect(splitPot(scaled(12, salty), n, options)).toMatchObject({ ok: false, why }));
  it('says when nothing is salted, and what brings salt of its own', () => {
    expect(splitPot(scaled(6), 1, options)).toMatchObject({ ok: false, why: 'noSalt' });
    const r = splitPot(scaled(6, testRevision({ lines: [...salty.lines, item('bacon')] })), 1, options);
    expect(r.ok && r.split.alsoSalty).toEqual(['bacon']);
  });
});

describe('by feel and doses (ACCEPTANCE R10)', () => {
  it('recipe to piece: 5 cloves of 5 g in pieces of 10 g are 3 pieces, 5 g over', () =>
    expect(piecesFor(25, 10)).toEqual({ pieces: 3, massG: 30, overG: 5 }));
  it('substitute: 5 cloves at 1 tsp for 2 are 2.5 tsp', () => expect(standIn(5, { amount: 1, count: 2 })).toBe(2.5));
  it('swap by weight: 140 g of carrots at 18 g each are 8 pieces, 144 g', () =>
    expect(swapByWeight(140, 18)).toMatchObject({ pieces: 8, massG: 144 }));
  it('count to grams: 2 cloves of 5 g, mine of 2.5 g, are 4', () => expect(swapByWeight(2 * 5, 2.5).pieces).toBe(4));
  it('a spoon per half litre: 4 for 2 litres', () => expect(doseFor(2000, { amount: 1, perMl: 500 })).toBe(4));
  it('dose water: 30, then 15 by 15 until the spoon holds, is 60 ml', () =>
    expect(toNumber(tally([30, 15, 15].map((amount): Pour => ({ name: 'water', amount, unit: 'ml' })))[0]!.amount)).toBe(60));
  it('tally pours: 30 + 15 + 15 of 60 ml', () => expect(pouredOf([30, 15, 15], 60)).toEqual({ poured: 60, left: 0, over: 0 }));
  it('by-feel capture: pepper +1 turn, lentils 0, +120 g tomato', () => {
    const one: Pour[] = [
      { name: 'pepper', amount: 2, unit: 'turn' },
      { name: 'lentils', amount: 300, unit: 'g' },
    ];
    const two: Pour[] = [{ name: 'pepper', amount: 3, unit: 'turn' }, one[1]!, { name: 'tomato', amount: 120, unit: 'g' }];
    expect(
      compareRuns(one, two)
        .map((c) => c.says.replace('\u00a0', ' '))
        .join(', '),
    ).toBe('pepper +1 turn, lentils 0, +120 g tomato');
    expect(compareRuns(two, one).at(-1)?.change).toBe('gone');
  });
  it('adds pours in any order', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            name: fc.constantFrom('water', 'oil'),
            amount: fc.integer({ min: 1, max: 500 }),
            unit: fc.constantFrom('ml' as const, 'l' as const, 'pinch' as const),
          }),
          { minLength: 1 },
        ),
        (pours) => {
          const sums = (list: Pour[]) =>
            tally(list)
              .map((t) => `${t.name} ${t.unit} ${t.amount}`)
              .toSorted();
          expect(sums(pours)).toEqual(sums(pours.toReversed()));
        },
      ),
    );
  });
  it('becomes lines that can be made again: seasoning to taste, the rest in proportion', () => {
    const lines = linesOf(
      [
        { name: 'black pepper', ingredientId: 'pepper_black', amount: 2, unit: 'turn' },
        { name: 'onion', ingredientId: 'onion', amount: 300, unit: 'g' },
      ],
      finder,
      (n) => `l${n}`,
    );
    expect(lines.map((l) => l.scaling.rule)).toEqual(['toTaste', 'proportional']);
    expect(lines[1]).toMatchObject({ amount: '300', unit: 'g', item: { id: 'onion' } });
  });
  it('weighs the pot before and after', () => {
    expect(potBalance(2450, 5050, 3000)).toEqual({ ok: true, madeG: 2600, steamedG: 400 });
    expect(potBalance(2450, 2000, 3000)).toMatchObject({ ok: false, why: 'lighterThanEmpty' });
    expect(potBalance(2450, 9000, 3000)).toMatchObject({ ok: false, why: 'heavierThanPoured' });
  });
});

describe('piece size (ACCEPTANCE R3)', () => {
  it('stringy halves the cut, with its reason; tender stays', () => {
    expect(cutSize(12, { texture: 'stringy' })).toEqual({ mm: 6, because: [{ code: 'stringyHalves', params: { from: 12 } }] });
    expect(cutSize(12, { texture: 'tender' }).mm).toBe(12);
    expect(cutSize(12, undefined).mm).toBe(12);
    expect(() => cutSize(0, undefined)).toThrow(/above 0/);
  });
});

describe('a dose in words', () => {
  it.each([
    [{ amount: 1, unit: 'tbsp' as const, perMl: 500, noSalt: true }, ['1 tbsp for 500\u00a0ml, do not salt']],
    [{ amount: 1, unit: 'piece' as const, insteadOf: { ingredientId: 'garlic', count: 2 }, noSalt: false }, ['1 piece = 2 garlic']],
  ])('%o', (dose, says) => expect(sayDose(dose, (id) => id)).toEqual(says));
});

describe('two amounts of one line', () => {
  const flour = (written: string) =>
    recipeGaps(
      testRevision({
        lines: [testLine('f', { name: 'flour', written, amount: '2', unit: 'cup', item: { type: 'ingredient', id: 'flour_plain' } })],
        steps: [],
      }),
      finder,
    ).filter((g) => g.gap === 'twoAmounts');
  it('are told apart when they do not agree, by weight', () => {
    expect(flour('2 cups (265 g) flour')).toEqual([]);
    expect(flour('2 cups (500 g) flour')).toMatchObject([{ name: 'flour', second: '500\u00a0g' }]);
  });
});

describe('next-time notes as a changed amount', () => {
  const lines = [
    testLine('w', { name: 'water', amount: '1000', unit: 'ml' }),
    testLine('s', { name: 'fine salt', amount: '12', unit: 'g' }),
    testLine('p', { name: 'smoked paprika', amount: '2', unit: 'tsp' }),
  ];
  it.each([
    ['use 850 ml water', 'w', 850, 'said'],
    ['850 ml of water next time', 'w', 850, 'said'],
    ['100 ml less water', 'w', 900, 'said'],
    ['a quarter less water', 'w', 750, 'said'],
    ['20 % more water', 'w', 1200, 'said'],
    ['half the paprika', 'p', 1, 'said'],
    ['double the paprika', 'p', 4, 'said'],
    ['2 g less salt', 's', 10, 'said'],
    ['October: less water, it was thin.', 'w', 900, 'guess'],
    ['it was too thick', 'w', 1100, 'guess'],
    ['too salty for Osk', 's', 11, 'guess'],
  ])('“%s”', (text, lineId, to, how) => {
    const offer = readNote(text, lines);
    expect(offer).toMatchObject({ lineId, how });
    expect(toNumber(offer!.to.amount)).toBeCloseTo(to, 6);
  });
  it.each(['thinner layers', 'buy better tubs', '2 kg less salt', 'use 3 ml salt'])('offers nothing for “%s”', (text) =>
    expect(readNote(text, lines)).toBeUndefined(),
  );
  it('never offers nothing or less', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4000 }), fc.constantFrom('less', 'more'), (n, way) => {
        const offer = readNote(`${n} ml ${way} water`, lines);
        if (offer) expect(toNumber(offer.to.amount)).toBeGreaterThan(0);
        else expect(way === 'less' && n >= 1000).toBe(true);
      }),
    );
    expect(fromNumber(0.9)).toBe('9/10');
  });
});
