export { isHot } from './ends.ts';
export { overnightMin } from './limits.ts';
export {
  doneTask,
  interrupted,
  sayTask,
  tasksFor,
  type Follow,
  type LastTime,
  type LastTimes,
  type PrepShare,
  type Task,
} from './tasks.ts';
export { checkSchedule, type ScheduleFault } from './check.ts';
export { scheduler, scheduleTasks, type NoSchedule, type Schedule, type ScheduleProblem, type ScheduleResult } from './schedule.ts';
export { anotherDay, forever, scheduleModel } from './network.ts';
export type { Kept, Kitchen, Pin, Progress, Sitting, Slot } from './sitting.ts';
export { keptOf, moveTask, type Moved } from './move.ts';
export { wouldHelp, type Help } from './help.ts';
export { sayFault, type FaultNames } from './sayFault.ts';
export type { PlanFault, Stretch } from './schedule/index.ts';
export { aheadOf, type Ahead } from './data/aheadRules.ts';
export { withDraws, type Drawn } from './draws.ts';
export { potNames, type NamedPot } from './pots.ts';
export { closingTasks, type ClosingInput } from './closing.ts';
export { coolingClock, type CoolingClock, type CoolingLimits } from './cooling.ts';
export { dipped, ladled, sayMeasureError, type MeasuredYield, type MeasureYield } from './measure.ts';
export { prepRates, prepGroup, type PrepRate } from './data/prepRates.ts';
