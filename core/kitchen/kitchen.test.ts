import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Eater, Unit } from '#core/contract';
import {
  foreignNames,
  ingredientRows,
  lifeRows,
  bagRows,
  headspaceRows,
  materialRows,
  panRows,
  spaceRows,
  tubRows,
  sources,
  withForeignNames,
} from './data/index.ts';
import {
  addDays,
  addMonths,
  convert,
  daysBetween,
  daysFrom,
  demand,
  dayOf,
  densityFor,
  fromNumber,
  gramsOf,
  ingredientFinder,
  instantAt,
  isPresent,
  lifeOf,
  measure,
  times,
  toNumber,
  unitFacts,
  wholePieces,
} from './index.ts';

const rational = fc.tuple(fc.integer({ min: 1, max: 5000 }), fc.integer({ min: 1, max: 64 })).map(([n, d]) => times(`${n}`, `1/${d}`));
const units = (Object.keys(unitFacts) as Unit[]).filter((u) => unitFacts[u].dimension === 'mass' || unitFacts[u].dimension === 'volume');
const sameDimension = fc
  .constantFrom(...units)
  .chain((a) => fc.tuple(fc.constant(a), fc.constantFrom(...units.filter((b) => unitFacts[b].dimension === unitFacts[a].dimension))));

describe('quantities', () => {
  it('scales by a then b as by ab, exactly', () => {
    fc.assert(
      fc.property(rational, rational, rational, (q, a, b) => {
        expect(times(times(q, a), b)).toBe(times(q, times(a, b)));
      }),
    );
  });
  it('converts there and back without loss', () => {
    fc.assert(
      fc.property(rational, sameDimension, (amount, [from, to]) => {
        const there = convert({ amount, unit: from }, to);
        expect(there && convert(there, from)).toEqual({ amount, unit: from });
      }),
    );
  });
  it.each([
    ['16 US tbsp are one US cup', { amount: '16', unit: 'usTbsp' as Unit }, 'usCup' as Unit, '1'],
    ['16 oz are one lb', { amount: '16', unit: 'oz' as Unit }, 'lb' as Unit, '1'],
    ['20 UK fl oz are one pint', { amount: '20', unit: 'ukFlOz' as Unit }, 'ukPint' as Unit, '1'],
    ['a gallon is 3785.411784 ml', { amount: '1', unit: 'usGallon' as Unit }, 'ml' as Unit, '473176473/125000'],
  ])('%s', (_, q, to, amount) => expect(convert(q, to)?.amount).toBe(amount));
  it('a third of a cup tripled is one cup', () => expect(times('1/3', '3')).toBe('1'));
  it('keeps typed decimals exact', () => expect(fromNumber(0.1)).toBe('1/10'));
  it('never turns a mass into a volume without a density', () => {
    expect(convert({ amount: '1', unit: 'g' }, 'ml')).toBeUndefined();
    const row = { ...ingredientRows[0]!, density: {} };
    expect(gramsOf({ amount: '1', unit: 'cup' }, row)).toEqual({ ok: false, why: 'noDensity' });
  });
  it('weighs pieces and chopped volumes by the row', () => {
    const onion = ingredientRows.find((r) => r.id === 'onion')!;
    expect(gramsOf({ amount: '2', unit: 'piece' }, onion)).toMatchObject({ massG: 300, by: 'piece' });
    expect(densityFor(onion, 'diced')).toEqual({ gPerMl: 0.68, state: 'chopped' });
  });
});

describe('kitchen rounding', () => {
  it('stays within the cap whenever the scale can show it, and never rounds to nothing', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 20_000, noNaN: true }),
        fc.constantFrom(0.05, 0.02),
        fc.constantFrom(1, 0.1),
        (exact, cap, step) => {
          const m = measure(exact, cap, step);
          expect(m.value).toBeGreaterThan(0);
          if (exact * cap >= step / 2) expect(Math.abs(m.error)).toBeLessThanOrEqual(cap + 1e-9);
        },
      ),
    );
  });
  it.each([
    [918, 0.05, 920],
    [1224, 0.05, 1220],
    [24.5, 0.02, 25],
    [7.3, 0.05, 7],
    [2240, 0.05, 2250],
    [0.4, 0.05, 1],
  ])('measures %d g within %d as %d', (exact, cap, value) => expect(measure(exact, cap).value).toBe(value));
  it('gives at least one whole piece', () => {
    expect(wholePieces(0.2).value).toBe(1);
    expect(wholePieces(2.4).value).toBe(2);
  });
  it('refuses a negative amount in words', () => expect(() => measure(-1)).toThrow(/0 or more/));
});

