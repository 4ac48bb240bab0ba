import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testContainer } from './fixtures.ts';
import {
  a4Grid21,
  choosePacks,
  codeFrom,
  cubeRounds,
  cubesThatFit,
  fillLimitMl,
  isCode,
  codeLink,
  scannedCode,
  labelSpots,
  readCode,
  thicknessMm,
  type Free,
  type PackWish,
} from './index.ts';
import { testFigures } from '../kitchen/fixtures.ts';

const tub = testContainer;

describe('choosing containers', () => {
  const choose = (wish: PackWish, frees: Free[]) => {
    const r = choosePacks(wish, frees);
    if (!r.ok) throw new Error(r.why);
    return r.choice;
  };
  /** Every way to use the free containers, for small cases. */
  function brute(wish: PackWish, frees: readonly Free[]): number[] {
    const portions = Math.floor(wish.yieldMl / wish.portionMl + 1e-9);
    const sorted = frees.toSorted((a, b) => a.container.id.localeCompare(b.container.id));
    let best: number[] | undefined;
    const visit = (i: number, left: number, cost: number[]): void => {
      if (i === sorted.length) {
        const total = [cost[0]!, left, cost[1]!, cost[2]!, cost[3]!];
        if (
          !best ||
          (total.findIndex((v, k) => v !== best![k]) !== -1 &&
            total[total.findIndex((v, k) => v !== best![k])]! < best[total.findIndex((v, k) => v !== best![k])]!)
        )
          best = total;
        return;
      }
      const f = sorted[i]!;
      const limit = Math.floor(fillLimitMl(f.container, testFigures) / wish.portionMl + 1e-9);
      const fill = (n: number, used: number, preferred: number, least: number): void => {
        visit(i + 1, left - used, [
          cost[0]! - preferred,
          cost[1]! + (n > 0 ? 1 : 0),
          cost[2]! + n,
          cost[3]! + (f.container.oneUse ? n : 0),
        ]);
        if (n === f.free) return;
        for (let size = least; size <= limit; size += 1)
          if (used + size <= left) fill(n + 1, used + size, preferred + (wish.groups.includes(size) ? size : 0), size);
      };
      fill(0, 0, 0, 1);
    };
    visit(0, portions, [0, 0, 0, 0]);
    return best!;
  }
  it('equals trying every way, for small kitchens', () => {
    const kind = fc.record({ fill: fc.integer({ min: 100, max: 900 }), free: fc.integer({ min: 0, max: 3 }), oneUse: fc.boolean() });
    fc.assert(
      fc.property(
        fc.array(kind, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 300, max: 2400 }),
        fc.subarray([1, 2, 3], { minLength: 1 }),
        (kinds, yieldMl, groups) => {
          const frees = kinds.map((k, i) => ({
            container: tub(`c${i}`, { fillMl: k.fill, brimMl: k.fill * 1.2, oneUse: k.oneUse }),
            free: k.free,
          }));
          const wish = { yieldMl, portionMl: 300, groups, figures: testFigures };
          const r = choosePacks(wish, frees);
          if (!r.ok) return;
          const g = r.choice.groups;
          const mine = [
            0 - g.filter((x) => groups.includes(x.portionsEach)).reduce((s, x) => s + x.packs * x.portionsEach, 0),
            r.choice.portionsLeft,
            new Set(g.map((x) => x.container.id)).size,
            r.choice.packs,
            g.filter((x) => x.container.oneUse).reduce((s, x) => s + x.packs, 0),
          ];
          expect(mine).toEqual(brute(wish, frees));
        },
      ),
      { numRuns: process.env.TAMBO_THOROUGH ? 400 : 120 },
    );
  });
  it('never uses more than is free, never overfills, never loses food', () => {
    const kind = fc.record({ fill: fc.integer({ min: 100, max: 3000 }), free: fc.integer({ min: 0, max: 12 }) });
    fc.assert(
      fc.property(
        fc.array(kind, { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 100, max: 15_000 }),
        fc.integer({ min: 60, max: 700 }),
        (kinds, yieldMl, portionMl) => {
          const frees = kinds.map((k, i) => ({ container: tub(`c${i}`, { fillMl: k.fill, brimMl: k.fill * 1.15 }), free: k.free }));
          const r = choosePacks({ yieldMl, portionMl, groups: [2, 1], figures: testFigures }, frees);
          if (!r.ok) return;
          for (const f of frees)
            expect(r.choice.groups.filter((g) => g.container.id === f.container.id).reduce((s, g) => s + g.packs, 0)).toBeLessThanOrEqual(
              f.free,
            );
          for (const g of r.choice.groups) expect(g.mlEach).toBeLessThanOrEqual(fillLimitMl(g.container, testFigures) + 1e-6);
          const packed = r.choice.groups.reduce((s, g) => s + g.packs * g.mlEach, 0);
          expect(packed + r.choice.portionsLeft * portionMl + r.choice.tonightMl).toBeCloseTo(yieldMl, 4);
        },
      ),
    );
  });
  it('packs twos for the couple and one single for what is left', () => {
    const c = choose({ yieldMl: 17 * 400, portionMl: 400, groups: [2], figures: testFigures }, [
      { container: tub('small', { brimMl: 500, fillMl: 430 }), free: 8 },
      { container: tub('big', { brimMl: 1000, fillMl: 870 }), free: 8 },
    ]);
    expect(c.groups.map((g) => [g.container.id, g.packs, g.portionsEach])).toEqual([
      ['big', 8, 2],
      ['small', 1, 1],
    ]);
    expect(c.portionsLeft).toBe(0);
  });
  it('takes returning tubs before one-use ones', () => {
    const c = choose({ yieldMl: 1600, portionMl: 400, groups: [1], figures: testFigures }, [
      { container: tub('a', { oneUse: true }), free: 9 },
      { container: tub('b'), free: 9 },
    ]);
    expect(c.groups[0]!.container.id).toBe('b');
  });
  it('says when a portion is larger than every container, and names the nearest', () =>
    expect(
      choosePacks({ yieldMl: 3000, portionMl: 1000, groups: [1], figures: testFigures }, [
        { container: tub('big', { name: 'Tub 1 L', brimMl: 1000, fillMl: 870 }), free: 3 },
      ]),
    ).toEqual({ ok: false, why: 'portionTooLarge', portionMl: 1000, nearest: { name: 'Tub 1 L', fillMl: 870 } }));
  it('says when nothing is free, and when there is less than a portion', () => {
    expect(
      choosePacks({ yieldMl: 3000, portionMl: 400, groups: [1], figures: testFigures }, [{ container: tub('a'), free: 0 }]),
    ).toMatchObject({
      why: 'nothingFree',
    });
    expect(
      choosePacks({ yieldMl: 300, portionMl: 400, groups: [1], figures: testFigures }, [{ container: tub('a'), free: 4 }]),
    ).toMatchObject({
      why: 'lessThanOne',
    });
  });
});

