export { compose, isWhole, type Ask, type Composed } from './compose.ts';
export { kindGuess, lifeGuess, servingByKind } from './guesses.ts';
export { composeLines, fixOf, foodId, type ComposedFood, type ComposedRow, type OwnRecipe, type ReadingContext } from './lines.ts';
export { stepsOf } from './steps.ts';
export { emptyWriting, writingOf, writingOfFile } from './writing.ts';
export { readServing, readYield, type ReadYield } from './yield.ts';
