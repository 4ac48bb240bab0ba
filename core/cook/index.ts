export { doneTask, sayTask, tasksFor, type LastTime, type LastTimes, type Task } from './tasks.ts';
export { checkSchedule, type ScheduleFault } from './check.ts';
export {
  scheduler,
  scheduleTasks,
  type Kitchen,
  type Progress,
  type Schedule,
  type ScheduleProblem,
  type ScheduleResult,
  type Slot,
} from './schedule.ts';
export { coolingClock, type CoolingClock, type CoolingLimits } from './cooling.ts';
export { dipped, ladled, sayMeasureError, type MeasuredYield, type MeasureYield } from './measure.ts';
export { prepRates, prepGroup, type PrepRate } from './data/prepRates.ts';
