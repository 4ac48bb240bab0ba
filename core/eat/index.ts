export { eatenAsPlanned, usualHelpings, usualRest, type Served } from './asPlanned.ts';
export { dealShares, type PackShares } from './share.ts';
export { quantile, reaches } from './negativeBinomial.ts';
export { runway, runwayRules, type DayEaten, type Runway, type RunwayInput, type RunwayPoint } from './runway.ts';
