export { minutesOf, readPasted, readRecipeFile, type FileRecipe, type ReadFileResult } from './read/index.ts';
export { readAmount, readLine, readLines, type Knows, type ReadLine } from './text/line.ts';
export { toCsv, toJsonLd, toMarkdown } from './out/out.ts';
export * from './write/index.ts';
export * from './method/index.ts';
export { draftRecipe, type RecipeDraft } from './draft.ts';
export * from './scale/index.ts';
export { densityIsGuess, finishedDensity } from './density.ts';
export { absorbedG, massCheck, massCheckShare, type MassCheck } from './massCheck.ts';
export { addedSaltG, allergenLines, allergenSummary, allergenWarnings, type AllergenWarning, type DrawAllergens } from './allergens.ts';
export { canPlan, methodTexts, recipeGaps, type RecipeGap } from './check.ts';
export {
  drawLines,
  drawOf,
  settleDraws,
  solveBases,
  type BasesResult,
  type Draw,
  type Settled,
  type SolvedBatch,
  type Want,
} from './bases.ts';
export { costOf, drawnCost, newestPrice, type Cost, type LineCost } from './cost.ts';
export { cutSize, type CutSize } from './cut.ts';
export { doseFor, piecesFor, sayDose, standIn, swapByWeight } from './dose.ts';
export { compareRuns, linesOf, potBalance, pouredOf, poursOf, sayChanges, tally, type FeelChange, type Pour, type Tally } from './feel.ts';
export { freezeFlags, type FreezeFlag } from './freeze.ts';
export { learnedYield, nextMinutes, type Learned } from './learn.ts';
export { readNote, type NoteOffer } from './notes.ts';
export { splitPot, type SplitPot, type SplitResult } from './salt.ts';
export { sayGap, sayLimit, sayRule, sayTargetError, sayWhy } from './say.ts';
