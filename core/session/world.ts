import type { AllergenSummary, Container, Eater, Equipment, Figures, Household, Place, Recipe, Revision } from '#core/contract';
import type { LastTimes } from '#core/cook';
import type { IngredientFinder, LifeRow, Memo, ReferenceRow } from '#core/kitchen';
import type { ContainerUse, PackState } from '#core/store';
import { allergenSummary, finishedDensity, scaleRecipe, weighRecipe, type Gear, type ScaleOptions, type ScaleResult } from '#core/recipe';
import { densityOfRuns, type Run } from './run.ts';

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
  /** Of the last sessions, minutes that the work took against what was foretold; the newest last. */
  paces: readonly number[];
  lives: ReadonlyMap<string, LifeRow>;
  materials: ReadonlyMap<string, ReferenceRow>;
  reheats: readonly ReferenceRow[];
  thaws: readonly ReferenceRow[];
  /** What computations read of the other tables. */
  figures: Figures;
  allergenNames: ReadonlyMap<string, string>;
  /** What was worked out before from the same objects; whoever made this world owns it. */
  memo: Memo;
}

type ScaleKitchen = Pick<World, 'household' | 'finder' | 'equipment' | 'containers' | 'figures'>;

/** What a kitchen cooks in. @example gearOf(world).hotShare // 1/3 of the jug for hot food */
export const gearOf = (kitchen: Pick<World, 'equipment' | 'containers' | 'figures'>): Gear => ({
  equipment: kitchen.equipment,
  containers: kitchen.containers,
  hotShare: kitchen.figures.hotShare,
});

/** What a recipe is scaled with in this kitchen. */
const scaleOptionsOf = (kitchen: ScaleKitchen, yieldFactor = 1): ScaleOptions => ({
  scaleStepG: kitchen.household.scaleStepG,
  units: kitchen.household.units,
  gear: gearOf(kitchen),
  yieldFactor,
});

/**
 * Scales recipes in a kitchen: each is weighed once, and each size of it worked out once.
 * @example scaleIn(kitchen, memo)(stew, 12)
 */
export const scaleIn =
  (kitchen: ScaleKitchen, memo: Memo): World['scale'] =>
  (revision, portions, yieldFactor = 1) => {
    const { household, finder, equipment, containers, figures } = kitchen;
    return memo([revision, finder, household, equipment, containers, figures], `${portions} ${yieldFactor}`, () =>
      scaleRecipe(
        memo([revision, finder], 'weighed', () => weighRecipe(revision, finder)),
        portions,
        scaleOptionsOf(kitchen, yieldFactor),
      ),
    );
  };

/**
 * A stored revision with its finished density: the same object until a tub of it was weighed, so that what is worked out from it stays.
 * @param runs of its recipe
 * @example withDensity(stored, runs.get(stored.recipeId), world, memo).density?.reason // 'learned'
 */
export function withDensity(
  stored: Revision,
  runs: readonly Run[] | undefined,
  { finder, figures }: Pick<World, 'finder' | 'figures'>,
  memo: Memo,
): Revision {
  const learned = densityOfRuns(runs ?? []);
  return memo([stored, finder, figures], `density ${learned ?? ''}`, () => ({
    ...stored,
    density: finishedDensity(stored, finder, figures, learned),
  }));
}

/**
 * Allergens of a recipe, through everything it draws from; a recipe that draws from itself stays unknown.
 * @example allergensOf(risotto, world).contains // with what its stock holds
 */
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
