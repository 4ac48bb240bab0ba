import { describe, expect, it } from 'vitest';
import type { Kind } from '#core/contract';
import { ingredientFinder } from '#core/kitchen';
import { ingredientRows, lifeRows, withForeignNames } from '#core/kitchen/data';
import { scheduleTasks, tasksFor } from '#core/cook';
import { addedSaltG, allergenSummary, inSession, massCheck, methodFindings, scaleTo, weighRecipe } from '#core/recipe';
import { dishes } from '../../demo/dishes/index.ts';
import { readWritten, writtenRecipes, writtenStarters } from './index.ts';

const finder = ingredientFinder(withForeignNames(ingredientRows));
const all = writtenRecipes.map((w) => ({ w, read: readWritten(w) }));
const whole = (r: (typeof all)[number]) => ({ ...r.read.revision, id: 'v', recipeId: 'r', madeAt: '2026-01-01T00:00:00.000Z' });
const gear = { equipment: [], containers: [] } as unknown as Parameters<typeof scaleTo>[2]['gear'];
const at = (r: (typeof all)[number], portions: number) => {
  const scaled = scaleTo(weighRecipe(whole(r), finder), { by: 'portions', portions }, { scaleStepG: 1, gear });
  if (!scaled.ok) throw new Error('not scaled');
  return scaled.scaled;
};
/** Allergens through all that a dish draws from. */
const allergens = (lines: Parameters<typeof allergenSummary>[0]): ReturnType<typeof allergenSummary> =>
  allergenSummary(lines, finder, (id) => {
    const drawn = all.find((r) => `recipe_${r.w.key}` === id);
    return drawn && allergens(drawn.read.revision.lines);
  });
/** Most grams of added salt in a portion of a dinner: a third of an adult's day (6 g, UK guidance). */
const mostSaltG = 2;
/** Grams or millilitres of one portion, least and most, by kind: a snack muffin to a bowl of soup; cubes, slices, spoons. */
const portionOf: Readonly<Record<Kind, readonly [number, number]>> = {
  meal: [90, 450],
  kit: [150, 600],
  base: [60, 250],
  puree: [15, 40],
  broth: [250, 1000],
  aromatic: [8, 60],
  dried: [40, 150],
  bread: [40, 150],
};
const notOurs = /lasagne|chilli con|enchilada|goulash|stroganoff|chowder|pot pie|pesto|salsa|bacon jam|pear puree/i;

