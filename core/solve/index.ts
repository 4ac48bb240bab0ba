export { randomFrom, type Random } from './random.ts';
export {
  gapOf,
  solve,
  startSearch,
  type Best,
  type Ended,
  type Finding,
  type Limits,
  type Outcome,
  type Search,
  type Solver,
} from './solver.ts';
