export { jsonBlocks, minutesOf, readRecipeFile, type FileRecipe, type ReadFileResult } from './jsonld/index.ts';
export { readLine, type ReadLine } from './text/line.ts';
export { draftRecipe, type RecipeDraft } from './draft.ts';
export * from './scale/index.ts';
export { addedSaltG, allergenLines, allergenSummary, allergenWarnings, type AllergenWarning, type DrawAllergens } from './allergens.ts';
export { canPlan, recipeGaps, type RecipeGap } from './check.ts';
export { sayGap, sayWhy } from './say.ts';
