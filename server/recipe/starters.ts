import type { Equipment, Step } from '#core/contract';
import { allergenWarnings } from '#core/recipe';
import { allergensOf, sayWarning, type World } from '#core/session';
import type { Starter } from '#core/queries';
import { revisionOf } from '../demo/dish.ts';
import { dishes } from '../demo/dishes/index.ts';
import { writtenStarters } from './written/index.ts';

/** Read once, when they are first asked for. */
let read: ReturnType<typeof writtenStarters> | undefined;
const written = (): ReturnType<typeof writtenStarters> => (read ??= writtenStarters('2026-01-01T00:00:00.000Z'));

/**
 * Starter recipes, made up for Tambo: they ship without the demo too, and become the household's own when it takes them. Notes of the demo's household
 * stay with it.
 */
export const starters = (madeAt: string): Pick<Starter, 'recipe' | 'revision'>[] => [
  ...dishes.map((dish) => {
    const recipe = `recipe_${dish.key}`;
    const { note: _note, ...revision } = revisionOf(dish, { revision: `revision_${dish.key}`, recipe }, madeAt);
    return { recipe: { id: recipe, revisionId: revision.id, name: dish.name, kind: dish.kind, archived: false }, revision };
  }),
  ...written().map(({ recipe, revision }) => ({ recipe, revision: { ...revision, madeAt } })),
];

/** Gear that not every kitchen has, with what may take its place. */
const notEverywhere: Partial<Record<Step['needs'][number]['kind'], { name: string; kinds: readonly Equipment['kind'][] }>> = {
  oven: { name: 'an oven', kinds: ['oven'] },
  microwave: { name: 'a microwave', kinds: ['microwave'] },
  processor: { name: 'a food processor or blender', kinds: ['processor', 'blender'] },
  blender: { name: 'a food processor or blender', kinds: ['processor', 'blender'] },
  steamer: { name: 'a steamer', kinds: ['steamer'] },
};

/** Starters with what speaks against each in this household: who must not eat it, and gear that is not there. A kitchen without any gear has not said yet. */
export function fitting(list: ReturnType<typeof starters>, world: World): Starter[] {
  const revisions = new Map(list.map((s) => [s.recipe.id, s]));
  const among = { finder: world.finder, recipe: (id: string) => revisions.get(id) ?? world.recipe(id) };
  const owned = new Set(world.equipment.map((e) => e.kind));
  const babies = world.eaters.some((e) => e.stage === 'baby');
  return list.map(({ recipe, revision }) => {
    const needs = revision.steps.flatMap((s) => s.needs.flatMap((n) => notEverywhere[n.kind] ?? []));
    const lacks = owned.size === 0 ? [] : needs.filter((n) => !n.kinds.some((k) => owned.has(k))).map((n) => n.name);
    const warnings = allergenWarnings(allergensOf(revision, among), world.eaters);
    const say = (list: typeof warnings): string[] => list.map((w) => sayWarning(w, world.allergenNames));
    const forNobody = recipe.kind === 'puree' && !babies && world.eaters.length > 0 ? ['No baby eats here'] : [];
    return {
      recipe,
      revision,
      notFor: [...say(warnings.filter((w) => w.how === 'holds')), ...forNobody],
      check: say(warnings.filter((w) => w.how !== 'holds')),
      lacks: [...new Set(lacks)],
    };
  });
}