describe('days', () => {
  it('clamps months to the month end', () => {
    expect(addMonths('2026-08-31', 6)).toBe('2027-02-28');
    expect(addMonths('2027-08-31', 6)).toBe('2028-02-29');
  });
  it('counts days by their number, summer time or not', () => {
    fc.assert(
      fc.property(fc.integer({ min: -4000, max: 4000 }), (n) => {
        expect(daysBetween('2026-03-28', addDays('2026-03-28', n))).toBe(n);
      }),
    );
  });
  it('takes the day in the household zone', () => {
    expect(dayOf('2026-06-30T23:30:00.000Z', 'Europe/London')).toBe('2026-07-01');
    expect(instantAt('2026-11-24', '16:00', 'Europe/London')).toBe('2026-11-24T16:00:00.000Z');
    expect(instantAt('2026-07-24', '16:00', 'Europe/London')).toBe('2026-07-24T15:00:00.000Z');
  });
});

const everyDinner = {
  mon: ['dinner'],
  tue: ['dinner'],
  wed: ['dinner'],
  thu: ['dinner'],
  fri: ['dinner'],
  sat: ['dinner'],
  sun: ['dinner'],
} satisfies Eater['presence']['weekly'];
const eater = (id: string, over: Partial<Eater> = {}): Eater => ({
  id,
  name: id,
  stage: 'adult',
  appetite: 1,
  allergens: [],
  needs: [],
  presence: { weekly: everyDinner, away: [], exceptions: [] },
  ...over,
});

describe('presence', () => {
  const marit = eater('marit', {
    presence: { weekly: everyDinner, away: [], exceptions: [], rota: { firstDay: '2026-11-29', daysOn: 14, daysOff: 14 } },
  });
  it('follows the rota both ways', () => {
    expect(isPresent(marit.presence, '2026-11-28', 'dinner')).toBe(true);
    expect(isPresent(marit.presence, '2026-11-29', 'dinner')).toBe(false);
    expect(isPresent(marit.presence, '2026-12-12', 'dinner')).toBe(false);
    expect(isPresent(marit.presence, '2026-12-13', 'dinner')).toBe(true);
    expect(daysFrom('2026-01-01', 28).filter((d) => isPresent(marit.presence, d, 'dinner'))).toHaveLength(14);
  });
  it('lets an exception for one evening win', () => {
    const home = { ...marit.presence, exceptions: [{ day: '2026-11-29', meal: 'dinner' as const, present: true }] };
    expect(isPresent(home, '2026-11-29', 'dinner')).toBe(true);
  });
  it('sums quarter plates over who is there, the baby apart', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0.3, max: 2, noNaN: true }), { maxLength: 6 }), (factors) => {
        const people = factors.map((appetite, i) => eater(`e${i}`, { appetite }));
        const d = demand([...people, eater('pip', { stage: 'baby', baby: { mealsPerDay: 2, cubesPerMeal: 3 } })], '2026-11-24');
        expect(d.quarters).toBe(d.eaters.reduce((s, e) => s + e.quarters, 0));
        expect(d.eaters).toHaveLength(people.length);
        expect(d.babyMeals).toBe(2);
      }),
    );
  });
});

describe('storage lives', () => {
  const rows = new Map(lifeRows.map((r) => [r.id, r]));
  const gb = { country: 'GB', lives: 'usual' } as const;
  it('lets the shortest part decide and names it', () => {
    const r = lifeOf(
      [
        { rowId: 'mince_cooked', part: 'turkey mince' },
        { rowId: 'pepper_chop', part: 'peppers' },
      ],
      rows,
      gb,
    );
    expect(r).toMatchObject({ ok: true, life: { months: 2, part: 'turkey mince' } });
  });
  it('differs between usual and cautious in the fridge only', () => {
    for (const row of lifeRows) {
      const usual = lifeOf([{ rowId: row.id, part: 'x' }], rows, { country: 'US', lives: 'usual' });
      const careful = lifeOf([{ rowId: row.id, part: 'x' }], rows, { country: 'US', lives: 'cautious' });
      expect(usual.ok).toBe(careful.ok);
      if (usual.ok && careful.ok) {
        expect(careful.life.months).toBe(usual.life.months);
        expect(careful.life.fridgeDays).toBeLessThanOrEqual(usual.life.fridgeDays);
      }
    }
  });
  it('refuses what should not be frozen', () =>
    expect(lifeOf([{ rowId: 'mayo_salad', part: 'dressing' }], rows, gb)).toMatchObject({ ok: false, why: 'doNotFreeze' }));
});

