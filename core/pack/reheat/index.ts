export { heatRow, type HeatForm, type HeatMethod, type HeatRow, type HeatStart } from './rows.ts';
export { growth, onMarks, wattFactor, type Span } from './minutes.ts';
export { assumedWatts, heatWay, heatWays, stovesOf, type HeatPack, type HeatWay, type Stoves } from './ways.ts';
export { classOfOldIds, formsOf, guessClass, heatClassName, isBlock, partsOf, type FoodHints } from './classes.ts';
export { labelSigns, labelWays } from './say.ts';
export { heatNotes, pageWay } from './page.ts';
export { carriedHeat } from './carry.ts';
export { reheatCore } from './core.ts';
export { sayThaw, thawRange, thawedDays, type ThawRange, type ThawShape } from './thaw.ts';
