import { describe, expect, it } from 'vitest';
import {
  ingredientRowSchema,
  lifeRowSchema,
  referenceRowSchema,
  referenceTables,
  type ReferenceRow,
  type ReferenceTable,
} from '#core/contract';
import { sources } from '#core/kitchen/data';
import { testServer } from '../testing.ts';
import { referenceRows } from './index.ts';

const s = testServer();
const tables = Object.fromEntries(referenceTables.map((t) => [t, referenceRows(s.db, t) as unknown as ReferenceRow[]])) as Record<
  ReferenceTable,
  ReferenceRow[]
>;

/** Low and high of a figure as a table has it: `3`, `"8-12"`, `{ low, high }`; undefined for words. */
function spanOf(value: unknown): [low: number, high: number] | undefined {
  if (typeof value === 'number') return [value, value];
  if (typeof value === 'object' && value !== null && 'low' in value)
    return [Number((value as { low: number }).low), Number((value as unknown as { high: number }).high)];
  const m = /^(\d+(?:\.\d+)?)\s*-\s*(\d+(?:\.\d+)?)$/.exec(String(value ?? ''));
  return m ? [Number(m[1]), Number(m[2])] : undefined;
}

/** Columns that mean a kind of figure, and what a sound one lies between. */
const bounds: readonly (readonly [ReferenceTable, column: string, low: number, high: number])[] = [
  ['blanch', 'waterMin', 0, 50],
  ['blanch', 'steamMin', 0, 20],
  ['blanch', 'iceMin', 0, 20],
  ['puree', 'cookMin', 0, 120],
  ['puree', 'roastC', 150, 230],
  ['puree', 'ediblePct', 30, 100],
  ['puree', 'pureePer100g', 60, 550],
  ['puree', 'waterMlPer100g', 0, 500],
  ['pressure', 'pressureMinHigh', 0, 60],
  ['trim', 'epPct', 5, 100],
  ['trim', 'epRange', 3, 100],
  ['cooked', 'factor', 0.25, 6],
  ['cooked', 'range', 0.2, 6],
  ['density', 'gPerMl', 0.05, 1.5],
  ['zone', 'tempC', -18, 21],
  ['zone', 'humidityPct', 50, 95],
  ['broth', 'yieldPctOfWater', 65, 98],
  ['broth', 'hobSimmerMin', 20, 720],
  ['life', 'freezerMonths', 0, 24],
  ['ingredient', 'ediblePct', 20, 100],
  ['ingredient', 'cookedFactor', 0.25, 6],
  ['ingredient', 'pieceG', 0.05, 5000],
];

describe('shipped reference rows', () => {
  it.each(referenceTables)('%s: every row holds its schema, has an id of its own, a known source and a confidence', (table) => {
    const rows = tables[table];
    expect(rows.length).toBeGreaterThan(3);
    expect(new Set(rows.map((r) => r.id)).size).toBe(rows.length);
    const schema = table === 'ingredient' ? ingredientRowSchema : table === 'life' ? lifeRowSchema : referenceRowSchema;
    for (const row of rows) {
      expect(schema.safeParse(row).error?.issues, row.id).toBeUndefined();
      // some rows name a rule or a place beside the body: "UK 80 g veg count", "NATL (Nordic, Ireland)"
      const codes = row.source.match(/\b[A-Z][A-Za-z]*(?:-[A-Z]+)?\b/g) ?? [];
      expect(codes.some((code) => sources[code] !== undefined) || /^(UK|US|EU)\b/.test(row.source), `${row.id}: source ${row.source}`).toBe(
        true,
      );
      expect(row.conf).toMatch(/^(A|B|confirm)/);
    }
  });
  it.each(bounds)('%s.%s lies between %d and %d', (table, column, low, high) => {
    const spans = tables[table].flatMap((row) => {
      const span = spanOf(row[column]);
      return span ? [{ id: row.id, span }] : [];
    });
    expect(spans.length).toBeGreaterThan(3);
    for (const { id, span } of spans) {
      expect(span[0], id).toBeGreaterThanOrEqual(low);
      expect(span[1], id).toBeLessThanOrEqual(high);
      expect(span[0], id).toBeLessThanOrEqual(span[1]);
    }
  });
  it('every figure in the middle of its range lies within it', () => {
    for (const [table, value, range] of [
      ['trim', 'epPct', 'epRange'],
      ['cooked', 'factor', 'range'],
    ] as const)
      for (const row of tables[table]) {
        const span = spanOf(row[range]);
        const v = Number(row[value]);
        if (span) expect(v >= span[0] && v <= span[1], `${table} ${row.id}: ${v} in ${String(row[range])}`).toBe(true);
      }
  });
  it('steam takes at least as long as water, and ice as long as the boil', () => {
    for (const row of tables.blanch) {
      const [water, steam] = [spanOf(row.waterMin), spanOf(row.steamMin)];
      if (water && steam) expect(steam[0], row.id).toBeGreaterThanOrEqual(water[0]);
    }
  });
  it('scraps are good, little or never; keeping says how each freezes', () => {
    for (const row of tables.scrap) expect(['good', 'little', 'never'], row.id).toContain(row.fit);
    for (const row of tables.keep) expect(['well', 'change', 'poor'], row.id).toContain(row.freeze);
  });
  it('an ingredient points only to rows that are there', () => {
    const byPrefix: readonly [string, ReferenceTable][] = [
      ['4.3:', 'keep'],
      ['5.2:', 'blanch'],
      ['6.2:', 'puree'],
      ['7.1:', 'trim'],
      ['7.2:', 'cooked'],
      ['7.3:', 'density'],
      ['9.2:', 'scrap'],
      ['12.2:', 'seasoning'],
      ['12.3:', 'texture'],
      ['3.2:', 'life'],
    ];
    for (const row of referenceRows(s.db, 'ingredient'))
      for (const ref of row.refRows ?? []) {
        const hit = byPrefix.find(([prefix]) => ref.startsWith(prefix));
        if (hit)
          expect(
            tables[hit[1]].some((r) => r.id === ref.slice(hit[0].length)),
            `${row.id}: ${ref}`,
          ).toBe(true);
      }
  });
});
