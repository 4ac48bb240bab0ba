import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { kindSchema, type Container, type Equipment, type Kind } from '#core/contract';
import { testRevision } from '../recipe/fixtures.ts';
import { testContainer } from '../pack/fixtures.ts';
import { testPack, testWorld } from './fixtures.ts';
import { heatBasis, heatOfPack, packTexts } from './index.ts';

const world = testWorld();
const stoves: Equipment[] = [
  ...world.equipment,
  { id: 'pot', name: 'Pot', kind: 'pot', count: 1, litres: 3 },
  { id: 'fryer', name: 'Air fryer', kind: 'airFryer', count: 1 },
];
const shapes: Container['shape'][] = ['tub', 'bag', 'pan', 'box'];

describe('how a pack is heated', () => {
  it('is said for every kind, shape, weight and kitchen: whole sentences, no raw cell', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Kind>(...kindSchema.options),
        fc.constantFrom(...shapes),
        fc.integer({ min: 60, max: 3000 }),
        fc.subarray(stoves),
        fc.constantFrom('yes' as const, 'no' as const, 'unknown' as const),
        (kind, shape, g, equipment, microwave) => {
          const cubes = kind === 'puree' || kind === 'aromatic';
          const { cubeMl: _, ...bare } = testRevision({ kind, name: 'Own dish' });
          const revision = { ...bare, ...(cubes && { cubeMl: 27 }) };
          const container = testContainer('c', { shape: cubes ? 'bag' : shape, microwave, fillMl: 3000, brimMl: 3200 });
          const t = packTexts(
            heatBasis(revision, world),
            { massG: g, volumeMl: g, portions: Math.max(1, Math.round(g / 400)) },
            container,
            {
              equipment,
            },
          );
          expect(t.usual).toBe(true);
          for (const [whole] of t.heat) {
            expect(whole).toMatch(/^[A-Z].*\.$/);
            expect(whole).not.toMatch(/undefined|NaN|\bstir yes\b|foil half,|\[object| {2}/);
          }
          if (microwave === 'no' && !cubes)
            for (const w of t.heat) if (/microwave/i.test(w[0]!)) expect(w[0]).toMatch(/bowl|dish|turn|out|into/i);
        },
      ),
      { numRuns: 300 },
    );
  });
  it('takes the recipe’s own words before the table, as one sentence', () => {
    const own = testRevision({ ownReheat: 'Tip into a hot pan, ten minutes', ownThaw: 'Overnight in the fridge.' });
    const t = packTexts(heatBasis(own, world), { massG: 800, volumeMl: 800, portions: 2 }, testContainer('t'), {
      equipment: stoves,
    });
    expect(t.heat[0]).toEqual(['Tip into a hot pan, ten minutes.']);
    expect(t.usual).toBe(false);
    expect(t.thaw).toBe('Overnight in the fridge');
  });
  it('takes the class that was confirmed, and guesses one until then', () => {
    const guess = heatBasis(testRevision(), world);
    expect(guess.guess).toBe(true);
    const said = heatBasis(testRevision({ reheatClass: guess.rows[0]!.classId, confirmed: ['kind', 'reheat'] }), world);
    expect(said).toMatchObject({ classId: guess.rows[0]!.classId, guess: false });
    // a class that nobody knows is no class
    expect(heatBasis(testRevision({ reheatClass: 'moonbeams' }), world).classId).toBe(guess.classId);
  });
  it('heavier packs never take less time on the hob', () => {
    const b = heatBasis(testRevision(), world);
    const minutes = (g: number): number => {
      const t = packTexts(b, { massG: g, volumeMl: g, portions: 2 }, testContainer('t', { fillMl: 3000, brimMl: 3200 }), {
        equipment: stoves.filter((e) => e.kind === 'hob' || e.kind === 'pot'),
      });
      return Number(/(\d+)(?:–\d+)?\smin/.exec(t.heat[0]?.[0] ?? '')?.[1] ?? Number.NaN);
    };
    const series = [300, 600, 900].map(minutes);
    for (const m of series) expect(m).toBeGreaterThan(0);
    expect(series.toSorted((a, c) => a - c)).toEqual(series);
  });
  it('is known of a counted pack that no recipe made', () => {
    const { recipeId: _r, ...pack } = testPack('n', { name: 'Leek soup', kind: 'meal' });
    const t = heatOfPack(pack, world);
    expect(t.heat.length).toBeGreaterThan(0);
    expect(t.guess).toBe(true);
  });
});
