import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AllergenSummary } from '#core/contract';
import { ingredientFinder } from '#core/kitchen';
import { ingredientRows } from '#core/kitchen/data';
import { allergenWarnings } from '#core/recipe';
import { testEater } from '../kitchen/fixtures.ts';
import { testLine, testRevision } from '../recipe/fixtures.ts';
import { labelSays, packAllergens, packWarnings, printAgain, sayWarning, tableOf } from './allergy.ts';
import { testHousehold, testPack, testWorld } from './fixtures.ts';

const names = new Map([
  ['al_milk', 'milk'],
  ['al_treenut', 'nuts'],
  ['al_celery', 'celery'],
]);
const mio = testEater('mio', { name: 'Mio', allergens: ['al_treenut'] });
const holding = (...contains: string[]): AllergenSummary => ({ contains, check: [], unmatched: [] });
const code = fc.constantFrom('al_milk', 'al_treenut', 'al_celery', 'al_egg');
const codes = fc.uniqueArray(code, { maxLength: 4 });

describe('who is warned', () => {
  it('is everybody for whom a dish is not known to be free of what they must not eat', () => {
    fc.assert(
      fc.property(codes, codes, codes, fc.boolean(), (contains, mayHold, allergens, unknown) => {
        const summary: AllergenSummary = {
          contains,
          check: mayHold.length > 0 ? [{ name: 'sausage', mayHold }] : [],
          unmatched: unknown ? ['glimmer'] : [],
        };
        const warned = new Set(allergenWarnings(summary, [{ ...mio, allergens }]).flatMap((w) => w.codes));
        for (const a of allergens) expect(warned.has(a)).toBe(contains.includes(a) || mayHold.includes(a) || unknown);
        for (const w of allergenWarnings(summary, [{ ...mio, allergens }]))
          if (w.how === 'holds') for (const c of w.codes) expect(contains).toContain(c);
      }),
    );
  });
  it('says the name first, and in other words what is not certain', () => {
    const says = (over: Partial<AllergenSummary>) =>
      allergenWarnings({ contains: [], check: [], unmatched: [], ...over }, [mio]).map((w) => sayWarning(w, names));
    expect(says({ contains: ['al_treenut', 'al_milk'] })).toEqual(['Not for Mio: holds nuts']);
    expect(says({ check: [{ name: 'pesto', mayHold: ['al_treenut'] }] })).toEqual(['Mio: may hold nuts, read the labels']);
    expect(says({ unmatched: ['glimmer'] })).toEqual(['Mio: not checked for nuts (glimmer)']);
    expect(says({})).toEqual([]);
  });
  it('counts a guest of that evening and of no other', () => {
    const household = { ...testHousehold, guests: [{ day: '2026-11-28', meal: 'dinner' as const, plates: 2, allergens: ['al_milk'] }] };
    const world = testWorld({ household, eaters: [mio], allergenNames: names });
    expect(tableOf(world, '2026-11-28')).toHaveLength(2);
    const milky = testPack('m', { allergens: holding('al_milk') });
    expect(packWarnings(milky, world, '2026-11-28').map((w) => sayWarning(w, names))).toEqual(['Not for a guest: holds milk']);
    expect(packWarnings(milky, world, '2026-11-29')).toEqual([]);
  });
});

describe('what a pack holds', () => {
  const revision = testRevision({ lines: [testLine('walnut', { name: 'walnut', item: { type: 'ingredient', id: 'walnut' } })] });
  const of = (rows = ingredientRows) => testWorld({ finder: ingredientFinder(rows), eaters: [mio], allergenNames: names }, [revision]);
  const pack = testPack('w', { revisionId: revision.id, recipeId: revision.recipeId, allergens: holding('al_celery') });
  it('is what was known when it was filled and what is known today: nothing is forgotten', () => {
    expect(packAllergens(pack, of()).contains).toEqual(['al_celery', 'al_treenut']);
    expect(packAllergens(testPack('x', { allergens: holding('al_milk') }), of()).contains).toEqual(['al_milk']);
  });
  it('makes its label old when an ingredient or an eater changed since, and not before', () => {
    const printed = { ...pack, labelled: 'printed' as const, labelSays: labelSays(pack, of()) };
    expect(printAgain(printed, of())).toBe(false);
    expect(printAgain(printed, { ...of(), eaters: [mio, testEater('lou', { name: 'Lou', allergens: ['al_celery'] })] })).toBe(true);
    const without = ingredientRows.map((r) => (r.id === 'walnut' ? { ...r, contains: [...r.contains, 'al_sesame'] } : r));
    expect(printAgain(printed, of(without))).toBe(true);
    // a pack without a label has none to be wrong
    expect(printAgain(pack, { ...of(), eaters: [testEater('lou', { allergens: ['al_celery'] })] })).toBe(false);
  });
  it('of a label from before this was kept goes by what it was filled with', () => {
    const old = { ...pack, labelled: 'hand' as const };
    // walnuts were not known then
    expect(printAgain(old, of())).toBe(true);
    expect(printAgain({ ...testPack('c', { allergens: holding('al_celery') }), labelled: 'hand' }, of())).toBe(false);
  });
});
