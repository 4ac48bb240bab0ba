import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { differencesOf, mergeDocuments } from './merge.ts';

const record = fc.record({
  id: fc.constantFrom('a', 'b', 'c'),
  n: fc.integer({ min: 0, max: 3 }),
  to: fc.option(fc.boolean(), { nil: undefined }),
});
const document = fc.record(
  {
    id: fc.constant('d'),
    name: fc.constantFrom('stew', 'soup', 'broth'),
    amount: fc.integer({ min: 0, max: 3 }),
    week: fc.record({ mon: fc.array(fc.constantFrom('lunch', 'dinner'), { maxLength: 2 }), tue: fc.boolean() }),
    lines: fc.uniqueArray(record, { selector: (r) => r.id, maxLength: 3 }),
    note: fc.string({ maxLength: 3 }),
  },
  { requiredKeys: ['id', 'name', 'amount', 'week', 'lines'] },
);
/** Fields that hold nothing are no fields. */
const plain = (v: unknown): unknown => JSON.parse(JSON.stringify(v ?? null));
/** The same but for the order in which records stand. */
const unordered = (v: unknown): unknown => {
  const p = plain(v) as { lines?: { id: string }[] };
  return { ...p, lines: p.lines?.toSorted((a, b) => (a.id < b.id ? -1 : 1)) };
};

describe('two changes of one document', () => {
  it('where one side changed nothing, the other stands', () => {
    fc.assert(
      fc.property(document, document, (base, changed) => {
        expect(unordered(mergeDocuments(base, changed, base).document)).toEqual(unordered(changed));
        expect(unordered(mergeDocuments(base, base, changed).document)).toEqual(unordered(changed));
        expect(mergeDocuments(base, changed, changed)).toEqual({ document: changed, apart: [] });
        expect(mergeDocuments(base, changed, base).apart).toEqual([]);
      }),
    );
  });

  it('what stands apart is the same whichever side is called mine; without any, so is the document', () => {
    fc.assert(
      fc.property(document, document, document, (base, a, b) => {
        const [one, other] = [mergeDocuments(base, a, b), mergeDocuments(base, b, a)];
        expect(one.apart.toSorted()).toEqual(other.apart.toSorted());
        if (one.apart.length === 0) expect(unordered(one.document)).toEqual(unordered(other.document));
      }),
    );
  });

  it('every change of either side is in the document or named as standing apart', () => {
    fc.assert(
      fc.property(document, document, document, (base, theirs, mine) => {
        const { document: merged, apart } = mergeDocuments(base, theirs, mine);
        // a difference may lie above or below what is named
        const named = (path: string): boolean =>
          apart.some((p) => p === '(whole)' || p === path || path.startsWith(`${p}.`) || p.startsWith(`${path}.`));
        const at = (doc: unknown, path: string): unknown =>
          path
            .split('.')
            .reduce<unknown>(
              (v, k) => (Array.isArray(v) ? v.find((x: { id: string }) => x.id === k) : (v as Record<string, unknown> | undefined)?.[k]),
              doc,
            );
        // of a record that both added, each side's fields are there
        const touched = new Set(differencesOf(base, theirs).map((d) => d.path));
        const mineTouched = new Set(differencesOf(base, mine).map((d) => d.path));
        for (const d of differencesOf(base, theirs))
          if (!named(d.path) && !mineTouched.has(d.path)) expect(plain(at(merged, d.path))).toEqual(plain(at(theirs, d.path)));
        for (const d of differencesOf(base, mine))
          if (!touched.has(d.path)) expect(plain(at(merged, d.path))).toEqual(plain(at(mine, d.path)));
        // where they cannot stand together, mine does
        for (const path of apart) expect(plain(at(merged, path))).toEqual(plain(at(mine, path)));
      }),
    );
  });

  const base = {
    id: 's',
    name: 'Saturday',
    startAt: '09:00',
    batches: [
      { id: 'stew', portions: 12 },
      { id: 'soup', portions: 8 },
    ],
  };
  it.each([
    ['two fields', { ...base, name: 'Sunday' }, { ...base, startAt: '10:00' }, { ...base, name: 'Sunday', startAt: '10:00' }, []],
    [
      'two dishes',
      {
        ...base,
        batches: [
          { id: 'stew', portions: 16 },
          { id: 'soup', portions: 8 },
        ],
      },
      {
        ...base,
        batches: [
          { id: 'stew', portions: 12 },
          { id: 'soup', portions: 8 },
          { id: 'dal', portions: 6 },
        ],
      },
      {
        ...base,
        batches: [
          { id: 'stew', portions: 16 },
          { id: 'soup', portions: 8 },
          { id: 'dal', portions: 6 },
        ],
      },
      [],
    ],
    [
      'a dish taken off and another changed',
      { ...base, batches: [{ id: 'soup', portions: 8 }] },
      {
        ...base,
        batches: [
          { id: 'stew', portions: 12 },
          { id: 'soup', portions: 10 },
        ],
      },
      { ...base, batches: [{ id: 'soup', portions: 10 }] },
      [],
    ],
    ['one hour, two ways', { ...base, startAt: '10:00' }, { ...base, startAt: '11:00' }, { ...base, startAt: '11:00' }, ['startAt']],
    [
      'a dish taken off here and changed there',
      { ...base, batches: [{ id: 'soup', portions: 8 }] },
      {
        ...base,
        batches: [
          { id: 'stew', portions: 20 },
          { id: 'soup', portions: 8 },
        ],
      },
      {
        ...base,
        batches: [
          { id: 'soup', portions: 8 },
          { id: 'stew', portions: 20 },
        ],
      },
      ['batches.stew'],
    ],
  ])('%s', (_name, theirs, mine, document_, apart) => {
    const merged = mergeDocuments(base, theirs, mine);
    expect(merged.document).toEqual(document_);
    expect(merged.apart).toEqual(apart);
  });
});
