import type { Recipe, Revision } from '#core/contract';
import { sayMass, sayVolume } from '#core/kitchen';
import { allergenLines, allergenWarnings, canPlan, earliest, finished, freezeFlags, inSession, type FreezeFlag } from '#core/recipe';
import { allergensOf, learnedFrom, likedOf, packableOf, sayWarning, type World } from '#core/session';
import { sharesNow, type RecipeBrief } from '#core/queries';
import { momentOf } from '#core/store';
import { referenceRows } from '../db/index.ts';
import type { Context } from '../http.ts';
import { lastMade, settingOf, weighedRuns } from '../session/index.ts';
import { drawnFrom } from './one.ts';

const servingText = (r: Revision): string => (r.serving.unit === 'ml' ? sayVolume(r.serving.amount) : sayMass(r.serving.amount));

/** Portions in store by recipe: what every other page counts, so without what was probably eaten or is past. */
function inStore(ctx: Context): Map<string, number> {
  const { world, records, now } = settingOf(ctx);
  const left = new Map<string, number>();
  for (const p of sharesNow(world, records, momentOf(world.household, world.figures, now)).stock)
    if (p.recipeId !== undefined) {
      // what was packed of a recipe that is the same as another counts there
      const id = world.recipe(p.recipeId)?.recipe.id ?? p.recipeId;
      left.set(id, (left.get(id) ?? 0) + p.left);
    }
  return left;
}

/** What a dish is drawn as in the library. */
function becomesOf(revision: Revision): RecipeBrief['becomes'] {
  const { cubes, pan } = packableOf(revision);
  const { kind } = revision;
  const shape = cubes
    ? 'cubes'
    : pan
      ? 'pan'
      : kind === 'bread'
        ? 'loaf'
        : kind === 'dried'
          ? 'jar'
          : kind === 'broth' || kind === 'kit' || kind === 'aromatic'
            ? 'bag'
            : 'tub';
  return { shape, count: Math.max(1, Math.round(revision.servings)) };
}

/** How the worst of a dish bears the freezer. */
const worst = (flags: readonly FreezeFlag[]): RecipeBrief['freezes'] =>
  flags.some((f) => f.fitness === 'badly' && f.place === 'inside') ? 'badly' : flags.length > 0 ? 'changes' : 'well';

/** Of a recipe that cannot be worked out, its name and why; the others stand beside it as ever. */
const nameOnly = (recipe: Recipe, error: unknown): RecipeBrief => ({
  recipe,
  servings: 0,
  servingText: '',
  handsMin: 0,
  waitMin: 0,
  wholeMin: 0,
  tags: [],
  becomes: { shape: 'tub', count: 0 },
  ingredientIds: [],
  allergens: [],
  holds: [],
  needs: [],
  notes: '',
  contains: [],
  mayContain: [],
  unchecked: true,
  containsNames: [],
  freezes: 'well',
  portionsInStore: 0,
  canPlan: false,
  notFor: [],
  broken: error instanceof Error ? error.message : String(error),
});

/** What of a brief follows from what is written alone. */
type Written = Omit<RecipeBrief, 'recipe' | 'notes' | 'liked' | 'lastMade' | 'portionsInStore' | 'yieldFactor'>;

function writtenBrief(revision: Revision, world: World, tables: FreezeTables): Written {
  const summary = allergensOf(revision, world);
  const madeMl = finished(revision, revision.servings).ml;
  return {
    servings: revision.servings,
    servingText: servingText(revision),
    handsMin: inSession(revision.steps).reduce((s, x) => s + x.handsOnMin, 0),
    waitMin: inSession(revision.steps).reduce((s, x) => s + (x.moment === 'eve' ? 0 : x.waitMin), 0),
    wholeMin: Math.round(Math.max(0, ...earliest(revision.steps).map((e) => e.end))),
    tags: revision.tags,
    becomes: becomesOf(revision),
    ingredientIds: revision.lines.flatMap((l) => (l.item.type === 'ingredient' ? [l.item.id] : [])),
    holds: revision.lines.map((l) => l.name),
    needs: revision.lines.flatMap((l): RecipeBrief['needs'] =>
      l.moment !== 'batch' || l.item.type === 'unmatched'
        ? []
        : [{ id: l.item.id, ...(l.item.type === 'recipe' && { recipe: true as const }) }],
    ),
    allergens: allergenLines(summary, world.allergenNames, 'page'),
    contains: summary.contains,
    mayContain: [...new Set(summary.check.flatMap((c) => c.mayHold))],
    unchecked: summary.unmatched.length > 0,
    containsNames: summary.contains.map((c) => world.allergenNames.get(c) ?? c),
    ...(madeMl !== undefined && { litres: Number((madeMl / 1000).toFixed(2)) }),
    freezes: worst(freezeFlags(revision.lines, world.finder, tables)),
    canPlan: canPlan(revision),
    notFor: allergenWarnings(summary, world.eaters).map((w) => sayWarning(w, world.allergenNames)),
  };
}

type FreezeTables = Parameters<typeof freezeFlags>[2];

/** Thousands of names are put in order at each answer. */
const byName = new Intl.Collator('en');

/** The library: what is written of each recipe is worked out once for as long as it stands, what was made, eaten and said of it is laid over that. */
export function briefs(ctx: Context): RecipeBrief[] {
  const { records, today } = settingOf(ctx);
  return records.cached(`briefs ${today}`, () => briefsNow(ctx));
}

function briefsNow(ctx: Context): RecipeBrief[] {
  const { world, records } = settingOf(ctx);
  const made = lastMade(ctx);
  const runs = weighedRuns(ctx.db);
  const stored = inStore(ctx);
  const liked = likedOf(records.ratings());
  const tables: FreezeTables = {
    textures: new Map(referenceRows(ctx.db, 'texture').map((row) => [row.id, row])),
    seasonings: new Map(referenceRows(ctx.db, 'seasoning').map((row) => [row.id, row])),
  };
  const briefOf = (recipe: Recipe): RecipeBrief | undefined => {
    const revision = world.revision(recipe.revisionId);
    if (!revision) return undefined;
    const day = made.get(recipe.id);
    const ran = runs.get(recipe.id);
    const drawn = drawnFrom(revision, world)
      .map((r) => r.id)
      .join(' ');
    return {
      recipe,
      ...world.memo([revision, world.finder, world.eaters], `brief ${drawn}`, () => writtenBrief(revision, world, tables)),
      notes: [revision.note, ...(recipe.notes ?? []).map((n) => n.text)].filter(Boolean).join(' ').slice(0, 600),
      ...(liked.has(recipe.id) && { liked: liked.get(recipe.id)!.stars }),
      ...(day && { lastMade: day }),
      portionsInStore: stored.get(recipe.id) ?? 0,
      ...(ran && { yieldFactor: Number(learnedFrom(ran).factor.toFixed(3)) }),
    };
  };
  return records
    .recipes()
    .flatMap((recipe): RecipeBrief[] => {
      try {
        const brief = briefOf(recipe);
        return brief ? [brief] : [];
      } catch (error) {
        return [nameOnly(recipe, error)];
      }
    })
    .sort((a, b) => byName.compare(a.recipe.name, b.recipe.name));
}