describe('filling', () => {
  it('leaves room for the ice and obeys the reference', () => {
    fc.assert(
      fc.property(fc.integer({ min: 50, max: 4000 }), fc.double({ min: 0.5, max: 1, noNaN: true }), (brimMl, share) => {
        const limit = fillLimitMl({ brimMl, fillMl: brimMl * share }, testFigures);
        expect(limit).toBeLessThanOrEqual(brimMl * 0.9 + 1e-9);
        expect(limit).toBeLessThanOrEqual(brimMl * share + 1e-9);
      }),
    );
  });
  it('fills a 60 ml jar without a fill line to 54: 340 ml make 6 jars and 16 ml', () => {
    const jar = { brimMl: 60, fillMl: 60 };
    expect(fillLimitMl(jar, testFigures)).toBe(54);
    expect(Math.floor(340 / 54)).toBe(6);
    expect(340 - 6 * 54).toBe(16);
  });
  it('presses 600 ml over a face of 24 x 25 cm to 1 cm', () =>
    expect(thicknessMm(tub('bag', { shape: 'bag', widthMm: 240, heightMm: 250 / 0.85 }), 600)).toBeCloseTo(10, 5));
  it('stands higher with more in it, and at the brim when full', () => {
    fc.assert(
      fc.property(fc.double({ min: 10, max: 490, noNaN: true }), (ml) => {
        expect(thicknessMm(tub('t'), ml)).toBeLessThan(thicknessMm(tub('t'), ml + 5));
      }),
    );
    expect(thicknessMm(tub('t'), 500)).toBeCloseTo(70, 3);
  });
  it('makes 105 cubes of 18 ml from 1.9 L in 3 rounds of 3 trays, and keeps what is left', () =>
    expect(cubeRounds(1900, 18, 3, 14)).toMatchObject({ cubes: 105, rounds: 3, leftMl: 10 }));
  it('420 ml in cubes of 15 are 28', () => expect(cubeRounds(420, 15, 2, 14)).toMatchObject({ cubes: 28, rounds: 1, leftMl: 0 }));
  it('knows how many cubes go loose in a bag', () => expect(cubesThatFit({ brimMl: 1300 }, 30, testFigures)).toBe(30));
});

