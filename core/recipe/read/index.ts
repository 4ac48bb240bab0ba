export { minutesOf } from './duration.ts';
export type { FileRecipe, ReadFileResult } from './file.ts';
export { readPasted } from './pasted.ts';
export { readRecipeFile } from './read.ts';
