import { z } from 'zod';
import { idSchema } from './basics.ts';

/** Recipes that belong together by a name of the cook's own: for the baby, before the trip. */
export const recipeListSchema = z.object({
  id: idSchema,
  name: z.string().trim().min(1).max(60),
  /** Each by its recipe's id, so that two devices may add to one list. */
  recipes: z.array(z.object({ id: idSchema })).max(2000),
});

export type RecipeList = z.infer<typeof recipeListSchema>;