describe('pack codes', () => {
  it('are unlike for unlike numbers and hold their check', () => {
    fc.assert(
      fc.property(fc.nat({ max: 31 ** 4 - 1 }), fc.nat({ max: 31 ** 4 - 1 }), (a, b) => {
        expect(isCode(codeFrom(a))).toBe(true);
        if (a !== b) expect(codeFrom(a)).not.toBe(codeFrom(b));
      }),
    );
  });
  it('catch every single wrong sign', () => {
    fc.assert(
      fc.property(
        fc.nat({ max: 31 ** 4 - 1 }),
        fc.nat({ max: 4 }),
        fc.constantFrom(...'23456789ABCDEFGHJKMNPQRSTUVWXYZ'),
        (n, at, sign) => {
          const code = codeFrom(n);
          if (code[at] !== sign) expect(isCode(code.slice(0, at) + sign + code.slice(at + 1))).toBe(false);
        },
      ),
    );
  });
  it('solve one impossible sign from the check, and offer the known one', () => {
    fc.assert(
      fc.property(fc.nat({ max: 31 ** 4 - 1 }), fc.nat({ max: 4 }), fc.constantFrom(...'01ILO'), (n, at, sign) => {
        const code = codeFrom(n);
        const read = readCode(code.slice(0, at) + sign + code.slice(at + 1), [code]);
        expect(read).toMatchObject({ kind: 'solved', code });
      }),
    );
  });
  it('understand small letters and spaces, and list near codes when the check is wrong', () => {
    const code = codeFrom(4711);
    expect(readCode(` ${code.toLowerCase().slice(0, 2)} ${code.slice(2)} `, [])).toEqual({ kind: 'exact', code });
    const wrong = code.slice(0, 4) + (code[4] === '7' ? '8' : '7');
    expect(readCode(wrong, [code, codeFrom(9)])).toEqual({ kind: 'wrong', typed: wrong, near: [code] });
    expect(readCode('stew', [])).toMatchObject({ kind: 'notACode' });
  });
});

describe('labels', () => {
  it('stand on the sheet to a tenth of a millimetre, from any label on', () => {
    expect(labelSpots(1, 1, a4Grid21)[0]).toEqual({ page: 0, cell: 1, x: 7.2, y: 15.15 });
    expect(labelSpots(3, 21, a4Grid21)).toMatchObject([
      { page: 0, cell: 21 },
      { page: 1, cell: 1 },
      { page: 1, cell: 2 },
    ]);
    expect(labelSpots(1, 6, a4Grid21)[0]).toMatchObject({ x: 7.2 + 2 * 66, y: 15.15 + 38.1 });
    const g = a4Grid21;
    expect(g.marginMm.left * 2 + g.columns * g.labelMm.w + (g.columns - 1) * g.gapMm.x).toBeCloseTo(g.pageMm.w, 0);
    expect(g.marginMm.top * 2 + g.rows * g.labelMm.h).toBeCloseTo(g.pageMm.h, 5);
    expect(() => labelSpots(1, 22, g)).toThrow(/1 to 21/);
  });
});

describe('what a QR says', () => {
  it.each([
    ['/p/2229X', '2229X'],
    ['https://kitchen.home/p/2229X', '2229X'],
    ['http://192.168.1.9:4173/p/2229x?from=label', '2229X'],
    ['https://kitchen.home/p/2229X/', '2229X'],
    [' 2229x ', '2229X'],
    ['https://kitchen.home/p/2229Y', undefined],
    ['https://kitchen.home/recipes/2229X', undefined],
    ['WIFI:S:home;T:WPA;P:secret;;', undefined],
    ['', undefined],
  ])('%s', (text, code) => expect(scannedCode(text)).toBe(code));
  it('is the code of every link that was printed', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 31 ** 4 - 1 }), fc.option(fc.webUrl(), { nil: undefined }), (n, address) => {
        const code = codeFrom(n);
        const origin = address === undefined ? undefined : new URL(address).origin;
        expect(scannedCode(codeLink(code, origin))).toBe(code);
      }),
    ));
});
