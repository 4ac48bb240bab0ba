import type { Day, Eater, Household, Recipe, Revision } from '#core/contract';
import type { IngredientRow } from '#core/kitchen';
import type { MassCheck, FreezeFlag, Gear, Learned, RecipeGap } from '#core/recipe';
import type { SaidCaution } from '#core/safety';
import type { HeatTexts, Run } from '#core/session';

export interface RecipeBrief {
  recipe: Recipe;
  servings: number;
  servingText: string;
  handsMin: number;
  waitMin: number;
  /** From the first step to the last in the session, at the soonest. */
  wholeMin: number;
  tags: string[];
  /** What it becomes: so many of these. */
  becomes: { shape: 'tub' | 'bag' | 'pan' | 'cubes' | 'loaf' | 'jar'; count: number };
  /** Ids of what goes in, to find recipes by an ingredient. */
  ingredientIds: string[];
  /** What goes in, by name: foods, and what it draws from. */
  holds: string[];
  /** Foods and recipes it needs in the session, to see what is missing. */
  needs: { id: string; recipe?: true }[];
  /** Its note and what is to be done otherwise next time. */
  notes: string;
  allergens: string[];
  /** Codes of allergens it holds, and of those it may hold or nobody has checked it for. */
  contains: string[];
  mayContain: string[];
  /** Something in it has not been checked for allergens at all. */
  unchecked: boolean;
  /** The same it holds, in words. */
  containsNames: string[];
  /** Litres as written, where its volume is known. */
  litres?: number;
  /** How the worst of it bears the freezer. */
  freezes: 'well' | 'changes' | 'badly';
  /** What the table says of it: the mean of its eaters' stars; absent while nobody has said. */
  liked?: number;
  lastMade?: Day;
  portionsInStore: number;
  canPlan: boolean;
  /** Its figures could not be worked out, and why: it is listed by name only. */
  broken?: string;
  /** Who must not eat it, in words. */
  notFor: string[];
  /** What came out of earlier runs by what is written, when it was weighed. */
  yieldFactor?: number;
}

export interface RecipeAnswer {
  recipe: Recipe;
  revision: Revision;
  /** Rows of the ingredients its lines name, and the lines of what it draws from, for scaling on the page. */
  rows: IngredientRow[];
  allergens: string[];
  /** Who must not eat it, in words. */
  warnings: string[];
  gaps: RecipeGap[];
  keeps: string;
  lastMade?: Day;
  portionsInStore: number;
  cautions: SaidCaution[];
  household: Household;
  gear: Gear;
  eaters: Eater[];
  today: Day;
  /** What came out of it so far; absent while it was never weighed. */
  learned?: Learned;
  /** Weighed runs, the newest first. */
  runs: Run[];
  freezing: FreezeFlag[];
  /** Everything it draws from, through and through. */
  drawn: Revision[];
  /** Recipes that draw from this one. */
  drawnBy: Revision[];
  /** Plain names of what its dose stands in for. */
  doseNames: Record<string, string>;
  /** How it is heated: its class, what else it might be, and what a pack's label would say. */
  heat: { classId: string; guess: boolean; classes: { id: string; name: string }[]; sample: HeatTexts };
  /** What goes in against what is said to come out, when they do not agree. */
  massCheck?: MassCheck;
  /** Concentrates of this household and what they stand in for. */
  doses: { recipeId: string; name: string; dose: NonNullable<Revision['dose']> }[];
}

/** A recipe that ships with Tambo, to begin with. */
export interface Starter {
  recipe: Recipe;
  revision: Revision;
  /** Who must not eat it, in words; what is for a baby is for nobody where none eats. */
  notFor: string[];
  /** Whose labels have to be read. */
  check: string[];
  /** Gear it needs that this kitchen has not, by name. */
  lacks: string[];
}