describe.each(all.map((r) => [r.w.key, r] as const))('%s, as a critical cook reads it', (_key, r) => {
  const { revision } = r.read;
  it('is understood whole: every food known, every line in a step, nothing asked, nothing found', () => {
    expect(r.read.asks).toEqual([]);
    expect(revision.lines.length).toBeGreaterThan(0);
    expect(revision.lines.filter((l) => l.item.type === 'unmatched')).toEqual([]);
    const used = new Set(revision.steps.flatMap((s) => s.uses.map((u) => u.lineId)));
    expect(revision.lines.filter((l) => l.moment === 'batch' && !used.has(l.id)).map((l) => l.name)).toEqual([]);
    expect(r.read.understood && methodFindings(r.read.understood, finder).filter((f) => !f.offer)).toEqual([]);
    expect(allergens(revision.lines).unmatched).toEqual([]);
  });
  it('gives what it says, and keeps as the table says', () => {
    expect(massCheck(whole(r), finder)).toBeUndefined();
    expect(lifeRows.some((l) => l.id === r.w.lifeId)).toBe(true);
    expect(revision.density?.gPerMl).toBeGreaterThan(0.2);
  });
  it('is salted for a table, and not at all for a baby', () => {
    const salt = addedSaltG(at(r, revision.servings).lines, revision.servings);
    if (r.w.kind === 'puree') {
      expect(salt).toBe(0);
      expect(revision.lines.some((l) => l.item.type === 'ingredient' && l.item.id === 'honey')).toBe(false);
    } else if (r.w.kind === 'meal') expect(salt ?? 0).toBeLessThanOrEqual(mostSaltG);
  });
  it('bakes in a heat there is, and simmers long enough for what is in it', () => {
    for (const s of revision.steps)
      for (const n of s.needs) if (n.tempC !== undefined) expect(n.tempC >= 120 && n.tempC <= 250, s.text).toBe(true);
    const bakes = revision.steps.some((s) => s.kind === 'bake');
    if (bakes) expect(revision.steps.some((s) => s.needs.some((n) => n.tempC !== undefined))).toBe(true);
    if (r.w.lifeId === 'stew_meat') expect(Math.max(...revision.steps.map((s) => s.waitMin))).toBeGreaterThanOrEqual(60);
  });
  it('holds for one and for thirty portions, in a legal order', () => {
    for (const portions of [1, 30]) {
      const scaled = at(r, portions);
      expect(scaled.lines.every((l) => l.massG === undefined || l.massG >= 0)).toBe(true);
      const tasks = tasksFor(
        [{ batch: { id: 'b', recipeId: 'r' }, revision: whole(r), scaled }] as unknown as Parameters<typeof tasksFor>[0],
        finder,
      );
      expect(tasks.length).toBeGreaterThan(0);
      expect(scheduleTasks(tasks, { cooks: [{ id: 'c', name: 'Marit' }], capacity: { hob: 4, oven: 1 } }).ok).toBe(true);
      expect(tasks.every((t) => t.handsOnMin >= 1 && t.handsOnMin <= 360)).toBe(true);
    }
    expect(inSession(revision.steps).length).toBeGreaterThan(0);
  });
  it('is as much as one eats, and no more work than it is worth', () => {
    const { serving, servings } = revision;
    const [least, most] = portionOf[r.w.kind];
    expect(serving.amount).toBeGreaterThanOrEqual(least);
    expect(serving.amount).toBeLessThanOrEqual(most);
    const hands = inSession(revision.steps).reduce((sum, s) => sum + s.handsOnMin, 0);
    expect(hands).toBeGreaterThan(3);
    if (r.w.kind === 'meal') expect(hands / servings).toBeLessThanOrEqual(14);
  });
  it('has the liquid that its kind of dish asks for', () => {
    const lines = at(r, revision.servings).lines.filter((l) => l.line.moment === 'batch');
    const grams = (test: (id: string) => boolean): number =>
      lines.reduce((sum, l) => sum + (l.line.item.type === 'ingredient' && test(l.line.item.id) ? (l.massG ?? 0) : 0), 0);
    const wet = grams((id) => /^(?:water|stock|beer|wine|milk|cider|coconut_milk)/.test(id));
    const solid = lines.reduce((sum, l) => sum + (l.massG ?? 0), 0) - wet;
    if (revision.tags.includes('soup')) expect(wet / solid).toBeGreaterThan(0.5);
    if (revision.tags.includes('braise')) expect(wet / solid).toBeLessThan(1.2);
    if (r.w.kind === 'broth') expect(wet / solid).toBeGreaterThan(0.7);
  });
  it('is made up, and nobody else’s', () => expect(notOurs.test(revision.name)).toBe(false));
});

describe('the shelf of recipes', () => {
  it('is forty-five and more over every kind, no two alike', () => {
    expect(all.length + dishes.length).toBeGreaterThanOrEqual(45);
    const kinds = new Set([...all.map((r) => r.w.kind), ...dishes.map((d) => d.kind)]);
    expect(kinds.size).toBe(8);
    const names = [...all.map((r) => r.read.revision.name), ...dishes.map((d) => d.name)];
    expect(new Set(names.map((n) => n.toLowerCase())).size).toBe(names.length);
    const sets = all.map((r) =>
      r.read.revision.lines
        .map((l) => l.name)
        .sort()
        .join(),
    );
    expect(new Set(sets).size).toBe(sets.length);
  });
  it('has bases that two dishes and more draw from', () => {
    const draws = new Map<string, number>();
    for (const r of all)
      for (const l of r.read.revision.lines) if (l.item.type === 'recipe') draws.set(l.item.id, (draws.get(l.item.id) ?? 0) + 1);
    expect(draws.size).toBeGreaterThanOrEqual(3);
    for (const [id, n] of draws) {
      expect(n, id).toBeGreaterThanOrEqual(2);
      expect(all.some((r) => `recipe_${r.w.key}` === id)).toBe(true);
    }
  });
  it('freezes raw what is raw, and says so', () => {
    const raw = writtenStarters('2026-01-01T00:00:00.000Z').filter((s) => s.revision.raw);
    expect(raw.length).toBeGreaterThan(0);
    expect(raw.every((s) => s.recipe.kind === 'kit')).toBe(true);
  });
});
