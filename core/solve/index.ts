export { randomFrom, type Random } from './random.ts';
export { gapOf, solve, type Best, type Ended, type Finding, type Limits, type Outcome, type Solver } from './solver.ts';
