import type { Revision } from '#core/contract';
import { countOf, lifeOf, mayHold, type LifeResult } from '#core/kitchen';
import { heatClassName } from '#core/pack';
import { allergenLines, allergenWarnings, drawLines, freezeFlags, massCheck, recipeGaps } from '#core/recipe';
import { cautionsFor, type CautionPlace } from '#core/safety';
import {
  allergensOf,
  gearOf,
  heatBasis,
  heatRowsOf,
  learnedFrom,
  packableOf,
  packTexts,
  portionMlOf,
  sayWarning,
  type World,
} from '#core/session';
import { sharesNow, type RecipeAnswer } from '#core/queries';
import { momentOf } from '#core/store';
import { allDocuments, referenceRows } from '../db/index.ts';
import { notFound, type Context } from '../http.ts';
import { lastMade, settingOf, weighedRuns } from '../session/index.ts';

const hazardPlace: Readonly<Record<string, CautionPlace>> = {
  hotBlending: 'hotBlending',
  rawPoultry: 'rawPoultry',
  rawMeat: 'rawMeat',
  beans: 'beans',
  garlicOil: 'garlicOil',
  rice: 'rice',
  baby: 'baby',
  hotFat: 'hotFat',
};

/** How long a dish keeps, and because of what, unless that is all it is. */
function keepsText(life: LifeResult, dish: string): string {
  if (!life.ok) return life.why === 'doNotFreeze' ? `${life.part} does not freeze well` : 'no storage life known yet';
  const { months, monthsHigh, part, source, fridgeDays } = life.life;
  return `${months === monthsHigh ? countOf(months, 'month') : `${months} to ${countOf(monthsHigh, 'month')}`} frozen${part === dish ? '' : ` because of the ${part}`} (${source}), ${countOf(fridgeDays, 'day')} in the fridge`;
}

/** Everything a recipe draws from, through and through, each once. */
export function drawnFrom(revision: Revision, world: World, seen = new Set<string>([revision.recipeId])): Revision[] {
  return drawLines(revision).flatMap((l): Revision[] => {
    const id = l.item.type === 'recipe' ? l.item.id : '';
    const drawn = seen.has(id) ? undefined : world.recipe(id)?.revision;
    if (!drawn) return [];
    seen.add(id);
    return [drawn, ...drawnFrom(drawn, world, seen)];
  });
}

/** A pack of two portions in a usual tub, to show what a label would say. */
function heatAnswer(revision: Revision, world: World): RecipeAnswer['heat'] {
  const basis = heatBasis(revision, world);
  const portions = basis.cubes ? 20 : 2;
  const volumeMl = portionMlOf(revision) * portions;
  const dish = packableOf(revision);
  const container = world.containers.find((c) => mayHold(c, dish) && c.fillMl >= volumeMl);
  const pack = { massG: volumeMl * (revision.density?.gPerMl ?? 1), volumeMl, portions };
  const rows = heatRowsOf(world);
  const classes = [...new Map(rows.map((r) => [r.classId, r])).values()].map((r) => ({ id: r.classId, name: heatClassName(r) }));
  return {
    classId: basis.classId,
    guess: basis.guess,
    classes: classes.toSorted((a, b) => a.name.localeCompare(b.name)),
    sample: packTexts(basis, pack, container, world),
  };
}

/** Runs shown on the page. */
const runsShown = 8;

/** One recipe with all that its page works with while the cook types. */
export function recipeAnswer(ctx: Context, id: string): RecipeAnswer {
  const { world, records, now, today } = settingOf(ctx);
  const { stock } = sharesNow(world, records, momentOf(world.household, world.figures, now));
  const found = world.recipe(id);
  if (!found) throw notFound('A recipe', id);
  const { recipe, revision } = found;
  const summary = allergensOf(revision, world);
  const day = lastMade(ctx).get(id);
  const runs = weighedRuns(ctx.db).get(id) ?? [];
  const drawn = drawnFrom(revision, world);
  const library = allDocuments(ctx.db, 'recipe').flatMap((r) => (r.archived ? [] : (world.revision(r.revisionId) ?? [])));
  const places: CautionPlace[] = [
    ...new Set([
      ...revision.steps.flatMap((s) => s.hazards.flatMap((h) => hazardPlace[h] ?? [])),
      ...(revision.kind === 'puree' ? ['baby' as const] : []),
      'cooling' as const,
    ]),
  ];
  const ingredientIds = new Set(
    [revision, ...drawn].flatMap((r) => r.lines.flatMap((l) => (l.item.type === 'ingredient' ? [l.item.id] : []))),
  );
  const written = world.scale(revision, revision.servings);
  const check = massCheck(revision, world.finder, written.ok ? (written.scaled.passage?.boilOff?.writtenMl ?? 0) : 0);
  const tables = {
    textures: new Map(referenceRows(ctx.db, 'texture').map((r) => [r.id, r])),
    seasonings: new Map(referenceRows(ctx.db, 'seasoning').map((r) => [r.id, r])),
  };
  return {
    recipe,
    revision,
    rows: [...ingredientIds].flatMap((x) => world.finder.byId(x) ?? []),
    allergens: allergenLines(summary, world.allergenNames, 'page'),
    warnings: allergenWarnings(summary, world.eaters).map((w) => sayWarning(w, world.allergenNames)),
    gaps: recipeGaps(revision, world.finder),
    keeps: keepsText(lifeOf(revision.storage, world.lives, world.household), revision.name),
    ...(day && { lastMade: day }),
    portionsInStore: stock
      .filter((p) => p.recipeId !== undefined && world.recipe(p.recipeId)?.recipe.id === recipe.id)
      .reduce((s, p) => s + p.left, 0),
    cautions: cautionsFor(places, world.household.country, world.figures),
    household: world.household,
    gear: gearOf(world),
    eaters: [...world.eaters],
    today,
    ...(runs.length > 0 && { learned: learnedFrom(runs) }),
    runs: runs.slice(-runsShown).toReversed(),
    heat: heatAnswer(revision, world),
    ...(check && { massCheck: check }),
    freezing: freezeFlags(revision.lines, world.finder, tables),
    drawn,
    drawnBy: library.filter((r) => drawLines(r).some((l) => l.item.type === 'recipe' && world.recipe(l.item.id)?.recipe.id === recipe.id)),
    doseNames: Object.fromEntries(
      [revision.dose?.insteadOf?.ingredientId].flatMap((x) => (x === undefined ? [] : [[x, world.finder.byId(x)?.name ?? x]])),
    ),
    doses: library.flatMap((r) => (r.dose ? [{ recipeId: r.recipeId, name: r.name, dose: r.dose }] : [])),
  };
}