describe('reference rows', () => {
  const tables = { ingredientRows, lifeRows, bagRows, headspaceRows, materialRows, panRows, spaceRows, tubRows };
  it.each(Object.entries(tables))('%s: unique ids, a source, a confidence', (_, rows) => {
    expect(new Set(rows.map((r) => r.id)).size).toBe(rows.length);
    for (const row of rows) {
      expect(row.source.length, row.id).toBeGreaterThan(0);
      expect(['A', 'B', 'confirm']).toContain(row.conf);
    }
  });
  it('holds ingredients to plain sanity', () => {
    for (const r of ingredientRows) {
      for (const d of Object.values(r.density)) expect(d > 0.03 && d < 2.4, r.id).toBe(true);
      if (r.ediblePct !== undefined) expect(r.ediblePct > 0 && r.ediblePct <= 100, r.id).toBe(true);
      if (r.allergenCheck === 'plain') expect(r.mayHold, r.id).toEqual([]);
      expect(
        r.contains.filter((c) => r.mayHold.includes(c)),
        r.id,
      ).toEqual([]);
    }
  });
  it('names every source code', () => {
    for (const r of ingredientRows)
      for (const code of r.source.split(/[;,]\s*/)) expect(Object.keys(sources), `${r.id} ${code}`).toContain(code.trim());
  });
});

describe('finding an ingredient', () => {
  const finder = ingredientFinder(ingredientRows);
  it.each([
    ['large red onions', 'onion'],
    ['scallions', 'spring_onion'],
    ['carrots', 'carrot'],
    ['freshly grated root ginger', 'ginger'],
    ['cloves of garlic', 'garlic'],
    ['tomatoes', 'tomato'],
  ])('%s is %s', (text, id) => expect(finder.match(text)?.id).toBe(id));
  it('says nothing rather than guess', () => expect(finder.match('moon dust')).toBeUndefined());
  it('finds by the beginning of a name first', () => expect(finder.search('car')[0]?.name.startsWith('car')).toBe(true));
  it('reads an exact rational', () => expect(toNumber('3/4')).toBe(0.75));
});

describe('the food finder takes a name only when nothing of it is left over', () => {
  const finder = ingredientFinder(ingredientRows);
  it.each([
    ['3 large red onions', 'onion'],
    ['coconut milk', 'coconut_milk'],
    ['roasted peppers', 'pepper_sweet'],
    ['2 peppers, sliced', 'pepper_sweet'],
    ['1 tsp pepper', 'pepper_black'],
    ['egg noodles', 'noodle_egg'],
    ['tofu', 'tofu'],
    ['chicken breasts', 'chicken_breast'],
    ['buttermilk', 'buttermilk'],
    ['2 bay leaves', 'bay_leaf'],
    ['free-range eggs', 'egg'],
    ['3 garlic cloves, crushed', 'garlic'],
    ['finely chopped flat parsley', 'parsley'],
    ['ground turmeric', 'turmeric'],
    ['turmeric', 'turmeric'],
  ])('%s', (written, id) => expect(finder.match(written)?.id).toBe(id));
  it.each([
    ['vanilla sugar', 'sugar_white'],
    ['condensed milk', 'milk'],
    ['rose water', 'water'],
    ['lemon grass', 'lemon'],
    ['vegan butter', 'butter'],
    ['gluten-free flour', 'flour_plain'],
    ['red wine vinegar', 'vinegar'],
    ['peanut noodles with egg', 'egg'],
  ])('%s is offered, not taken', (written, id) => {
    expect(finder.match(written)).toBeUndefined();
    expect(finder.read(written)?.row.id).toBe(id);
    expect(finder.read(written)?.over.length).toBeGreaterThan(0);
  });
  it('offers a bare name that several foods have', () => {
    expect(finder.match('pork shoulder')).toBeUndefined();
    expect(finder.read('pork shoulder')).toMatchObject({ over: [], sure: false });
  });
  it('takes every name of the table as itself, and never with another word before it that it does not know', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ingredientRows.flatMap((r) => [r.name, ...r.otherNames])),
        fc.constantFrom('glimmer', 'moss', 'sparrow'),
        (name, noun) => {
          expect(finder.match(name), name).toBeDefined();
          expect(finder.match(`${noun} ${name}`), `${noun} ${name}`).toBeUndefined();
        },
      ),
    );
  });
});

describe('names of foods in other languages', () => {
  const finder = ingredientFinder(withForeignNames(ingredientRows));
  it.each(Object.entries(foreignNames).flatMap(([id, list]) => list.split(', ').map((name) => [name, id] as const)))(
    '%s is %s',
    (name, id) => expect(finder.match(name)?.id).toBe(id),
  );
  it('says nothing of what is called so by several foods', () => {
    for (const name of ['Brühe', 'fromage', 'panna', 'queso']) expect(finder.match(name)).toBeUndefined();
  });
});
