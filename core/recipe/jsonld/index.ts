export { minutesOf } from './duration.ts';
export { jsonBlocks, readRecipeFile, type FileRecipe, type ReadFileResult } from './read.ts';
