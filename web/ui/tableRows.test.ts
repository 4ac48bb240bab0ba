import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tableRows } from './tableRows.ts';

const row = fc.record({
  id: fc.uuid(),
  name: fc.constantFrom('leek', 'Leek', 'beet 2', 'beet 10', ''),
  n: fc.integer({ min: -9, max: 9 }),
});
const rows = fc.uniqueArray(row, { selector: (r) => r.id, maxLength: 60 });
const by = fc.constantFrom(
  undefined,
  (r: { n: number }) => r.n,
  (r: { name: string }) => r.name,
);

describe('a table over many pages', () => {
  it('lists every row exactly once, whatever it is sorted by', () => {
    fc.assert(
      fc.property(rows, by, fc.boolean(), fc.integer({ min: 1, max: 20 }), (list, sort, down, size) => {
        const { pages } = tableRows(list, { by: sort, down }, 1, size);
        const all = Array.from({ length: pages }, (_, i) => tableRows(list, { by: sort, down }, i + 1, size).shown).flat();
        expect(all.map((r) => r.id).toSorted()).toEqual(list.map((r) => r.id).toSorted());
        if (!sort) expect(all).toEqual(list);
      }),
    );
  });
  it('is in order, up and down, and what is alike stays as it came', () => {
    fc.assert(
      fc.property(rows, fc.boolean(), (list, down) => {
        const { shown } = tableRows(list, { by: (r) => r.n, down }, 1, 100);
        const places = new Map(list.map((r, i) => [r.id, i]));
        for (const [i, r] of shown.entries()) {
          const next = shown[i + 1];
          if (!next) break;
          expect(down ? r.n >= next.n : r.n <= next.n).toBe(true);
          if (r.n === next.n) expect(places.get(r.id)!).toBeLessThan(places.get(next.id)!);
        }
      }),
    );
  });
  it('goes to a page that is there', () => {
    fc.assert(
      fc.property(rows, fc.integer({ min: -5, max: 99 }), fc.integer({ min: 1, max: 20 }), (list, page, size) => {
        const t = tableRows(list, {}, page, size);
        expect(t.page).toBeGreaterThanOrEqual(1);
        expect(t.page).toBeLessThanOrEqual(t.pages);
        expect(t.shown.length > 0 || list.length === 0).toBe(true);
        expect(t.from).toBe((t.page - 1) * size);
      }),
    );
  });
  it('puts words with figures in them in a cook’s order', () => {
    const list = ['beet 10', 'Beet 2', 'apple'].map((name) => ({ name }));
    expect(tableRows(list, { by: (r) => r.name }, 1, 9).shown.map((r) => r.name)).toEqual(['apple', 'Beet 2', 'beet 10']);
  });
});
