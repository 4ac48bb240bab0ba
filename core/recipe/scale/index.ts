export { flowOf, lidOf } from './flow.ts';
export type { Load, Passage } from './contents.ts';
export { blanches } from './dips.ts';
export { burnersOf } from './pots.ts';
export { passageOf } from './passage.ts';
export { finished, maxPortions } from './portions.ts';
export {
  factorOf,
  measureLine,
  scaleBy,
  scaleRecipe,
  scaleTo,
  sumIn,
  type ScaledLine,
  type ScaledRecipe,
  type ScaleOptions,
  type ScaleResult,
} from './scale.ts';
export { factorFor, type ScaleTarget, type TargetError, type TargetResult } from './target.ts';
export { bowlUsable, brimMlOf, equalLoads, potUsable, roundsMin, type Gear } from './vessels.ts';
export { lineFacts, weighRecipe, type LineFacts, type WeighedRecipe } from './weigh.ts';
