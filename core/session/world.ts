import type { AllergenSummary, Container, Eater, Equipment, Household, Place, Recipe, Revision } from '#core/contract';
import type { LastTimes } from '#core/cook';
import type { IngredientFinder, LifeRow, ReferenceRow } from '#core/kitchen';
import type { ContainerUse, PackState } from '#core/store';
import { allergenSummary, type ScaleOptions, type ScaleResult } from '#core/recipe';
import type { Run } from './run.ts';

/** Everything a page's numbers are made from, as it stands now. */
export interface World {
  /** With guests and absences that were said of single meals laid over them. */
  household: Household;
  eaters: readonly Eater[];
  /** The same two as their documents hold them: what a form changes. */
  written: { household: Household; eaters: readonly Eater[] };
  /** The newest word on who is at the table: what a page has seen. */
  tableSeen: string;
  equipment: readonly Equipment[];
  containers: readonly Container[];
  places: readonly Place[];
  /** Packs that hold food. */
  packs: readonly PackState[];
  usage: ReadonlyMap<string, ContainerUse>;
  recipe: (id: string) => { recipe: Recipe; revision: Revision } | undefined;
  revision: (id: string) => Revision | undefined;
  /** A recipe at a number of portions; revisions never change, so an answer may be kept. */
  scale: (revision: Revision, portions: number, yieldFactor?: number) => ScaleResult;
  finder: IngredientFinder;
  /** Weighed runs by recipe, the oldest first. */
  runs: ReadonlyMap<string, readonly Run[]>;
  /** The last run of each piece of work. */
  times: LastTimes;
  lives: ReadonlyMap<string, LifeRow>;
  materials: ReadonlyMap<string, ReferenceRow>;
  reheats: readonly ReferenceRow[];
  thaws: readonly ReferenceRow[];
  allergenNames: ReadonlyMap<string, string>;
}

/** What a recipe is scaled with in this kitchen. */
export const scaleOptionsOf = (world: Pick<World, 'household' | 'finder' | 'equipment' | 'containers'>, yieldFactor = 1): ScaleOptions => ({
  finder: world.finder,
  scaleStepG: world.household.scaleStepG,
  units: world.household.units,
  gear: { equipment: world.equipment, containers: world.containers },
  yieldFactor,
});

/** Allergens of a recipe, through everything it draws from; a recipe that draws from itself stays unknown. */
export function allergensOf(
  revision: Revision,
  world: Pick<World, 'finder' | 'recipe'>,
  seen: ReadonlySet<string> = new Set(),
): AllergenSummary {
  const path = new Set([...seen, revision.recipeId]);
  return allergenSummary(revision.lines, world.finder, (id) => {
    const drawn = path.has(id) ? undefined : world.recipe(id)?.revision;
    return drawn && allergensOf(drawn, world, path);
  });
}
