import { describe, expect, it } from 'vitest';
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
/** Most grams of added salt in a portion of a dinner: a third of an adult's day (6 g, UK guidance). */
const mostSaltG = 2;
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
    expect(allergenSummary(revision.lines, finder).unmatched).toEqual([]);
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
  it('freezes raw what is raw, and says so', () => {
    const raw = writtenStarters('2026-01-01T00:00:00.000Z').filter((s) => s.revision.raw);
    expect(raw.length).toBeGreaterThan(0);
    expect(raw.every((s) => s.recipe.kind === 'kit')).toBe(true);
  });
});
