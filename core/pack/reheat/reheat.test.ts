import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { reheatRows } from '../data/index.ts';
import {
  growth,
  heatRow,
  heatWay,
  heatWays,
  labelSigns,
  labelWays,
  onMarks,
  pageWay,
  type HeatForm,
  type HeatMethod,
  type Stoves,
} from './index.ts';
import { workedPacks } from './worked.rows.ts';
import { adviceOf } from '#core/kitchen';
import { testFigures } from '../../kitchen/fixtures.ts';

const rows = reheatRows.map(heatRow);
const block = { slowMm: testFigures.blockSlow, mostMm: testFigures.blockMost, longer: testFigures.blockLonger };
const stoves: Stoves = { has: new Set(), fan: false, block };
/** Every figure of a sentence, in order; "half power" is a figure in words. */
const figures = (text: string): string[] =>
  [...text.replace(/\bhalf power\b/g, '50 %').matchAll(/\d[\d,]*[¼½¾]?|[¼½¾]/g)].map((m) => m[0].replace(/,/g, ''));

describe('sixty worked packs', () => {
  it.each(workedPacks)('$n: $pack', ({ base, food, stoves: own, label, page }) => {
    const row = rows.find((r) => r.baseId === base && r.form === food.form)!;
    const way = heatWay(
      row,
      {
        forms: [food.form],
        massG: food.g ?? food.ml ?? 0,
        volumeMl: food.ml ?? food.g ?? 0,
        ...(food.mm !== undefined && { thicknessMm: food.mm }),
        ...(food.pieces !== undefined && { pieces: food.pieces }),
        ...(food.lost !== undefined && { waterLostMl: food.lost }),
      },
      { ...stoves, watts: 800, ...own, fan: own.fan ?? false },
    );
    const [said = ''] = labelWays(way, adviceOf('GB', testFigures));
    expect(said.length).toBeLessThanOrEqual(labelSigns);
    // a figure the label leaves out for room stands on the page; none is another one
    expect(
      figures(said).filter((f) => !label.split(' ').includes(f)),
      said,
    ).toEqual([]);
    const written = figures(pageWay(way, adviceOf('GB', testFigures)).join(' '));
    expect(written, pageWay(way, adviceOf('GB', testFigures)).join(' ')).toEqual(page.split(' ').filter(Boolean));
  });
});

const classes = [...new Set(rows.map((r) => r.classId))];
const methods: HeatMethod[] = [
  'hob',
  'boil',
  'steam',
  'kettle',
  'oven',
  'microwave',
  'air fryer',
  'pressure cooker',
  'slow cooker',
  'toaster',
];
const forms: HeatForm[] = ['bag', 'tub', 'jar', 'foil', 'dish', 'loose'];
const kitchens = fc.record({
  has: fc.subarray(methods).map((m) => new Set<HeatMethod>([...m, 'none'])),
  fan: fc.boolean(),
  watts: fc.option(fc.integer({ min: 500, max: 1300 }), { nil: undefined }),
});
const anyPack = fc.record({
  forms: fc.constantFrom(...forms).map((f) => [f]),
  massG: fc.integer({ min: 5, max: 6000 }),
  volumeMl: fc.integer({ min: 5, max: 6000 }),
  thicknessMm: fc.option(fc.integer({ min: 3, max: 120 }), { nil: undefined }),
  pieces: fc.option(fc.integer({ min: 1, max: 24 }), { nil: undefined }),
  microwave: fc.constantFrom('yes' as const, 'no' as const, 'unknown' as const),
});
const defined = <T extends object>(o: T): T => Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined)) as T;

describe('any food in any container of any kitchen', () => {
  it('can be heated, in whole sentences that hold no raw cell', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...classes),
        anyPack,
        kitchens,
        fc.constantFrom('GB' as const, 'US' as const, 'EU' as const),
        (classId, pack, kitchen, country) => {
          const ways = heatWays(rows, classId, defined(pack) as never, { ...defined(kitchen), block } as Stoves);
          expect(ways.length).toBeGreaterThan(0);
          if (classId !== 'never') expect(ways[0]!.stop, classId).not.toBe('refused');
          for (const way of ways) {
            for (const said of labelWays(way, adviceOf(country, testFigures))) {
              expect(said.length).toBeLessThanOrEqual(labelSigns);
              expect(said).toMatch(/^[A-Z].*\.$/);
              expect(said).not.toMatch(
                /undefined|NaN|pct|\byes\b|_| {2}|[,:] *[,.:]|\(\)|\bfor roll|foil half|;(?! cool to lukewarm| add no other)/,
              );
              expect(said.split(/\bmin\b.*\bmin min\b/)).toHaveLength(1);
            }
            const page = pageWay(way, adviceOf(country, testFigures));
            expect(page.length).toBeGreaterThan(0);
            for (const sentence of page) {
              expect(sentence).toMatch(/^[A-Z].*\.$/);
              expect(sentence).not.toMatch(/undefined|NaN|pct|\byes\b|_| {2}|[,:] *[,.:]|\(\)|\b1 minutes\b/);
            }
          }
        },
      ),
      { numRuns: process.env.TAMBO_THOROUGH ? 3000 : 600 },
    );
  });
  it('takes longer when there is more of it, up to what fits in one go', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...rows.filter((r) => r.allowed === 'yes' && r.law !== 'fixed')),
        fc.integer({ min: 1, max: 3000 }),
        fc.integer({ min: 0, max: 500 }),
        (row, amount, more) => {
          expect(growth(row, amount + more)).toBeGreaterThanOrEqual(growth(row, amount) - 1e-12);
        },
      ),
    );
  });
  it('never puts foil in a microwave, nor frozen glass into heat', () => {
    for (const row of rows) {
      if (row.method === 'microwave' && row.form === 'foil' && row.allowed === 'yes') expect(row.takeOut, row.id).toBe(true);
      if (row.start === 'frozen' && (row.form === 'dish' || (row.form === 'jar' && row.method !== 'none' && row.classId !== 'stock_paste')))
        expect(row.allowed, row.id).not.toBe('yes');
    }
  });
});

describe('marks of a kitchen clock', () => {
  it('shorten nothing by more than a sliver and keep the order', () => {
    const minutes = { h: 60, min: 1, s: 1 / 60 };
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 600, noNaN: true }), fc.double({ min: 1, max: 2.5, noNaN: true }), (low, times) => {
        const span = onMarks(low, low * times);
        const unit = minutes[span.unit];
        expect(span.low).toBeLessThanOrEqual(span.high);
        expect(span.low * unit * 1.04).toBeGreaterThanOrEqual(low - 1e-9);
        expect(span.high * unit * 1.04).toBeGreaterThanOrEqual(low * times - 1e-9);
      }),
    );
  });
});
