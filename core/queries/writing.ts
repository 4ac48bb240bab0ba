import type { Eater, Figures, Household, Kind, Recipe, Revision } from '#core/contract';
import type { IngredientRow, ReferenceRow } from '#core/kitchen';
import type { Gear, RecipeDraft } from '#core/recipe';

/** Recipes of a file, read. */
export interface ReadAnswer {
  drafts: RecipeDraft[];
}

/** All that a recipe is written with: foods, recipes to draw from, how things keep and freeze, and the kitchen it is weighed in. */
export interface WriteAnswer {
  rows: IngredientRow[];
  recipes: { id: string; name: string; kind: Kind; ingredientIds: string[] }[];
  lives: { id: string; group: string; item: string }[];
  textures: ReferenceRow[];
  seasonings: ReferenceRow[];
  household: Household;
  gear: Gear;
  figures: Figures;
  eaters: Eater[];
  allergenNames: Record<string, string>;
}

/** Every revision of a recipe, the newest first. */
export interface RevisionsAnswer {
  recipe: Recipe;
  revisions: Revision[];
  timeZone: string;
}

/** A recipe with what it is written as now. */
export interface KeptRecipe {
  recipe: Recipe;
  revision: Revision;
}

/** A recipe that was put away or is the same as another. */
export interface AwayRecipe {
  recipe: Recipe;
  /** Name of what it leads to now. */
  leadsTo?: string;
}
