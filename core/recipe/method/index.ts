export { mindsItself, workFacts, type Place, type WorkFacts } from './classes.ts';
export { withoutCircles } from './order.ts';
export { methodFindings, type MethodFinding } from './findings.ts';
export { earliest, type EarlyStep } from './earliest.ts';
export { handsAt, inSession } from './grow.ts';
export { durationsOf } from './minutes.ts';
export type { Cut } from './pieces.ts';
export { segmentsOf } from './segments.ts';
export { understand, type MethodContext, type Understood, type UnderstoodStep } from './understand.ts';
