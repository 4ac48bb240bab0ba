import { describe, expect, it } from 'vitest';
import type { Revision } from '#core/contract';
import { testContainer } from '../pack/fixtures.ts';
import { testLine, testRevision } from '../recipe/fixtures.ts';
import { testSession, testWorld } from './fixtures.ts';
import { filledData, packTexts, portionName, sessionView } from './index.ts';
import { testFigures } from '../kitchen/fixtures.ts';

const lime = (unit: 'piece' | 'ml' | 'pinch', amount: string) =>
  testLine('lime', { name: 'limes', amount, unit, moment: 'cookDay', item: { type: 'ingredient', id: 'lime' } });

/** What a pack of a dish would be filled with. */
function filled(over: Partial<Revision>, portions = 2, more: { unsalted?: boolean; ml?: number } = {}) {
  const revision = testRevision(over);
  const world = testWorld({}, [revision]);
  const view = sessionView(testSession(), [], [], world, '2026-11-24T16:00:00.000Z');
  const b = view.batches[0]!;
  const container = testContainer('tub');
  const ml = more.ml ?? 800;
  return filledData(
    {
      revision: b.revision,
      batchId: 'b1',
      sessionId: 's1',
      lot: b.lot,
      day: '2026-11-28',
      densityGPerMl: 1.05,
      figures: testFigures,
      scaleStepG: 1,
    },
    { code: '2226J', container, portions, ml, n: 1, of: 3, ...(more.unsalted && { unsalted: true }) },
    packTexts(b.heat, { massG: ml * 1.05, volumeMl: ml, portions }, container, { equipment: [] }),
  );
}
const data = (...args: Parameters<typeof filled>) => {
  const r = filled(...args);
  if (!r.ok) throw new Error(r.why);
  return r.data;
};

describe('what a pack is filled with', () => {
  it('weighs what it holds, keeps its place among its fellows and its dates', () => {
    expect(data({})).toMatchObject({ portions: 2, volumeMl: 800, massG: 840, nOf: { n: 1, of: 3 }, raw: false, kind: 'meal' });
    expect(data({}).bestBy! > '2026-11-28').toBe(true);
    expect(data({}).whole).toBeUndefined();
    expect(data({ kind: 'kit', raw: true }).whole).toBe(true);
  });
  it('counts cubes, at least one', () => {
    expect(data({ kind: 'puree', cubeMl: 27 }, 12).cubes).toBe(12);
    expect(data({ kind: 'puree', cubeMl: 27 }, 0.25).cubes).toBe(1);
    expect(data({}).cubes).toBeUndefined();
  });
  it('says how much is added on the day, one of it or several', () => {
    const lines = (amount: string, unit: 'piece' | 'ml' | 'pinch' = 'piece') => [testLine('onion'), lime(unit, amount)];
    expect(data({ lines: lines('2') }, 2)).toMatchObject({ addOnDay: ['lime'], addAmounts: ['¾'] });
    expect(data({ lines: lines('12') }, 2)).toMatchObject({ addOnDay: ['limes'], addAmounts: ['4'] });
    expect(data({ lines: lines('120', 'ml') }, 2).addOnDay).toEqual(['limes']);
    expect(data({ lines: [testLine('onion'), { ...lime('piece', '2'), item: { type: 'unmatched' } }] }, 2).addOnDay).toEqual(['limes']);
  });
  it.each<[string, Partial<Revision>, RegExp]>([
    ['does not freeze', { storage: [{ rowId: 'lettuce', part: 'leaves' }] }, /leaves|storage life/],
    ['has no known life', { storage: [{ rowId: 'nobody', part: 'thing' }] }, /no storage life is known for thing/],
    ['has no part at all', { storage: [] }, /no storage life is known for Test stew/],
  ])('is refused in words for what %s', (_, over, why) => {
    const r = filled(over);
    expect(r.ok).toBe(false);
    if (!r.ok) expect(r.why).toMatch(why);
  });
});

describe('what a portion is called', () => {
  it.each([
    ['puree', 1, 'cube'],
    ['puree', 12, 'cubes'],
    ['bread', 0.5, 'piece'],
    ['broth', 2, 'packs'],
    ['meal', 0.5, 'portion'],
    ['meal', 1.5, 'portions'],
    ['meal', 0, 'portions'],
  ])('%s, %f: %s', (kind, n, says) => expect(portionName(kind, n)).toBe(says));
});
