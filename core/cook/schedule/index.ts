export { checkPlan, type PlanFault } from './check.ts';
export { families, generateKitchen, generateSmall, type Family } from './generate.ts';
export { leastMakespan } from './exhaustive.ts';
export { compile, type Compiled } from './compile.ts';
export { simpleBounds, type Bound } from './bounds.ts';
export { scheduleSearch, type SearchProblem } from './search.ts';
export { jobShop, taillard, type JobShop } from './shop.ts';
export {
  changeMinutes,
  type Activity,
  type Fixed,
  type Hand,
  type Lag,
  type Minute,
  type NoPlan,
  type Oven,
  type Placed,
  type Plan,
  type Pool,
  type PoolNeed,
  type ScheduleModel,
  type Span,
  type Stretch,
  type UnitGroup,
} from './model.ts';
